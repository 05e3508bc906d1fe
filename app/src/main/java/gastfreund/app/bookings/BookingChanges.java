package gastfreund.app.bookings;

import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Counts the transactions that changed what takes time, so that what was computed before can be told from what holds now. */
@Component
public class BookingChanges {

    private final AtomicLong version = new AtomicLong();

    /** Grows after each such transaction: what was computed at a lower one is to be computed anew. */
    public long version() {
        return version.get();
    }

    /** To be called in the transaction. */
    void note() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                version.incrementAndGet();
            }
        });
    }
}
