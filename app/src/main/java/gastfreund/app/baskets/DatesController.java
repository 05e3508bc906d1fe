package gastfreund.app.baskets;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.Slot;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The dates of a timetable as one list with the seats that are left; several are taken at once. */
@Controller
@RequestMapping("/offers/{id}/dates")
class DatesController {

    private static final int DAYS = 366;
    private static final int MOST_SHOWN = 120;
    private static final int MOST_PARTY = 12;
    private static final Pattern DATE = Pattern.compile("(\\d{1,10})-(\\d{1,12})");

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Holds holds;
    private final BasketAdvice advice;
    private final VisitorMarks marks;
    private final Clock clock;

    DatesController(
            CatalogueService catalogues,
            OpeningsService openings,
            Holds holds,
            BasketAdvice advice,
            VisitorMarks marks,
            Clock clock) {
        this.catalogues = catalogues;
        this.openings = openings;
        this.holds = holds;
        this.advice = advice;
        this.marks = marks;
        this.clock = clock;
    }

    /**
     * What the page shows.
     *
     * @param party how many can come, each a link to the same page
     * @param action where the dates are kept
     * @param back the page of the offer
     */
    public record DatesPage(
            List<Note> notes,
            String title,
            List<SeriesPage.Chip> party,
            List<Row> rows,
            String action,
            BasketAdvice.Door door,
            String back) {}

    /**
     * A date.
     *
     * @param value what the form says of it; empty: nobody can come any more
     * @param price in words
     * @param wish where a guest waits for it who cannot come any more; empty: nowhere
     */
    public record Row(String value, String when, String with, String price, String left, String wish) {}

    private Choice choice(String id, Choice.Asked asked, Links links) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue
                .openOffer(id)
                .filter(Offer::hasTimetable)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return Choice.of(catalogue.house(), offer, asked).comingFrom(links.source());
    }

    @GetMapping
    String page(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Nullable String why,
            @ModelAttribute(name = "links", binding = false) Links links,
            HttpServletRequest request,
            Model model) {
        Formats f = Formats.of(model);
        Choice choice = choice(id, asked, links);
        LocalDate today = f.zone().dateOf(clock.instant());
        List<Row> rows = openings
                .explain(
                        choice.within(catalogues.catalogue().house()),
                        choice.query(today, today.plusDays(DAYS - 1L), clock.instant()))
                .entries()
                .stream()
                .filter(e -> e.isOpen() || Slot.isFull(e))
                .limit(MOST_SHOWN)
                .map(e -> row(e, choice, links, f))
                .toList();
        Offer offer = choice.offer();
        model.addAttribute(
                "page",
                new DatesPage(
                        why == null
                                ? List.of()
                                : List.of(Note.warn(f.text(
                                        why.equals("none") ? "dates.none" : "series.why." + Panel.whyGone(why)))),
                        offer.title(),
                        IntStream.rangeClosed(
                                        offer.party().min(),
                                        Math.min(
                                                offer.party().max(),
                                                offer.party().min() + MOST_PARTY))
                                .mapToObj(n -> new SeriesPage.Chip(
                                        "party-" + n,
                                        f.text("offer.people", n),
                                        choice.withParty(n).datesAddress("", links.basket()),
                                        n == choice.party()))
                                .toList(),
                        rows,
                        choice.datesAddress("/keep", links.basket()),
                        advice.door(request, GuestSeries.MOST_TIMES),
                        choice.address(links.basket())));
        return "baskets/dates";
    }

    private Row row(Answer.Entry entry, Choice choice, Links links, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        OfferId offer = choice.offer().id();
        String when = f.dayAndTimes(entry.time());
        if (!entry.isOpen()) {
            String wish = catalogue.wishMinutes() == 0
                    ? ""
                    : choice.withDay(f.zone().dateOf(entry.time().start())).wishAddress(links.basket()) + "&start="
                            + entry.time().start();
            return new Row("", when, "", "", f.text("dates.full"), wish);
        }
        Slot slot = Slot.of(entry, catalogue.house());
        return new Row(
                entry.time().start() + "-" + slot.price().minor(),
                when,
                slot.staff(),
                catalogue.isAgreed(offer) ? f.text("price.agreed") : f.money(slot.price()),
                f.text("offer.seatsLeft", slot.left()),
                "");
    }

    @PostMapping("/keep")
    String keep(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(defaultValue = "") List<String> date,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor) {
        Choice choice = choice(id, asked, links);
        Map<Long, Long> wanted = new TreeMap<>();
        for (String said : date) {
            Matcher matcher = DATE.matcher(said);
            if (matcher.matches() && wanted.size() < GuestSeries.MOST_TIMES) {
                wanted.put(Long.parseLong(matcher.group(1)), Long.parseLong(matcher.group(2)));
            }
        }
        String back = choice.datesAddress("", links.basket());
        if (wanted.isEmpty()) {
            return "redirect:" + back + "&why=none";
        }
        KeepRequest request = new KeepRequest(choice, 0, null, marks.of(visitor), seal, proof);
        Kept kept = holds.keepDates(links.basket(), request, wanted);
        return kept.after(back);
    }
}
