package gastfreund.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.LongStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class IntervalSetTest {

    private static final int END = 60;

    @Test
    void touchingAndOverlappingIntervalsAreOne() {
        IntervalSet set = IntervalSet.union(List.of(
                Interval.between(20, 30), Interval.between(0, 10), Interval.between(10, 15), Interval.between(12, 20)));
        assertThat(set.intervals()).containsExactly(Interval.between(0, 30));
    }

    @Test
    void anEmptyIntervalAddsNothing() {
        assertThat(IntervalSet.of(Interval.between(5, 5))).isEqualTo(IntervalSet.empty());
        assertThat(IntervalSet.union(List.of(Interval.between(5, 5))).isEmpty()).isTrue();
    }

    @Test
    void endsDoNotBelongToIt() {
        IntervalSet set = IntervalSet.of(Interval.between(10, 20));
        assertThat(set.contains(9)).isFalse();
        assertThat(set.contains(10)).isTrue();
        assertThat(set.contains(19)).isTrue();
        assertThat(set.contains(20)).isFalse();
        assertThat(set.encloses(10, 20)).isTrue();
        assertThat(set.encloses(10, 21)).isFalse();
    }

    @Property
    void operationsAgreeWithSetsOfMinutes(@ForAll("sets") List<Interval> left, @ForAll("sets") List<Interval> right) {
        IntervalSet a = IntervalSet.union(left);
        IntervalSet b = IntervalSet.union(right);
        BitSet and = bits(left);
        and.and(bits(right));
        BitSet or = bits(left);
        or.or(bits(right));
        BitSet without = bits(left);
        without.andNot(bits(right));
        assertThat(bits(a.intersect(b).intervals())).isEqualTo(and);
        assertThat(bits(a.union(b).intervals())).isEqualTo(or);
        assertThat(bits(a.without(b).intervals())).isEqualTo(without);
        for (IntervalSet set : List.of(a.intersect(b), a.union(b), a.without(b))) {
            for (int i = 1; i < set.size(); i++) {
                assertThat(set.start(i)).isGreaterThan(set.end(i - 1));
            }
        }
    }

    @Property
    void encloseMeansThatEveryMinuteBelongsToIt(
            @ForAll("sets") List<Interval> intervals, @ForAll("intervals") Interval asked) {
        boolean all =
                bits(intervals).get((int) asked.start(), (int) asked.end()).cardinality()
                        == asked.length().count();
        if (asked.start() < asked.end()) {
            assertThat(IntervalSet.union(intervals).encloses(asked.start(), asked.end()))
                    .isEqualTo(all);
        }
    }

    @Property
    void withinIsWhatBothHave(@ForAll("sets") List<Interval> intervals, @ForAll("intervals") Interval asked) {
        IntervalSet set = IntervalSet.union(intervals);
        assertThat(set.within(asked)).isEqualTo(set.intersect(IntervalSet.of(asked)));
    }

    @Property
    void startsFitWhereAllOfTheirStretchIsInside(
            @ForAll("sets") List<Interval> intervals, @ForAll @IntRange(min = 1, max = 12) int length) {
        IntervalSet set = IntervalSet.union(intervals);
        long[] every = LongStream.range(0, END + 12).toArray();
        assertThat(set.fitting(every, Minutes.of(length)))
                .isEqualTo(Arrays.stream(every)
                        .filter(s -> set.encloses(s, s + length))
                        .toArray());
    }

    private static BitSet bits(List<Interval> intervals) {
        BitSet bits = new BitSet();
        intervals.forEach(i -> bits.set((int) i.start(), (int) i.end()));
        return bits;
    }

    @Provide
    Arbitrary<Interval> intervals() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, END),
                        Arbitraries.integers().between(0, 12))
                .as((start, length) -> Interval.between(start, start + length));
    }

    @Provide
    Arbitrary<List<Interval>> sets() {
        return intervals().list().ofMaxSize(8);
    }
}
