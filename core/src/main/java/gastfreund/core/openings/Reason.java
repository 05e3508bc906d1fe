package gastfreund.core.openings;

import gastfreund.core.hours.HoursException;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.time.IntervalSet;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Why a candidate is no opening, with what caused it; its code is only its short form ({@code docs/openings.md},
 * "Verdict").
 */
public sealed interface Reason {

    /** The short form, as in answers. */
    String code();

    /** It has begun already. */
    record Past(Instant now) implements Reason {
        @Override
        public String code() {
            return "past";
        }
    }

    /** It is too soon; it can be booked from {@code earliest} (inclusive) on. */
    record Notice(Instant earliest) implements Reason {
        @Override
        public String code() {
            return "notice";
        }
    }

    /** It is too far ahead; {@code last} is the last date (inclusive). */
    record Horizon(LocalDate last) implements Reason {
        @Override
        public String code() {
            return "horizon";
        }
    }

    /** It is outside the season; both ends inclusive, either may be null. */
    record Season(@Nullable LocalDate from, @Nullable LocalDate to) implements Reason {
        @Override
        public String code() {
            return "season";
        }
    }

    /** The house is closed by this exception. */
    record Closed(HoursException closure) implements Reason {
        @Override
        public String code() {
            return "closed";
        }
    }

    /** The guest's time is not inside the hours of a layer; {@code open} is when it is open, around the query's dates. */
    record OutsideHours(Layer layer, IntervalSet open) implements Reason {
        @Override
        public String code() {
            return layer.code();
        }
    }

    /** A person is taken. */
    record StaffBusy(StaffId staff, Cause cause) implements Reason {
        @Override
        public String code() {
            return "busy:staff:" + staff;
        }

        /** What takes them, earliest first. */
        public List<Commitment> commitments() {
            return cause.commitments();
        }
    }

    /** Too few units of a resource (null: the implied one) are free. */
    record Full(@Nullable ResourceId resource, int units, int taken, int needed, Cause cause) implements Reason {
        @Override
        public String code() {
            return resource == null ? "full:offer" : "full:resource:" + resource;
        }

        /** What takes units during the time that it would need some, earliest first. */
        public List<Commitment> commitments() {
            return cause.commitments();
        }
    }

    /** The offer has as many sessions on the date as it may. */
    record DayLimit(int perDay) implements Reason {
        @Override
        public String code() {
            return "day-limit";
        }
    }

    /** The offer would have more minutes on the date than it may. */
    record DayMinutes(int minutesPerDay) implements Reason {
        @Override
        public String code() {
            return "day-minutes";
        }
    }

    /** A person serves as many sessions on the date as they may. */
    record StaffDayLimit(StaffId staff, int maxPerDay) implements Reason {
        @Override
        public String code() {
            return "staff-day-limit:" + staff;
        }
    }

    /** Fewer seats are left than persons would come. */
    record Seats(int left) implements Reason {
        @Override
        public String code() {
            return "seats";
        }
    }

    /** A session that has begun to fill at the same start comes first. */
    record Fill() implements Reason {
        @Override
        public String code() {
            return "fill";
        }
    }

    /** What takes a person's or a resource's time, looked up when it is asked for. */
    interface Cause {
        List<Commitment> commitments();
    }
}
