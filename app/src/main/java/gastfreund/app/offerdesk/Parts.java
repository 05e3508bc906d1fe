package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Part;
import gastfreund.app.languages.Spans;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** The sentences of an offer's editor, tab by tab. */
@Component
class Parts {

    /** The tabs, in their order. */
    static final List<String> TABS = List.of("sold", "dates", "what", "money", "questions");

    private static final int MOST_DATES = 24;
    private static final int FEW_DATES = 10;
    private static final int MANY = 8;
    private static final String[] DAYS = {"mon", "tue", "wed", "thu", "fri", "sat", "sun"};

    private final HouseDocuments documents;
    private final Clock clock;

    Parts(HouseDocuments documents, Clock clock) {
        this.documents = documents;
        this.clock = clock;
    }

    /**
     * @param tab one of {@link #TABS}
     * @param found what the sentences do now, by the part's id
     */
    List<Part> of(String tab, Asking ask, Map<String, List<Note>> found) {
        return switch (tab) {
            case "dates" -> dates(ask);
            case "what" -> WhatParts.what(ask);
            case "money" -> MoneyParts.money(ask, found);
            case "questions" -> MoneyParts.questions(ask);
            default -> sold(ask, found);
        };
    }

    private List<Part> sold(Asking ask, Map<String, List<Note>> found) {
        JsonNode offer = ask.json();
        boolean timetable = offer.path("mode").stringValue("open").equals("timetable");
        List<Part> parts = new ArrayList<>();
        parts.add(lengths(ask, found));
        parts.add(Part.of("who", who(ask, offer).with(found.getOrDefault("who", List.of()))));
        parts.add(serves(ask, offer));
        parts.add(uses(ask));
        parts.add(Part.of("where", ask.clause("where-", "offers.where"))
                .withTicks(all(Kind.PLACES).stream()
                        .map(p -> ask.tick("places/" + p.ref().id(), p.name()))
                        .toList()));
        if (!timetable) {
            parts.add(Part.of("starts", starts(ask, offer).with(found.getOrDefault("starts", List.of()))));
        }
        parts.add(Part.of(
                "around",
                ask.clause("around-", "offers.around", ask.number("prep"), ask.number("reset"))
                        .with(found.getOrDefault("around", List.of()))));
        parts.add(Part.of(
                "bounds",
                ask.clause("bounds-", "offers.bounds", ask.number("horizonDays", "∞"), ask.number("notice"))
                        .with(found.getOrDefault("notice", List.of())),
                ask.clause("season-", "offers.season", ask.date("season/from"), ask.date("season/to"))
                        .with(found.getOrDefault("season", List.of())),
                ask.clause(
                                "limits-",
                                "offers.limits",
                                ask.number("limits/perDay", "∞"),
                                ask.number("limits/minutesPerDay", "∞"))
                        .with(found.getOrDefault("limits", List.of()))));
        List<Field> ticks = new ArrayList<>();
        if (offer.path("confirm").stringValue("instant").equals("byHand")) {
            ticks.add(ask.tick("contested", ask.f().text("offers.contested")));
        }
        ticks.add(ask.tick("extra/agreement", ask.f().text("offers.agreement")));
        parts.add(Part.of(
                        "confirm",
                        ask.clause("confirm-", "offers.confirm", ask.word("confirm", "instant", "onPayment", "byHand")))
                .withTicks(ticks));
        return List.copyOf(parts);
    }

    private List<Document> all(Kind kind) {
        return documents.all(kind).stream().filter(d -> !d.isRetired()).toList();
    }

    private static Part lengths(Asking ask, Map<String, List<Note>> found) {
        List<Clause> clauses = new ArrayList<>();
        JsonNode lengths = ask.json().path("lengths");
        boolean units = !ask.json().path("sharing").stringValue("private").equals("shared");
        for (JsonNode length : lengths) {
            String member = "lengths/" + length.path("id").stringValue("");
            Clause clause = units
                    ? ask.clause(
                            member,
                            "offers.length",
                            ask.number(member + "/minutes"),
                            ask.number(member + "/price"),
                            ask.number(member + "/units/min"),
                            ask.number(member + "/units/max"))
                    : ask.clause(
                            member,
                            "offers.lengthShared",
                            ask.number(member + "/minutes"),
                            ask.number(member + "/price"));
            Clause told = clause.with(found.getOrDefault(member, List.of()));
            clauses.add(lengths.size() > 1 ? told.removed(member).moved() : told);
        }
        return Part.list("lengths", clauses, "lengths", ask.f().text("offers.addLength"));
    }

    private static Clause who(Asking ask, JsonNode offer) {
        boolean shared = offer.path("sharing").stringValue("private").equals("shared")
                || offer.path("mode").stringValue("open").equals("timetable");
        Field min = ask.number("party/min");
        Field max = ask.number("party/max", shared ? offer.path("seats").asString("") : "1");
        Field sharing = ask.word("sharing", "private", "shared");
        Field basis = ask.word("basis", "booking", "person");
        return shared
                ? ask.clause(
                        "who-",
                        "offers.whoShared",
                        min,
                        max,
                        sharing,
                        basis,
                        ask.number("seats"),
                        ask.word("fill", "first", "spread"))
                : ask.clause("who-", "offers.who", min, max, sharing, basis);
    }

    private Part serves(Asking ask, JsonNode offer) {
        String pick = offer.path("staff").path("pick").stringValue("nobody");
        Field how = ask.choice(OfferInputs.PICK, "pick", pick, "nobody", "any", "all");
        if (pick.equals("nobody")) {
            return Part.of("serves", ask.clause("serves-", "offers.serves", how));
        }
        Clause clause = pick.equals("any")
                ? ask.clause("serves-", "offers.servesAny", how, ask.word("staff/assign", "least", "order"))
                : ask.clause("serves-", "offers.serves", how);
        return Part.of("serves", clause)
                .withTicks(all(Kind.STAFF).stream()
                        .map(s -> ask.tick("staff/of/" + s.ref().id(), s.name()))
                        .toList());
    }

    private Part uses(Asking ask) {
        List<Clause> clauses = new ArrayList<>();
        for (Document thing : all(Kind.RESOURCES)) {
            String member = "uses/" + thing.ref().id();
            clauses.add(Clause.of(
                    member,
                    ask.f()
                            .text("offers.uses")
                            .replace("{2}", thing.name().replace("{", "").replace("}", "")),
                    ask.number(member + "/units", "0"),
                    ask.word(member + "/per", "session", "booking", "person")));
        }
        return Part.list("uses", clauses, "", "");
    }

    private static Clause starts(Asking ask, JsonNode offer) {
        String how = OfferInputs.startsHow(offer);
        Field select = ask.choice(OfferInputs.STARTS, "how", how, "clock", "window", "at");
        return switch (how) {
            case "at" -> ask.clause("starts-", "offers.startsAt", select, ask.line("starts/at"));
            case "window" -> ask.clause("starts-", "offers.startsWindow", select, ask.number("starts/every"));
            default -> ask.clause(
                    "starts-", "offers.startsClock", select, ask.number("starts/every"), ask.number("starts/offset"));
        };
    }

    private List<Part> dates(Asking ask) {
        JsonNode offer = ask.json();
        List<Part> parts = new ArrayList<>();
        List<Field.Option> lengths = new ArrayList<>();
        for (JsonNode length : offer.path("lengths")) {
            lengths.add(Field.Option.of(
                    length.path("id").stringValue(""),
                    Spans.said(length.path("minutes").longValue(0), ask.f())));
        }
        List<Field.Option> places = new ArrayList<>();
        places.add(Field.Option.of("", ask.f().text("offers.usualPlace")));
        all(Kind.PLACES).forEach(p -> places.add(Field.Option.of(p.ref().id(), p.name())));
        int count = Math.min(Dates.MOST, offer.path(Dates.LIST).size());
        int dates = count > MANY ? FEW_DATES : MOST_DATES;
        for (int i = 0; i < count; i++) {
            JsonNode entry = offer.path(Dates.LIST).path(i);
            String member = Dates.LIST + "/" + i;
            parts.add(entry(ask, entry, member, count > 1, lengths, places));
            List<Field> without = Dates.of(entry, today(ask), dates).stream()
                    .map(d -> ask.tick(member + "/exdates/" + d, ask.f().shortDay(d)))
                    .toList();
            if (without.size() > 1) {
                List<Field.Option> days = without.stream()
                        .filter(w -> w.given().isEmpty())
                        .map(w -> Field.Option.of(w.name().substring(w.name().lastIndexOf('/') + 1), w.label()))
                        .toList();
                parts.add(Part.list(
                                member + "-without",
                                List.of(
                                        ask.clause(member + "-without-", "offers.without"),
                                        ask.clause(
                                                member + "-apart-",
                                                "offers.apart",
                                                Field.select(
                                                        Dates.APART + i, ask.f().text("member.date"), days))),
                                Dates.APART + i,
                                ask.f().text("offers.apartGo"))
                        .withTicks(without));
            }
        }
        parts.add(Part.list("entries", List.of(), Dates.LIST, ask.f().text("offers.addDate")));
        parts.add(many(ask));
        return parts;
    }

    private Part entry(
            Asking ask,
            JsonNode entry,
            String member,
            boolean others,
            List<Field.Option> lengths,
            List<Field.Option> places) {
        String repeat = Dates.repeat(entry);
        Field date = ask.apart(Field.date(member + "/date", ask.f().text("member.date")), Dates.date(entry));
        Field time = ask.apart(member + "/time", Dates.time(entry));
        Field again = ask.choice(member + "/repeat", "repeat", repeat, Dates.REPEATS);
        Field length = ask.one(member + "/length", lengths);
        Field seats = ask.number(member + "/seats", ask.json().path("seats").asString(""));
        Field place = ask.one(member + "/place", places);
        Clause clause =
                switch (repeat) {
                    case "once" -> ask.clause(member, "offers.entryOnce", date, time, again, length, seats, place);
                    case "own" -> ask.clause(
                            member,
                            "offers.entryOwn",
                            date,
                            time,
                            again,
                            length,
                            seats,
                            place,
                            ask.line(member + "/rrule"));
                    default -> ask.clause(
                            member,
                            "offers.entry",
                            date,
                            time,
                            again,
                            length,
                            seats,
                            place,
                            ask.apart(member + "/times", Dates.times(entry)).with("placeholder", "∞"));
                };
        return Part.of(member + "-part", others ? clause.removed(member) : clause)
                .withTicks(all(Kind.STAFF).stream()
                        .map(s -> ask.tick(member + "/staff/" + s.ref().id(), s.name()))
                        .toList());
    }

    /** Many dates made at once. */
    private static Part many(Asking ask) {
        List<Field> days = Arrays.stream(DAYS)
                .map(d -> Field.tick(Dates.MANY + "/days", ask.f().text("word.days." + d), false)
                        .id("many-" + d)
                        .with("value", d))
                .toList();
        return Part.list(
                        "many",
                        List.of(ask.clause(
                                "many-",
                                "offers.manyTimes",
                                ask.apart(Dates.MANY + "/from", "10:00"),
                                ask.apart(Dates.MANY + "/to", "16:00"),
                                ask.apart(Dates.MANY + "/every", Spans.said(60, ask.f())),
                                ask.apart(Dates.MANY + "/seats", "2"),
                                ask.apart(Dates.MANY + "/weeks", "8"))),
                        Dates.MANY,
                        ask.f().text("offers.addMany"))
                .titled(ask.f().text("offers.many"))
                .withTicks(days);
    }

    private LocalDate today(Asking ask) {
        return ask.f().zone().dateOf(clock.instant());
    }
}
