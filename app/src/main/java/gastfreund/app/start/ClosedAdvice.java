package gastfreund.app.start;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Presence;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells hosts who look at guests' pages that nobody else sees them. */
@ControllerAdvice
class ClosedAdvice {

    private final CatalogueService catalogues;
    private final Presence presence;

    ClosedAdvice(CatalogueService catalogues, Presence presence) {
        this.catalogues = catalogues;
        this.presence = presence;
    }

    @ModelAttribute
    void add(HttpServletRequest request, Model model) {
        boolean closed =
                catalogues.find().filter(c -> !c.opening().isForEverybody()).isPresent();
        if (closed
                && !request.getServletPath().startsWith("/desk")
                && presence.host(request).isPresent()) {
            model.addAttribute("onlyHosts", "/desk/start/next");
        }
    }
}
