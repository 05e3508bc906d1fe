package gastfreund.app.lookedfor;

import gastfreund.app.bookings.Quantities;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what was asked for in vain, by day. */
@Repository
class LookedForStore {

    private final JdbcClient jdbc;

    LookedForStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void add(Counted one) {
        InVain asked = one.asked();
        jdbc.sql(
                        """
                        INSERT INTO asked_in_vain (asked_on, offer, length, units, party, add_ons, staff, place, wanted, why,
                                                   asked_at, guests)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        ON CONFLICT (asked_on, offer, length, units, party, add_ons, staff, place, wanted)
                        DO UPDATE SET guests = asked_in_vain.guests + excluded.guests
                        """)
                .params(Arrays.asList(
                        one.on().toString(),
                        asked.offer().value(),
                        asked.length().value(),
                        asked.units(),
                        asked.party(),
                        written(asked.addOns()),
                        asked.staff() == null ? "" : asked.staff().value(),
                        asked.place() == null ? "" : asked.place().value(),
                        asked.wanted() == null ? "" : asked.wanted().toString(),
                        String.join(" ", asked.why()),
                        asked.at().getEpochSecond(),
                        one.guests()))
                .update();
    }

    /** Always in the same order, so that the same is the same. */
    private static String written(Map<AddOnId, Integer> addOns) {
        Map<AddOnId, Integer> sorted = new LinkedHashMap<>();
        addOns.entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getKey().value()))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return Quantities.written(sorted);
    }

    /** All from a date on, the earliest first. */
    List<Counted> since(LocalDate from) {
        return jdbc.sql(
                        "SELECT * FROM asked_in_vain WHERE asked_on >= ? ORDER BY asked_on, asked_at, offer, length, party")
                .param(from.toString())
                .query((row, number) -> {
                    String staff = row.getString("staff");
                    String place = row.getString("place");
                    String wanted = row.getString("wanted");
                    return new Counted(
                            new InVain(
                                    new OfferId(row.getString("offer")),
                                    new LengthId(row.getString("length")),
                                    row.getInt("units"),
                                    row.getInt("party"),
                                    Quantities.read(row.getString("add_ons")),
                                    staff.isEmpty() ? null : new StaffId(staff),
                                    place.isEmpty() ? null : new PlaceId(place),
                                    wanted.isEmpty() ? null : LocalDate.parse(wanted),
                                    Stream.of(row.getString("why").split(" "))
                                            .filter(code -> !code.isEmpty())
                                            .toList(),
                                    Instant.ofEpochSecond(row.getLong("asked_at"))),
                            LocalDate.parse(row.getString("asked_on")),
                            row.getInt("guests"));
                })
                .list();
    }

    void forgetBefore(LocalDate day) {
        jdbc.sql("DELETE FROM asked_in_vain WHERE asked_on < ?")
                .param(day.toString())
                .update();
    }
}
