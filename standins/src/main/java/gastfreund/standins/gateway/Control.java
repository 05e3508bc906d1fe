package gastfreund.standins.gateway;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** How the gateway misbehaves on request, so that whoever deals with it can be tried. */
@Component
class Control {

    /** What happens to notifications. */
    enum Telling {
        USUAL("as usual"),
        LATE("late: seconds after the payment"),
        TWICE("twice"),
        OUT_OF_ORDER("out of order: an older state comes after the newer one"),
        LOST("lost: nobody is told");

        private final String meaning;

        Telling(String meaning) {
            this.meaning = meaning;
        }

        public String meaning() {
            return meaning;
        }
    }

    /** What is wrong with the gateway's answers and notifications. */
    enum Saying {
        USUAL("nothing"),
        NULL("the whole answer is null"),
        NO_END("it does not say until when can be paid"),
        FAR_END("payments can be made for a year"),
        OTHER_AMOUNT("it speaks of another amount"),
        OTHER_CURRENCY("it speaks of another currency"),
        OTHER_HOST("its page is on somebody else's host"),
        NONSENSE("no JSON at all");

        private final String meaning;

        Saying(String meaning) {
            this.meaning = meaning;
        }

        public String meaning() {
            return meaning;
        }
    }

    /** One notification that is to be sent: after a pause, of the new state or of the one before. */
    record Sending(Duration pause, boolean before) {}

    /** The gateway does as if it were down. */
    static final class Down extends RuntimeException {}

    private static final Duration LATE = Duration.ofSeconds(4);
    private static final Duration SOON = Duration.ofMillis(400);

    private Telling telling = Telling.USUAL;
    private Saying saying = Saying.USUAL;
    private String refusal = "";
    private final Map<String, Integer> down = new HashMap<>();

    synchronized Telling telling() {
        return telling;
    }

    synchronized Saying saying() {
        return saying;
    }

    /** Why the bank refuses every card; empty: it does as the card says. */
    synchronized String refusal() {
        return refusal;
    }

    /** How many more calls of a kind fail. */
    synchronized int down(String call) {
        return down.getOrDefault(call, 0);
    }

    /**
     * @param calls how many of the next calls fail, by their kind: {@code create}, {@code capture}, {@code void},
     *     {@code refund}, or {@code any}
     */
    synchronized void set(Telling how, Saying what, String why, Map<String, Integer> calls) {
        telling = how;
        saying = what;
        refusal = why;
        down.clear();
        down.putAll(calls);
    }

    /** Lets a call of a kind in. */
    synchronized void admit(String call) {
        int left = down(call);
        if (left > 0) {
            down.put(call, left - 1);
            throw new Down();
        }
    }

    /** The notifications of a change, as they are sent now. */
    synchronized List<Sending> sendings() {
        List<Sending> sendings = new ArrayList<>();
        switch (telling) {
            case USUAL -> sendings.add(new Sending(Duration.ZERO, false));
            case LATE -> sendings.add(new Sending(LATE, false));
            case TWICE -> {
                sendings.add(new Sending(Duration.ZERO, false));
                sendings.add(new Sending(SOON, false));
            }
            case OUT_OF_ORDER -> {
                sendings.add(new Sending(Duration.ZERO, false));
                sendings.add(new Sending(SOON, true));
            }
            case LOST -> {
                return List.of();
            }
        }
        return sendings;
    }
}
