package gastfreund.app.baskets;

import gastfreund.app.openings.Choice;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.GivenNumber;
import gastfreund.core.openings.Series;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The same time again, as a guest has chosen it.
 *
 * @param start the first one, in minutes since the epoch
 * @param times how many dates, from 2 to {@link #MOST_TIMES}
 * @param every how many weeks lie between two
 * @param instead on some dates another start
 * @param out dates that are left out
 */
record GuestSeries(Choice choice, long start, int times, int every, Map<LocalDate, Long> instead, Set<LocalDate> out) {

    /** As many as a basket takes. */
    static final int MOST_TIMES = BasketService.MOST_LINES;

    private static final int MOST_WEEKS = 4;
    private static final int USUAL = 6;

    /** What an address says, unchecked. */
    record Asked(
            @Nullable String start,
            @Nullable String times,
            @Nullable String every,
            @Nullable List<String> instead,
            @Nullable List<String> out) {

        /** What it means; empty where it says no start. */
        Optional<GuestSeries> of(Choice choice, HouseZone zone) {
            OptionalLong first = GivenNumber.of(start);
            if (first.isEmpty() || choice.offer().hasTimetable()) {
                return Optional.empty();
            }
            Map<LocalDate, Long> picked = new TreeMap<>();
            some(instead).stream()
                    .flatMap(i -> GivenNumber.of(i).stream().boxed())
                    .forEach(i -> picked.put(zone.dateOf(i), i));
            return Optional.of(new GuestSeries(
                    choice,
                    first.getAsLong(),
                    GivenNumber.within(times, 2, MOST_TIMES, USUAL),
                    GivenNumber.within(every, 1, MOST_WEEKS, 1),
                    picked,
                    some(out).stream()
                            .flatMap(d -> GivenDate.of(d).stream())
                            .collect(Collectors.toCollection(TreeSet::new))));
        }

        private static Collection<String> some(@Nullable List<String> all) {
            return all == null ? List.of() : all.subList(0, Math.min(all.size(), MOST_TIMES));
        }
    }

    Series.Wish wish(HouseZone zone, Instant now) {
        LocalDate date = zone.dateOf(start);
        return new Series.Wish(choice.query(date, date, now), start, times, every, instead);
    }

    /** The dates that are to be had and are not left out. */
    List<Series.Date> taken(Series.Found found) {
        return found.dates().stream()
                .filter(d -> d.isFree() && !out.contains(d.date()))
                .toList();
    }

    GuestSeries withTimes(int number) {
        return new GuestSeries(choice, start, number, every, instead, out);
    }

    GuestSeries withEvery(int weeks) {
        return new GuestSeries(choice, start, times, weeks, Map.of(), Set.of());
    }

    /** With another start on its date; without one there where it is the wanted one again. */
    GuestSeries picking(LocalDate date, @Nullable Long other) {
        Map<LocalDate, Long> picked = new TreeMap<>(instead);
        if (other == null) {
            picked.remove(date);
        } else {
            picked.put(date, other);
        }
        return new GuestSeries(choice, start, times, every, picked, out);
    }

    /** With a date left out, or in again. */
    GuestSeries turning(LocalDate date) {
        Set<LocalDate> left = new TreeSet<>(out);
        if (!left.remove(date)) {
            left.add(date);
        }
        return new GuestSeries(choice, start, times, every, instead, left);
    }

    /** @param under empty, or what follows the address of the page */
    String address(String under, @Nullable String basket) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromUriString(choice.seriesAddress(under, basket))
                .queryParam("start", start)
                .queryParam("times", times)
                .queryParam("every", every);
        instead.values().forEach(i -> uri.queryParam("instead", i));
        out.forEach(d -> uri.queryParam("out", d));
        return uri.build().toUriString();
    }
}
