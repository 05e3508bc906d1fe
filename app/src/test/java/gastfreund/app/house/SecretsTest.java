package gastfreund.app.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is hidden can be read by this house alone. */
class SecretsTest {

    private static Secrets in(Path folder) throws IOException {
        return new Secrets(new Settings(
                folder.toString(), "", "", "", null, null, new Settings.Door(14, Duration.ZERO)));
    }

    @Test
    void theKeyLiesInAFileThatOnlyItsOwnerReads(@TempDir Path folder) throws IOException {
        String hidden = in(folder).encrypt("a key");
        assertThat(hidden).isNotEqualTo(in(folder).encrypt("a key"));
        assertThat(in(folder).decrypt(hidden)).isEqualTo("a key");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("secret.key"))))
                .isEqualTo("rw-------");
    }

    @Test
    void anotherHouseOrAChangeIsNoticed(@TempDir Path folder, @TempDir Path other) throws IOException {
        String hidden = in(folder).encrypt("a key");
        assertThatThrownBy(() -> in(other).decrypt(hidden)).isInstanceOf(IllegalStateException.class);
        String changed = (hidden.charAt(20) == 'A' ? 'B' : 'A') + hidden.substring(1);
        assertThatThrownBy(() -> in(folder).decrypt(changed)).isInstanceOf(IllegalStateException.class);
        assertThat(in(folder).seal("one", "text")).isNotEqualTo(in(folder).seal("another", "text"));
    }
}
