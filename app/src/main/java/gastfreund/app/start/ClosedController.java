package gastfreund.app.start;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Opening;
import gastfreund.app.languages.Formats;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What guests see of a shop that is not open. */
@Controller
class ClosedController {

    private static final int NOT_NOW = HttpServletResponse.SC_SERVICE_UNAVAILABLE;

    /** @param words of the house's own, or ours */
    public record ClosedPage(String words) {}

    private final CatalogueService catalogues;

    ClosedController(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    @GetMapping(FrontGate.CLOSED)
    String closed(HttpServletResponse response, Model model) {
        Opening opening = catalogues.catalogue().opening();
        if (opening.isForEverybody()) {
            return "redirect:/";
        }
        response.setStatus(NOT_NOW);
        Formats f = Formats.of(model);
        String own = opening.words();
        model.addAttribute(
                "page",
                new ClosedPage(
                        own.isEmpty() ? f.text(opening.to() == Opening.To.HOSTS ? "closed.soon" : "closed.now") : own));
        return "start/closed";
    }
}
