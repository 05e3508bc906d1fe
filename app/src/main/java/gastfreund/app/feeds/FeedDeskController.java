package gastfreund.app.feeds;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Note;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The addresses of the house's calendars at the desk. */
@Controller
@RequestMapping("/desk/calendars")
class FeedDeskController {

    /** @param whatIsOn the address that everybody may know */
    public record CalendarsPage(List<Note> notes, String whatIsOn, List<Row> rows) {}

    /** @param address empty: it has none yet */
    public record Row(String kind, String subject, String name, String address) {}

    private final Feeds feeds;
    private final CatalogueService catalogues;
    private final Address address;

    FeedDeskController(Feeds feeds, CatalogueService catalogues, Address address) {
        this.feeds = feeds;
        this.catalogues = catalogues;
        this.address = address;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        Catalogue catalogue = catalogues.catalogue();
        List<Row> rows = new ArrayList<>();
        rows.add(row(Feed.house(), catalogue.house().name()));
        catalogue.house().staff().forEach(s -> rows.add(row(new Feed(Feed.Kind.PERSON, s.id().value()), s.name())));
        catalogue.house().resources().forEach(r -> rows.add(row(new Feed(Feed.Kind.THING, r.id().value()), r.name())));
        List<Note> notes = "made".equals(said) ? List.of(Note.done(f.text("feeds.made"))) : List.of();
        model.addAttribute("page", new CalendarsPage(notes, address.of("/calendars/what-is-on.ics"), rows));
        return "feeds/calendars";
    }

    private Row row(Feed feed, String name) {
        return new Row(
                feed.kind().code(), feed.subject(), name, feeds.known(feed).orElse(""));
    }

    /** Makes an address, or another in its place. */
    @Needs(Right.SET_UP)
    @PostMapping
    String renew(@RequestParam String kind, @RequestParam(defaultValue = "") String subject) {
        Feed.Kind wanted = List.of(Feed.Kind.values()).stream()
                .filter(k -> k.code().equals(kind.toLowerCase(Locale.ROOT)) && k != Feed.Kind.GUEST)
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        feeds.renew(new Feed(wanted, subject));
        return "redirect:/desk/calendars?said=made";
    }
}
