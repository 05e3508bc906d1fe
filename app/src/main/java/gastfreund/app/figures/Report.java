package gastfreund.app.figures;

import gastfreund.app.figures.FigureStore.AddOns;
import gastfreund.app.figures.FigureStore.Again;
import gastfreund.app.figures.FigureStore.Code;
import gastfreund.app.figures.FigureStore.Left;
import gastfreund.app.figures.FigureStore.Lengths;
import gastfreund.app.sources.Came;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.figures.Track;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What some weeks were like ({@code docs/figures.md}).
 *
 * @param money what each week brought, and the same of the weeks before
 * @param time how much of the time was sold
 * @param sources what came of where guests came from
 * @param booked how what took place had been booked
 */
record Report(
        Span span,
        MoneyOf money,
        MoneyOf before,
        TimeOf time,
        List<Came> sources,
        Booked booked,
        Booked bookedBefore,
        Left vouchers,
        Left passes) {

    /**
     * What a week brought.
     *
     * @param wares what was sold without a time
     */
    record Week(LocalDate monday, Map<OfferId, Earned> offers, Money wares) {

        Earned sum() {
            Earned sum = new Earned(0, wares, Money.ZERO, Money.ZERO);
            for (Earned one : offers.values()) {
                sum = sum.plus(one);
            }
            return sum;
        }
    }

    /** What weeks brought, one by one. */
    record MoneyOf(List<Week> weeks) {

        Earned sum() {
            return weeks.stream().map(Week::sum).reduce(Earned.NOTHING, Earned::plus);
        }

        /** The offer that brought most; empty where none brought anything. */
        Optional<OfferId> most() {
            Map<OfferId, Money> sums = new TreeMap<>(Comparator.comparing(OfferId::value));
            weeks.forEach(w -> w.offers().forEach((offer, e) -> sums.merge(offer, e.earned(), Money::plus)));
            return sums.entrySet().stream()
                    .filter(e -> e.getValue().isPositive())
                    .max(Map.Entry.comparingByValue())
                    .map(Map.Entry::getKey);
        }
    }

    /** How much of its time was sold, and how much of it in the weeks before. */
    record Sold(Track.Kind kind, String id, Track.Share share, Track.Share before) {}

    /**
     * How much of the time was sold.
     *
     * @param week by the hours of a week, Monday first
     * @param whole all of it
     * @param each of people, things and offers of which any time could be sold
     */
    record TimeOf(Track.Share[][] week, Track.Share whole, Track.Share before, List<Sold> each) {}

    /**
     * How what took place had been booked, and what did not take place.
     *
     * @param lead how long before, by {@link Figures#LEADS} and more
     * @param tiers how many guests cancelled, by the terms that held then
     * @param byHouse the bookings that the house cancelled
     */
    record Booked(
            int[] lead,
            Map<Integer, Integer> parties,
            List<Lengths> lengths,
            List<AddOns> addOns,
            Map<BookingStatus, Integer> statuses,
            List<Tier> tiers,
            List<String> byHouse,
            Again again,
            List<Code> codes) {

        int of(BookingStatus status) {
            return statuses.getOrDefault(status, 0);
        }

        /** How many bookings took place, or should have. */
        int stood() {
            return of(BookingStatus.CONFIRMED) + of(BookingStatus.COMPLETED) + of(BookingStatus.NO_SHOW);
        }
    }

    /** A step of the terms, and how many bookings were cancelled at it; where none held, no step. */
    record Tier(Optional<Terms.Tier> tier, List<String> bookings) {}
}
