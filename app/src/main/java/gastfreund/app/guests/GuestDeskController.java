package gastfreund.app.guests;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.KeepRules;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
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

    private static final Pattern MONTHS = Pattern.compile("\\A[1-9]\\d{0,2}+\\z");

    private final GuestService guests;
    private final Tidying tidying;
    private final CatalogueService catalogues;

    GuestDeskController(GuestService guests, Tidying tidying, CatalogueService catalogues) {
        this.tidying = tidying;
        this.guests = guests;
        this.catalogues = catalogues;
    }

    /**
     * What the page shows.
     *
     * @param kept how long guests' data are kept, in words
     * @param found null where nobody was looked for
     */
    public record GuestsPage(List<Note> notes, String kept, Field search, @Nullable Found found) {}

    /**
     * What there is of somebody.
     *
     * @param orders how many, in words
     * @param any whether there are any
     */
    public record Found(String email, boolean any, String orders, List<Note> notes) {}

    @Needs(Right.GUEST_DATA)
    @GetMapping("/data")
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        return show(Note.said(said, f.words()).stream().toList(), "", null, model);
    }

    /** The address travels in the form's body: addresses of pages stand in logs and histories. */
    @Needs(Right.GUEST_DATA)
    @PostMapping("/data")
    String find(@RequestParam(defaultValue = "") String email, Model model) {
        return found(Written.line(email, MOST_EMAIL), List.of(), model);
    }

    /**
     * Who would be forgotten today.
     *
     * @param more how many beyond those named, in words; empty: none
     */
    public record ForgettingPage(String words, List<String> guests, String more) {}

    /** A dry run: who would be forgotten today, if data were kept for so long. */
    @Needs(Right.GUEST_DATA)
    @GetMapping("/forgetting")
    String forgetting(@RequestParam(defaultValue = "") String months, Model model) {
        Formats f = Formats.of(model);
        KeepRules keeping = catalogues.catalogue().keeping();
        int after = MONTHS.matcher(months).matches() ? Integer.parseInt(months) : keeping.guestMonths();
        List<String> guests = tidying.toForget(after);
        model.addAttribute(
                "page",
                new ForgettingPage(
                        f.text("guests.forgetting", guests.size(), after),
                        guests,
                        guests.size() == Tidying.AT_ONCE ? f.text("guests.andMore") : ""));
        return "guests/forgetting";
    }

    private String found(String email, List<Note> notes, Model model) {
        int count = guests.countOrders(email);
        Found found = new Found(email, count > 0, Formats.of(model).text("guests.orders", count), notes);
        return show(List.of(), email, found, model);
    }

    private String show(List<Note> notes, String email, @Nullable Found found, Model model) {
        Formats f = Formats.of(model);
        KeepRules keeping = catalogues.catalogue().keeping();
        String kept = f.text("guests.kept", keeping.guestMonths(), keeping.documentYears());
        Field search = Field.email("email", f.text("checkout.email"))
                .with("autocomplete", "off")
                .required()
                .value(email);
        model.addAttribute("page", new GuestsPage(notes, kept, search, found));
        return "guests/guests";
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
        if (guests.forget(guest, host)) {
            return "redirect:/desk/guests/data?said=forgotten";
        }
        return found(guest, List.of(Note.bad(Formats.of(model).text("guests.notYet"))), model);
    }
}
