package gastfreund.app.openings;

import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/** Questions about several offers at once, for which what takes time is read once. */
public final class Reaches {

    private Reaches() {}

    /** When an offer can be had on some dates, in any of its lengths. */
    static List<Query> queries(Offer offer, int party, LocalDate first, LocalDate last, Instant now) {
        return offer.lengths().stream()
                .map(length -> query(offer, length, party, first, last, now))
                .toList();
    }

    /** The same for one of its lengths. */
    public static Query query(Offer offer, Length length, int party, LocalDate first, LocalDate last, Instant now) {
        return Query.of(offer.id(), first, last, now)
                .withLength(length.id(), length.minUnits())
                .withParty(party);
    }

    /** One stretch of time in which all that matters to these questions lies; of no length where nothing does. */
    public static Interval together(House house, List<Query> queries) {
        long start = Long.MAX_VALUE;
        long end = Long.MIN_VALUE;
        for (Query query : queries) {
            Interval reach = Openings.reach(house, query);
            if (reach.start() < reach.end()) {
                start = Math.min(start, reach.start());
                end = Math.max(end, reach.end());
            }
        }
        return start < end ? Interval.between(start, end) : Interval.between(0, 0);
    }
}
