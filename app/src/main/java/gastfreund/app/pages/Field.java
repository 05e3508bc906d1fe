package gastfreund.app.pages;

import gastfreund.app.languages.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.Errors;
import org.springframework.validation.FieldError;

/**
 * A field of a form with everything that is shown of it. {@code pages/fields.html} draws it, and nothing else draws fields.
 *
 * @param id unique on its page
 * @param name what its value is sent as
 * @param aside what stands small beside the label; empty: nothing
 * @param given what stands in it, or the values that are chosen
 * @param error what is wrong with it, in words; empty: nothing
 * @param help what is to be known before; empty: nothing
 * @param attributes further attributes of HTML, as far as {@code pages/fields.html} knows them
 */
public record Field(
        Kind kind,
        String id,
        String name,
        String label,
        String aside,
        List<String> given,
        String error,
        String help,
        List<Option> options,
        Map<String, String> attributes) {

    /** What it takes. */
    public enum Kind {
        /** A line; what kind of line is an attribute. */
        LINE,
        /** Several lines. */
        LONG,
        TICK,
        /** One of several, each of them seen. */
        CHOICE,
        /** Any of several. */
        CHOICES,
        /** One of many. */
        SELECT,
        HIDDEN
    }

    /**
     * Something that can be chosen.
     *
     * @param aside what stands small beside it; empty: nothing
     */
    public record Option(String value, String label, String aside) {

        public static Option of(String value, String label) {
            return new Option(value, label, "");
        }
    }

    private static Field of(Kind kind, String name, String label, List<Option> options) {
        return new Field(kind, name, name, label, "", List.of(), "", "", List.copyOf(options), Map.of());
    }

    public static Field line(String name, String label, int most) {
        return of(Kind.LINE, name, label, List.of()).with("maxlength", Integer.toString(most));
    }

    public static Field email(String name, String label) {
        return line(name, label, 254).with("type", "email");
    }

    /** A date, as {@code 2027-01-31}. */
    public static Field date(String name, String label) {
        return of(Kind.LINE, name, label, List.of()).with("type", "date");
    }

    /** A time of day, as {@code 14:30}. */
    public static Field time(String name, String label) {
        return of(Kind.LINE, name, label, List.of()).with("type", "time");
    }

    /** What stands in it is never shown again. */
    public static Field password(String name, String label, int most) {
        return line(name, label, most).with("type", "password");
    }

    public static Field amount(String name, String label) {
        return line(name, label, 20).with("inputmode", "decimal");
    }

    public static Field text(String name, String label, int most) {
        return of(Kind.LONG, name, label, List.of())
                .with("maxlength", Integer.toString(most))
                .with("rows", "3");
    }

    /** @param types of files that can be chosen, as media types */
    public static Field file(String name, String label, String types) {
        return of(Kind.LINE, name, label, List.of()).with("type", "file").with("accept", types);
    }

    /** @param ticked the value it sends is {@code true} */
    public static Field tick(String name, String label, boolean ticked) {
        return of(Kind.TICK, name, label, List.of()).given(ticked ? List.of("true") : List.of());
    }

    public static Field choice(String name, String label, List<Option> options) {
        return of(Kind.CHOICE, name, label, options);
    }

    public static Field choices(String name, String label, List<Option> options) {
        return of(Kind.CHOICES, name, label, options);
    }

    public static Field select(String name, String label, List<Option> options) {
        return of(Kind.SELECT, name, label, options);
    }

    public static Field hidden(String name, String value) {
        return of(Kind.HIDDEN, name, "", List.of()).value(value);
    }

    public Field id(String id) {
        return new Field(kind, id, name, label, aside, given, error, help, options, attributes);
    }

    public Field label(String words) {
        return new Field(kind, id, name, words, aside, given, error, help, options, attributes);
    }

    public Field aside(String words) {
        return new Field(kind, id, name, label, words, given, error, help, options, attributes);
    }

    public Field value(@Nullable String value) {
        return given(value == null || value.isEmpty() ? List.of() : List.of(value));
    }

    public Field given(List<String> values) {
        return new Field(kind, id, name, label, aside, List.copyOf(values), error, help, options, attributes);
    }

    public Field help(String words) {
        return new Field(kind, id, name, label, aside, given, error, words, options, attributes);
    }

    /** @param words what is wrong; empty: nothing */
    public Field wrong(String words) {
        return new Field(kind, id, name, label, aside, given, words, help, options, attributes);
    }

    /** What was found wrong with it, or with the property of another name that is about it. */
    public Field wrong(@Nullable Errors errors, String property, Words words) {
        FieldError found = errors == null ? null : errors.getFieldError(property);
        return found == null ? this : wrong(words.text(found));
    }

    public Field wrong(@Nullable Errors errors, Words words) {
        return wrong(errors, name, words);
    }

    public Field with(String attribute, String value) {
        Map<String, String> more = new HashMap<>(attributes);
        more.put(attribute, value);
        return new Field(kind, id, name, label, aside, given, error, help, options, Map.copyOf(more));
    }

    public Field required() {
        return with("required", "required");
    }

    public @Nullable String attribute(String attribute) {
        return attributes.get(attribute);
    }

    public String value() {
        return String.join("\n", given);
    }

    /** What stands in it on the page; null for a file, which only its reader can choose. */
    public @Nullable String shown() {
        return "file".equals(attribute("type")) ? null : value();
    }

    public boolean isWrong() {
        return !error.isEmpty();
    }

    /** Whether it consists of several controls under one legend. */
    public boolean isGroup() {
        return kind == Kind.CHOICE || kind == Kind.CHOICES;
    }

    /** Whether one of several is chosen. */
    public boolean isOne() {
        return kind == Kind.CHOICE;
    }

    /** The ids of what says more about it; null where nothing does. */
    public @Nullable String saidBy() {
        List<String> ids = new ArrayList<>();
        if (isWrong()) {
            ids.add(id + "-error");
        }
        if (!help.isEmpty()) {
            ids.add(id + "-help");
        }
        return ids.isEmpty() ? null : String.join(" ", ids);
    }
}
