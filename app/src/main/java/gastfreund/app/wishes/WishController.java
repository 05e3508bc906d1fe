package gastfreund.app.wishes;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Minutes;
import gastfreund.core.wishes.Wish;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Guests who wait: how they say so, where they stand, and how they leave. */
@Controller
class WishController {

    private static final int MOST_PARTY = 30;

    private final CatalogueService catalogues;
    private final Wishes wishes;
    private final Outbox outbox;
    private final Tokens tokens;
    private final Clock clock;

    WishController(CatalogueService catalogues, Wishes wishes, Outbox outbox, Tokens tokens, Clock clock) {
        this.catalogues = catalogues;
        this.wishes = wishes;
        this.outbox = outbox;
        this.tokens = tokens;
        this.clock = clock;
    }

    private WishForm form(String id, Choice.Asked choice, WishForm.Asked asked, Links links) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue
                .openOffer(id)
                .filter(o -> catalogue.wishMinutes() > 0)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return WishForm.of(
                Choice.of(catalogue.house(), offer, choice).comingFrom(links.source()),
                asked,
                catalogue.zone().dateOf(clock.instant()),
                catalogue);
    }

    @GetMapping("/offers/{id}/wish")
    String ask(
            @PathVariable String id,
            @ModelAttribute("choice") Choice.Asked choice,
            @ModelAttribute("wish") WishForm.Asked asked,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        return page(form(id, choice, asked, links), Map.of(), List.of(), links, model);
    }

    @PostMapping("/offers/{id}/wish")
    String join(
            @PathVariable String id,
            @ModelAttribute("choice") Choice.Asked choice,
            @ModelAttribute("wish") WishForm.Asked asked,
            @ModelAttribute(name = "links", binding = false) Links links,
            Locale locale,
            Model model) {
        WishForm form = form(id, choice, asked, links);
        Catalogue catalogue = catalogues.catalogue();
        Map<String, String> wrong = form.wrong(catalogue.zone().dateOf(clock.instant()));
        if (!wrong.isEmpty()) {
            Note note = Note.bad(Formats.of(model).text("wish.wrong"));
            return page(form, wrong, List.of(note), links, model);
        }
        String token = tokens.next();
        Locale language = Languages.spoken(locale);
        Wish wish = form.wish(token, catalogue);
        Letter letter = new Letter(null, WishLetters.KIND, form.email(), language, new WishLetters.Said(token).json());
        if (!wishes.join(wish, form.name(), form.email(), language, links.source(), letter)) {
            Note note = Note.bad(Formats.of(model).text("wish.tooMany", Wishes.MOST_OF_ONE));
            return page(form, Map.of(), List.of(note), links, model);
        }
        return "redirect:/wishes/" + token + "?said=joined";
    }

    private String page(WishForm form, Map<String, String> wrong, List<Note> notes, Links links, Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        Choice choice = form.choice();
        Long start = form.start();
        String when = start == null ? "" : f.day(f.zone().dateOf(start)) + ", " + f.time(start);
        model.addAttribute(
                "page",
                new WishPage(
                        notes,
                        choice.offer().title(),
                        when,
                        hidden(form, links),
                        fields(form, catalogue, f).stream()
                                .map(field -> wrong.containsKey(field.name())
                                        ? field.wrong(f.text(wrong.get(field.name())))
                                        : field)
                                .toList(),
                        links.with("/offers/" + choice.offer().id() + "/wish"),
                        choice.address(links.basket())));
        return "wishes/wish";
    }

    private static List<Field> hidden(WishForm form, Links links) {
        Choice choice = form.choice();
        List<Field> hidden = new ArrayList<>();
        hidden.add(Field.hidden("length", choice.length().id().value()));
        StaffId staff = choice.staff();
        if (staff != null) {
            hidden.add(Field.hidden("staff", staff.value()));
        }
        PlaceId place = choice.place();
        if (place != null) {
            hidden.add(Field.hidden("place", place.value()));
        }
        Long start = form.start();
        if (start != null) {
            hidden.add(Field.hidden("start", Long.toString(start)));
            hidden.add(Field.hidden("from", form.from()));
            hidden.add(Field.hidden("to", form.to()));
        }
        return hidden;
    }

    private static List<Field> fields(WishForm form, Catalogue catalogue, Formats f) {
        Choice choice = form.choice();
        Offer offer = choice.offer();
        List<Field> fields = new ArrayList<>();
        if (offer.party().max() > offer.party().min()) {
            fields.add(Field.select(
                            "party",
                            f.text("offer.who"),
                            IntStream.rangeClosed(
                                            offer.party().min(),
                                            Math.min(
                                                    offer.party().max(),
                                                    offer.party().min() + MOST_PARTY))
                                    .mapToObj(n -> Field.Option.of(Integer.toString(n), f.text("agenda.people", n)))
                                    .toList())
                    .value(Integer.toString(choice.party())));
        }
        if (form.start() == null) {
            fields.add(Field.date("from", f.text("wish.from")).required().value(form.from()));
            fields.add(Field.date("to", f.text("wish.to")).required().value(form.to()));
            fields.add(Field.choices(
                            "parts",
                            f.text("wish.parts"),
                            Arrays.stream(PartOfDay.values())
                                    .map(p -> Field.Option.of(p.word(), f.text("part." + p.word())))
                                    .toList())
                    .help(f.text("wish.partsHelp"))
                    .given(form.parts()));
            List<Field.Option> differs = differs(choice, catalogue, f);
            if (!differs.isEmpty()) {
                fields.add(Field.choices("differs", f.text("wish.differs"), differs)
                        .given(form.differs()));
            }
        }
        fields.add(Field.line("name", f.text("wish.name"), WishForm.MOST_NAME)
                .with("autocomplete", "name")
                .required()
                .value(form.name()));
        fields.add(Field.email("email", f.text("wish.email"))
                .with("autocomplete", "email")
                .required()
                .help(f.text("wish.emailHelp", f.duration(Minutes.of(catalogue.wishMinutes()))))
                .value(form.email()));
        return fields;
    }

    /** What else may be fine, where there is a choice. */
    private static List<Field.Option> differs(Choice choice, Catalogue catalogue, Formats f) {
        House house = catalogue.house();
        Offer offer = choice.offer();
        List<Field.Option> differs = new ArrayList<>();
        StaffId staff = choice.staff();
        if (staff != null) {
            differs.add(Field.Option.of(
                    "staff", f.text("wish.differs.staff", house.staff(staff).name())));
        }
        if (offer.lengths().size() > 1 && !offer.hasTimetable()) {
            differs.add(Field.Option.of(
                    "length",
                    f.text("wish.differs.length", f.duration(choice.length().minutes()))));
        }
        PlaceId place = choice.place();
        if (place != null && house.placesOf(offer).size() > 1 && !offer.hasTimetable()) {
            differs.add(Field.Option.of(
                    "place", f.text("wish.differs.place", house.place(place).name())));
        }
        return differs;
    }

    private Waiting asked(String token) {
        return wishes.find(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @GetMapping("/wishes/{token}")
    String wished(
            @PathVariable String token,
            @RequestParam(defaultValue = "") String said,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        Waiting waiting = asked(token);
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        Wish wish = waiting.wish();
        Waiting.State state = waiting.state();
        Waiting.Offered offered = waiting.offered();
        boolean kept = state == Waiting.State.OFFERED
                && offered != null
                && offered.until().isAfter(clock.instant());
        LocalDate today = catalogue.zone().dateOf(clock.instant());
        boolean ended = state != Waiting.State.WAITING && state != Waiting.State.OFFERED;
        model.addAttribute(
                "page",
                new WishPage.Wished(
                        said.equals("joined") && !ended ? List.of(Note.done(f.text("wish.joined"))) : List.of(),
                        catalogue.offer(wish.offer()).title(),
                        f.text("wish.state." + state.code()),
                        state == Waiting.State.WAITING ? f.text("wish.stands", wishes.ahead(waiting)) : "",
                        facts(wish, catalogue, f),
                        kept && offered != null ? new Links(offered.basket()).basketPage() : "",
                        kept && offered != null ? f.moment(offered.until()) : "",
                        ended ? "" : "/wishes/" + token + "/leave",
                        ended
                                        && state != Waiting.State.TAKEN
                                        && !wish.to().isBefore(today)
                                        && catalogue.isOpen(wish.offer())
                                ? "/wishes/" + token + "/again"
                                : "",
                        links.offer(wish.offer())));
        return "wishes/wished";
    }

    private static List<WishPage.Fact> facts(Wish wish, Catalogue catalogue, Formats f) {
        House house = catalogue.house();
        List<WishPage.Fact> facts = new ArrayList<>();
        facts.add(new WishPage.Fact(f.text("wish.when"), WishWords.when(wish, f)));
        facts.add(new WishPage.Fact(f.text("offer.who"), f.text("agenda.people", wish.party())));
        Offer offer = catalogue.offer(wish.offer());
        String lengths = wish.lengths().stream()
                .flatMap(id -> offer.length(id).stream())
                .map(Length::minutes)
                .map(f::duration)
                .collect(Collectors.joining(", "));
        if (!lengths.isEmpty()) {
            facts.add(new WishPage.Fact(f.text("offer.howLong"), lengths));
        }
        // Whom or what the house no longer has is not named.
        house.staff().stream()
                .filter(s -> s.id().equals(wish.staff()))
                .forEach(s -> facts.add(new WishPage.Fact(f.text("wish.with"), s.name())));
        String places = house.places().stream()
                .filter(p -> wish.places().contains(p.id()))
                .map(Place::name)
                .collect(Collectors.joining(", "));
        if (!places.isEmpty()) {
            facts.add(new WishPage.Fact(f.text("offer.where"), places));
        }
        return facts;
    }

    @PostMapping("/wishes/{token}/leave")
    String leave(@PathVariable String token) {
        wishes.leave(asked(token).token());
        return "redirect:/wishes/" + token;
    }

    @PostMapping("/wishes/{token}/again")
    String again(@PathVariable String token) {
        return "redirect:/wishes/" + wishes.again(asked(token)).orElse(token);
    }
}
