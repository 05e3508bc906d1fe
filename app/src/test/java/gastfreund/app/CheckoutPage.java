package gastfreund.app;

import gastfreund.app.strangers.Doorkeeper;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Fills in a checkout page as a guest with a browser does: agrees, answers, and works for the proof. */
public final class CheckoutPage {

    private static final Pattern FIELD = Pattern.compile("<(?:input|textarea)\\b[^>]*\\bname=\"[^>]*>");

    private CheckoutPage() {}

    /** What is sent for a page; nothing where it is no checkout page. */
    public static Map<String, Object> filled(String html, String name, String email) {
        Map<String, Object> form = new LinkedHashMap<>(Map.of("name", name, "email", email, "phone", "030 5550 100"));
        FIELD.matcher(html).results().map(MatchResult::group).forEach(field -> {
            String key = attribute(field, "name").orElseThrow();
            if (key.equals("shown")) {
                form.put(key, attribute(field, "value").orElseThrow());
            } else if (key.startsWith("answer.") || key.equals("agree")) {
                boolean chosen = field.contains("radio") || field.contains("checkbox");
                form.putIfAbsent(key, chosen ? attribute(field, "value").orElse("") : "12, the tallest 20 cm");
            }
        });
        Matcher seal =
                Pattern.compile("data-seal=\"([^\"]+)\" data-bits=\"(\\d+)\"").matcher(html);
        if (seal.find()) {
            form.put("seal", seal.group(1));
            form.put("proof", proof(seal.group(1), Integer.parseInt(seal.group(2))));
        }
        return form;
    }

    /** A form for one more place, with the seal of a page and the proof for it where the page has one. */
    public static Map<String, Object> sealed(String html, Map<String, Object> form) {
        Matcher seal = Pattern.compile("name=\"seal\" value=\"([^\"]+)\" data-bits=\"(\\d+)\"")
                .matcher(html);
        if (seal.find()) {
            form.put("seal", seal.group(1));
            form.put("proof", proof(seal.group(1), Integer.parseInt(seal.group(2))));
        }
        return form;
    }

    private static Optional<String> attribute(String field, String name) {
        Matcher matcher = Pattern.compile("\\b" + name + "=\"([^\"]*)\"").matcher(field);
        return matcher.find() ? Optional.of(matcher.group(1).replace("&#10003;", "\u2713")) : Optional.empty();
    }

    private static String proof(String seal, int bits) {
        for (long number = 0; ; number++) {
            if (Doorkeeper.zeroBits(seal + ":" + number) >= bits) {
                return Long.toString(number);
            }
        }
    }
}
