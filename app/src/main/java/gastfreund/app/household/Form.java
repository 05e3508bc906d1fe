package gastfreund.app.household;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The fields of one kind of document: how they are filled from it, and how what is typed into them comes into it. What cannot
 * be read stays in its field, with what is wrong.
 */
abstract class Form {

    static final int MOST_LINE = 120;
    static final int MOST_TEXT = 1000;
    private static final Pattern WHOLE = Pattern.compile("\\d{1,6}");

    /** What is asked, in order. */
    abstract List<Field> fields(JsonNode document, Faults faults, Formats f);

    /** Puts what was typed into a document. */
    abstract void type(ObjectNode document, Typing typing);

    /**
     * What is wrong, and what was typed and cannot be read.
     *
     * @param wrong by the member's path
     * @param typed by the field's name
     */
    record Faults(Map<String, String> wrong, Map<String, String> typed) {

        /** A field with what stands in its member, or what was typed in its place. */
        Field on(Field field, String path, String value, String unreadable) {
            @Nullable String unread = typed.get(field.name());
            if (unread != null) {
                return field.value(unread).wrong(unreadable);
            }
            return field.value(value).wrong(wrong.getOrDefault(path, ""));
        }
    }

    /** One form that came in. */
    static final class Typing {

        private final Map<String, String> form;
        private final Map<String, String> unread = new HashMap<>();

        private final Formats f;

        Typing(Map<String, String> form, Formats f) {
            this.form = Map.copyOf(form);
            this.f = f;
        }

        /** What cannot be read, by field; blank where it can now. */
        Map<String, String> unread() {
            return unread;
        }

        boolean has(String field) {
            return form.containsKey(field);
        }

        String line(String field, int most) {
            return Written.line(form.getOrDefault(field, ""), most);
        }

        /** A text that may not be missing. */
        void required(ObjectNode owner, String field) {
            if (has(field)) {
                owner.put(field, line(field, MOST_LINE));
            }
        }

        /** A text in {@code extra}; none where it is blank. */
        void extra(ObjectNode document, String field, int most) {
            if (has(field)) {
                String text = Written.text(form.getOrDefault(field, ""), most).replace("\r\n", "\n");
                if (text.isEmpty()) {
                    removeExtra(document, field);
                } else {
                    extraOf(document).put(field, text);
                }
            }
        }

        /** A whole number; none where it is blank. */
        void whole(ObjectNode owner, String field) {
            if (has(field)) {
                read(field, Typing::whole)
                        .ifPresentOrElse(number -> owner.put(field, number), () -> removeBlank(field, owner::remove));
            }
        }

        /** A whole number in {@code extra}; none where it is blank. */
        void extraWhole(ObjectNode document, String field) {
            extraNumber(document, field, Typing::whole);
        }

        /** An amount of money in {@code extra}; none where it is blank. */
        void extraAmount(ObjectNode document, String field) {
            extraNumber(document, field, text -> f.amount(text).map(Money::minor));
        }

        private void extraNumber(ObjectNode document, String field, Function<String, Optional<Long>> reading) {
            if (has(field)) {
                read(field, reading)
                        .ifPresentOrElse(
                                number -> extraOf(document).put(field, number),
                                () -> removeBlank(field, member -> removeExtra(document, member)));
            }
        }

        private static Optional<Long> whole(String text) {
            return WHOLE.matcher(text).matches() ? Optional.of(Long.parseLong(text)) : Optional.empty();
        }

        /** What a field says; empty where it is blank or cannot be read, which is noted. */
        private Optional<Long> read(String field, Function<String, Optional<Long>> reading) {
            String text = line(field, MOST_LINE);
            Optional<Long> number = text.isEmpty() ? Optional.empty() : reading.apply(text);
            unread.put(field, text.isEmpty() || number.isPresent() ? "" : text);
            return number;
        }

        private void removeBlank(String field, Consumer<String> removing) {
            if (line(field, MOST_LINE).isEmpty()) {
                removing.accept(field);
            }
        }
    }

    static ObjectNode extraOf(ObjectNode document) {
        return document.path("extra") instanceof ObjectNode extra ? extra : document.putObject("extra");
    }

    static void removeExtra(ObjectNode document, String member) {
        if (document.path("extra") instanceof ObjectNode extra) {
            extra.remove(member);
            if (extra.isEmpty()) {
                document.remove("extra");
            }
        }
    }

    static String extra(JsonNode document, String member) {
        return document.path("extra").path(member).stringValue("");
    }

    static String number(JsonNode value) {
        return value.isIntegralNumber() ? Long.toString(value.longValue()) : "";
    }
}
