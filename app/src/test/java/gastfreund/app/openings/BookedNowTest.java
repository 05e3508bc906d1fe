package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What is kept of bookings is what is booked: no more, no less, and no longer. */
class BookedNowTest extends DemoHouseTest {

    @Autowired
    private BookedNow kept;

    @Autowired
    private BookedStore store;

    @Autowired
    private BookingStore bookings;

    @Autowired
    private Reading reading;

    @Autowired
    private TransactionTemplate transaction;

    private Instant now;
    private Interval reach;

    @BeforeEach
    void ask() {
        now = clock.instant();
        long minute = Interval.minuteOf(Instant.ofEpochSecond(now.getEpochSecond() / 60 * 60));
        reach = Interval.between(minute + 90 * 1440, minute + 92 * 1440);
    }

    @AfterEach
    void back() {
        clock.reset();
        transaction.executeWithoutResult(t -> {
            jdbc.sql("DELETE FROM busy WHERE start_at >= ? AND start_at < ?")
                    .params(reach.start() * 60, reach.end() * 60)
                    .update();
            // Nothing that is kept may outlive what this has written.
            bookings.replaceBusy(-1, new StaffId("mira"), List.of());
        });
        transaction.executeWithoutResult(t -> bookings.free(-1, 0));
    }

    private Busy busy(int hour) {
        return new Busy(
                new StaffId("mira"), Interval.between(reach.start() + hour * 60L, reach.start() + hour * 60L + 30));
    }

    private List<Busy> busyNow() {
        return kept.touching(reach, now).busyTouching(reach);
    }

    @Test
    void itIsReadOnceForAllWhoAskForTheSameWeeksUntilSomethingChanges() {
        Booked first = kept.touching(reach, now);
        assertThat(kept.touching(Interval.between(reach.start() + 5, reach.end() - 7), now))
                .isSameAs(first);
        assertThat(first.bookings().stream().map(Booking::id))
                .containsAll(store.touching(reach, now).bookings().stream()
                        .map(Booking::id)
                        .toList());
        transaction.executeWithoutResult(t -> bookings.insert(busy(10)));
        assertThat(busyNow()).contains(busy(10));
    }

    @Test
    void aTransactionSeesWhatItHasWrittenAndNobodyElseDoes() {
        transaction.executeWithoutResult(t -> {
            bookings.insert(busy(11));
            assertThat(busyNow()).contains(busy(11));
            t.setRollbackOnly();
        });
        assertThat(busyNow()).doesNotContain(busy(11));
    }

    @Test
    void aPageThatWasBegunBeforeIsNotKeptForOthers() {
        List<Busy> before = reading.of(() -> {
            // The page sees the file as it is now.
            jdbc.sql("SELECT count(*) FROM busy").query(Integer.class).single();
            Thread other = new Thread(() -> transaction.executeWithoutResult(t -> bookings.insert(busy(12))));
            other.start();
            join(other);
            return busyNow();
        });
        assertThat(before).contains(busy(12));
        assertThat(busyNow()).contains(busy(12));
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Read while a hold had ended, it cannot answer for an instant at which it lasted. */
    @Test
    void whatWasReadLaterDoesNotAnswerForEarlier() {
        Instant later = now.plus(Duration.ofHours(1));
        Booked then = kept.touching(reach, later);
        assertThat(kept.touching(reach, now)).isNotSameAs(then);
    }
}
