package gastfreund.app.waits;

import gastfreund.app.orderdesk.Decision;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What waits for somebody.
 *
 * @param requests those that lapse the soonest first; those that want the same time stand together
 * @param talks what guests wrote that nobody has seen
 * @param lost letters that did not arrive
 * @param owing money that was asked for and has not come
 * @param overdue transfers that should have come
 * @param wishes how many are on the waiting list, in words; empty: the reader may not see it
 * @param writes whether the reader may say that something is read
 */
public record WaitsPage(
        List<Note> notes,
        List<Contest> requests,
        List<Said> talks,
        List<Line> lost,
        List<Line> owing,
        List<Line> overdue,
        String wishes,
        boolean writes) {

    /** Requests that want the same time; most stand alone. */
    public record Contest(List<Request> requests) {

        public boolean isContested() {
            return requests.size() > 1;
        }
    }

    /**
     * A request.
     *
     * @param until when it lapses, in words
     * @param soon whether that is within a few hours
     * @param standing what stands at its time already, in words; empty: nothing
     */
    public record Request(
            String order,
            String guest,
            String what,
            String when,
            String board,
            String facts,
            String notes,
            String until,
            boolean soon,
            String standing,
            List<Decision> decisions) {}

    public record Said(String order, String number, String guest, String when, String words, String files) {}

    public record Line(String order, String guest, String what) {}

    public boolean isNothing() {
        return requests.isEmpty() && talks.isEmpty() && lost.isEmpty() && owing.isEmpty() && overdue.isEmpty();
    }
}
