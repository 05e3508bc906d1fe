package gastfreund.app.guests;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.typed.Written;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What the house has of a guest, for its owner: taken out as one file, or forgotten. */
@Controller
@RequestMapping("/desk/guests")
class GuestDeskController {

    private static final int MOST_EMAIL = 254;

    private final GuestService guests;
    private final CatalogueService catalogues;

    GuestDeskController(GuestService guests, CatalogueService catalogues) {
        this.guests = guests;
        this.catalogues = catalogues;
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping
    String page(Model model) {
        model.addAttribute("keeping", catalogues.catalogue().keeping());
        return "guests/guests";
    }

    /** The address travels in the form's body: addresses of pages stand in logs and histories. */
    @Needs(Right.GUEST_DATA)
    @PostMapping
    String find(@RequestParam(defaultValue = "") String email, Model model) {
        return found(Written.line(email, MOST_EMAIL), false, model);
    }

    private String found(String email, boolean notYet, Model model) {
        model.addAttribute("email", email);
        model.addAttribute("count", guests.countOrders(email));
        model.addAttribute("notYet", notYet);
        return page(model);
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/file")
    ResponseEntity<String> takeOut(@RequestParam(defaultValue = "") String email, Actor host) {
        String guest = Written.line(email, MOST_EMAIL);
        if (guests.countOrders(guest) == 0) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"guest.json\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(guests.takeOut(guest, host));
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/forget")
    String forget(@RequestParam(defaultValue = "") String email, Actor host, Model model) {
        String guest = Written.line(email, MOST_EMAIL);
        return guests.forget(guest, host) ? "redirect:/desk/guests?said=forgotten" : found(guest, true, model);
    }
}
