package gastfreund.app.catalogue;

import java.util.Locale;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page the house and the way in which things are said to its reader. */
@ControllerAdvice
class PageAdvice {

    private final CatalogueService catalogues;
    private final Speech speech;

    PageAdvice(CatalogueService catalogues, Speech speech) {
        this.catalogues = catalogues;
        this.speech = speech;
    }

    @ModelAttribute
    void addHouse(Model model, Locale locale) {
        catalogues.find().ifPresent(catalogue -> {
            model.addAttribute("texts", catalogue.checkout().texts());
            model.addAttribute("houseName", catalogue.house().name());
            model.addAttribute("f", speech.in(locale, catalogue));
        });
    }
}
