package gastfreund.app.board;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.orders.OrdersTest;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The ruler says what is taken now, whatever it said before. */
class RulersTest extends OrdersTest {

    @Autowired
    private Rulers rulers;

    private int percent(LocalDate day) {
        return rulers.of(day).days().stream()
                .filter(t -> t.date().equals(day))
                .findFirst()
                .orElseThrow()
                .percent();
    }

    @Test
    void whatIsKeptAndLetGoIsSeenAtOnce() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 33);
        LocalDate day = LocalDate.ofInstant(entry.time().startInstant(), ZoneId.of("Europe/Berlin"));
        int before = percent(day);
        assertThat(percent(day)).isEqualTo(before);
        keep("private-lesson", "60", 1, entry.time().start());
        int kept = percent(day);
        assertThat(kept).isGreaterThan(before);
        clock.moveAhead(Duration.ofHours(2));
        assertThat(percent(day)).as("what is kept no longer").isEqualTo(before);
    }
}
