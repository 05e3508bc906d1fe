package gastfreund.app.effects;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Inputs;
import gastfreund.app.languages.Formats;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Says what the reader of house files found wrong in the words of whoever typed it. */
public final class FaultWords {

    private static final Map<Pattern, String> KNOWN = new LinkedHashMap<>();

    static {
        KNOWN.put(Pattern.compile("must be a text that is not blank|is missing"), "fault.blank");
        KNOWN.put(Pattern.compile("must be from (-?\\d+) to (-?\\d+)"), "fault.range");
        KNOWN.put(Pattern.compile("must be a whole number"), "fault.number");
        KNOWN.put(Pattern.compile("must name somebody"), "fault.nobody");
        KNOWN.put(Pattern.compile("must be a mail address"), "fault.email");
        KNOWN.put(Pattern.compile("must be an address that begins with https:// or http://"), "fault.link");
        KNOWN.put(
                Pattern.compile(
                        "must name the place from which the way is measured|must be a place on site that has an address"),
                "fault.from");
        KNOWN.put(Pattern.compile("there is no .*"), "fault.unknown");
        KNOWN.put(Pattern.compile(Pattern.quote(Editing.GONE)), "fault.gone");
    }

    private FaultWords() {}

    /** What is wrong with a document, by its members. */
    public static Map<String, String> at(Tried tried, Document document, Formats f) {
        Map<String, String> wrong = new HashMap<>();
        for (Fault fault : tried.faults()) {
            if (fault.document().equals(document.ref())) {
                wrong.putIfAbsent(Inputs.member(document.json(), fault.path()), of(fault.message(), f));
            }
        }
        return wrong;
    }

    /** In words; what is not known is said as the reader says it. */
    public static String of(String message, Formats f) {
        for (Map.Entry<Pattern, String> known : KNOWN.entrySet()) {
            Matcher matcher = known.getKey().matcher(message);
            if (matcher.matches()) {
                Object[] groups = new Object[matcher.groupCount()];
                for (int i = 0; i < groups.length; i++) {
                    groups[i] = matcher.group(i + 1);
                }
                return f.text(known.getValue(), groups);
            }
        }
        return message;
    }
}
