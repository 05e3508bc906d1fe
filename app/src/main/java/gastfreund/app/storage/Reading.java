package gastfreund.app.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.util.function.Supplier;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads what must fit together: all statements inside see the file as it was at the first of them, however much is written
 * meanwhile. Inside a transaction that writes it is a part of that; a transaction that writes cannot begin inside it.
 */
public class Reading {

    private final HikariDataSource writer;
    private final PlatformTransactionManager readers;
    private final TransactionTemplate one;
    private final TransactionTemplate fresh;

    Reading(HikariDataSource writer, PlatformTransactionManager readers, PlatformTransactionManager fresh) {
        this.writer = writer;
        this.readers = readers;
        this.one = new TransactionTemplate(readers);
        this.fresh = new TransactionTemplate(fresh);
    }

    /** What {@code asked} gives; inside another reading it sees what that sees. */
    public <T> T of(Supplier<T> asked) {
        return TransactionSynchronizationManager.hasResource(writer) ? asked.get() : one.execute(status -> asked.get());
    }

    /**
     * What {@code asked} gives, seeing the file as it is now, even inside another reading: for what is kept longer than that
     * lasts. There is one connection for it, so nothing inside may wait for somebody who reads.
     */
    public <T> T ofNow(Supplier<T> asked) {
        return TransactionSynchronizationManager.hasResource(writer)
                ? asked.get()
                : fresh.execute(status -> asked.get());
    }

    /** Whether a transaction that writes goes on: what it has written only it sees. */
    public boolean isWriting() {
        return TransactionSynchronizationManager.hasResource(writer);
    }

    TransactionStatus begin() {
        return readers.getTransaction(TransactionDefinition.withDefaults());
    }

    void end(TransactionStatus begun) {
        if (!begun.isCompleted()) {
            readers.rollback(begun);
        }
    }
}
