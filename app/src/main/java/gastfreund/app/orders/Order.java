package gastfreund.app.orders;

import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/**
 * A placed basket.
 *
 * @param id in tables
 * @param number as people say it
 * @param token names its page, and nobody can guess it
 * @param locale the language of its guest
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
        List<OrderLine> lines) {

    /** What is left to pay later, by the lines that stand or wait. */
    public Money balance() {
        return Money.sum(lines.stream().filter(OrderLine::stands).map(OrderLine::balance).toList());
    }

    /** The lines that stand or wait. */
    public List<OrderLine> standing() {
        return lines.stream().filter(OrderLine::stands).toList();
    }

    /** The lines whose places went back. */
    public List<OrderLine> lost() {
        return lines.stream().filter(l -> !l.stands()).toList();
    }
}
