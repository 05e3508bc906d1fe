package gastfreund.core.figures;

import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDateTime;
import java.util.List;

/**
 * When something could be sold, and when it was ({@code docs/figures.md}, "Time").
 *
 * @param id of a person, a resource or an offer
 * @param units how many of it can be sold at once, at least one
 * @param could when it could be sold; whatever was sold is in it
 * @param sold the stretches in which units of it were sold; they may overlap
 */
public record Track(Kind kind, String id, int units, IntervalSet could, List<Stretch> sold) {

    /** Of whom or what. */
    public enum Kind {
        STAFF,
        RESOURCE,
        OFFER
    }

    /** So many units of it were sold for a time. */
    public record Stretch(Interval time, int units) {}

    /**
     * Minutes that could be sold, and that were, of so many units together.
     *
     * @param sold at most {@code could}
     */
    public record Share(long could, long sold) {

        /** Nothing at all. */
        public static final Share NONE = new Share(0, 0);

        /** Both together. */
        public Share plus(Share other) {
            return new Share(could + other.could, sold + other.sold);
        }

        /** How much of it was sold, from 0 to 1; 0 where nothing could be. */
        public double part() {
            return could == 0 ? 0 : (double) sold / could;
        }
    }

    /** The days of a week. */
    public static final int DAYS = 7;

    /** The hours of a day. */
    public static final int HOURS = 24;

    private static final int HOUR = 60;

    public Track {
        sold = List.copyOf(sold);
    }

    /**
     * The share of each hour of the week, by the house's clock: first the day, Monday is 0, then the hour. An hour that comes
     * twice when the clock is put back counts twice, one that is skipped not at all. More than there are units is never sold.
     */
    public Share[][] byHour(HouseZone zone) {
        long[][] could = new long[DAYS][HOURS];
        long[][] sold = new long[DAYS][HOURS];
        for (Interval one : this.could.intervals()) {
            add(could, one, units, zone);
        }
        for (Stretch one : this.sold) {
            add(sold, one.time(), one.units(), zone);
        }
        Share[][] shares = new Share[DAYS][HOURS];
        for (int day = 0; day < DAYS; day++) {
            for (int hour = 0; hour < HOURS; hour++) {
                shares[day][hour] = new Share(could[day][hour], Math.min(sold[day][hour], could[day][hour]));
            }
        }
        return shares;
    }

    private static void add(long[][] minutes, Interval time, int units, HouseZone zone) {
        long at = time.start();
        while (at < time.end()) {
            LocalDateTime local = zone.localOf(at);
            long next = Math.min(at + HOUR - local.getMinute(), time.end());
            minutes[local.getDayOfWeek().ordinal()][local.getHour()] += (next - at) * units;
            at = next;
        }
    }

    /** All of it together. */
    public Share share(HouseZone zone) {
        return sum(byHour(zone));
    }

    /** What the hours of a week come to. */
    public static Share sum(Share[][] hours) {
        Share sum = Share.NONE;
        for (Share[] day : hours) {
            for (Share hour : day) {
                sum = sum.plus(hour);
            }
        }
        return sum;
    }
}
