package gastfreund.app.backups;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.orders.OrdersTest;
import gastfreund.app.storage.DataFolder;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/** Backups of a house in which guests book and pay: each has whole orders, and all money that it knows of. */
class BackupWithOrdersTest extends OrdersTest {

    private static final int ORDERS = 4;

    @Autowired
    private DataFolder data;

    @TempDir
    private Path folder;

    private static long asked(Path house, String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + house.resolve("house.sqlite"));
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            return row.getLong(1);
        }
    }

    private Path keptAndPutBack(int number) {
        Path file = folder.resolve("kept" + number + ".zip");
        Path house = folder.resolve("house" + number);
        Backup.write(data.database().getParent(), file, Optional.empty(), clock.instant());
        Backup.restore(file, house, Optional.empty(), false, clock.instant());
        return house;
    }

    private static void isWhole(Path house) throws SQLException {
        assertThat(asked(
                        house,
                        "SELECT count(*) FROM orders o WHERE NOT EXISTS"
                                + " (SELECT 1 FROM order_lines l WHERE l.order_id = o.id)"))
                .as("orders of nothing")
                .isZero();
        assertThat(asked(
                        house,
                        "SELECT count(*) FROM order_lines l WHERE l.paid <> (SELECT coalesce(sum(p.amount - p.refunded), 0)"
                                + " FROM payment_parts p WHERE p.subject = l.booking)"))
                .as("lines of which nobody knows who paid them")
                .isZero();
        assertThat(asked(
                        house,
                        "SELECT count(*) FROM payments p WHERE p.gateway = 'practice-card' AND p.captured > 0 AND NOT EXISTS"
                                + " (SELECT 1 FROM documents d WHERE d.order_id = p.order_id)"))
                .as("money without a receipt")
                .isZero();
    }

    @Test
    void eachHasWholeOrdersThoughGuestsBookMeanwhile() throws Exception {
        long before = asked(data.database().getParent(), "SELECT count(*) FROM orders");
        ExecutorService guests = Executors.newSingleThreadExecutor();
        try {
            Future<?> booking = guests.submit(() -> {
                for (int i = 0; i < ORDERS; i++) {
                    paid("wheel-hire", "60", 5 + i, "WORKS");
                }
            });
            int number = 0;
            do {
                isWhole(keptAndPutBack(number++));
            } while (!booking.isDone());
            booking.get();
            Path last = keptAndPutBack(number);
            isWhole(last);
            assertThat(number).as("backups taken meanwhile").isGreaterThan(1);
            assertThat(asked(last, "SELECT count(*) FROM orders")).isEqualTo(before + ORDERS);
        } finally {
            guests.shutdownNow();
        }
    }
}
