package gastfreund.bench;

import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Staff;
import gastfreund.core.openings.Comparison;
import gastfreund.core.openings.Openings;
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
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What a change to one person's hours does over 28 days, beside asking all offers for these days once. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@State(Scope.Benchmark)
public class ChangesBenchmark {

    private static final int DAYS = 28;

    private final Instant now = Instant.parse("2027-04-05T08:00:00Z");
    private final LocalDate first = LocalDate.of(2027, 4, 5);
    private House before;
    private House after;
    private Booked booked;

    /** The fourth of twenty people works from nine to five in place of their shifts. */
    @Setup
    public void prepare() {
        before = BigHouse.house();
        booked = Booked.of(BigHouse.bookings(10_000, 365), List.of());
        List<Staff> staff = before.staff().stream()
                .map(s ->
                        s.id().value().equals("staff-4") ? new Staff(s.id(), s.name(), otherHours(), s.maxPerDay()) : s)
                .toList();
        after = House.of(
                before.name(),
                before.zone(),
                before.currency(),
                before.hours(),
                List.copyOf(before.places()),
                staff,
                List.copyOf(before.resources()),
                List.copyOf(before.offers()));
    }

    private static Schedule otherHours() {
        return BigHouse.hours(540, 1020);
    }

    @Benchmark
    public long askingAll() {
        long found = 0;
        for (Offer offer : before.offers()) {
            Query query = Query.of(offer.id(), first, first.plusDays(DAYS - 1L), now);
            found += Openings.openings(before, booked, query).entries().size();
        }
        return found;
    }

    @Benchmark
    public Comparison comparing() {
        return Comparison.of(before, booked, after, booked, now, DAYS);
    }
}
