package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.time.LocalDate;
import java.util.List;

/**
 * Why some days differ, as guests are told: {@code Holidays}.
 *
 * @param from the first date (inclusive)
 * @param to the last date (inclusive)
 */
public record DayNote(LocalDate from, LocalDate to, String words) {

    static List<DayNote> of(Node extra) {
        return extra.elements("notes").stream()
                .map(n -> n.object("from", "to", "note"))
                .map(n -> new DayNote(
                        n.required("from").date(),
                        n.required("to").date(),
                        n.required("note").text()))
                .toList();
    }

    public boolean covers(LocalDate date) {
        return !date.isBefore(from) && !date.isAfter(to);
    }
}
