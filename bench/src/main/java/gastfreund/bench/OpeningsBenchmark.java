package gastfreund.bench;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Oracle;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Openings of one offer with five people: by days asked, by bookings, by span, against the oracle and a plain pass. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class OpeningsBenchmark {

    /** A house with bookings and a query in spring. */
    @State(Scope.Benchmark)
    public abstract static class Asked {
        House house;
        List<Booking> bookings;
        Booked booked;
        Query query;

        void prepare(int count, int span, int days) {
            house = BigHouse.house();
            bookings = BigHouse.bookings(count, span);
            booked = Booked.of(bookings, List.of());
            LocalDate from = days > 100 ? BigHouse.FIRST : LocalDate.of(2027, 4, 5);
            query = Query.of(BigHouse.ASKED, from, from.plusDays(days - 1L), Instant.parse("2026-12-31T08:00:00Z"));
        }
    }

    /** 10,000 bookings over a year. */
    public static class ByDays extends Asked {
        @Param({"1", "7", "35", "365"})
        int days;

        @Setup
        public void prepare() {
            prepare(10_000, 365, days);
        }
    }

    /** 35 days of a year with more and more bookings. */
    public static class ByBookings extends Asked {
        @Param({"1000", "10000", "100000"})
        int bookingsInAYear;

        @Setup
        public void prepare() {
            prepare(bookingsInAYear, 365, 35);
        }
    }

    /** 35 days out of more and more years, each with 10,000 bookings. */
    public static class BySpan extends Asked {
        @Param({"1", "3", "10"})
        int years;

        @Setup
        public void prepare() {
            prepare(10_000 * years, 365 * years, 35);
        }
    }

    /** 35 days of 10,000 bookings over a year. */
    public static class Usual extends Asked {
        long[] starts;
        long[] ends;

        @Setup
        public void prepare() {
            prepare(10_000, 365, 35);
            long from = BigHouse.ZONE.startOf(query.from()) - 1440;
            long to = BigHouse.ZONE.startOf(query.to().plusDays(1)) + 1440;
            List<Booking> inReach = bookings.stream()
                    .filter(b -> b.start() >= from && b.start() < to)
                    .sorted((a, b) -> Long.compare(a.start(), b.start()))
                    .toList();
            starts = inReach.stream().mapToLong(b -> b.start() - 10).toArray();
            ends = inReach.stream().mapToLong(b -> b.start() + 75).toArray();
        }
    }

    @Benchmark
    public Answer openingsByDays(ByDays asked) {
        return Openings.openings(asked.house, asked.booked, asked.query);
    }

    @Benchmark
    public Answer openingsByBookings(ByBookings asked) {
        return Openings.openings(asked.house, asked.booked, asked.query);
    }

    @Benchmark
    public Answer openingsBySpan(BySpan asked) {
        return Openings.openings(asked.house, asked.booked, asked.query);
    }

    @Benchmark
    public Answer reasons(Usual asked) {
        return Openings.explain(asked.house, asked.booked, asked.query);
    }

    @Benchmark
    @Warmup(iterations = 1, time = 2)
    @Measurement(iterations = 2, time = 2)
    public List<String> oracle(Usual asked) {
        return new Oracle(asked.house, asked.bookings, List.of(), asked.query).openings();
    }

    /** The physical limit: one pass over the same commitments as plain numbers. */
    @Benchmark
    public long onePass(Usual asked) {
        long overlapping = 0;
        long latest = Long.MIN_VALUE;
        for (int i = 0; i < asked.starts.length; i++) {
            if (asked.starts[i] < latest) {
                overlapping++;
            }
            latest = Math.max(latest, asked.ends[i]);
        }
        return overlapping;
    }
}
