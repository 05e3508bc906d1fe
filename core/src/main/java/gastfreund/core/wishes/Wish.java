package gastfreund.core.wishes;

import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.House;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * An entry of the waiting list: what somebody would like to have, and what may differ ({@code docs/waiting.md}).
 *
 * @param id tells it from others
 * @param party how many come
 * @param lengths what is fine, the dearest wish first; empty: whatever the offer's sessions last, in a timetable
 * @param places where it is fine, the dearest wish first; empty: wherever the offer is
 * @param staff by whom; null: by anyone
 * @param from the first date, inclusive
 * @param to the last date, inclusive; at most {@link Query#MOST_DAYS} of them
 * @param times the parts of a day in which it may begin; empty: at any time
 * @param start the one start that is wished for, in minutes since the epoch; null: any
 */
public record Wish(
        String id,
        OfferId offer,
        int party,
        List<LengthId> lengths,
        List<PlaceId> places,
        @Nullable StaffId staff,
        LocalDate from,
        LocalDate to,
        List<Window> times,
        @Nullable Long start) {

    /** @throws IllegalArgumentException where the last date lies before the first, or too far after it, or nobody comes */
    public Wish {
        if (to.isBefore(from) || from.plusDays(Query.MOST_DAYS - 1L).isBefore(to) || party < 1) {
            throw new IllegalArgumentException("a wish of " + party + " for " + from + " to " + to);
        }
        lengths = List.copyOf(lengths);
        places = List.copyOf(places);
        times = List.copyOf(times);
    }

    /**
     * What is asked for it, the dearest wish first; nothing where its dates are over or the house does not know its offer.
     *
     * @param now dates that are over are not asked for
     */
    public List<Query> queries(House house, Instant now) {
        LocalDate today = house.zone().dateOf(now);
        LocalDate first = from.isBefore(today) ? today : from;
        Optional<Offer> found = house.offer(offer);
        if (found.isEmpty() || to.isBefore(first)) {
            return List.of();
        }
        Query whole = Query.of(offer, first, to, now).withParty(party).withStaff(staff);
        List<Query> queries = new ArrayList<>();
        for (Query one : ofLengths(whole, found.get())) {
            if (places.isEmpty()) {
                queries.add(one);
            } else {
                places.forEach(place -> queries.add(one.withPlace(place)));
            }
        }
        return queries;
    }

    /** The same wish under another id. */
    public Wish as(String other) {
        return new Wish(other, offer, party, lengths, places, staff, from, to, times, start);
    }

    private List<Query> ofLengths(Query whole, Offer sold) {
        if (lengths.isEmpty() || sold.hasTimetable()) {
            return List.of(whole);
        }
        return lengths.stream()
                .flatMap(id -> sold.length(id).stream())
                .map(length -> whole.withLength(length.id(), length.minUnits()))
                .toList();
    }

    /** Whether it may begin at a minute. */
    public boolean mayBegin(long minute, HouseZone zone) {
        if (start != null && start != minute) {
            return false;
        }
        LocalDateTime local = zone.localOf(minute);
        int ofDay = local.getHour() * 60 + local.getMinute();
        return times.isEmpty()
                || times.stream()
                        .anyMatch(t -> t.overMidnight()
                                ? ofDay >= t.from() || ofDay < t.to()
                                : ofDay >= t.from() && ofDay < t.to());
    }
}
