package gastfreund.app.baskets;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.Minor;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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

/** The same time again: each date with its state, others picked by a click, kept together. */
@Controller
@RequestMapping("/offers/{id}/series")
class SeriesController {

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Holds holds;
    private final BasketAdvice advice;
    private final VisitorMarks marks;
    private final Clock clock;

    SeriesController(
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

    private Choice choice(String id, Choice.Asked asked, Links links) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.openOffer(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return Choice.of(catalogue.house(), offer, asked).comingFrom(links.source());
    }

    @Partial("panel")
    @GetMapping
    String page(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @ModelAttribute("series") GuestSeries.Asked series,
            @RequestParam(required = false) @Nullable String why,
            @ModelAttribute(name = "links", binding = false) Links links,
            HttpServletRequest request,
            Model model) {
        Choice choice = choice(id, asked, links);
        Optional<GuestSeries> wanted = series.of(choice, catalogues.catalogue().zone());
        if (wanted.isEmpty()) {
            return "redirect:" + choice.address(links.basket());
        }
        Formats f = Formats.of(model);
        List<Note> notes = why == null ? List.of() : List.of(Note.warn(f.text("series.why." + Panel.whyGone(why))));
        model.addAttribute("page", page(wanted.get(), links, notes, request, f));
        return "baskets/series";
    }

    private SeriesPage page(GuestSeries series, Links links, List<Note> notes, HttpServletRequest request, Formats f) {
        Choice choice = series.choice();
        Series.Found found = openings.series(series.wish(f.zone(), clock.instant()));
        List<Series.Date> taken = series.taken(found);
        Money price = Series.priceOf(taken);
        String basket = links.basket();
        return new SeriesPage(
                notes,
                choice.offer().title(),
                f.text("offer.people", choice.party()) + " · "
                        + f.duration(choice.length().minutes()),
                IntStream.rangeClosed(2, GuestSeries.MOST_TIMES)
                        .mapToObj(n -> new SeriesPage.Chip(
                                "times-" + n,
                                Integer.toString(n),
                                series.withTimes(n).address("", basket),
                                n == series.times()))
                        .toList(),
                Stream.of(1, 2, 3, 4)
                        .map(n -> new SeriesPage.Chip(
                                "every-" + n,
                                f.text("series.everyOf", n),
                                series.withEvery(n).address("", basket),
                                n == series.every()))
                        .toList(),
                found.dates().stream().map(d -> row(series, d, basket, f)).toList(),
                isAgreed(series)
                        ? f.text("series.sumAgreed", taken.size())
                        : f.text("series.sum", taken.size(), f.money(price)),
                taken.isEmpty() ? "" : f.text("series.go", taken.size()),
                series.address("/keep", basket),
                price.minor(),
                advice.door(request, taken.size()),
                choice.withDay(f.zone().dateOf(series.start())).address(basket));
    }

    private boolean isAgreed(GuestSeries series) {
        return catalogues.catalogue().isAgreed(series.choice().offer().id());
    }

    private SeriesPage.Row row(GuestSeries series, Series.Date date, @Nullable String basket, Formats f) {
        String name = date.date().toString();
        if (date.time() == null || date.option() == null) {
            List<SeriesPage.Chip> nearest = date.nearest().stream()
                    .map(s -> new SeriesPage.Chip(
                            "at-" + s,
                            f.time(Interval.instantOf(s)),
                            series.picking(date.date(), s).address("", basket),
                            false))
                    .toList();
            String said = f.text(nearest.isEmpty() ? "series.nothing" : "series.notThen");
            return new SeriesPage.Row(name, f.shortDay(date.date()), said, false, false, "", nearest, null);
        }
        String with =
                new ReasonWords(catalogues.catalogue(), f).names(date.option().staff());
        String price = isAgreed(series)
                ? f.text("price.agreed")
                : f.money(date.option().opening().price());
        Long picked = series.instead().get(date.date());
        boolean other = picked != null && picked == date.time().start();
        return new SeriesPage.Row(
                name,
                f.shortDay(date.date()) + ", " + f.times(date.time()),
                with.isEmpty() ? price : with + " · " + price,
                true,
                series.out().contains(date.date()),
                series.turning(date.date()).address("", basket),
                List.of(),
                other ? series.picking(date.date(), null).address("", basket) : null);
    }

    @PostMapping("/keep")
    String keep(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @ModelAttribute("series") GuestSeries.Asked series,
            @RequestParam @Minor Long price,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor) {
        Choice choice = choice(id, asked, links);
        Optional<GuestSeries> wanted = series.of(choice, catalogues.catalogue().zone());
        if (wanted.isEmpty()) {
            return "redirect:" + choice.address(links.basket());
        }
        long start = wanted.get().start();
        KeepRequest request = new KeepRequest(choice, start, price, marks.of(visitor), seal, proof);
        Kept kept = holds.keepAll(links.basket(), request, wanted.get());
        return kept.after(wanted.get().address("", links.basket()));
    }
}
