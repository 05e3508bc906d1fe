package gastfreund.app.catalogue;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Mounted;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page the house and the way in which things are said to its reader. */
@ControllerAdvice
class PageAdvice {

    private static final int LONGEST = 1000;

    private final CatalogueService catalogues;
    private final Speech speech;

    PageAdvice(CatalogueService catalogues, Speech speech) {
        this.catalogues = catalogues;
        this.speech = speech;
    }

    @ModelAttribute
    void addHouse(Model model, Locale locale, HttpServletRequest request) {
        catalogues.find().ifPresent(catalogue -> {
            model.addAttribute("texts", catalogue.checkout().texts());
            Formats f = speech.in(locale, catalogue);
            model.addAttribute("houseName", catalogue.house().name());
            model.addAttribute("f", f);
            model.addAttribute("sign", Sign.of(catalogue, locale, page(request), f));
        });
    }

    /** The address of a page that can be asked for again; null: it cannot. */
    private static @Nullable String page(HttpServletRequest request) {
        String query = request.getQueryString();
        String page = Mounted.pathOf(request) + (query == null ? "" : "?" + query);
        boolean asked = request.getMethod().equals("GET") && page.length() <= LONGEST;
        return asked ? page : null;
    }
}
