package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * How much of an offer may be kept by those who have not paid. What counts is what is lost to others: the places that could
 * be booked in the five weeks around a start if nobody kept any unpaid, less those that can be booked now. So one hold that
 * spoils ten starts counts for ten.
 */
@Component
class HoldShares {

    /** What is to be said of a hold that was just made. */
    enum Verdict {
        ENOUGH_LEFT,
        /** One visitor keeps too much. */
        VISITOR,
        /** All together keep too much. */
        HOUSE
    }

    private static final int DAYS = 35;

    private final BasketStore store;
    private final OpeningsService openings;
    private final CatalogueService catalogues;
    private final ShareSettings shares;

    HoldShares(BasketStore store, OpeningsService openings, CatalogueService catalogues, ShareSettings shares) {
        this.store = store;
        this.openings = openings;
        this.catalogues = catalogues;
        this.shares = shares;
    }

    /** Judges a hold that is already in the tables of the current transaction. */
    Verdict judge(KeepRequest request, Instant now) {
        List<BasketStore.Unpaid> unpaid = store.unpaid(now);
        Set<BookingId> all = unpaid.stream().map(BasketStore.Unpaid::booking).collect(Collectors.toSet());
        Set<BookingId> others = unpaid.stream()
                .filter(u -> !u.visitor().equals(request.visitor()))
                .map(BasketStore.Unpaid::booking)
                .collect(Collectors.toSet());
        int own = all.size() - others.size();
        if (all.size() <= shares.few()) {
            return Verdict.ENOUGH_LEFT;
        }
        Query query = around(request, now);
        long free = places(query.without(all));
        boolean visitorKeepsTooMuch =
                own > shares.few() && isMore(free - places(query.without(others)), free, shares.visitor());
        if (visitorKeepsTooMuch) {
            return Verdict.VISITOR;
        }
        return isMore(free - places(query), free, shares.house()) ? Verdict.HOUSE : Verdict.ENOUGH_LEFT;
    }

    private static boolean isMore(long part, long whole, int percent) {
        return part * 100 > whole * percent;
    }

    private long places(Query query) {
        long places = 0;
        for (Answer.Entry entry : openings.openings(query).entries()) {
            for (Answer.Judged option : entry.open()) {
                places += option.opening().left();
            }
        }
        return places;
    }

    /** The offer in the same length and at the same place, for as few as can come, in the weeks around the start. */
    private Query around(KeepRequest request, Instant now) {
        LocalDate date = catalogues.catalogue().zone().dateOf(request.start());
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        LocalDate middle = date.minusDays(DAYS / 2);
        LocalDate from = middle.isBefore(today) ? today : middle;
        Choice choice = request.choice();
        return Choice.again(
                        choice.offer(),
                        choice.offer().party().min(),
                        choice.length().id(),
                        choice.length().minUnits(),
                        Map.of(),
                        choice.place())
                .query(from, from.plusDays(DAYS - 1L), now);
    }
}
