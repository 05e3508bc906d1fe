package gastfreund.app.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.preinitialize.BackgroundPreinitializer;
import org.springframework.boot.flyway.autoconfigure.FlywayDataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteJDBCLoader;

/**
 * The one SQLite file. One connection writes, and takes the write lock when its transaction begins, so that what a
 * transaction has read cannot change under it; several others read and can do nothing else.
 */
@Configuration
class Database {

    private static final int READERS = 4;

    /** What SQLite is made of is unpacked and loaded beside a start. */
    static final class Loading implements BackgroundPreinitializer {

        @Override
        public void preinitialize() throws Exception {
            SQLiteJDBCLoader.initialize();
        }
    }

    @Bean
    @FlywayDataSource
    HikariDataSource writer(DataFolder folder) {
        SQLiteConfig config = config();
        config.setTransactionMode(SQLiteConfig.TransactionMode.IMMEDIATE);
        return pool("writer", folder.database(), config, 1);
    }

    @Bean
    HikariDataSource readers(DataFolder folder) {
        return readOnly("readers", folder, READERS);
    }

    /** One connection more, so that what is kept is never read from the past of a page's reading. */
    @Bean
    HikariDataSource fresh(DataFolder folder) {
        return readOnly("fresh", folder, 1);
    }

    private static HikariDataSource readOnly(String name, DataFolder folder, int size) {
        HikariDataSource pool = pool(name, folder.database(), config(), size);
        pool.setConnectionInitSql("PRAGMA query_only = true");
        return pool;
    }

    /** Statements inside a transaction go to the writer, inside a {@link Reading} to its reader, all others to any. */
    @Bean
    @Primary
    DataSource dataSource(HikariDataSource writer, HikariDataSource readers, HikariDataSource fresh) {
        return new ByTransaction(writer, readers, fresh);
    }

    @Bean
    PlatformTransactionManager transactionManager(HikariDataSource writer, HikariDataSource readers) {
        return new Writing(writer, readers);
    }

    @Bean
    Reading reading(HikariDataSource writer, HikariDataSource readers, HikariDataSource fresh) {
        return new Reading(writer, new JdbcTransactionManager(readers), new JdbcTransactionManager(fresh));
    }

    /** Begins no transaction inside a {@link Reading}: what was read there would not be what is changed. */
    private static final class Writing extends JdbcTransactionManager {

        private final transient DataSource readers;

        Writing(DataSource writer, DataSource readers) {
            super(writer);
            this.readers = readers;
        }

        @Override
        protected void doBegin(Object transaction, TransactionDefinition definition) {
            if (TransactionSynchronizationManager.hasResource(readers)) {
                throw new IllegalTransactionStateException("a reading writes nothing");
            }
            super.doBegin(transaction, definition);
        }
    }

    private static SQLiteConfig config() {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.enforceForeignKeys(true);
        config.setBusyTimeout(10_000);
        return config;
    }

    private static HikariDataSource pool(String name, Path file, SQLiteConfig sqlite, int size) {
        HikariDataSource pool = new HikariDataSource();
        pool.setPoolName(name);
        pool.setMaximumPoolSize(size);
        pool.setJdbcUrl("jdbc:sqlite:" + file);
        pool.setDataSourceProperties(sqlite.toProperties());
        return pool;
    }

    private static final class ByTransaction extends AbstractDataSource {

        private final DataSource writer;
        private final DataSource fresh;
        private final DataSource written;
        private final DataSource readNow;
        private final DataSource read;

        ByTransaction(DataSource writer, DataSource readers, DataSource fresh) {
            this.writer = writer;
            this.fresh = fresh;
            this.readNow = new TransactionAwareDataSourceProxy(fresh);
            this.written = new TransactionAwareDataSourceProxy(writer);
            this.read = new TransactionAwareDataSourceProxy(readers);
        }

        /** A connection of the readers' transaction where there is one. */
        @Override
        public Connection getConnection() throws SQLException {
            if (TransactionSynchronizationManager.hasResource(writer)) {
                return written.getConnection();
            }
            return (TransactionSynchronizationManager.hasResource(fresh) ? readNow : read).getConnection();
        }

        @Override
        public Connection getConnection(String user, String password) throws SQLException {
            return getConnection();
        }
    }
}
