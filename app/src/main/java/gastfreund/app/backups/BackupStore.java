package gastfreund.app.backups;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** Copies a house's file while it is used, and looks whether one is whole. */
final class BackupStore {

    private BackupStore() {}

    private static Connection open(Path file) throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + file);
    }

    /** Copies a file by SQLite's own backup: as it was at one moment, whoever writes meanwhile. */
    static void copy(Path from, Path to) {
        try (Connection connection = open(from);
                Statement statement = connection.createStatement()) {
            statement.execute("PRAGMA busy_timeout = 10000");
            statement.executeUpdate("backup to '" + to.toString().replace("'", "''") + "'");
        } catch (SQLException e) {
            throw new IllegalStateException("the house's file could not be copied: " + e.getMessage(), e);
        }
    }

    /** What is wrong with a file; empty: it is whole. */
    static List<String> faults(Path file) {
        List<String> faults = new ArrayList<>();
        try (Connection connection = open(file);
                Statement statement = connection.createStatement()) {
            try (ResultSet row = statement.executeQuery("PRAGMA integrity_check")) {
                while (row.next()) {
                    if (!"ok".equals(row.getString(1))) {
                        faults.add(row.getString(1));
                    }
                }
            }
            try (ResultSet row = statement.executeQuery("PRAGMA foreign_key_check")) {
                while (row.next()) {
                    faults.add("a row of " + row.getString(1) + " refers to none of " + row.getString(3));
                }
            }
        } catch (SQLException e) {
            faults.add(e.getMessage());
        }
        return faults;
    }

    /** Whether anybody else has a file open: whoever has it in write-ahead mode keeps others from leaving that mode. */
    static boolean isUsed(Path file) {
        try (Connection connection = open(file);
                Statement statement = connection.createStatement()) {
            statement.execute("PRAGMA busy_timeout = 0");
            try (ResultSet mode = statement.executeQuery("PRAGMA journal_mode = DELETE")) {
                return mode.next() && !"delete".equalsIgnoreCase(mode.getString(1));
            }
        } catch (SQLException e) {
            return true;
        }
    }
}
