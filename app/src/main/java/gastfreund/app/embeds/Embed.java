package gastfreund.app.embeds;

import gastfreund.app.extras.Sharing;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Palette;
import gastfreund.app.sources.Source;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How the house is shown inside somebody else's page. It travels in the path of every page in the frame, so that nothing has to
 * be stored for it in the guest's browser.
 *
 * @param said what was asked and can be had, by the names of the fields
 * @param wrong the names of what was asked and cannot be had
 */
public record Embed(Map<String, String> said, List<String> wrong) {

    /** The attribute of a request in a frame; templates know it by this name. */
    public static final String ATTRIBUTE = "embed";

    /** What can be asked, beside what the page itself understands. */
    static final List<String> FIELDS =
            List.of("accent", "font", "family", "ground", "corners", "lang", "without", "scheme", Source.FIELD, "page");

    /** By which a look is asked that the house has kept under a name. */
    private static final String LOOK = "look";

    private static final int MOST = 1000;
    private static final Pattern FAMILY = Pattern.compile("\\A[\\w \"',.-]{1,200}+\\z");
    private static final Pattern HEX = Pattern.compile("\\A#?+[0-9a-fA-F]{6}+\\z");

    /**
     * What is asked, on top of the look that is asked by its name.
     *
     * @param field gives what is asked by name; null: nothing is
     * @param kept gives the look that the house has kept under a name
     */
    public static Embed of(
            Function<String, @Nullable String> field, Function<String, Optional<Sharing.PanelLook>> kept) {
        String name = field.apply(LOOK);
        if (name == null || name.isBlank()) {
            return of(field);
        }
        Optional<Sharing.PanelLook> look = kept.apply(name.strip());
        if (look.isEmpty()) {
            Embed plain = of(field);
            return new Embed(
                    plain.said(),
                    Stream.concat(Stream.of(LOOK), plain.wrong().stream()).toList());
        }
        Map<String, String> values = values(look.get());
        return of(one -> {
            String asked = field.apply(one);
            return asked == null || asked.isBlank() ? values.get(one) : asked;
        });
    }

    private static Map<String, String> values(Sharing.PanelLook look) {
        return Map.of(
                "accent", look.accent(),
                "font", look.font(),
                "ground", look.ground(),
                "corners", look.corners(),
                "lang", look.lang(),
                "without", look.without());
    }

    static Embed of(Function<String, @Nullable String> field) {
        Map<String, String> said = new TreeMap<>();
        List<String> wrong = new ArrayList<>();
        for (String name : FIELDS) {
            String asked = field.apply(name);
            if (asked != null && !asked.isBlank()) {
                Optional<String> had = asked.length() > MOST ? Optional.empty() : had(name, asked.strip());
                had.ifPresentOrElse(value -> said.put(name, value), () -> wrong.add(name));
            }
        }
        return new Embed(said, wrong);
    }

    private static Optional<String> had(String name, String asked) {
        return switch (name) {
            case "accent" -> Optional.of(asked)
                    .filter(a -> HEX.matcher(a).matches())
                    .map(a -> a.startsWith("#") ? a : "#" + a)
                    .filter(a -> Palette.of(a).filter(Palette::isReadable).isPresent());
            case "font" -> one(asked, "page", "house");
            case "family" -> Optional.of(asked).filter(a -> FAMILY.matcher(a).matches());
            case "ground" -> one(asked, "none", "house");
            case "corners" -> one(asked, "round", "small", "none");
            case "scheme" -> one(asked, "light", "dark");
            case "lang" -> one(
                    asked, Languages.all().stream().map(Locale::toLanguageTag).toArray(String[]::new));
            case "without" -> without(asked);
            case "page" -> Optional.of(asked).filter(a -> !origin(a).isEmpty());
            default -> Optional.of(Source.of(asked)).filter(s -> !s.isEmpty());
        };
    }

    private static Optional<String> one(String asked, String... known) {
        return List.of(known).contains(asked) ? Optional.of(asked) : Optional.empty();
    }

    private static Optional<String> without(String asked) {
        List<String> parts = List.of(asked.split("[ ,]+"));
        return List.of("picture", "text").containsAll(parts) ? Optional.of(String.join(" ", parts)) : Optional.empty();
    }

    /** Notes that a panel's page cannot have what was asked of it, beside its looks. */
    public static void cannotHave(HttpServletRequest request, List<String> names) {
        if (request.getAttribute(ATTRIBUTE) instanceof Embed embed && !names.isEmpty()) {
            request.setAttribute(
                    ATTRIBUTE,
                    new Embed(
                            embed.said(),
                            Stream.concat(embed.wrong().stream(), names.stream())
                                    .toList()));
        }
    }

    /** The origin of an address; empty where it is none of a web page. */
    public static String origin(String address) {
        try {
            URI uri = URI.create(address);
            boolean web = "https".equals(uri.getScheme()) || "http".equals(uri.getScheme());
            return web && uri.getHost() != null && uri.getUserInfo() == null
                    ? uri.getScheme() + "://" + uri.getHost() + (uri.getPort() < 0 ? "" : ":" + uri.getPort())
                    : "";
        } catch (IllegalArgumentException e) {
            return "";
        }
    }

    /** As a segment of a path; empty where nothing is asked. */
    String written() {
        String all = said.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining("\n"));
        return all.isEmpty()
                ? ""
                : Base64.getUrlEncoder().withoutPadding().encodeToString(all.getBytes(StandardCharsets.UTF_8));
    }

    /** What was {@link #written}; whatever somebody else has written there is looked at again. */
    static Embed read(String segment) {
        try {
            Map<String, String> fields = new TreeMap<>();
            new String(Base64.getUrlDecoder().decode(segment), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> l.indexOf('=') > 0)
                    .forEach(l -> fields.put(l.substring(0, l.indexOf('=')), l.substring(l.indexOf('=') + 1)));
            return of(fields::get);
        } catch (IllegalArgumentException e) {
            return of(name -> null);
        }
    }

    /** The same in another language. */
    Embed in(String language) {
        return of(name -> name.equals("lang") ? language : said.get(name));
    }

    private String get(String name) {
        return said.getOrDefault(name, "");
    }

    /** The page in which it stands; empty: it is not known. */
    String page() {
        return get("page");
    }

    String from() {
        return get(Source.FIELD);
    }

    String lang() {
        return get("lang");
    }

    /** {@code light}, {@code dark}, or empty: as the guest's browser has it. */
    public String scheme() {
        return get("scheme");
    }

    public boolean picture() {
        return !get("without").contains("picture");
    }

    public boolean text() {
        return !get("without").contains("text");
    }

    /** The classes of its body. */
    public String classes() {
        return "embedded" + (get("corners").isEmpty() ? "" : " corners-" + get("corners"))
                + (get("ground").equals("none") ? " groundless" : "");
    }

    /** Whether it is written in the page's own font. */
    public boolean ownFont() {
        return get("font").equals("page");
    }

    /** To whom it tells how high it is; anybody where the page is not known. */
    public String teller() {
        return page().isEmpty() ? "*" : origin(page());
    }

    /** Colours and fonts, as a style sheet. */
    public String css() {
        StringBuilder css = new StringBuilder();
        Palette.of(get("accent"))
                .ifPresent(palette -> css.append(palette.css()).append(":root { --moss: var(--clay); }\n"));
        if (ownFont() && !get("family").isEmpty()) {
            css.append(":root { --font-head: ")
                    .append(get("family"))
                    .append("; --font-body: ")
                    .append(get("family"))
                    .append("; }\n");
        }
        return css.toString();
    }

    /** What could not be had, in words for whoever makes the page. */
    public String wrongNames() {
        return String.join(", ", wrong);
    }
}
