package gastfreund.app.sharing;

import gastfreund.app.pages.Addresses;
import gastfreund.app.typed.Written;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a host has said of a panel; empty: nothing, so that its default stands.
 *
 * @param as {@code inline}, {@code button} or {@code link}
 * @param what {@code offer:} and an id, {@code category:} and its name, or one of {@link Shown.View}; empty: the whole house
 * @param shown how the preview is looked at
 */
public record Asked(
        String as,
        String what,
        String party,
        String length,
        String staff,
        String place,
        String without,
        String lang,
        String look,
        String accent,
        String font,
        String ground,
        String corners,
        String from,
        String words,
        String shown) {

    static final String BUTTON = "button";
    static final String LINK = "link";

    private static final int MOST = 120;

    public Asked {
        as = line(as);
        what = line(what);
        party = line(party);
        length = line(length);
        staff = line(staff);
        place = line(place);
        without = line(without);
        lang = line(lang);
        look = line(look);
        accent = line(accent);
        font = line(font);
        ground = line(ground);
        corners = line(corners);
        from = line(from);
        words = line(words);
        shown = line(shown);
    }

    private static String line(@Nullable String said) {
        return said == null ? "" : Written.line(said, MOST);
    }

    boolean isButton() {
        return as.equals(BUTTON);
    }

    boolean isLink() {
        return as.equals(LINK);
    }

    /** What of it concerns looks, by the names of a panel's attributes. */
    Map<String, String> looks() {
        Map<String, String> looks = new LinkedHashMap<>();
        looks.put("look", look);
        looks.put("accent", accent);
        looks.put("font", font);
        looks.put("ground", ground);
        looks.put("corners", corners);
        looks.put("lang", lang);
        looks.put("without", without);
        return looks;
    }

    /** What of it is chosen beforehand, by the names of a panel's attributes. */
    Map<String, String> choices() {
        Map<String, String> choices = new LinkedHashMap<>();
        choices.put("length", length);
        choices.put("staff", staff);
        choices.put("place", place);
        choices.put("party", party);
        return choices;
    }

    /** What follows a prefix of {@link #what}; empty where it begins otherwise. */
    Optional<String> what(String prefix) {
        return what.startsWith(prefix) ? Optional.of(what.substring(prefix.length())) : Optional.empty();
    }

    /** The same in another look, as that has it. */
    Asked inLook(String name) {
        return new Asked(as, what, party, length, staff, place, "", "", name, "", "", "", "", from, words, shown);
    }

    /** All that was said, by the names of its fields. */
    Map<String, String> all() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("as", as);
        all.put("what", what);
        all.putAll(choices());
        all.putAll(looks());
        all.put("from", from);
        all.put("words", words);
        all.put("shown", shown);
        all.values().removeIf(String::isEmpty);
        return all;
    }

    /** The same as the parameters of an address. */
    String query() {
        return Addresses.with("", all());
    }
}
