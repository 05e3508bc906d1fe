package gastfreund.app.extras;

import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Palette;
import gastfreund.housefile.Node;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * How the house stands on other people's websites.
 *
 * @param sites the origins of those on which it may stand in a frame, as {@code https://gazette.example}, or {@code *} for
 *     every one; none: it stands nowhere
 * @param looks in which it can be shown there, in the order in which they were kept
 */
public record Sharing(List<String> sites, List<PanelLook> looks) {

    /** Every site. */
    public static final String ANY = "*";

    /** How long the name of a look can be. */
    public static final int MOST_NAME = 40;

    /** How many looks can be kept. */
    public static final int MOST_LOOKS = 30;

    private static final Pattern ORIGIN = Pattern.compile("\\Ahttps?+://[a-z0-9.-]{1,253}+(?::\\d{1,5}+)?+\\z");

    /**
     * A look of the panel, kept under a name; what is empty of it is as the house has it.
     *
     * @param accent a colour as {@code #2d6a4f}
     * @param font {@code page}: the font of the page in which it stands
     * @param ground {@code none}: the ground of the page in which it stands
     * @param corners {@code round}, {@code small} or {@code none}
     * @param lang a language of the product
     * @param without {@code picture}, {@code text} or both
     */
    public record PanelLook(
            String name, String accent, String font, String ground, String corners, String lang, String without) {}

    static Sharing of(Node extra) {
        Set<String> names = new HashSet<>();
        List<Node> looks = extra.elements("looks");
        if (looks.size() > MOST_LOOKS) {
            extra.at("looks").problem("can be " + MOST_LOOKS + " at most");
        }
        return new Sharing(
                extra.elements("sites").stream().map(Sharing::site).toList(),
                looks.stream().map(look -> look(look, names)).toList());
    }

    private static String site(Node site) {
        String origin = site.text();
        if (!origin.equals(ANY) && !ORIGIN.matcher(origin).matches()) {
            site.problem("must be a site as https://gazette.example, or *");
        }
        return origin;
    }

    private static PanelLook look(Node look, Set<String> names) {
        look.object("name", "accent", "font", "ground", "corners", "lang", "without");
        String name = look.required("name").text();
        if (name.length() > MOST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            look.at("name").problem("must be of at most " + MOST_NAME + " characters");
        } else if (!names.add(name)) {
            look.at("name").problem("is the name of another look");
        }
        return new PanelLook(
                name,
                look.member("accent").map(Sharing::accent).orElse(""),
                look.word("font", new String[] {"page", "house"}, ""),
                look.word("ground", new String[] {"none", "house"}, ""),
                look.word("corners", new String[] {"round", "small", "none"}, ""),
                look.word(
                        "lang",
                        Languages.all().stream().map(Locale::toLanguageTag).toArray(String[]::new),
                        ""),
                look.word("without", new String[] {"picture", "text", "picture text"}, ""));
    }

    private static String accent(Node node) {
        String accent = node.text();
        if (Palette.of(accent).filter(Palette::isReadable).isEmpty()) {
            node.problem("must be a colour as #2d6a4f that can be read on paper");
        }
        return accent;
    }

    /** The look that was kept under a name. */
    public Optional<PanelLook> look(String name) {
        return looks.stream().filter(l -> l.name().equals(name)).findFirst();
    }

    /** Whether it may stand on a site. */
    public boolean mayStandOn(String origin) {
        return sites.contains(ANY) || sites.contains(origin);
    }
}
