package gastfreund.app.till;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.journal.Actor;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is taken and given by hand. Nothing of it is ever changed: whoever counts something else than should be there notes the
 * difference.
 */
@Service
public class Till {

    /**
     * What came in and went back by a way of paying.
     *
     * @param gateway its name
     */
    public record Came(String gateway, Money in, Money back) {

        public Money rest() {
            return in.minus(back);
        }
    }

    private final TillStore store;
    private final CatalogueService catalogues;
    private final Clock clock;

    Till(TillStore store, CatalogueService catalogues, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** A guest paid on the spot; belongs into the transaction in which that is noted. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void took(Hand hand, Money amount, long order, Actor who) {
        store.insert(clock.instant(), who.name(), TillEntry.Kind.TAKEN, hand, amount, order, "");
    }

    /** A guest gets money back by hand; belongs into the transaction in which that is noted. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void gave(Hand hand, Money amount, long order) {
        store.insert(clock.instant(), "", TillEntry.Kind.GIVEN, hand, Money.ZERO.minus(amount), order, "");
    }

    /** What should lie in the drawer. */
    public Money drawer() {
        return store.sum(Hand.CASH);
    }

    /** Puts change into the drawer. */
    @Transactional
    public void putIn(Money amount, Host host) {
        store.insert(clock.instant(), host.email(), TillEntry.Kind.CHANGE, Hand.CASH, amount, null, "");
    }

    /**
     * Hands money of the drawer over.
     *
     * @return false where so much should not be there
     */
    @Transactional
    public boolean handOver(Money amount, String to, Host host) {
        if (amount.compareTo(store.sum(Hand.CASH)) > 0) {
            return false;
        }
        store.insert(
                clock.instant(), host.email(), TillEntry.Kind.HANDED, Hand.CASH, Money.ZERO.minus(amount), null, to);
        return true;
    }

    /**
     * Notes what was counted in the drawer, where it is not what should be there.
     *
     * @return the difference; nothing where it is right
     */
    @Transactional
    public Money counted(Money amount, String why, Host host) {
        Money difference = amount.minus(store.sum(Hand.CASH));
        if (!difference.isZero()) {
            store.insert(clock.instant(), host.email(), TillEntry.Kind.COUNTED, Hand.CASH, difference, null, why);
        }
        return difference;
    }

    /** What was taken and given by hand on a day, the first one first. */
    public List<TillEntry> on(LocalDate day) {
        return store.between(startOf(day), startOf(day.plusDays(1)));
    }

    /** What came in and went back on a day, by ways of paying. */
    public List<Came> came(LocalDate day) {
        return store.came(startOf(day), startOf(day.plusDays(1)));
    }

    private Instant startOf(LocalDate day) {
        return Instant.ofEpochSecond(catalogues.catalogue().zone().startOf(day) * 60);
    }
}
