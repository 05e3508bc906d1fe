package gastfreund.app.letters;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.TextParts;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.Tags;
import gastfreund.app.wording.Wording;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Writes letters about orders when they go out, from what they say. */
@Component
class LetterTexts implements LetterWriting {

    private static final int MOST_SUBJECT = 200;
    private static final String REASON = "{{reason}}";

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;
    private final LetterCalendar calendars;

    LetterTexts(
            CatalogueService catalogues,
            Speech speech,
            LetterWriter writer,
            Address address,
            LetterCalendar calendars) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
        this.calendars = calendars;
    }

    /** All but those of other rooms, which say so themselves by a dot in their kind. */
    @Override
    public boolean writes(String kind) {
        return kind.indexOf('.') < 0;
    }

    @Override
    public Written write(Letter letter) {
        Facts facts = Facts.of(letter.facts());
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        if (letter.isText()) {
            return textMessage(letter.kind(), facts, f);
        }
        Optional<Wording> own = own(letter.kind(), facts, f);
        if (own.isPresent()) {
            return written(own.get(), letter.kind(), facts, f);
        }
        return switch (letter.kind()) {
            case "confirmation" -> written(
                    "confirmation", confirmed(facts, f), model(facts, f), f, calendars.of("confirmation", facts, f));
            case "issued" -> written(
                    "issued",
                    f.text("letter.issued.subject", facts.issued().get(0).title()),
                    model(facts, f),
                    f,
                    null);
            case "too-late" -> written(
                    "too-late",
                    f.text("letter.too-late.subject", f.money(Money.ofMinor(facts.back()))),
                    model(facts, f),
                    f,
                    null);
            default -> letter.kind().startsWith("host")
                    ? toHost(letter.kind(), facts, f)
                    : note(letter.kind(), facts, f);
        };
    }

    /** The letter in the house's own words; before and after bookings, where it has none, in ours with the same tags. */
    private Optional<Wording> own(String kind, Facts facts, Formats f) {
        return Occasions.of(kind).flatMap(occasion -> Occasions.letter(
                        catalogues.catalogue().extras().letters(), occasion, facts)
                .flatMap(l -> l.in(f.locale()))
                .or(() -> occasion.isTimed() ? Optional.of(ours(occasion, f)) : Optional.empty()));
    }

    /** Our own words for an occasion, with tags: those of a letter that is not timed are built from what it begins with. */
    Wording ours(Occasion occasion, Formats f) {
        if (occasion.isTimed()) {
            return new Wording(
                    ours("letter." + occasion.code() + ".subject", f),
                    ours("letter." + occasion.code() + ".text", f),
                    ourMessage(occasion, f));
        }
        String kind = Occasions.kind(occasion);
        boolean plain = occasion == Occasion.CONFIRMED || occasion == Occasion.ISSUED;
        String subject = occasion == Occasion.CONFIRMED
                ? f.text("letter.confirmation.subject", "{{offer}}", "{{when}}")
                : f.text("letter." + kind + ".subject", "{{offer}}");
        String intro = plain ? f.text("letter.own.intro") : f.text("letter." + kind + ".intro");
        return new Wording(subject, ours("letter.own.text", f).replace("{{intro}}", intro), ourMessage(occasion, f));
    }

    private static String ourMessage(Occasion occasion, Formats f) {
        return ours("letter.message." + occasion.code(), f);
    }

    /** A text message, in the house's words or in ours. */
    private Written textMessage(String kind, Facts facts, Formats f) {
        Occasion occasion = Occasions.of(kind).orElseThrow();
        String words = Occasions.letter(catalogues.catalogue().extras().letters(), occasion, facts)
                .flatMap(l -> l.in(f.locale()))
                .map(Wording::message)
                .filter(m -> !m.isEmpty())
                .orElseGet(() -> ourMessage(occasion, f));
        return new Written("", message(words, facts, f), "", null);
    }

    /** Some words as a text message about an order. */
    String message(String words, Facts facts, Formats f) {
        String house = catalogues.in(f.locale()).house().name();
        return TextParts.plain(Tags.filled(words, TagValues.of(facts, page(facts), house, f)))
                .strip();
    }

    /** Our own words with tags. In bundles, where braces are places for arguments, tags stand in square brackets. */
    private static String ours(String key, Formats f) {
        return f.text(key).replace("[", "{{").replace("]", "}}");
    }

    Written written(Wording own, String kind, Facts facts, Formats f) {
        String house = catalogues.in(f.locale()).house().name();
        Map<String, String> values = TagValues.of(facts, page(facts), house, f);
        Map<String, Object> model = model(facts, f);
        // What a host says of it is said, also where the house's own words have no place for it.
        boolean says = !facts.why().isEmpty() && !own.text().contains(REASON);
        String text = Tags.filled(says ? own.text().strip() + "\n\n" + REASON : own.text(), values);
        model.put("pieces", OwnText.pieces(text, address.inLetters("")));
        model.put("toPage", toPage(kind, f));
        boolean afterwards = kind.equals(Occasion.AFTER.code());
        String unsubscribe = afterwards ? page(facts) + "/letters" : "";
        model.put("unsubscribe", unsubscribe);
        String words = f.text("letter.unsubscribe");
        model.put("unsubscribeWords", words);
        return new Written(
                line(Tags.filled(own.subject(), values)),
                text.strip() + "\n" + (afterwards ? "\n" + words + "\n" + unsubscribe + "\n" : ""),
                writer.html("own", f.locale(), model),
                calendars.of(kind, facts, f),
                unsubscribe);
    }

    private static String line(String subject) {
        return gastfreund.app.typed.Written.line(subject, MOST_SUBJECT);
    }

    private String confirmed(Facts facts, Formats f) {
        if (facts.rows().size() > 1) {
            String house = catalogues.in(f.locale()).house().name();
            return f.text("letter.confirmation.subjects", facts.rows().size(), house);
        }
        Facts.Row only = facts.rows().get(0);
        return f.text("letter.confirmation.subject", only.title(), only.when(f));
    }

    /** Subjects say nothing that a guest wrote: they stand in lists and notices where nobody expects a stranger's words. */
    private Written toHost(String kind, Facts facts, Formats f) {
        Map<String, Object> model = model(facts, f);
        String title = facts.issued().isEmpty() ? "" : facts.issued().get(0).title();
        model.put("intro", f.text("letter." + kind + ".intro", facts.guest(), title));
        return written(
                "host",
                f.text("letter." + kind + ".subject", Long.toString(facts.number())),
                model,
                f,
                calendars.of(kind, facts, f));
    }

    private Written note(String kind, Facts facts, Formats f) {
        Map<String, Object> model = model(facts, f);
        model.put(
                "intro",
                kind.equals("address")
                        ? f.text("letter.address.intro", Long.toString(facts.number()))
                        : f.text("letter." + kind + (isBySomebody(kind, facts) ? ".introBy" : ".intro")));
        model.put("money", money(kind, facts, f));
        if (kind.equals("prove")) {
            model.put("button", f.text("letter.prove.button"));
            model.put("buttonTo", address.inLetters(facts.prove()));
        } else if (!facts.token().isEmpty() || facts.page() != null) {
            model.put("button", toPage(kind, f));
            model.put("buttonTo", page(facts));
        }
        if (kind.equals("transfer") && !facts.prove().isEmpty()) {
            model.put("second", f.text("letter.transfer.prove"));
            model.put("secondTo", address.inLetters(facts.prove()));
        }
        return written(
                "note", f.text("letter." + kind + ".subject", facts.what()), model, f, calendars.of(kind, facts, f));
    }

    /** Whether an invitation says by whom it is. */
    private static boolean isBySomebody(String kind, Facts facts) {
        return kind.equals(CompanionLetters.INVITED) && !facts.why().isEmpty();
    }

    /** What is written on the button that leads to the page. */
    private static String toPage(String kind, Formats f) {
        return f.text(Occasions.of(kind).orElse(null) == Occasion.PLACE_FREE ? "letter.toPlace" : "letter.toPage");
    }

    /** What is said of money, or of the time until which something is kept; empty: nothing is. */
    private static String money(String kind, Facts facts, Formats f) {
        Long until = facts.until();
        if (until != null) {
            return f.text("letter.place-free.until", f.moment(Instant.ofEpochSecond(until)));
        }
        Facts.Transfer transfer = facts.transfer();
        if (transfer != null) {
            return f.text(
                    "letter.transfer.how",
                    f.money(Money.ofMinor(transfer.amount())),
                    transfer.holder(),
                    transfer.iban(),
                    transfer.reference(),
                    f.shortDay(LocalDate.parse(transfer.until())));
        }
        Occasion occasion = Occasions.of(kind).orElse(null);
        if (occasion == Occasion.BALANCE || occasion == Occasion.BALANCE_AGAIN) {
            Money left = Money.sum(facts.rows().stream().map(Facts.Row::left).toList());
            return f.text("letter.left", f.money(left.isPositive() ? left : Money.ofMinor(facts.open())));
        }
        return facts.back() > 0 ? f.text("letter.back", f.money(Money.ofMinor(facts.back()))) : "";
    }

    private Written written(
            String template, String subject, Map<String, Object> model, Formats f, @Nullable String calendar) {
        LetterWriter.Parts parts = writer.write(template, f.locale(), model);
        return new Written(subject, parts.text(), parts.html(), calendar);
    }

    private Map<String, Object> model(Facts facts, Formats f) {
        Map<String, Object> model = new HashMap<>();
        model.put("facts", facts);
        model.put("f", f);
        model.put("paid", f.money(Money.ofMinor(facts.paid())));
        model.put("open", facts.open() > 0 ? f.money(Money.ofMinor(facts.open())) : "");
        model.put("later", facts.later() > 0 ? f.money(Money.ofMinor(facts.later())) : "");
        model.put("back", f.money(Money.ofMinor(facts.back())));
        model.put("houseName", catalogues.in(f.locale()).house().name());
        model.put("page", page(facts));
        model.put("desk", address.inLetters("/desk/orders/" + facts.number()));
        model.put("codes", address.inLetters("/codes/"));
        return model;
    }

    /** The guest's page; for whoever may not have its link, the order at the desk. */
    private String page(Facts facts) {
        if (facts.page() != null) {
            return address.inLetters(facts.page());
        }
        return address.inLetters(
                facts.token().isEmpty() ? "/desk/orders/" + facts.number() : "/bookings/" + facts.token());
    }
}
