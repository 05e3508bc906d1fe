package gastfreund.core.sessions;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Ascending;
import gastfreund.core.time.Interval;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** Timelines and levels against a look at every entry and every minute. */
class TimelineTest {

    @Property
    void takenMeansThatAnotherEntryOverlaps(
            @ForAll("stretches") List<Interval> intervals, @ForAll("stretch") Interval asked, @ForAll int pick) {
        List<Session> sessions = intervals.stream()
                .map(i -> new Session(new OfferId("o"), i, i, Set.of(new StaffId("s")), null, List.of(), null))
                .toList();
        List<Commitment> commitments =
                sessions.stream().<Commitment>map(Commitment.OfSession::new).toList();
        Session except = sessions.isEmpty() ? null : sessions.get(Math.floorMod(pick, sessions.size()));
        Timeline timeline = Timeline.of(commitments);
        for (Session excepted : new Session[] {null, except}) {
            long overlapping = sessions.stream()
                    .filter(s -> s != excepted && s.taken().overlaps(asked))
                    .count();
            assertThat(timeline.taken(asked.start(), asked.end(), excepted)).isEqualTo(overlapping > 0);
            if (asked.start() < asked.end()) {
                assertThat(timeline.overlapping(asked.start(), asked.end(), excepted))
                        .hasSize((int) overlapping);
            }
        }
    }

    @Property
    void manyStartsAreKeptTogetherAsTheyAreOneByOne(
            @ForAll("stretches") List<Interval> intervals,
            @ForAll @IntRange(max = 9) int before,
            @ForAll @IntRange(min = 1, max = 30) int after,
            @ForAll @IntRange(max = 5) int most) {
        long[] every = LongStream.range(-20, 120).toArray();
        Timeline.Builder timeline = new Timeline.Builder(what -> (Commitment) what);
        Levels.Builder builder = new Levels.Builder();
        for (Interval interval : intervals) {
            timeline.add(interval.start(), interval.end(), interval);
            builder.take(interval.start(), interval.end(), 2);
        }
        Timeline taken = timeline.build();
        Levels levels = builder.build();
        Ascending free = Ascending.of(every);
        taken.keepFree(free, before, after);
        assertThat(free.toArray())
                .isEqualTo(Arrays.stream(every)
                        .filter(s -> !taken.taken(s - before, s + after, null))
                        .toArray());
        Ascending few = Ascending.of(every);
        levels.keepAtMost(most, few, before, after);
        few.dropBefore(7);
        assertThat(few.toArray())
                .isEqualTo(Arrays.stream(every)
                        .filter(s -> s >= 7 && levels.most(s - before, s + after) <= most)
                        .toArray());
    }

    @Property
    void theMostTakenIsTheLargestOfAllMinutes(
            @ForAll("stretches") List<Interval> intervals, @ForAll("stretch") Interval asked) {
        Levels.Builder builder = new Levels.Builder();
        for (int i = 0; i < intervals.size(); i++) {
            builder.take(intervals.get(i).start(), intervals.get(i).end(), 1 + i % 3);
        }
        int most = IntStream.range((int) asked.start(), (int) asked.end())
                .map(minute -> IntStream.range(0, intervals.size())
                        .filter(i -> intervals.get(i).encloses(Interval.between(minute, minute + 1)))
                        .map(i -> 1 + i % 3)
                        .sum())
                .max()
                .orElse(0);
        assertThat(builder.build().most(asked.start(), asked.end())).isEqualTo(most);
    }

    @Provide
    Arbitrary<Interval> stretch() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, 40),
                        Arbitraries.integers().between(1, 15))
                .as((start, length) -> Interval.between(start, start + length));
    }

    @Provide
    Arbitrary<List<Interval>> stretches() {
        return stretch().list().ofMaxSize(10).map(l -> l.stream().distinct().toList());
    }
}
