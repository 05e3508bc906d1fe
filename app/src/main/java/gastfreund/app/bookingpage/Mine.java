package gastfreund.app.bookingpage;

import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends guests who look for their bookings the links to them, to the address under which they booked. */
@Service
class Mine {

    /** So often one address gets such a letter: anybody can write anybody's address into a form. */
    private static final Duration APART = Duration.ofMinutes(30);

    private final MineStore store;
    private final Outbox outbox;
    private final Clock clock;

    Mine(MineStore store, Outbox outbox, Clock clock) {
        this.store = store;
        this.outbox = outbox;
        this.clock = clock;
    }

    /** Sends them if there are some. Nothing says whether there were. */
    @Transactional
    void send(String email, Locale language) {
        // However it is written: another spelling is no way to another letter.
        String to = email.toLowerCase(Locale.ROOT);
        if (!store.after(to, clock.instant()).isEmpty()) {
            outbox.putUnlessLately(new Letter(null, MineLetters.KIND, to, language, "{}"), APART);
        }
    }
}
