package gastfreund.core.sessions;

import gastfreund.core.bookings.Busy;
import gastfreund.core.time.Interval;

/** Something that takes a person's or a resource's time. */
public sealed interface Commitment {

    /** When it takes it. */
    Interval interval();

    /** A session of live bookings, with its prep and reset. */
    record OfSession(Session session) implements Commitment {
        @Override
        public Interval interval() {
            return session.taken();
        }
    }

    /** Busy time of a person. */
    record OfBusy(Busy busy) implements Commitment {
        @Override
        public Interval interval() {
            return busy.interval();
        }
    }
}
