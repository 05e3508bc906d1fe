package gastfreund.app.running;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.rounds.Condition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DiskPartTest {

    @ParameterizedTest
    @CsvSource({"1000000000,GOOD", "999999999,LATE", "100000000,LATE", "99999999,STUCK", "0,STUCK"})
    void lessThanAGigabyteIsLittleAndLessThanATenthOfItTooLittle(long free, Condition.State state) {
        assertThat(DiskPart.of(free).state()).isEqualTo(state);
    }
}
