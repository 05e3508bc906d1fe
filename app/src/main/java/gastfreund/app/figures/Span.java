package gastfreund.app.figures;

import gastfreund.core.time.HouseZone;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Weeks from Monday to Sunday, the last of which may not be over.
 *
 * @param first the Monday of the first
 * @param weeks how many
 */
record Span(LocalDate first, int weeks) {

    /** The weeks up to the one in which a date lies. */
    static Span upTo(LocalDate date, int weeks) {
        return new Span(monday(date).minusWeeks(weeks - 1L), weeks);
    }

    /** The Monday of the week in which a date lies. */
    static LocalDate monday(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /** As many weeks right before these. */
    Span before() {
        return new Span(first.minusWeeks(weeks), weeks);
    }

    /** The Monday of each. */
    List<LocalDate> mondays() {
        return IntStream.range(0, weeks).mapToObj(first::plusWeeks).toList();
    }

    /** The Monday after the last. */
    LocalDate end() {
        return first.plusWeeks(weeks);
    }

    Instant from(HouseZone zone) {
        return Instant.ofEpochSecond(zone.startOf(first) * 60);
    }

    Instant to(HouseZone zone) {
        return Instant.ofEpochSecond(zone.startOf(end()) * 60);
    }
}
