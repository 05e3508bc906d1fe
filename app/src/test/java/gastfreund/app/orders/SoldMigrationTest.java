package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.bookings.Quantities;
import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.Offer;
import gastfreund.core.orders.Sold;
import gastfreund.housefile.HouseFile;
import gastfreund.housefile.SoldFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import tools.jackson.databind.JsonNode;

/** Houses that sold before there was a note of what was sold get one for each line, from what they sell now. */
class SoldMigrationTest {

    @Test
    void eachLineIsFilledWithWhatItsOfferSays(@TempDir Path folder) throws IOException {
        String url = "jdbc:sqlite:" + folder.resolve("house.sqlite");
        Flyway.configure().dataSource(url, "", "").target("4").load().migrate();
        JsonNode json = HouseFile.parse(Files.readString(Path.of("../demo/quillmere.house.json")));
        HouseFile house = HouseFile.read(json);
        SingleConnectionDataSource data = new SingleConnectionDataSource(url, true);
        JdbcClient jdbc = JdbcClient.create(data);
        for (String kind : List.of("places", "staff", "offers")) {
            json.get(kind)
                    .forEach(thing -> jdbc.sql("INSERT INTO " + kind + " (id, position, definition) VALUES (?, 0, ?)")
                            .params(thing.get("id").stringValue(), thing.toString())
                            .update());
        }
        house.bookings().forEach(booking -> insert(jdbc, booking, house));
        data.destroy();

        Flyway.configure().dataSource(url, "", "").load().migrate();
        SingleConnectionDataSource after = new SingleConnectionDataSource(url, true);
        for (Booking booking : house.bookings()) {
            Sold sold = SoldFile.read(HouseFile.parse(JdbcClient.create(after)
                    .sql("SELECT sold FROM order_lines WHERE booking = ?")
                    .param(booking.id().value())
                    .query(String.class)
                    .single()));
            Offer offer = house.house().offer(booking.offer()).orElseThrow();
            assertThat(sold)
                    .isEqualTo(new Sold(
                                    offer.title(),
                                    offer.lengths().get(0),
                                    offer.addOns().stream()
                                            .filter(a -> booking.addOns().containsKey(a.id()))
                                            .toList(),
                                    offer.confirm(),
                                    offer.payment(),
                                    offer.terms(),
                                    offer.taxRate(),
                                    "",
                                    Map.of())
                            .at(booking.place(), booking.staff(), house.house()));
            assertThat(SoldFile.read(SoldFile.written(sold))).isEqualTo(sold);
        }
        after.destroy();
    }

    private static void insert(JdbcClient jdbc, Booking booking, HouseFile house) {
        Offer offer = house.house().offer(booking.offer()).orElseThrow();
        long order = jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single() + 1;
        jdbc.sql(
                        """
                        INSERT INTO orders (id, number, token, name, email, phone, locale, status, total, due_now, placed_at)
                        VALUES (:id, :id, :id, '', '', '', 'en', 'placed', 0, 0, 0)
                        """)
                .param("id", order)
                .update();
        jdbc.sql(
                        """
                        INSERT INTO bookings (id, offer, start_at, end_at, place, length, units, party, add_ons, status, held_at)
                        VALUES (?, ?, 0, 1, ?, ?, 1, 1, ?, 'confirmed', 0)
                        """)
                .params(
                        booking.id().value(),
                        booking.offer().value(),
                        booking.place() == null ? null : booking.place().value(),
                        offer.lengths().get(0).id().value(),
                        Quantities.written(booking.addOns()))
                .update();
        booking.staff().forEach(person -> jdbc.sql("INSERT INTO booking_staff (booking, staff) VALUES (?, ?)")
                .params(booking.id().value(), person.value())
                .update());
        jdbc.sql(
                        """
                        INSERT INTO order_lines (order_id, line, booking, amount, discount, total, deposit, due_now, balance, tax_rate)
                        VALUES (?, 0, ?, 0, 0, 0, 0, 0, 0, '0')
                        """)
                .params(order, booking.id().value())
                .update();
    }
}
