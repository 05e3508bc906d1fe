package gastfreund.app.housedesk;

import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Part;
import gastfreund.app.extras.Manners;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Field;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The sentences of the house's sheet, tab by tab. */
final class HouseParts {

    static final List<String> TABS = List.of("about", "look", "booking", "texts", "papers", "speech");

    private HouseParts() {}

    /** @param sold whether something was sold, so that amounts have a currency for good */
    static List<Part> of(String tab, Asking ask, boolean sold) {
        return switch (tab) {
            case "look" -> look(ask);
            case "booking" -> booking(ask);
            case "texts" -> texts(ask);
            case "papers" -> papers(ask);
            case "speech" -> speech(ask, sold);
            default -> about(ask);
        };
    }

    private static List<Part> about(Asking ask) {
        return List.of(
                Part.of("who")
                        .withFields(List.of(
                                ask.line("name"),
                                ask.line("extra/shortName").help(ask.f().text("sheet.shortNameHelp")),
                                ask.text("extra/summary")
                                        .label(ask.f().text("sheet.inShort"))
                                        .help(ask.f().text("sheet.summaryHelp")),
                                ask.text("extra/about")
                                        .with("rows", "7")
                                        .help(ask.f().text("sheet.formatted")))),
                Part.of("contact")
                        .titled(ask.f().text("sheet.contact"))
                        .withFields(List.of(
                                ask.line("extra/email").label(ask.f().text("sheet.email")),
                                ask.line("extra/phone"),
                                ask.text("extra/address"),
                                ask.line("extra/pictureText").help(ask.f().text("sheet.pictureTextHelp")))));
    }

    private static List<Part> look(Asking ask) {
        return List.of(
                Part.of(
                        "colours",
                        ask.clause(
                                "colour-",
                                "sheet.colour",
                                ask.line("extra/look/colour").with("type", "color"))),
                Part.of(
                        "fonts",
                        ask.clause("font-", "sheet.font", ask.word("extra/look/font", "house", "plain", "book"))));
    }

    private static List<Part> booking(Asking ask) {
        Formats f = ask.f();
        return List.of(
                Part.of(
                                "opening",
                                ask.clause(
                                        "opening-",
                                        "sheet.opening",
                                        ask.word("extra/opening", "everybody", "hosts", "nobody")))
                        .withFields(List.of(ask.text("extra/closedWords").help(f.text("sheet.closedWordsHelp")))),
                Part.of(
                        "waits",
                        ask.clause("hold-", "sheet.hold", ask.number("extra/waits/holdMinutes")),
                        ask.clause("answer-", "sheet.answer", ask.number("extra/waits/answerHours")),
                        ask.clause("wish-", "sheet.wish", ask.number("extra/waits/wishMinutes"))),
                Part.of(
                                "checkout",
                                ask.clause(
                                        "asks-",
                                        "sheet.asks",
                                        ask.word("extra/checkout/company", "no", "optional", "required"),
                                        ask.word("extra/checkout/address", "no", "optional", "required")),
                                ask.clause(
                                        "accounts-",
                                        "sheet.accounts",
                                        ask.word("extra/checkout/accounts", "none", "offered", "required")))
                        .withTicks(List.of(
                                ask.tick("extra/checkout/straight", f.text("sheet.straight")),
                                ask.tick("extra/checkout/confirmByMail", f.text("sheet.confirmByMail")))),
                Part.of("sites")
                        .titled(f.text("sharing.sites"))
                        .withFields(List.of(ask.text("extra/sites").help(f.text("sharing.sitesHelp")))),
                Part.of(
                                "calls",
                                ask.clause(
                                        "calls-",
                                        "sheet.calls",
                                        ask.line("extra/calls/offers").with("placeholder", f.text("layout.offers")),
                                        ask.line("extra/calls/people").with("placeholder", f.text("layout.people")),
                                        ask.line("extra/calls/places").with("placeholder", f.text("layout.places"))))
                        .titled(f.text("sheet.callsTitle")));
    }

    private static List<Part> texts(Asking ask) {
        List<Part> parts = new ArrayList<>();
        for (JsonNode text : ask.json().path("extra").path("checkout").path("texts")) {
            String member = "extra/checkout/texts/" + text.path("id").stringValue("");
            parts.add(Part.of(
                            member,
                            ask.clause(member, "sheet.text", ask.line(member + "/title"))
                                    .removed(member)
                                    .moved())
                    .withTicks(List.of(ask.tick(member + "/agree", ask.f().text("sheet.agree"))))
                    .withFields(List.of(ask.text(member + "/wording").with("rows", "8"))));
        }
        parts.add(Part.list(
                        "more-texts", List.of(), "extra/checkout/texts", ask.f().text("sheet.addText"))
                .titled(parts.isEmpty() ? ask.f().text("sheet.noTexts") : ""));
        return parts;
    }

    private static List<Part> papers(Asking ask) {
        return List.of(
                Part.of("legal")
                        .titled(ask.f().text("sheet.legal"))
                        .withFields(List.of(
                                ask.line("extra/legal/name"),
                                ask.text("extra/legal/address"),
                                ask.line("extra/legal/taxNumber").help(ask.f().text("sheet.taxNumberHelp")))),
                Part.of(
                                "keeping",
                                ask.clause(
                                        "keeping-",
                                        "sheet.keeping",
                                        ask.number("extra/keeping/guestMonths"),
                                        ask.number("extra/keeping/documentYears")),
                                ask.clause("backups-", "sheet.backups", ask.number("extra/keeping/backupDays")))
                        .titled(ask.f().text("sheet.keepingTitle")),
                Part.of(
                                "quiet",
                                ask.clause(
                                        "quiet-",
                                        "sheet.quiet",
                                        ask.number("extra/quiet/from"),
                                        ask.number("extra/quiet/to")))
                        .titled(ask.f().text("sheet.mails"))
                        .withTicks(List.of(ask.tick("extra/quietMails", ask.f().text("sheet.quietMails"))))
                        .withFields(List.of(
                                ask.line("extra/mails/sender").help(ask.f().text("sheet.senderHelp")),
                                ask.line("extra/mails/reply").help(ask.f().text("sheet.replyHelp")),
                                ask.text("extra/mails/foot").help(ask.f().text("sheet.footHelp")))));
    }

    private static List<Part> speech(Asking ask, boolean sold) {
        Formats f = ask.f();
        List<String> spoken = HouseInputs.languages(ask.json());
        List<Field.Option> languages = Languages.all().stream()
                .map(l -> Field.Option.of(l.toLanguageTag(), l.getDisplayLanguage(f.locale())))
                .toList();
        Field first = Field.select(HouseInputs.FIRST, f.text("member.extra.languages"), languages)
                .value(spoken.get(0));
        List<Field> others = languages.stream()
                .filter(l -> !l.value().equals(spoken.get(0)))
                .map(l -> Field.tick(HouseInputs.OTHERS + l.value(), l.label(), spoken.contains(l.value())))
                .toList();
        List<Part> parts = new ArrayList<>();
        parts.add(Part.of("languages", ask.clause("languages-", "sheet.languages", first))
                .withTicks(others));
        parts.add(Part.of(
                "time",
                ask.clause(
                        "clock-",
                        "sheet.clock",
                        ask.word("extra/clock", "24", "12"),
                        ask.word("extra/week", "mon", "sun", "sat")),
                ask.clause("zone-", "sheet.zone", ask.one("zone", zones(ask.json())))));
        Field country = ask.one("extra/country", countries(f));
        parts.add(Part.of(
                "country",
                sold
                        ? ask.clause("country-", "sheet.country", country)
                        : ask.clause("country-", "sheet.countryCurrency", country, ask.one("currency", currencies()))));
        return parts;
    }

    private static List<Field.Option> zones(JsonNode house) {
        return Stream.concat(
                        Stream.of(house.path("zone").stringValue("")),
                        ZoneId.getAvailableZoneIds().stream()
                                .filter(z -> z.contains("/") && !z.startsWith("Etc/") && !z.startsWith("SystemV/")))
                .distinct()
                .sorted()
                .map(z -> Field.Option.of(z, z.replace('_', ' ')))
                .toList();
    }

    private static List<Field.Option> countries(Formats f) {
        return Stream.concat(
                        Stream.of(Field.Option.of("", "–")),
                        Manners.countries().stream()
                                .map(c -> Field.Option.of(
                                        c,
                                        new Locale.Builder()
                                                .setRegion(c)
                                                .build()
                                                .getDisplayCountry(f.locale())))
                                .sorted(Comparator.comparing(Field.Option::label)))
                .toList();
    }

    private static List<Field.Option> currencies() {
        return Currency.getAvailableCurrencies().stream()
                .map(Currency::getCurrencyCode)
                .sorted()
                .map(c -> Field.Option.of(c, c))
                .toList();
    }
}
