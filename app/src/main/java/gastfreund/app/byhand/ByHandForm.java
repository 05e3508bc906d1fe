package gastfreund.app.byhand;

import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.GivenNumber;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Series;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.regex.Pattern;
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
 * @param held the name of the basket for its place
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

    private static final Pattern BASKET = Pattern.compile("[\\w-]{22}");

    /** The name that its basket got when it was first shown; empty where it got none. */
    Optional<String> basket() {
        return Optional.of(said(held)).filter(h -> BASKET.matcher(h).matches());
    }

    /** The price that was typed; empty where none was, or what was typed is none. */
    Optional<Money> ownPrice(Formats f) {
        return f.amount(said(price).strip());
    }

    /** Whether this is the form from which an order was made that still stands as it was written here. */
    boolean isOf(Order order, Formats f) {
        Optional<OrderLine> first = order.lines().stream()
                .findFirst()
                .filter(l -> l.status() == BookingStatus.CONFIRMED
                        && l.offer().value().equals(offer)
                        && chosenStart().equals(OptionalLong.of(l.time().start())));
        return first.isPresent()
                && contact().equals(order.contact())
                && ownPrice(f)
                        .map(own ->
                                order.lines().stream().allMatch(l -> l.total().equals(own)))
                        .orElse(said(price).isBlank());
    }

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
