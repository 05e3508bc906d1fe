package gastfreund.app;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.Tags;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Texts: a bundle for each package, both languages alike, and no key that is asked for and is not there. */
class BundlesTest {

    private static final Path TEXTS = Path.of("src/main/resources/texts");
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Path SOURCES = Path.of("src/main/java/gastfreund/app");

    private static final Pattern ASKED = Pattern.compile("(?:#\\{|msg\\(')([a-z][a-zA-Z0-9.-]*[a-zA-Z0-9])(?=[('}])");
    private static final Pattern QUOTED = Pattern.compile("['\"{]([a-z][a-zA-Z0-9.-]*[a-zA-Z0-9])['\"}]");
    private static final Pattern JOINED = Pattern.compile("['\"]([a-z][a-zA-Z.-]*\\.)['\"]\\s*\\+");

    /** What is joined to the beginnings of keys, wherever templates and sources do that. */
    private static final Map<String, Set<String>> ENDINGS = new TreeMap<>();

    static {
        Set<String> parts = Set.of("letters", "gateways", "calendars", "backup", "webhooks", "rounds", "disk");
        Set<String> states = Set.of("good", "late", "stuck", "off");
        List.of("part.", "good.", "bad.", "off.").forEach(of -> ENDINGS.put("running." + of, parts));
        ENDINGS.put("running.state.", states);
        ENDINGS.put("running.all.", Set.of("good", "late", "stuck"));
        ENDINGS.put("lists.money.", Set.of("open", "paid"));
        ENDINGS.put("byhand.source.", Set.of("telephone", "walk-in", "mail", "desk"));
        ENDINGS.put("byhand.way.", Set.of("later", "cash", "terminal", "link"));
        ENDINGS.put("board.state.", Set.of("requested", "held", "unpaid", "clashing"));
        ENDINGS.put("status.", codes("gastfreund.core.bookings.BookingStatus"));
        Set<String> steps = new TreeSet<>(codes("gastfreund.core.bookings.BookingStatus"));
        steps.addAll(codes("gastfreund.core.orders.PaymentState"));
        steps.addAll(codes("gastfreund.app.orders.OrderStatus"));
        ENDINGS.put("step.", steps);
        ENDINGS.put("word.", words());
        ENDINGS.put("word.days.", Set.of("mon", "tue", "wed", "thu", "fri", "sat", "sun"));
        ENDINGS.put("start.field.", Set.of("title", "minutes", "price", "party", "week"));
        ENDINGS.put("word.listing.", Set.of("listed", "link", "off"));
        ENDINGS.put("offers.tab.", Set.of("dates", "sold", "what", "money", "questions"));
        ENDINGS.put("offers.happens.", Set.of("time", "things", "shared", "dates"));
        ENDINGS.put("offers.happensAside.", Set.of("time", "things", "shared", "dates"));
        Set<String> occasions =
                Arrays.stream(Occasion.values()).map(Occasion::code).collect(Collectors.toSet());
        ENDINGS.put("letters.title.", occasions);
        ENDINGS.put("letters.at.", Set.of("confirmed", "answered", "balance", "before", "after"));
        ENDINGS.put("letters.sentence.", Set.of("before", "after"));
        ENDINGS.put("letters.tag.", Set.copyOf(Tags.ALL));
        ENDINGS.put("letters.said.", Set.of("kept", "reset", "removed", "added"));
        ENDINGS.put("offer.other.", Set.of("staff", "place", "length", "party", "day"));
        ENDINGS.put("account.changed.", codes("gastfreund.app.accounts.AccountLetters$Change"));
        ENDINGS.put("wish.state.", Set.of("waiting", "offered", "taken", "lapsed", "left", "over"));
        ENDINGS.put("figures.kind.", Set.of("staff", "resource", "offer"));
        ENDINGS.put("figures.head.", Set.of("week", "earned", "before", "back", "owed", "bookings"));
        ENDINGS.put("figures.when.", Set.of("same-day", "weekday", "saturday", "sunday", "any"));
        ENDINGS.put(
                "figures.why.",
                Set.of(
                        "nothing",
                        "past",
                        "notice",
                        "horizon",
                        "season",
                        "closed",
                        "hours",
                        "busy",
                        "full",
                        "day-limit",
                        "day-minutes",
                        "staff-day-limit",
                        "seats",
                        "fill"));
        ENDINGS.put(
                "adviser.part.",
                Stream.of("taxes", "payments", "vouchers", "documents")
                        .flatMap(p -> Stream.of(p, p + ".none"))
                        .collect(Collectors.toSet()));
        ENDINGS.put("arrivals.column.", codes("gastfreund.app.arrivals.Column"));
        ENDINGS.put(
                "arrivals.said.", Set.of("taken", "undone", "not-undone", "removed", "changed", "no-file", "no-table"));
        ENDINGS.put(
                "arrivals.wrong.",
                Set.of(
                        "noName", "email", "noWay", "known", "noOffer", "offer", "start", "length", "party", "money",
                        "staff", "place", "paid", "again", "never"));
        ENDINGS.put("webhooks.subject.", Set.of("booking", "order", "payment", "openings"));
        ENDINGS.put("webhooks.said.", Set.of("made", "removed", "on", "test", "again"));
        ENDINGS.put("webhooks.state.", Set.of("waiting", "there", "lost"));
        ENDINGS.put("webhooks.paused.", Set.of("failing", "gone"));
        ENDINGS.put("webhooks.answer.", Set.of("private", "unknown-host", "slow", "unreachable"));
        ENDINGS.put("programs.scope.", codes("gastfreund.app.programs.Scope"));
        ENDINGS.put("programs.may.", codes("gastfreund.app.programs.Scope"));
        ENDINGS.put("problem.title.", codes("gastfreund.app.programs.Refused$Why"));
        ENDINGS.put("problem.help.", codes("gastfreund.app.programs.Refused$Why"));
        ENDINGS.put("problem.status.", Set.of("400", "403", "404", "405", "406", "413", "415", "429", "other"));
        ENDINGS.put("adviser.kind.", Set.of("receipt", "credit-note"));
        ENDINGS.put(
                "adviser.head.",
                Set.of(
                        "rate", "net", "tax", "gross", "way", "in", "out", "left", "what", "count", "amount", "number",
                        "date", "kind", "order"));
        ENDINGS.put("figures.lead.", Set.of("0", "1", "2", "3", "4", "5"));
        ENDINGS.put(
                "figures.group.",
                Stream.of("lead", "party", "length", "addOns", "fallen", "again", "codes", "prepaid")
                        .flatMap(g -> Stream.of(g, g + ".help", g + ".none"))
                        .collect(Collectors.toSet()));
        ENDINGS.put("agenda.view.", Set.of("day", "week", "month"));
        ENDINGS.put("agenda.why.", Set.of("taken", "price", "moment", "share", "stock"));
        ENDINGS.put("sharing.as.", Set.of("inline", "button", "link"));
        ENDINGS.put("sharing.asHelp.", Set.of("inline", "button", "link"));
        ENDINGS.put("sharing.view.", Set.of("agenda", "mine", "wide", "narrow", "dark", "plain"));
        ENDINGS.put("sharing.without.", Set.of("usual", "picture", "text", "picture-text"));
        ENDINGS.put("sharing.font.", Set.of("usual", "house", "page"));
        ENDINGS.put("sharing.ground.", Set.of("usual", "house", "none"));
        ENDINGS.put("sharing.corners.", Set.of("usual", "round", "small", "none"));
        for (String one : List.of("party", "length", "staff", "place", "lang", "look")) {
            ENDINGS.put("sharing." + one + ".", Set.of("usual"));
        }
        ENDINGS.put(
                "sharing.said.",
                Set.of("sent", "no-mail", "look-kept", "look-gone", "no-name", "no-more", "sites", "no-site"));
        ENDINGS.put("picture.wrong.", Set.of("none", "unreadable", "too-large", "undrawable"));
        ENDINGS.put("journal.", Set.of("order", "booking", "payment"));
        ENDINGS.put("journal.by.", Set.of("guest", "house", "gateway"));
        ENDINGS.put("document.", codes("gastfreund.app.documents.Document$Kind"));
        ENDINGS.put("role.", codes("gastfreund.app.hosts.Role"));
        ENDINGS.put("signIns.", codes("gastfreund.app.hosts.SignIn$What"));
        ENDINGS.put("letter.message.", occasions);
        ENDINGS.put("letters.goes.", codes("gastfreund.app.letterdesk.Goes"));
        ENDINGS.put("letters.view.", Set.of("wide", "narrow", "dark"));
        ENDINGS.put("letters.way.", codes("gastfreund.app.letterdesk.Goes"));
        ENDINGS.put("order.letter.", Set.of("refused", "bounced"));
        ENDINGS.put(
                "guests.goes.", Set.of("orders", "answers", "messages", "letters", "notes", "bookings", "documents"));
        ENDINGS.put("statements.column.", Set.of("date", "amount", "name", "words", "nothing"));
        ENDINGS.put("series.why.", Set.of("taken", "price", "moment", "share", "stock"));
        ENDINGS.put("several.unit.", Set.of("minutes", "hours", "days", "weeks"));
        ENDINGS.put("lists.title.", Set.of("orders", "payments"));
        ENDINGS.put("lists.", Set.of("csv", "xlsx", "pdf"));
        ENDINGS.put(
                "lists.col.",
                Set.of(
                        "order",
                        "placed",
                        "guest",
                        "mail",
                        "telephone",
                        "company",
                        "what",
                        "state",
                        "source",
                        "total",
                        "paid",
                        "open",
                        "begun",
                        "way",
                        "reference",
                        "when",
                        "people",
                        "with",
                        "place",
                        "addons",
                        "notes",
                        "tags",
                        "bookings",
                        "next",
                        "last",
                        "amount",
                        "received",
                        "back"));
        ENDINGS.put("blocked.", Set.of("from", "to"));
        ENDINGS.put("waits.part.", Set.of("lost", "owing", "overdue"));
        ENDINGS.put("till.kind.", Set.of("taken", "given", "change", "handed", "counted"));
        ENDINGS.put(
                "till.",
                Stream.of("count", "hand-over", "change")
                        .flatMap(d -> Stream.of("", ".amount", ".words", ".go", ".help")
                                .filter(e -> !(d + e).equals("change.words"))
                                .map(e -> d + e))
                        .collect(Collectors.toSet()));
        ENDINGS.put("desk.came.", Set.of("not", "came", "late"));
        ENDINGS.put("desk.letter.", Set.of("waiting", "tried", "refused", "bounced"));
        ENDINGS.put("sent.state.", Set.of("sent", "waiting", "later", "tried", "refused", "bounced"));
        ENDINGS.put("trouble.", Set.of("refused", "bounced", "calendar", "subject", "intro", "foot"));
        ENDINGS.put(
                "busytimes.error.",
                Set.of(
                        "no-address",
                        "no-file",
                        "enough",
                        "private",
                        "unknown-host",
                        "unreachable",
                        "slow",
                        "redirects",
                        "status",
                        "too-large",
                        "too-many",
                        "no-calendar",
                        "fault"));
        ENDINGS.put("stuck.", codes("gastfreund.app.rounds.Kind"));
        ENDINGS.put("way.mode.", codes("gastfreund.app.payments.GatewayAccount$Mode"));
        ENDINGS.put("way.switch.", codes("gastfreund.app.payments.GatewayAccount$Mode"));
        ENDINGS.put("way.", Set.of("card", "wallet", "transfer", "on.practice", "on.live", "off.practice", "off.live"));
        Set<String> keys = Set.of("url", "key", "secret", "holder", "iban", "bank", "days");
        ENDINGS.put("way.key.", keys);
        ENDINGS.put("way.help.", keys);
        ENDINGS.put(
                "gateway.",
                Set.of(
                        "practice-card",
                        "card",
                        "practice-wallet",
                        "wallet",
                        "practice-transfer",
                        "transfer",
                        "voucher",
                        "elsewhere",
                        "on-the-spot",
                        "cash",
                        "terminal"));
        ENDINGS.put("part.", Set.of("morning", "afternoon", "evening"));
        ENDINGS.put("offer.gone.", Set.of("taken", "moment", "price", "share", "stock"));
        ENDINGS.put("letter.", letters());
        ENDINGS.put(
                "effect.why.",
                Set.of(
                        "hours",
                        "closed",
                        "notice",
                        "horizon",
                        "season",
                        "busy",
                        "full",
                        "day-limit",
                        "day-minutes",
                        "staff-day-limit",
                        "seats",
                        "past"));
        ENDINGS.put("hours.group.", Set.of("house", "places", "staff", "resources", "offers"));
        Set<String> household = Set.of("staff", "resources", "places");
        ENDINGS.put("household.help.", household);
        ENDINGS.put("household.add.", household);
        ENDINGS.put("household.kind.", Set.of("onsite", "online", "phone", "guest"));
        ENDINGS.put("member.", members());
        Set<String> sale = Set.of("goods", "vouchers", "passes");
        ENDINGS.put("sale.add.", sale);
        ENDINGS.put("sale.none.", sale);
        ENDINGS.put("sale.new.", Set.of("good", "voucher", "pass"));
        ENDINGS.put(
                "sheet.tab.",
                Set.of("about", "look", "booking", "texts", "papers", "speech", "goods", "vouchers", "passes"));
        ENDINGS.put("sheet.picture.", Set.of("logo", "picture"));
        Set<String> files = Set.of("house", "offers", "codes");
        ENDINGS.put("files.", files);
        ENDINGS.put("files.help.", files);
        ENDINGS.put("word.tone.", Set.of("clay", "moss", "saffron", "slate", "plum", "sea"));
        ENDINGS.put("cause.", codes("gastfreund.app.journal.Cause"));
    }

    /** Those members of documents that have a name in sentences; the others are called as in the house file. */
    private static Set<String> members() {
        return Set.of(
                "addOns.",
                "agree",
                "amounts",
                "answerHours",
                "wishMinutes",
                "at",
                "basis",
                "by",
                "calls.offers",
                "calls.people",
                "calls.places",
                "checkout.address",
                "checkout.texts",
                "colour",
                "company",
                "confirm",
                "confirmByMail",
                "contested",
                "currency",
                "date",
                "daysBefore",
                "deposit",
                "documentYears",
                "each",
                "every",
                "extra.about",
                "extra.address",
                "extra.agreement",
                "extra.button",
                "extra.calls",
                "extra.category",
                "extra.clock",
                "extra.closedWords",
                "extra.country",
                "extra.directions",
                "extra.email",
                "extra.freeKm",
                "extra.from",
                "extra.goods",
                "extra.included",
                "extra.km",
                "extra.languages",
                "extra.link",
                "extra.listing",
                "extra.logo",
                "extra.meeting",
                "extra.notes",
                "extra.offers",
                "extra.opening",
                "extra.ownHours",
                "extra.passes",
                "extra.perKm",
                "extra.phone",
                "extra.picture",
                "extra.pictureAt",
                "extra.pictureText",
                "extra.pictures",
                "extra.questions",
                "extra.shortName",
                "extra.sign",
                "extra.summary",
                "extra.tags",
                "extra.text",
                "extra.tone",
                "extra.venueWords",
                "extra.vouchers",
                "extra.week",
                "extra.words",
                "fill",
                "font",
                "free.max",
                "free.min",
                "from",
                "guestMonths",
                "handover",
                "help",
                "holdMinutes",
                "horizonDays",
                "hoursBefore",
                "hoursBeforeAtLeast",
                "hoursBeforeLessThan",
                "how",
                "included",
                "keep",
                "kind",
                "label",
                "legal.address",
                "legal.name",
                "legal.taxNumber",
                "length",
                "lengths.",
                "max",
                "maxPerDay",
                "maxUses",
                "min",
                "minSubtotal",
                "minutes",
                "minutesPerDay",
                "mode",
                "months",
                "most",
                "name",
                "notice",
                "offers",
                "offset",
                "options",
                "party.max",
                "party.min",
                "partyAtLeast",
                "partyLessThan",
                "per",
                "perDay",
                "perGuest",
                "pictureText",
                "place",
                "places",
                "prep",
                "price",
                "priceRules",
                "quiet.from",
                "quiet.to",
                "repeat",
                "required",
                "reset",
                "rrule",
                "season.from",
                "season.to",
                "seats",
                "sharing",
                "staff.assign",
                "staff.of",
                "staff.pick",
                "stock",
                "straight",
                "summary",
                "taxPercent",
                "terms.cancel",
                "terms.move.hoursBefore",
                "text",
                "time",
                "times",
                "timetable",
                "title",
                "to",
                "units",
                "uses",
                "visits",
                "weeks",
                "when",
                "wording",
                "worth",
                "zone");
    }

    private static Set<String> words() {
        return Set.of(
                "address.no",
                "address.optional",
                "address.required",
                "assign.least",
                "assign.order",
                "at.bottom",
                "at.bottom-left",
                "at.bottom-right",
                "at.left",
                "at.middle",
                "at.right",
                "at.top",
                "at.top-left",
                "at.top-right",
                "basis.booking",
                "basis.person",
                "clock.12",
                "clock.24",
                "company.no",
                "company.optional",
                "company.required",
                "confirm.byHand",
                "confirm.instant",
                "confirm.onPayment",
                "days.fri",
                "days.mon",
                "days.sat",
                "days.sun",
                "days.thu",
                "days.tue",
                "days.wed",
                "each.booking",
                "each.person",
                "fill.first",
                "fill.spread",
                "font.book",
                "font.house",
                "font.plain",
                "handover.booking",
                "handover.house",
                "how.at",
                "how.clock",
                "how.exactly",
                "how.less",
                "how.more",
                "how.shareLess",
                "how.shareMore",
                "how.window",
                "kind.choice",
                "kind.choices",
                "kind.long",
                "kind.text",
                "kind.tick",
                "listing.link",
                "listing.listed",
                "listing.off",
                "opening.everybody",
                "opening.hosts",
                "opening.nobody",
                "per.booking",
                "per.person",
                "per.session",
                "per.unit",
                "pick.all",
                "pick.any",
                "pick.nobody",
                "pictureAt.bottom",
                "pictureAt.bottom-left",
                "pictureAt.bottom-right",
                "pictureAt.left",
                "pictureAt.middle",
                "pictureAt.right",
                "pictureAt.top",
                "pictureAt.top-left",
                "pictureAt.top-right",
                "repeat.daily",
                "repeat.fortnight",
                "repeat.once",
                "repeat.own",
                "repeat.weekly",
                "sharing.private",
                "sharing.shared",
                "tone.clay",
                "tone.moss",
                "tone.plum",
                "tone.saffron",
                "tone.sea",
                "tone.slate",
                "week.mon",
                "week.sat",
                "week.sun",
                "when.choice",
                "when.deposit",
                "when.full",
                "when.venue");
    }

    private static Set<String> letters() {
        Set<String> letters = new TreeSet<>();
        for (String kind : List.of(
                "request",
                "cancelled",
                "cancelled-by-host",
                "declined",
                "unanswered",
                "moved",
                "moved-by-host",
                "transfer",
                "prove",
                "address",
                "transfer-missed",
                "called-off",
                "unpaid",
                "unpaid-again",
                "balance",
                "balance-again",
                "refunded",
                "missed",
                "host",
                "host-request",
                "host-cancelled",
                "host-moved",
                "host-cancelled-here",
                "host-moved-here",
                "host-issued")) {
            letters.add(kind + ".subject");
            letters.add(kind + ".intro");
        }
        return letters;
    }

    private static Set<String> codes(String type) {
        try {
            Set<String> codes = new TreeSet<>();
            for (Object constant : Class.forName(type).getEnumConstants()) {
                var code = Class.forName(type).getDeclaredMethod("code");
                code.setAccessible(true);
                codes.add(code.invoke(constant).toString().replace(' ', '-'));
            }
            return codes;
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Map<String, Properties> bundles(String ending) throws IOException {
        Map<String, Properties> bundles = new TreeMap<>();
        for (Path file : files(TEXTS)) {
            String name = file.getFileName().toString();
            boolean german = name.endsWith("_de.properties");
            // Whole languages in one file are empty at first.
            if (!name.startsWith("whole") && german == ending.equals("_de")) {
                Properties texts = new Properties();
                try (Reader in = Files.newBufferedReader(file)) {
                    texts.load(in);
                }
                bundles.put(name.replaceAll("(_de)?\\.properties", ""), texts);
            }
        }
        return bundles;
    }

    private static List<Path> files(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile).toList();
        }
    }

    /** The bundle of each key. */
    private static Map<String, String> home() throws IOException {
        Map<String, String> home = new HashMap<>();
        bundles("").forEach((name, texts) -> texts.stringPropertyNames().forEach(key -> {
            assertThat(home.put(key, name)).as(key + " stands in one bundle").isNull();
        }));
        return home;
    }

    @Test
    void bothLanguagesHaveTheSameTextsWithTheSamePlaces() throws IOException {
        Map<String, Properties> german = bundles("_de");
        assertThat(german.keySet()).isEqualTo(bundles("").keySet()).isSubsetOf(ArchitectureTest.LAYERS);
        bundles("").forEach((name, english) -> {
            Properties other = german.get(name);
            assertThat(new TreeSet<>(other.stringPropertyNames()))
                    .isEqualTo(new TreeSet<>(english.stringPropertyNames()));
            for (String key : english.stringPropertyNames()) {
                int places = new MessageFormat(english.getProperty(key)).getFormatsByArgumentIndex().length;
                assertThat(new MessageFormat(other.getProperty(key)).getFormatsByArgumentIndex())
                        .as(key)
                        .hasSize(places);
            }
        });
    }

    @Test
    void aPackageSpeaksInItsOwnTextsAndThoseBelowIt() throws IOException {
        Map<String, String> home = home();
        for (Path root : List.of(TEMPLATES, SOURCES)) {
            for (Path file : files(root)) {
                String own = root.relativize(file).getNameCount() > 1
                        ? root.relativize(file).getName(0).toString()
                        : "board";
                String text = Files.readString(file);
                if (root.equals(TEMPLATES)) {
                    ASKED.matcher(text).results().map(m -> m.group(1)).forEach(key -> assertThat(home)
                            .as("%s in %s", key, file)
                            .containsKey(key));
                }
                Stream.of(ASKED, QUOTED)
                        .flatMap(pattern -> pattern.matcher(text).results())
                        .map(m -> m.group(1))
                        .filter(home::containsKey)
                        .forEach(key -> assertThat(ArchitectureTest.LAYERS.indexOf(home.get(key)))
                                .as("%s of %s in %s", key, home.get(key), file)
                                .isLessThanOrEqualTo(ArchitectureTest.LAYERS.indexOf(own)));
            }
        }
    }

    @Test
    void everyKeyThatIsJoinedIsThere() throws IOException {
        Set<String> known = home().keySet();
        Set<String> missing = new TreeSet<>();
        ENDINGS.forEach((beginning, endings) -> endings.forEach(ending -> {
            if (!known.contains(beginning + ending)) {
                missing.add(beginning + ending);
            }
        }));
        assertThat(missing).isEmpty();
    }

    /** Whoever joins keys in a new way says here what of. The endings of these are made of other texts' names. */
    @Test
    void everyBeginningOfAKeyIsKnown() throws IOException {
        Set<String> beginnings = new TreeSet<>(
                Arrays.asList("said.", "error.", "error.help.", "promo.", "why.", "way.wrong.", "answer."));
        beginnings.addAll(ENDINGS.keySet());
        for (Path root : List.of(TEMPLATES, SOURCES)) {
            for (Path file : files(root)) {
                Matcher joined = JOINED.matcher(Files.readString(file));
                while (joined.find()) {
                    assertThat(beginnings).as(file.toString()).contains(joined.group(1));
                }
            }
        }
    }
}
