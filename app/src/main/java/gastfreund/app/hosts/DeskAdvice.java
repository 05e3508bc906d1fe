package gastfreund.app.hosts;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells the desk's pages what the host who looks at them may do, so that they offer nothing else. */
@ControllerAdvice
class DeskAdvice {

    /**
     * What somebody may do; {@link Security} enforces it.
     *
     * @param money whether they may give money back, cancel, and say what came
     * @param ways whether they may change how guests pay
     */
    public record May(boolean money, boolean ways) {}

    @ModelAttribute("may")
    May may(HttpServletRequest request) {
        boolean owner = request.isUserInRole("OWNER");
        return new May(owner || request.isUserInRole("MANAGER"), owner);
    }
}
