package gastfreund.app.running;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;

class WatchedTest {

    private static boolean[] kept(String port) {
        StandardEnvironment environment = new StandardEnvironment();
        environment
                .getPropertySources()
                .addFirst(new MapPropertySource("test", Map.of("server.port", "8080", "management.server.port", port)));
        Watched.Filter filter = new Watched.Filter();
        filter.setEnvironment(environment);
        return filter.match(new String[] {"org.springframework.boot.micrometer.metrics.autoconfigure.A", "a.B"}, null);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-1", "", " "})
    void whereNobodyWatchesNothingIsMeasured(String port) {
        assertThat(kept(port)).containsExactly(false, true);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "1", "8090", "65535"})
    void aPortOfItsOwn(String port) {
        assertThat(kept(port)).containsExactly(true, true);
    }

    @ParameterizedTest
    @CsvSource({"8080,the port of the pages", "abc,a number from 1 to 65535", "65536,a number", "-2,a number"})
    void whatIsNoPortOfItsOwnIsRefusedInWords(String port, String why) {
        assertThatThrownBy(() -> kept(port))
                .isInstanceOfSatisfying(Watched.WrongPortException.class, wrong -> assertThat(
                                new Watched.Said().analyze(wrong).getDescription())
                        .startsWith("GASTFREUND_MANAGEMENT_PORT: ")
                        .contains(why));
    }
}
