package gastfreund.app.orders;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.openings.OpeningsService;
import gastfreund.core.offers.House;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/** Whether a place that was promised is still to be had. */
@Component
class Places {

    private final OpeningsService openings;

    Places(OpeningsService openings) {
        this.openings = openings;
    }

    /**
     * Looks at one start, served by these people, as if the booking that holds it were not there. A hold is a promise:
     * that the time of notice has begun since, or that another session is filled first, does not stand against it.
     *
     * @param house in the form in which the place was promised
     * @param query asks about the start's date, without the booking
     */
    boolean free(House house, Query query, long start, List<StaffId> staff) {
        Set<StaffId> serving = new HashSet<>(staff);
        Predicate<Reason> forgiven = r -> r instanceof Reason.Notice || r instanceof Reason.Fill;
        return openings.explain(house, query).entries().stream()
                .filter(e -> e.time().start() == start)
                .map(Answer.Entry::options)
                .flatMap(List::stream)
                .filter(o -> new HashSet<>(o.staff()).equals(serving))
                .anyMatch(o -> o.reasons().stream().allMatch(forgiven));
    }

    /** Whether the place of an order's line is still to be had as it was sold, as if its booking were not there. */
    boolean free(OrderLine line, Catalogue catalogue, Instant now) {
        return line.sold()
                .within(catalogue.offer(line.offer()), line.units(), line.party())
                .map(catalogue.house()::with)
                .filter(house -> free(house, query(line, catalogue, now), line.time().start(), line.staff()))
                .isPresent();
    }

    /** The question about an order's line, as if its booking were not there. */
    static Query query(OrderLine line, Catalogue catalogue, Instant now) {
        LocalDate date = catalogue.zone().dateOf(line.time().start());
        return Query.of(line.offer(), date, date, now)
                .withLength(line.length(), line.units())
                .withParty(line.party())
                .withAddOns(line.addOns())
                .withPlace(line.place())
                .without(Set.of(line.booking()));
    }
}
