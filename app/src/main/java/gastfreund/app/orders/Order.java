package gastfreund.app.orders;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;

/**
 * A placed basket.
 *
 * @param id in tables
 * @param number as people say it
 * @param token names its page, and nobody can guess it
 * @param locale the language of its guest
 * @param proof whether its guest is to open a link from their mail
 * @param source from where its guest came; empty: nobody knows
 */
public record Order(
        long id,
        long number,
        String token,
        Contact contact,
        Locale locale,
        OrderStatus status,
        Money total,
        Money dueNow,
        Instant placed,
        Proof proof,
        String source,
        List<OrderLine> lines) {

    /** Whether a guest has shown that the mail address is theirs. */
    public enum Proof {
        /** Nobody asked. */
        NONE,
        WANTED,
        GIVEN;

        /** The name in tables. */
        String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Whether it counts, paid or to be paid. */
    public boolean isPlaced() {
        return status == OrderStatus.PLACED;
    }

    public boolean isToBeProven() {
        return proof == Proof.WANTED;
    }

    /** What stands and waits for nobody's yes. */
    public List<OrderLine> certain() {
        return standing().stream()
                .filter(l -> l.status() != BookingStatus.REQUESTED)
                .toList();
    }

    /** What the house has of it. */
    public Money paid() {
        return Money.sum(lines.stream().map(OrderLine::paid).toList());
    }

    /** The line of a booking; empty where it is not of this order. */
    public Optional<OrderLine> line(@Nullable BookingId booking) {
        return lines.stream().filter(l -> l.booking().equals(booking)).findFirst();
    }

    /** @throws ResponseStatusException 404, where the order that an address speaks of has no such line */
    public OrderLine lineAsked(BookingId booking) {
        return line(booking).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** What is left to pay, by the lines that stand or wait. */
    public Money balance() {
        return Money.sum(lines.stream().map(OrderLine::unpaid).toList());
    }

    /** What is left to pay, less what was due with the order. */
    public Money later() {
        return balance()
                .minus(Money.sum(standing().stream().map(OrderLine::open).toList()))
                .notBelowZero();
    }

    /** What was due with the order and has neither come nor been put aside. */
    public Money open() {
        return Money.sum(standing().stream()
                .filter(l -> l.status() != BookingStatus.REQUESTED)
                .map(OrderLine::open)
                .toList());
    }

    /** What the house gave back of lines that stand. */
    public Money waived() {
        return Money.sum(standing().stream().map(OrderLine::waived).toList());
    }

    /** The lines that stand or wait. */
    public List<OrderLine> standing() {
        return lines.stream().filter(OrderLine::stands).toList();
    }

    /** The lines that are booked for certain. */
    public List<OrderLine> booked() {
        return lines.stream().filter(l -> l.status() == BookingStatus.CONFIRMED).toList();
    }

    /** The lines whose places went back. */
    public List<OrderLine> lost() {
        return lines.stream().filter(l -> !l.stands()).toList();
    }
}
