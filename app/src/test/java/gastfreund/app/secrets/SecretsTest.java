package gastfreund.app.secrets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.storage.DataFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is hidden can be read by this house alone. */
class SecretsTest {

    private static Secrets in(Path folder) throws IOException {
        return new Secrets(new DataFolder(folder));
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
    void theFolderIsItsOwnersAloneAndWhatWasOpenIsClosed(@TempDir Path folder) throws IOException {
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        Path picture = Files.writeString(
                Files.createDirectories(folder.resolve("pictures")).resolve("pot.svg"), "<svg/>");
        new DataFolder(folder);
        assertThat(permissions(folder)).isEqualTo("rwx------");
        assertThat(permissions(folder.resolve("pictures"))).isEqualTo("rwx------");
        assertThat(permissions(picture)).isEqualTo("rw-------");
        assertThat(permissions(folder.resolve("house.sqlite"))).isEqualTo("rw-------");
    }

    private static String permissions(Path path) throws IOException {
        return PosixFilePermissions.toString(Files.getPosixFilePermissions(path));
    }

    @Test
    void anotherHouseOrAChangeIsNoticed(@TempDir Path folder, @TempDir Path other) throws IOException {
        String hidden = in(folder).encrypt("a key");
        assertThatThrownBy(() -> in(other).decrypt(hidden)).isInstanceOf(IllegalStateException.class);
        String changed = (hidden.charAt(0) == 'A' ? 'B' : 'A') + hidden.substring(1);
        assertThatThrownBy(() -> in(folder).decrypt(changed)).isInstanceOf(IllegalStateException.class);
        assertThat(in(folder).seal("one", "text")).isNotEqualTo(in(folder).seal("another", "text"));
    }
}
