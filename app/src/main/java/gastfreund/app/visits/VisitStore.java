package gastfreund.app.visits;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.PlaceId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps where bookings at their guests' addresses take place. */
@Repository
public class VisitStore {

    /** For a statement about {@code bookings b} with {@code LEFT JOIN visits v ON v.booking = b.id}: what {@link #read} reads. */
    public static final String COLUMNS =
            " v.place AS visit_place, v.address AS visit_address, v.metres AS visit_metres";

    private final JdbcClient jdbc;

    VisitStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Visit> of(BookingId booking) {
        return jdbc.sql("SELECT" + COLUMNS + " FROM visits v WHERE v.booking = ?")
                .param(booking.value())
                .query((row, n) -> Optional.ofNullable(read(row)).orElseThrow())
                .optional();
    }

    /** What a row of a statement with {@link #COLUMNS} says; null where there is none. */
    public static @Nullable Visit read(ResultSet row) throws SQLException {
        String address = row.getString("visit_address");
        if (address == null) {
            return null;
        }
        int metres = row.getInt("visit_metres");
        boolean measured = !row.wasNull();
        return new Visit(new PlaceId(row.getString("visit_place")), address, measured ? metres : null);
    }

    void put(BookingId booking, Visit visit) {
        Map<String, @Nullable Object> parameters = new HashMap<>();
        parameters.put("booking", booking.value());
        parameters.put("place", visit.place().value());
        parameters.put("address", visit.address());
        parameters.put("metres", visit.metres());
        jdbc.sql(
                        """
                        INSERT INTO visits (booking, place, address, metres) VALUES (:booking, :place, :address, :metres)
                        ON CONFLICT (booking) DO UPDATE SET place = excluded.place, address = excluded.address,
                                                            metres = excluded.metres
                        """)
                .params(parameters)
                .update();
    }
}
