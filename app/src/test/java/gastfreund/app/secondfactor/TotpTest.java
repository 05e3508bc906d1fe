package gastfreund.app.secondfactor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Codes are those of RFC 6238, appendix B (of its eight digits the last six), and each is good once. */
class TotpTest {

    private static final String SECRET = Totp.base32("12345678901234567890".getBytes(StandardCharsets.US_ASCII));

    @Test
    void theSecretIsWrittenAsAppsWantIt() {
        assertThat(SECRET).isEqualTo("GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ");
    }

    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130",
    })
    void codesAreThoseOfTheStandard(long second, String code) {
        Instant now = Instant.ofEpochSecond(second);
        assertThat(Totp.code(SECRET, Totp.step(now))).isEqualTo(code);
        assertThat(Totp.stepOf(SECRET, code, now, 0)).hasValue(second / 30);
        assertThat(Totp.stepOf(SECRET, code, now.plusSeconds(30), 0)).hasValue(second / 30);
        assertThat(Totp.stepOf(SECRET, code, now.plusSeconds(90), 0)).isEmpty();
        assertThat(Totp.stepOf(SECRET, code, now, second / 30)).isEmpty();
    }
}
