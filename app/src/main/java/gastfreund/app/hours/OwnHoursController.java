package gastfreund.app.hours;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Undoing;
import gastfreund.app.effects.Effects;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What people do with the hours of their own alone. */
@Controller
class OwnHoursController {

    private final HoursPages pages;
    private final Effects effects;
    private final Undoing undoing;

    OwnHoursController(HoursPages pages, Effects effects, Undoing undoing) {
        this.pages = pages;
        this.effects = effects;
        this.undoing = undoing;
    }

    /** Undoes what one kept of them oneself. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/desk/hours/undo")
    String undo(Host host, @RequestParam long keeping) {
        DocumentRef own = DocumentRef.staff(host.person());
        if (!pages.may(host, own) || !effects.isOwnHours(host, keeping)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        Undoing.Undone undone = undoing.undo(host, keeping);
        return "redirect:" + HoursPages.address(own) + "?said="
                + undone.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
