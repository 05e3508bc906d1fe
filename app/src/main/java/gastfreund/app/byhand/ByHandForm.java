package gastfreund.app.byhand;

import gastfreund.app.openings.Choice;
import gastfreund.app.orders.Contact;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.GivenNumber;
import gastfreund.app.typed.Written;
import gastfreund.core.openings.Series;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * What a host has typed; each may be missing.
 *
 * @param at near which minute; where no start is chosen
 * @param spite whether it is booked though something stands against it
 * @param times how often the same time is booked; where none is said, once
 * @param every how many weeks lie between two dates
 * @param instead other starts, on dates of a series on which the wanted one is not to be had
 * @param way how it is paid, as {@link ByHand.Way} says it
 * @param held the basket in which the place is held
 */
public record ByHandForm(
        @Nullable String offer,
        @Nullable String length,
        @Nullable String units,
        @Nullable String party,
        @Nullable List<String> add,
        @Nullable String staff,
        @Nullable String place,
        @Nullable String day,
        @Nullable String start,
        @Nullable String at,
        @Nullable Boolean spite,
        @Nullable String times,
        @Nullable String every,
        @Nullable List<String> instead,
        @Nullable String name,
        @Nullable String email,
        @Nullable String phone,
        @Nullable String notes,
        @Nullable String source,
        @Nullable String price,
        @Nullable String why,
        @Nullable String way,
        @Nullable Boolean tell,
        @Nullable String held) {

    boolean inSpite() {
        return spite != null && spite;
    }

    boolean tells() {
        return tell != null && tell;
    }

    /** How often the same time is booked. */
    int dates() {
        return GivenNumber.within(times, 1, Series.MOST_TIMES, 1);
    }

    /** How many weeks lie between two dates. */
    int weeks() {
        return GivenNumber.within(every, 1, Series.MOST_WEEKS, 1);
    }

    /** Other starts that were picked. */
    List<Long> picked() {
        return instead == null
                ? List.of()
                : instead.stream()
                        .map(GivenNumber::of)
                        .flatMap(m -> m.stream().boxed())
                        .toList();
    }

    Choice.Asked asked() {
        return new Choice.Asked(party, length, units, add, staff, place, null, null);
    }

    Optional<LocalDate> date() {
        return GivenDate.of(day);
    }

    OptionalLong chosenStart() {
        return GivenNumber.of(start);
    }

    OptionalLong near() {
        return GivenNumber.of(at);
    }

    Contact contact() {
        return new Contact(said(name), said(email), said(phone), "", "", said(notes), false).trimmed();
    }

    static String said(@Nullable String text) {
        return text == null ? "" : text;
    }

    String reason() {
        return Written.line(said(why), 200);
    }
}
