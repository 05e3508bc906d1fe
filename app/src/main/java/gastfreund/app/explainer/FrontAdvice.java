package gastfreund.app.explainer;

import gastfreund.app.hosts.Presence;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Shows hosts who look at guests' pages the way to the explainer. */
@ControllerAdvice
class FrontAdvice {

    private final Presence presence;

    FrontAdvice(Presence presence) {
        this.presence = presence;
    }

    @ModelAttribute
    void add(HttpServletRequest request, Model model) {
        if (request.getServletPath().startsWith("/offers/")
                && presence.host(request).isPresent()) {
            model.addAttribute("explains", "/desk/explain");
        }
    }
}
