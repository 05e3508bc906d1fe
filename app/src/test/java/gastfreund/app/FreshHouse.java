package gastfreund.app;

import gastfreund.app.catalogue.CatalogueEdits;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.core.Ordered;
import org.springframework.test.context.TestContext;
import org.springframework.test.context.TestExecutionListener;

/** Gives each test class the house as it was when the application had started, by a copy of its file. */
public final class FreshHouse implements TestExecutionListener, Ordered {

    /** The copy, and what is put back in its place. */
    @TestComponent
    public static class Copy {

        private final DataSource writer;
        private final CatalogueEdits catalogue;
        private @Nullable Path file;

        Copy(DataSource writer, CatalogueEdits catalogue) {
            this.writer = writer;
            this.catalogue = catalogue;
        }

        void put() {
            try {
                if (file == null) {
                    file = Files.createTempFile("gastfreund-prepared", ".sqlite");
                    file.toFile().deleteOnExit();
                    run("backup to '" + file + "'");
                } else {
                    run("restore from '" + file + "'");
                    catalogue.forget();
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private void run(String command) throws SQLException {
            try (Connection connection = writer.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.executeUpdate(command);
            }
        }
    }

    @Override
    public int getOrder() {
        return Ordered.LOWEST_PRECEDENCE;
    }

    @Override
    public void beforeTestClass(TestContext test) {
        test.getApplicationContext().getBean(Copy.class).put();
    }
}
