package gastfreund.app.letterdesk;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Spans;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.letters.TimedLetters;
import gastfreund.app.messages.TextGateway;
import gastfreund.app.messages.TextParts;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Addresses;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.app.wording.Tags;
import gastfreund.app.wording.Wording;
import gastfreund.core.hours.OfferId;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Draws the life line, and the letter that is chosen on it. */
@Component
class LetterPages {

    static final String ADDRESS = "/desk/letters";

    private static final List<Occasion> AT_ONCE = List.of(Occasion.CONFIRMED, Occasion.ANSWERED, Occasion.BALANCE);
    private static final List<Occasion> IF = List.of(
            Occasion.REQUESTED,
            Occasion.BALANCE_AGAIN,
            Occasion.MOVED,
            Occasion.CANCELLED,
            Occasion.MISSED,
            Occasion.PLACE_FREE,
            Occasion.ISSUED);

    private static final int FIRST = 110;
    private static final int APART = 155;
    private static final int BEFORE_FROM = 520;
    private static final int BEFORE_TO = 740;
    private static final int AFTER_FROM = 1010;
    private static final int AFTER_TO = 1130;
    private static final int LATELY = 60;
    private static final int MOST_SAMPLES = 20;
    private static final String PEOPLE = "people";
    private static final List<String> VIEWS = List.of("wide", "narrow", "dark");
    private static final Duration AHEAD = Duration.ofDays(2);

    private final TextGateway texts;
    private final Rehearsal rehearsal;
    private final TimedLetters timed;
    private final Orders orders;

    LetterPages(TextGateway texts, Rehearsal rehearsal, TimedLetters timed, Orders orders) {
        this.texts = texts;
        this.rehearsal = rehearsal;
        this.timed = timed;
        this.orders = orders;
    }

    /** The letters for what is looked at: those that are kept, and those of which nothing was said. */
    static List<OwnLetter> letters(Typed typed, Catalogue catalogue) {
        List<OwnLetter> all = new ArrayList<>(catalogue.extras().letters().of(offer(typed)));
        for (Occasion occasion : Occasion.values()) {
            if (!occasion.isTimed() && all.stream().noneMatch(l -> l.occasion() == occasion)) {
                all.add(new OwnLetter(occasion.code(), occasion, 0, false, false, false, Map.of()));
            }
        }
        return all;
    }

    /** The offer that is looked at; one that is none stands for all of them. */
    static OfferId offer(Typed typed) {
        return new OfferId(typed.offer().isEmpty() ? "-" : typed.offer());
    }

    static OwnLetter chosen(Typed typed, Catalogue catalogue) {
        List<OwnLetter> all = letters(typed, catalogue);
        return all.stream()
                .filter(l -> l.id().equals(typed.letter()))
                .findFirst()
                .or(() -> all.stream()
                        .filter(l -> l.occasion() == Occasion.CONFIRMED)
                        .findFirst())
                .orElseThrow();
    }

    static Locale language(Typed typed, Catalogue catalogue) {
        return Languages.all().stream()
                .filter(l -> l.toLanguageTag().equals(typed.language()))
                .findFirst()
                .orElse(catalogue.extras().manners().first());
    }

    static String address(Typed typed) {
        Map<String, String> said = new TreeMap<>();
        said.put("offer", typed.offer());
        said.put("letter", typed.letter());
        said.put("language", typed.language());
        said.put("booking", typed.booking());
        said.put("view", typed.view());
        said.values().removeIf(String::isEmpty);
        return Addresses.with(ADDRESS, said);
    }

    /** @param wrong what cannot be kept, by the names of the fields */
    LettersPage page(Typed typed, Catalogue catalogue, List<Note> notes, Map<String, String> wrong, Formats f) {
        OwnLetter letter = said(typed, chosen(typed, catalogue));
        Typed here = typed.withLetter(letter.id());
        List<OwnLetter> all = letters(typed, catalogue).stream()
                .map(l -> l.id().equals(letter.id()) ? letter : l)
                .toList();
        return new LettersPage(
                notes,
                offers(here, catalogue, f),
                line(here, all, letter, f),
                all.stream()
                        .filter(l -> IF.contains(l.occasion()))
                        .sorted(Comparator.comparingInt(l -> IF.indexOf(l.occasion())))
                        .map(l -> new LettersPage.Choice(
                                address(here.withLetter(l.id())),
                                title(l, f),
                                Goes.of(l) == Goes.NOT ? f.text("letters.way.not") : "",
                                l.id().equals(letter.id())))
                        .toList(),
                chosen(typed, letter, catalogue, wrong, f));
    }

    private static List<LettersPage.Choice> offers(Typed here, Catalogue catalogue, Formats f) {
        List<LettersPage.Choice> offers = new ArrayList<>();
        offers.add(new LettersPage.Choice(
                address(here.withOffer("")),
                f.text("letters.allOffers"),
                "",
                here.offer().isEmpty()));
        catalogue.house().onSale().forEach(o -> {
            int own = catalogue
                    .extras()
                    .letters()
                    .offers()
                    .getOrDefault(o.id(), List.of())
                    .size();
            offers.add(new LettersPage.Choice(
                    address(here.withOffer(o.id().value())),
                    o.title(),
                    own == 0 ? "" : f.text("letters.own", own),
                    o.id().value().equals(here.offer())));
        });
        return offers;
    }

    private static List<LettersPage.Knot> line(Typed here, List<OwnLetter> all, OwnLetter chosen, Formats f) {
        List<LettersPage.Knot> line = new ArrayList<>();
        for (int i = 0; i < AT_ONCE.size(); i++) {
            Occasion occasion = AT_ONCE.get(i);
            int x = FIRST + i * APART;
            all.stream()
                    .filter(l -> l.occasion() == occasion)
                    .forEach(l -> line.add(knot(here, l, chosen, x, f.text("letters.at." + occasion.code()), f)));
        }
        spread(line, here, all, chosen, Occasion.BEFORE, BEFORE_FROM, BEFORE_TO, f);
        spread(line, here, all, chosen, Occasion.AFTER, AFTER_FROM, AFTER_TO, f);
        return line;
    }

    /** Those before or after a booking, in the order in which they go. */
    private static void spread(
            List<LettersPage.Knot> line,
            Typed here,
            List<OwnLetter> all,
            OwnLetter chosen,
            Occasion occasion,
            int from,
            int to,
            Formats f) {
        Comparator<OwnLetter> byTime = Comparator.comparingLong(OwnLetter::minutes);
        List<OwnLetter> timed = all.stream()
                .filter(l -> l.occasion() == occasion)
                .sorted(occasion == Occasion.BEFORE ? byTime.reversed() : byTime)
                .toList();
        for (int i = 0; i < timed.size(); i++) {
            int x = timed.size() == 1 ? (from + to) / 2 : from + (to - from) * i / (timed.size() - 1);
            OwnLetter letter = timed.get(i);
            line.add(knot(
                            here,
                            letter,
                            chosen,
                            x,
                            f.text("letters.at." + occasion.code(), Spans.said(letter.minutes(), f)),
                            f)
                    .at(letter.id().equals(chosen.id()) ? letter.minutes() / 60 : -1, occasion.code()));
        }
    }

    /** A letter with what was typed of when it goes, as far as it can be read. */
    static OwnLetter said(Typed typed, OwnLetter letter) {
        long minutes = typed.minutes() == null || !letter.occasion().isTimed()
                ? letter.minutes()
                : Spans.read(typed.minutes(), 60).orElse(letter.minutes());
        Goes goes = typed.goes() == null ? Goes.of(letter) : Goes.read(typed.goes());
        return new OwnLetter(
                letter.id(),
                letter.occasion(),
                minutes,
                goes.isOff(),
                goes.isText(),
                typed.to() == null ? letter.people() : typed.to().equals(PEOPLE),
                letter.wordings());
    }

    private static LettersPage.Knot knot(
            Typed here, OwnLetter letter, OwnLetter chosen, int x, String under, Formats f) {
        return new LettersPage.Knot(
                address(here.withLetter(letter.id())),
                x,
                title(letter, f),
                f.text("letters.way." + Goes.of(letter).code()),
                under,
                Goes.of(letter) == Goes.NOT,
                letter.id().equals(chosen.id()),
                -1,
                "");
    }

    static String title(OwnLetter letter, Formats f) {
        return letter.occasion().isTimed()
                ? f.text("letters.title." + letter.occasion().code(), Spans.said(letter.minutes(), f))
                : f.text("letters.title." + letter.occasion().code());
    }

    /** The words that stand in the fields: typed, kept, or ours. */
    Wording words(Typed typed, OwnLetter letter, Locale language) {
        Wording kept = letter.in(language).orElseGet(() -> rehearsal.ours(letter.occasion(), language));
        return new Wording(
                typed.subject() == null ? kept.subject() : typed.subject(),
                typed.text() == null ? kept.text() : typed.text(),
                typed.message() == null ? message(kept, letter, language) : typed.message());
    }

    /** What the text message says: where the house has not written it, what ours does. */
    private String message(Wording kept, OwnLetter letter, Locale language) {
        return kept.message().isEmpty()
                ? rehearsal.ours(letter.occasion(), language).message()
                : kept.message();
    }

    private LettersPage.Chosen chosen(
            Typed typed, OwnLetter letter, Catalogue catalogue, Map<String, String> wrong, Formats f) {
        Locale language = language(typed, catalogue);
        Wording words = words(typed, letter, language);
        Goes goes = Goes.of(letter);
        Field off = Field.select(
                        "goes",
                        f.text("letters.goes"),
                        Arrays.stream(Goes.values())
                                .map(g -> Field.Option.of(g.code(), f.text("letters.goes." + g.code())))
                                .toList())
                .value(goes.code());
        List<Clause> clauses = new ArrayList<>();
        if (letter.occasion().isTimed()) {
            Field minutes = Field.line("minutes", f.text("letters.minutes"), 40)
                    .value(typed.minutes() == null ? Spans.said(letter.minutes(), f) : typed.minutes())
                    .wrong(wrong.getOrDefault("minutes", ""));
            boolean before = letter.occasion() == Occasion.BEFORE;
            clauses.add((before
                            ? Clause.of("goes", f.text("letters.sentence.before"), off, to(letter, f), minutes)
                            : Clause.of("goes", f.text("letters.sentence.after"), off, minutes))
                    .with(ahead(letter, catalogue, typed, f)));
        } else {
            clauses.add(Clause.of("goes", f.text("letters.sentence"), off));
        }
        shown(typed, f).ifPresent(clauses::add);
        boolean own = !letter.wordings().isEmpty() || goes != Goes.MAIL;
        List<Field> fields = new ArrayList<>(List.of(
                Field.line("subject", f.text("letters.subject"), Typed.MOST_SUBJECT)
                        .value(words.subject())
                        .wrong(wrong.getOrDefault("subject", "")),
                Field.text("text", f.text("letters.text"), Typed.MOST_TEXT)
                        .with("rows", "12")
                        .value(words.text())
                        .wrong(wrong.getOrDefault("text", ""))));
        if (goes.isText()) {
            fields.add(Field.text("message", f.text("letters.message"), Typed.MOST_MESSAGE)
                    .with("rows", "4")
                    .value(words.message())
                    .help(f.text(texts.canSend() ? "letters.messageHelp" : "letters.noTexts"))
                    .wrong(wrong.getOrDefault("message", "")));
        }
        return new LettersPage.Chosen(
                title(letter, f),
                clauses,
                List.copyOf(fields),
                Languages.all().stream()
                        .map(l -> new LettersPage.Choice(
                                address(typed.withLetter(letter.id()).in(l.toLanguageTag())),
                                l.getDisplayLanguage(f.locale()),
                                letter.in(l).isPresent() ? f.text("letters.written") : "",
                                l.equals(language)))
                        .toList(),
                Tags.ALL.stream()
                        .map(t -> new LettersPage.Tag("{{" + t + "}}", f.text("letters.tag." + t)))
                        .toList(),
                own,
                letter.occasion().isTimed(),
                f.text(typed.offer().isEmpty() ? "letters.ours" : "letters.likeAll"),
                List.of(
                        Field.hidden("offer", typed.offer()),
                        Field.hidden("letter", letter.id()),
                        Field.hidden("language", language.toLanguageTag())),
                wrong.isEmpty() ? preview(typed, letter, words, language, f).orElse(null) : null);
    }

    private static Field to(OwnLetter letter, Formats f) {
        return Field.select(
                        "to",
                        f.text("letters.to"),
                        List.of(
                                Field.Option.of("guest", f.text("letters.toGuest")),
                                Field.Option.of(PEOPLE, f.text("letters.toPeople"))))
                .value(letter.people() ? PEOPLE : "guest");
    }

    private List<Note> ahead(OwnLetter letter, Catalogue catalogue, Typed typed, Formats f) {
        List<TimedLetters.Ahead> ahead = catalogue.house().onSale().stream()
                .filter(o -> typed.offer().isEmpty() || o.id().value().equals(typed.offer()))
                .flatMap(o -> timed.ahead(o.id(), letter, AHEAD).stream())
                .sorted(Comparator.comparingLong(TimedLetters.Ahead::at))
                .toList();
        if (letter.off() || ahead.isEmpty()) {
            return List.of();
        }
        TimedLetters.Ahead next = ahead.get(0);
        String guest =
                orders.byBooking(next.booking()).map(o -> o.contact().name()).orElse("");
        return List.of(Note.done(f.text("letters.ahead", ahead.size(), f.time(next.at()), guest)));
    }

    /** The booking that a letter is shown about: the chosen one, or the newest that stands, of the offer that is looked at. */
    Optional<Sample> sample(Typed typed) {
        List<Sample> all = samples(typed);
        return all.stream()
                .filter(s -> s.line().booking().value().equals(typed.booking()))
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private List<Sample> samples(Typed typed) {
        return orders.newest(LATELY).stream()
                .flatMap(o -> o.lines().stream().filter(OrderLine::stands).map(l -> new Sample(o, l)))
                .filter(s -> typed.offer().isEmpty() || s.line().offer().value().equals(typed.offer()))
                .toList();
    }

    /** As whom, and how, the letter is shown beside. */
    private Optional<Clause> shown(Typed typed, Formats f) {
        List<Sample> samples = samples(typed);
        return sample(typed)
                .map(chosen -> Clause.of(
                        "shown",
                        f.text("letters.shown"),
                        Field.select(
                                        "booking",
                                        f.text("letters.booking"),
                                        samples.stream()
                                                .limit(MOST_SAMPLES)
                                                .map(s -> Field.Option.of(
                                                        s.line().booking().value(),
                                                        s.order().contact().name() + ", "
                                                                + f.moment(s.line()
                                                                        .time()
                                                                        .startInstant())))
                                                .toList())
                                .value(chosen.line().booking().value()),
                        Field.select(
                                        "view",
                                        f.text("letters.view"),
                                        VIEWS.stream()
                                                .map(v -> Field.Option.of(v, f.text("letters.view." + v)))
                                                .toList())
                                .value(VIEWS.contains(typed.view()) ? typed.view() : VIEWS.get(0))));
    }

    record Sample(Order order, OrderLine line) {}

    private Optional<LettersPage.Preview> preview(
            Typed typed, OwnLetter letter, Wording words, Locale language, Formats f) {
        return sample(typed).map(s -> {
            Written written = rehearsal.as(s.order(), s.line(), letter.occasion(), words, language);
            return new LettersPage.Preview(
                    f.text(
                            "letters.asGuest",
                            s.order().contact().name(),
                            f.dayAndTimes(s.line().time())),
                    written.subject(),
                    // By night it is shown as the mail program of somebody who reads then shows it.
                    typed.view().equals("dark")
                            ? written.html().replace("@media (prefers-color-scheme:dark)", "@media all")
                            : written.html(),
                    typed.view().equals("narrow"),
                    written.text(),
                    letter.texts() ? message(s, words.message(), language, f) : null);
        });
    }

    private LettersPage.Message message(Sample sample, String words, Locale language, Formats f) {
        String text = rehearsal.message(sample.order(), sample.line(), words, language);
        TextParts parts = TextParts.of(text);
        return new LettersPage.Message(text, f.text("letters.parts", parts.count(), parts.characters(), parts.most()));
    }

    /** A letter as JSON, as a document keeps it. */
    static ObjectNode json(OwnLetter letter) {
        ObjectNode json = Sort.JSON.objectNode();
        json.put("id", letter.id());
        json.put("occasion", letter.occasion().code());
        if (letter.occasion().isTimed()) {
            json.put("minutes", letter.minutes());
        }
        if (letter.off()) {
            json.put("off", true);
        }
        if (letter.texts()) {
            json.put("texts", true);
        }
        if (letter.people()) {
            json.put("to", PEOPLE);
        }
        letter.wordings().forEach((language, words) -> json.set(language.toLanguageTag(), json(words)));
        return json;
    }

    private static ObjectNode json(Wording words) {
        ObjectNode json = Sort.JSON.objectNode().put("subject", words.subject()).put("text", words.text());
        return words.message().isEmpty() ? json : json.put("message", words.message());
    }
}
