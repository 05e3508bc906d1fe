package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Part;
import gastfreund.app.effects.Ahead;
import gastfreund.app.effects.Effect;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.Names;
import gastfreund.app.extras.Manners;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.JsonNode;

/** Makes the page on which an offer's prices are seen and ruled. */
@Component
class PricePages {

    private static final int FARTHEST_WEEKS = 52;
    private static final int MOST_PARTIES = 4;
    private static final int MOST_ID = 60;
    private static final int MOST_DATE = 10;
    private static final String[] DAYS = {"mon", "tue", "wed", "thu", "fri", "sat", "sun"};

    /** What is looked at, as an address says it; each may be null. */
    record Look(@Nullable String length, @Nullable Integer party, @Nullable String week, @Nullable Long at) {

        /** What is too long for what it is stands for nothing. */
        Look {
            length = length == null || length.length() > MOST_ID ? null : length;
            week = week == null || week.length() > MOST_DATE ? null : week;
        }

        String address(String offer) {
            UriComponentsBuilder uri = UriComponentsBuilder.fromPath(OfferPages.address(offer) + "/prices")
                    .queryParam("week", week == null ? "" : week);
            if (length != null) {
                uri.queryParam("length", length);
            }
            if (party != null) {
                uri.queryParam("party", party);
            }
            if (at != null) {
                uri.queryParam("at", at);
            }
            return uri.build().encode().toUriString();
        }
    }

    private final HouseDocuments documents;
    private final Editing editing;
    private final Effects effects;
    private final Names names;
    private final CatalogueService catalogues;
    private final Ahead ahead;
    private final Hindsight hindsight;
    private final Clock clock;

    PricePages(
            HouseDocuments documents,
            Editing editing,
            Effects effects,
            Names names,
            CatalogueService catalogues,
            Ahead ahead,
            Hindsight hindsight,
            Clock clock) {
        this.documents = documents;
        this.editing = editing;
        this.effects = effects;
        this.names = names;
        this.catalogues = catalogues;
        this.ahead = ahead;
        this.hindsight = hindsight;
        this.clock = clock;
    }

    PricesPage page(Host host, Document seen, Look look, List<Note> notes, Formats f) {
        DocumentRef ref = seen.ref();
        OfferId id = new OfferId(ref.id());
        House kept = catalogues.plain().house();
        Tried tried = documents.tryOut(
                editing.draft(host, ref).map(Draft::document).stream().toList());
        House house = tried.house() == null ? kept : tried.house();
        // Where something is wrong, the prices are those that are kept; a new offer has none before it is right.
        @Nullable Offer offer = house.offer(id).orElse(null);
        Instant now = clock.instant();
        LocalDate first = first(look, house.zone().dateOf(now));
        Map<String, String> typed = editing.draft(host, ref).map(Draft::typed).orElseGet(Map::of);
        Inputs.Seen shown = new Inputs.Seen(seen.json(), Map.of(), typed);
        if (offer == null) {
            return page(seen, look, notes, first, null, null, shown, "", effects.of(host, List.of(ref), f), f);
        }
        Booked booked = ahead.of(kept, now);
        Length length = length(offer, look);
        Query query = query(offer, length, look, first, now);
        PriceWeek week = PriceWeek.of(house, booked, offer, query, first, now);
        @Nullable
        PriceWeek before = kept.offer(id)
                .filter(o -> o.length(length.id()).isPresent())
                .map(o -> PriceWeek.of(kept, booked, o, query, first, now))
                .orElse(null);
        String brought = kept.offer(id)
                .filter(o -> !o.equals(offer))
                .flatMap(o -> hindsight.more(o, offer, house.zone()))
                .map(more -> brought(more, f))
                .orElse("");
        return page(seen, look, notes, first, week, before, shown, brought, effects.of(host, List.of(ref), f), f);
    }

    private static String brought(long more, Formats f) {
        return more == 0
                ? f.text("prices.same", Hindsight.DAYS)
                : f.text(
                        more > 0 ? "prices.more" : "prices.less",
                        Hindsight.DAYS,
                        f.money(Money.ofMinor(Math.abs(more))));
    }

    private LocalDate first(Look look, LocalDate today) {
        Manners manners = catalogues.catalogue().extras().manners();
        LocalDate now = manners.weekOf(today);
        try {
            LocalDate asked = manners.weekOf(LocalDate.parse(look.week() == null ? "" : look.week()));
            boolean near = !asked.isBefore(now) && asked.isBefore(now.plusWeeks(FARTHEST_WEEKS));
            return near ? asked : now;
        } catch (DateTimeException e) {
            return now;
        }
    }

    private static Length length(Offer offer, Look look) {
        return look.length() == null || look.length().isBlank()
                ? offer.lengths().get(0)
                : offer.length(new LengthId(look.length()))
                        .orElse(offer.lengths().get(0));
    }

    private static Query query(Offer offer, Length length, Look look, LocalDate first, Instant now) {
        int party = look.party() == null ? offer.party().min() : look.party();
        return Query.of(offer.id(), first, first, now)
                .withLength(length.id(), length.minUnits())
                .withParty(Math.max(offer.party().min(), Math.min(offer.party().max(), party)));
    }

    private PricesPage page(
            Document seen,
            Look look,
            List<Note> notes,
            LocalDate first,
            @Nullable PriceWeek week,
            @Nullable PriceWeek before,
            Inputs.Seen shown,
            String brought,
            Effect effect,
            Formats f) {
        String id = seen.ref().id();
        Look here = new Look(look.length(), look.party(), first.toString(), null);
        List<Part> rules = rules(shown, week, f);
        return new PricesPage(
                seen.name(),
                OfferPages.address(id),
                look.address(id),
                notes,
                lengths(seen.json(), here, id, f),
                parties(seen.json(), here, id, f),
                f.dayAndMonth(first),
                first.isAfter(f.zone().dateOf(clock.instant()))
                        ? new Look(
                                        look.length(),
                                        look.party(),
                                        first.minusWeeks(1).toString(),
                                        null)
                                .address(id)
                        : null,
                new Look(look.length(), look.party(), first.plusWeeks(1).toString(), null).address(id),
                week == null
                        ? List.of()
                        : week.hours().stream().map(String::valueOf).toList(),
                week == null ? List.of() : week.days(before, here.address(id), look.at(), f),
                f.text("prices.begins"),
                rules,
                brought,
                Part.asked(rules),
                week == null || look.at() == null
                        ? null
                        : week.at(look.at())
                                .map(s -> new PricesPage.Chosen(
                                        f.text("prices.at", f.day(f.zone().dateOf(s.minute())), f.time(s.minute())),
                                        week.rungs(s, f)))
                                .orElse(null),
                effect);
    }

    private static List<PricesPage.Chip> lengths(JsonNode offer, Look here, String id, Formats f) {
        List<PricesPage.Chip> chips = new ArrayList<>();
        for (JsonNode length : offer.path("lengths")) {
            String one = length.path("id").stringValue("");
            boolean chosen = here.length() == null ? chips.isEmpty() : one.equals(here.length());
            chips.add(new PricesPage.Chip(
                    Spans.said(length.path("minutes").longValue(0), f),
                    new Look(one, here.party(), here.week(), null).address(id),
                    chosen));
        }
        return chips;
    }

    private static List<PricesPage.Chip> parties(JsonNode offer, Look here, String id, Formats f) {
        int min = offer.path("party").path("min").intValue(1);
        int max = offer.path("party").path("max").intValue(offer.path("seats").intValue(1));
        int now = here.party() == null ? min : here.party();
        TreeSet<Integer> shown = new TreeSet<>();
        for (int n = min; n <= max && shown.size() < MOST_PARTIES; n++) {
            shown.add(n);
        }
        shown.add(Math.max(min, max));
        return shown.stream()
                .map(n -> new PricesPage.Chip(
                        f.text("offer.people", n), new Look(here.length(), n, here.week(), null).address(id), n == now))
                .toList();
    }

    private List<Part> rules(Inputs.Seen shown, @Nullable PriceWeek week, Formats f) {
        Asking ask = new Asking(PriceRules.TABLE, shown, names.sentences(f), f);
        List<Part> parts = new ArrayList<>();
        Map<Integer, Integer> touched = week == null ? Map.of() : week.touched();
        int count = shown.json().path(PriceRules.LIST).size();
        for (int i = 0; i < count; i++) {
            parts.add(rule(ask, i, touched.getOrDefault(i, 0), week == null ? 0 : week.count()));
        }
        parts.add(Part.list("rules", List.of(), PriceRules.LIST, f.text("prices.add")));
        return parts;
    }

    private Part rule(Asking ask, int place, int touched, int of) {
        Formats f = ask.f();
        String member = PriceRules.LIST + "/" + place;
        JsonNode rule = ask.json().path(PriceRules.LIST).path(place);
        Clause main = ask.clause(
                        member,
                        "prices.sentence",
                        ask.number(member + "/from", "0:00"),
                        ask.number(member + "/to", "24:00"),
                        ask.apart(member + "/by", PriceRules.by(rule, f)),
                        ask.choice(member + "/how", "how", PriceRules.how(rule), PriceRules.HOWS))
                .removed(member)
                .moved()
                .with(List.of(Note.done(f.text("prices.touches", touched, of))));
        Clause ahead = ask.clause(
                member + "-ahead",
                "prices.ahead",
                ask.number(member + "/hoursBeforeAtLeast", f.text("prices.any")),
                ask.number(member + "/hoursBeforeLessThan", f.text("prices.any")));
        Clause party = ask.clause(
                member + "-party",
                "prices.party",
                ask.number(member + "/partyAtLeast", f.text("prices.any")),
                ask.number(member + "/partyLessThan", f.text("prices.any")));
        Clause dates = ask.clause(
                member + "-dates", "prices.dates", ask.date(member + "/dates/from"), ask.date(member + "/dates/to"));
        List<Field> days = Stream.of(DAYS)
                .map(d -> ask.tick(member + "/days/" + d, f.text("word.days." + d)))
                .toList();
        List<Field> people = documents.all(Kind.STAFF).stream()
                .filter(s -> !s.isRetired())
                .map(s -> ask.tick(member + "/staff/" + s.ref().id(), s.name()))
                .toList();
        List<Field> lengths = new ArrayList<>();
        for (JsonNode length : ask.json().path("lengths")) {
            lengths.add(ask.tick(
                    member + "/lengths/" + length.path("id").stringValue(""),
                    Spans.said(length.path("minutes").longValue(0), f)));
        }
        return Part.of("rule-" + place, main, ahead, party, dates)
                .titled(f.text("prices.rule", place + 1))
                .withTicks(
                        new Part.Ticks(f.text("prices.onDays"), days),
                        new Part.Ticks(f.text("prices.servedBy"), people),
                        new Part.Ticks(f.text("prices.forLengths"), lengths));
    }
}
