package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.found.Shares;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.sources.Sightings;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** What is on, and when: all that can be had on a day. */
@Controller
class AgendaController {

    private static final String PATH = "/agenda";
    private static final int MOST_PARTY = 12;
    private static final Pattern PARTY = Pattern.compile("\\A[1-9]\\d?+\\z");

    private final CatalogueService catalogues;
    private final Agenda agenda;
    private final Shares shares;
    private final Sightings sightings;
    private final VisitorMarks marks;
    private final Clock clock;

    AgendaController(
            CatalogueService catalogues,
            Agenda agenda,
            Shares shares,
            Sightings sightings,
            VisitorMarks marks,
            Clock clock) {
        this.sightings = sightings;
        this.marks = marks;
        this.catalogues = catalogues;
        this.agenda = agenda;
        this.shares = shares;
        this.clock = clock;
    }

    /** @param day a date; another text: today */
    @GetMapping(PATH)
    String agenda(
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "1") String party,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            Model model) {
        sightings.looked(links.source(), marks.of(visitor));
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        Instant now = clock.instant();
        LocalDate today = catalogue.zone().dateOf(now);
        LocalDate date = date(day, today);
        int persons = PARTY.matcher(party).matches() ? Math.min(MOST_PARTY, Integer.parseInt(party)) : 1;
        model.addAttribute("shareAs", shares.of(PATH, catalogue.story(), null));
        model.addAttribute(
                "page",
                new AgendaPage(
                        f.day(date),
                        date.isAfter(today) ? address(date.minusDays(1), persons, links) : null,
                        address(date.plusDays(1), persons, links),
                        PATH,
                        Field.select(
                                        "party",
                                        f.text("offer.who"),
                                        IntStream.rangeClosed(1, MOST_PARTY)
                                                .mapToObj(p -> Field.Option.of(
                                                        Integer.toString(p), f.text("agenda.people", p)))
                                                .toList())
                                .value(Integer.toString(persons)),
                        Field.date("day", f.text("agenda.day")).value(date.toString()),
                        agenda.day(date, persons, now).stream()
                                .map(lane -> lane(lane, persons, date, catalogue, links, f))
                                .toList()));
        return "openings/agenda";
    }

    /** A date that can be asked for: neither over nor too far. */
    private static LocalDate date(String said, LocalDate today) {
        try {
            LocalDate date = LocalDate.parse(said);
            return date.isBefore(today) || date.isAfter(today.plusDays(Query.MOST_DAYS)) ? today : date;
        } catch (DateTimeException e) {
            return today;
        }
    }

    private static String address(LocalDate day, int party, Links links) {
        return UriComponentsBuilder.fromUriString(links.with(PATH))
                .queryParam("day", day)
                .queryParam("party", party)
                .build()
                .toUriString();
    }

    private static AgendaPage.Lane lane(
            Agenda.Lane lane, int party, LocalDate day, Catalogue catalogue, Links links, Formats f) {
        Offer offer = lane.offer();
        boolean agreed = catalogue.isAgreed(offer.id());
        String address = UriComponentsBuilder.fromUriString(links.offer(offer.id()))
                .queryParam("party", party)
                .queryParam("length", lane.length().id())
                .queryParam("day", day)
                .fragment("day")
                .build()
                .toUriString();
        return new AgendaPage.Lane(
                links.offer(offer.id()),
                offer.title(),
                f.duration(lane.length().minutes()),
                lane.slots().stream()
                        .map(s -> new AgendaPage.Start(
                                address,
                                f.time(s.time().start()),
                                agreed ? "" : f.shortMoney(s.price()),
                                offer.sharing().shared() ? f.text("offer.seatsLeft", s.left()) : ""))
                        .toList());
    }
}
