package gastfreund.app.sharing;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.embeds.Embed;
import gastfreund.app.extras.Sharing;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Addresses;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Code;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Palette;
import gastfreund.app.sources.Came;
import gastfreund.app.sources.Sightings;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Serving;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Says a panel in sentences and in lines. */
@Component
class SharingPages {

    static final String ADDRESS = "/desk/house/sharing";

    private static final String DARK = "dark";
    private static final String NARROW = "narrow";
    private static final String PLAIN = "plain";

    /** The words by which sources are told apart where the host names none. */
    private static final String PAPER = "paper";

    private static final String MAIL = "mail";
    private static final String CHAT = "chat";

    private static final int MOST_ALL_PARTIES = 12;

    private final Address address;
    private final Sightings sightings;
    private final SharingSettings settings;

    SharingPages(Address address, Sightings sightings, SharingSettings settings) {
        this.address = address;
        this.sightings = sightings;
        this.settings = settings;
    }

    /** The address of the house, without a slash at its end. */
    String base() {
        return address.of("");
    }

    Lines lines(Asked asked, Shown shown, Formats f) {
        return new Lines(shown, base(), words(asked, shown, f));
    }

    private static String words(Asked asked, Shown shown, Formats f) {
        return asked.words().isEmpty() ? f.text("sharing.book", shown.title()) : asked.words();
    }

    /** What goes on paper. */
    Code code(Shown shown) {
        return Code.of(shown.address(base(), source(shown, PAPER)));
    }

    Card card(Shown shown, Catalogue catalogue, Formats f) {
        String onPaper = shown.address(base(), source(shown, PAPER));
        String readable = shown.address(base(), "");
        Offer offer = shown.offer();
        return new Card(
                catalogue.house().name(),
                shown.title(),
                offer == null
                        ? catalogue.story().summary()
                        : catalogue.storyOf(offer).summary(),
                f.text("sharing.scan"),
                onPaper,
                readable.substring(readable.indexOf("://") + "://".length()),
                f.locale().toLanguageTag());
    }

    private static String source(Shown shown, String otherwise) {
        return shown.source().isEmpty() ? otherwise : shown.source();
    }

    SharingPage page(Asked asked, Catalogue catalogue, List<Note> notes, Formats f) {
        Shown shown = Shown.of(asked, catalogue, f);
        Sharing sharing = catalogue.extras().sharing();
        Lines lines = lines(asked, shown, f);
        String as = asked.isButton() ? Asked.BUTTON : asked.isLink() ? Asked.LINK : "inline";
        String view = List.of(DARK, NARROW, PLAIN).contains(asked.shown()) ? asked.shown() : "wide";
        return new SharingPage(
                notes,
                Field.choice("as", f.text("sharing.as"), options("sharing.as.", f, "inline", Asked.BUTTON, Asked.LINK))
                        .value(as),
                f.text("sharing.asHelp." + as),
                clauses(asked, shown, catalogue, f),
                sites(sharing, f),
                sharing.sites().isEmpty() && !asked.isLink(),
                f.text(asked.isLink() ? "sharing.linkLines" : "sharing.panelLines"),
                asked.isLink() ? lines.link() : lines.panel(),
                new SharingPage.More(
                        lines.frame(),
                        code(shown).svg(),
                        lines.address(source(shown, PAPER)),
                        lines.signature(source(shown, MAIL)),
                        lines.address(source(shown, CHAT))),
                asked.query(),
                Field.choice("shown", f.text("sharing.views"), options("sharing.view.", f, "wide", NARROW, DARK, PLAIN))
                        .value(view),
                view,
                preview(asked, shown, view, f),
                sharing.looks().stream()
                        .map(l -> new SharingPage.Kept(
                                l.name(),
                                ADDRESS + asked.inLook(l.name()).query(),
                                l.name().equals(asked.look())))
                        .toList(),
                Field.line("name", f.text("sharing.lookName"), Sharing.MOST_NAME)
                        .id("look-name")
                        .value(asked.look())
                        .required(),
                Field.text("sites", f.text("sharing.sites"), new SitesSort().most())
                        .help(f.text("sharing.sitesHelp"))
                        .value(String.join("\n", sharing.sites())),
                Field.email("to", f.text("sharing.to")).required(),
                hidden(asked));
    }

    private static List<Field> hidden(Asked asked) {
        return asked.all().entrySet().stream()
                .map(e -> Field.hidden(e.getKey(), e.getValue()))
                .toList();
    }

    private static List<Field.Option> options(String texts, Formats f, String... values) {
        return List.of(values).stream()
                .map(v -> Field.Option.of(v, f.text(texts + (v.isEmpty() ? "usual" : v.replace(' ', '-')))))
                .toList();
    }

    private SharingPage.Preview preview(Asked asked, Shown shown, String view, Formats f) {
        String page = settings.neighbour().isEmpty() ? base() + "/embed/neighbour" : settings.neighbour() + "/yours";
        Map<String, String> said = new LinkedHashMap<>(asked.isLink() ? Map.of("as", Asked.LINK) : shown.attributes());
        said.put("link", shown.address(base(), ""));
        said.put("words", words(asked, shown, f));
        said.put("house", base());
        if (view.equals(DARK) || view.equals(PLAIN)) {
            said.put("shown", view);
        }
        return new SharingPage.Preview(Addresses.with(page, said), page, !view.equals(PLAIN));
    }

    private List<Clause> clauses(Asked asked, Shown shown, Catalogue catalogue, Formats f) {
        List<Clause> clauses = new ArrayList<>();
        clauses.add(Clause.of(
                "shows",
                f.text("sharing.shows"),
                Field.select("what", f.text("sharing.what"), whats(catalogue, f))
                        .value(asked.what()),
                select("without", "sharing.without", asked, f, "", "picture", "text", "picture text")));
        Offer offer = shown.offer();
        if (offer != null) {
            clauses.add(chosen(asked, offer, catalogue, f));
        }
        if (!asked.isLink()) {
            clauses.add(looks(asked, shown, catalogue, f));
        }
        clauses.add(Clause.of(
                        "noted",
                        f.text("sharing.noted"),
                        Field.line("from", f.text("sharing.from"), 60)
                                .value(asked.from())
                                .with("placeholder", f.text("sharing.fromUsual"))
                                .with("autocapitalize", "none"),
                        Field.line("words", f.text("sharing.words"), 120)
                                .value(asked.words())
                                .with("placeholder", words(asked, shown, f)))
                .with(came(shown, f)));
        return clauses;
    }

    /** What can be shown: the house, what it has, and what guests look for. */
    private static List<Field.Option> whats(Catalogue catalogue, Formats f) {
        List<Field.Option> whats = new ArrayList<>();
        whats.add(Field.Option.of("", f.text("sharing.whole")));
        Shown.categories(catalogue)
                .forEach(c -> whats.add(Field.Option.of(Shown.CATEGORY + c, f.text("sharing.category", c))));
        catalogue.house().onSale().stream()
                .filter(o -> catalogue.isOpen(o.id()))
                .forEach(o -> whats.add(Field.Option.of(Shown.OFFER + o.id(), f.text("sharing.only", o.title()))));
        for (Shown.View view : Shown.View.values()) {
            whats.add(Field.Option.of(view.code(), f.text("sharing.view." + view.code())));
        }
        return whats;
    }

    private static Clause chosen(Asked asked, Offer offer, Catalogue catalogue, Formats f) {
        List<Field> fields = new ArrayList<>();
        if (offer.party().max() > offer.party().min()) {
            List<Field.Option> parties = new ArrayList<>(options("sharing.party.", f, ""));
            int most = Math.min(offer.party().max(), offer.party().min() + MOST_ALL_PARTIES - 1);
            for (int party = offer.party().min(); party <= most; party++) {
                parties.add(Field.Option.of(Integer.toString(party), f.text("sharing.people", party)));
            }
            fields.add(Field.select("party", f.text("offer.who"), parties).value(asked.party()));
        }
        if (offer.lengths().size() > 1) {
            List<Field.Option> lengths = new ArrayList<>(options("sharing.length.", f, ""));
            offer.lengths().forEach(l -> lengths.add(Field.Option.of(l.id().value(), f.duration(l.minutes()))));
            fields.add(Field.select("length", f.text("offer.howLong"), lengths).value(asked.length()));
        }
        if (offer.serving().pick() == Serving.Pick.ANY && offer.serving().of().size() > 1) {
            List<Field.Option> people = new ArrayList<>(options("sharing.staff.", f, ""));
            offer.serving()
                    .of()
                    .forEach(s -> people.add(Field.Option.of(
                            s.value(), catalogue.house().staff(s).name())));
            fields.add(Field.select("staff", f.text("sharing.staff"), people).value(asked.staff()));
        }
        if (catalogue.house().placesOf(offer).size() > 1) {
            List<Field.Option> places = new ArrayList<>(options("sharing.place.", f, ""));
            catalogue
                    .house()
                    .placesOf(offer)
                    .forEach(p -> places.add(Field.Option.of(
                            p.value(), catalogue.house().place(p).name())));
            fields.add(Field.select("place", f.text("offer.where"), places).value(asked.place()));
        }
        String blanks =
                IntStream.range(0, fields.size()).mapToObj(i -> "{" + i + "}").collect(Collectors.joining(", "));
        return Clause.of(
                "chosen",
                fields.isEmpty() ? f.text("sharing.nothingChosen") : f.text("sharing.chosen") + " " + blanks + ".",
                fields.toArray(Field[]::new));
    }

    private static Clause looks(Asked asked, Shown shown, Catalogue catalogue, Formats f) {
        List<Field.Option> languages = new ArrayList<>(options("sharing.lang.", f, ""));
        Languages.all()
                .forEach(l -> languages.add(Field.Option.of(l.toLanguageTag(), l.getDisplayLanguage(f.locale()))));
        List<Field.Option> looks = new ArrayList<>(options("sharing.look.", f, ""));
        catalogue.extras().sharing().looks().forEach(l -> looks.add(Field.Option.of(l.name(), l.name())));
        Field accent = Field.line("accent", f.text("sharing.accent"), 7)
                .value(asked.accent())
                .with("placeholder", f.text("sharing.accentUsual"));
        return Clause.of(
                        "looks",
                        f.text("sharing.looks"),
                        Field.select("lang", f.text("sharing.lang"), languages).value(asked.lang()),
                        Field.select("look", f.text("sharing.look"), looks).value(asked.look()),
                        shown.wrong().contains("accent") ? accent.wrong(unreadable(asked.accent(), f)) : accent,
                        select("font", "sharing.font", asked, f, "", "house", "page"),
                        select("ground", "sharing.ground", asked, f, "", "house", "none"),
                        select("corners", "sharing.corners", asked, f, "", "round", "small", "none"))
                .with(contrast(shown, f));
    }

    /** @param text of its label; those of its values begin with it */
    private static Field select(String name, String text, Asked asked, Formats f, String... values) {
        Map<String, String> all = asked.looks();
        return Field.select(name, f.text(text), options(text + ".", f, values)).value(all.get(name));
    }

    private static String unreadable(String accent, Formats f) {
        String written = accent.startsWith("#") ? accent : "#" + accent;
        return Palette.of(written)
                .map(p -> f.text("sharing.tooLight", p.readable()))
                .orElseGet(() -> f.text("sharing.noColour"));
    }

    private static List<Note> contrast(Shown shown, Formats f) {
        return Palette.of(shown.attributes().getOrDefault("accent", "")).stream()
                .map(p -> Note.done(f.text("sharing.contrast", p.contrast())))
                .toList();
    }

    private List<Note> came(Shown shown, Formats f) {
        return shown.source().isEmpty()
                ? List.of()
                : List.of(Note.done(f.text(
                        "sharing.came",
                        sightings.lately().stream()
                                .filter(c -> c.source().equals(shown.source()))
                                .mapToInt(Came::booked)
                                .sum(),
                        Sightings.DAYS)));
    }

    private static String sites(Sharing sharing, Formats f) {
        if (sharing.sites().isEmpty()) {
            return f.text("sharing.noSite");
        }
        return sharing.sites().contains(Sharing.ANY)
                ? f.text("sharing.anySite")
                : f.text(
                        "sharing.someSites",
                        sharing.sites().stream().map(SharingPages::host).collect(Collectors.joining(", ")));
    }

    private static String host(String origin) {
        return origin.substring(origin.indexOf("://") + "://".length());
    }

    /** The look that was said, to be kept under a name. */
    static Sharing.PanelLook look(String name, Asked asked, Catalogue catalogue) {
        Map<String, String> said = asked.looks();
        Embed embed = Embed.of(said::get, kept -> catalogue.extras().sharing().look(kept));
        return new Sharing.PanelLook(
                name,
                embed.said().getOrDefault("accent", ""),
                embed.said().getOrDefault("font", ""),
                embed.said().getOrDefault("ground", ""),
                embed.said().getOrDefault("corners", ""),
                embed.said().getOrDefault("lang", ""),
                embed.said().getOrDefault("without", ""));
    }
}
