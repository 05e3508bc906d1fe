package gastfreund.app.hosts;

import gastfreund.app.messages.Outbox;
import gastfreund.app.rounds.Attention;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells the desk's pages what the host who looks at them may do, so that they offer nothing else, and what is wrong. */
@ControllerAdvice
class DeskAdvice {

    /** What somebody may do; {@link DeskRights} enforces it. */
    public record May(@Nullable Role role) {

        private boolean may(Right right) {
            return role != null && role.may(right);
        }

        public boolean answer() {
            return may(Right.ANSWER);
        }

        public boolean move() {
            return may(Right.MOVE);
        }

        public boolean takeMoney() {
            return may(Right.TAKE_MONEY);
        }

        public boolean giveMoney() {
            return may(Right.GIVE_MONEY);
        }

        public boolean settle() {
            return may(Right.SETTLE);
        }

        public boolean watch() {
            return may(Right.WATCH);
        }

        public boolean ways() {
            return may(Right.WAYS);
        }

        public boolean signIns() {
            return may(Right.SIGN_INS);
        }

        public boolean roles() {
            return may(Right.ROLES);
        }

        public boolean setUp() {
            return may(Right.SET_UP);
        }

        public boolean ownHours() {
            return may(Right.OWN_HOURS);
        }

        public boolean files() {
            return may(Right.FILES);
        }

        public boolean seeAll() {
            return may(Right.SEE_ALL);
        }

        public boolean book() {
            return may(Right.BOOK);
        }

        public boolean write() {
            return may(Right.WRITE);
        }

        public boolean guestData() {
            return may(Right.GUEST_DATA);
        }
    }

    private final Outbox outbox;
    private final List<Attention> rooms;

    DeskAdvice(Outbox outbox, List<Attention> rooms) {
        this.outbox = outbox;
        this.rooms = rooms;
    }

    @ModelAttribute
    void add(HttpServletRequest request, Model model) {
        if (request.getAttribute(DeskGate.HOST) instanceof Host host) {
            model.addAttribute("may", new May(host.role()));
            model.addAttribute(
                    "toSee",
                    rooms.stream()
                            .filter(r -> !r.isAnswer())
                            .mapToInt(Attention::waiting)
                            .sum());
            model.addAttribute(
                    "toAnswer",
                    rooms.stream()
                            .filter(Attention::isAnswer)
                            .mapToInt(Attention::waiting)
                            .sum());
            if (!outbox.canSend()) {
                model.addAttribute("lettersWaiting", outbox.waiting());
            }
        } else {
            model.addAttribute("may", new May(null));
        }
    }
}
