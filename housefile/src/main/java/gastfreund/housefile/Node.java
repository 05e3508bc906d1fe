package gastfreund.housefile;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/**
 * A value in a file with its path. Whatever is asked of it and is not so is noted as a problem, and a harmless stand-in
 * is given, so that all problems of a file are found in one reading.
 */
final class Node {

    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2199;

    private final JsonNode json;
    private final String path;
    private final List<Problem> problems;

    private Node(JsonNode json, String path, List<Problem> problems) {
        this.json = json;
        this.path = path;
        this.problems = problems;
    }

    static Node root(JsonNode json, List<Problem> problems) {
        return new Node(json, "", problems);
    }

    String path() {
        return path;
    }

    JsonNode json() {
        return json;
    }

    void problem(String message) {
        problems.add(new Problem(path, message));
    }

    private Node child(JsonNode value, String name) {
        return new Node(value, path.isEmpty() ? name : path + "." + name, problems);
    }

    /** Notes every member that is not among the known ones, and a value that is no object. */
    Node object(String... known) {
        if (!json.isObject()) {
            problem("must be an object");
            return this;
        }
        Set<String> names = Set.of(known);
        for (Map.Entry<String, JsonNode> member : json.properties()) {
            if (!names.contains(member.getKey())) {
                child(member.getValue(), member.getKey()).problem("is not known here");
            }
        }
        return this;
    }

    boolean has(String name) {
        return json.has(name);
    }

    Optional<Node> member(String name) {
        return json.has(name) ? Optional.of(child(json.get(name), name)) : Optional.empty();
    }

    Node required(String name) {
        if (!json.has(name)) {
            child(json, name).problem("is missing");
            return child(json.path(name), name).silent();
        }
        return child(json.get(name), name);
    }

    /** A member for a problem of its own, missing or not. */
    Node at(String name) {
        return child(json.path(name), name);
    }

    /** The same value, whose further problems are not worth telling. */
    private Node silent() {
        return new Node(json, path, new ArrayList<>());
    }

    /** The elements of an array. */
    List<Node> elements() {
        if (!json.isArray()) {
            problem("must be an array");
            return List.of();
        }
        List<Node> elements = new ArrayList<>();
        for (int i = 0; i < json.size(); i++) {
            elements.add(new Node(json.get(i), path + "[" + i + "]", problems));
        }
        return elements;
    }

    /** The elements of an array member; none where it is missing. */
    List<Node> elements(String name) {
        return member(name).map(Node::elements).orElse(List.of());
    }

    /** The members of an object, as nodes by name. */
    List<Map.Entry<String, Node>> members() {
        if (!json.isObject()) {
            problem("must be an object");
            return List.of();
        }
        return json.properties().stream()
                .map(m -> Map.entry(m.getKey(), child(m.getValue(), m.getKey())))
                .toList();
    }

    String text() {
        if (!json.isString() || json.stringValue().isBlank()) {
            problem("must be a text that is not blank");
            return "?";
        }
        return json.stringValue();
    }

    /** A text that may be blank. */
    String textOrBlank() {
        if (!json.isString()) {
            problem("must be a text");
            return "";
        }
        return json.stringValue();
    }

    boolean truth() {
        if (!json.isBoolean()) {
            problem("must be true or false");
            return false;
        }
        return json.booleanValue();
    }

    long number(long least, long most) {
        if (!json.isIntegralNumber() || !json.canConvertToLong()) {
            problem("must be a whole number");
            return least;
        }
        long value = json.longValue();
        if (value < least || value > most) {
            problem("must be from " + least + " to " + most);
            return least;
        }
        return value;
    }

    int integer(int least, int most) {
        return (int) number(least, most);
    }

    OptionalInt integer(String name, int least, int most) {
        return member(name).map(n -> OptionalInt.of(n.integer(least, most))).orElse(OptionalInt.empty());
    }

    /** As {@link #integer(String, int, int)}; a problem where it is missing. */
    OptionalInt requiredInteger(String name, int least, int most) {
        required(name);
        return integer(name, least, most);
    }

    int integer(String name, int least, int most, int otherwise) {
        return integer(name, least, most).orElse(otherwise);
    }

    /** One of some words. */
    String word(String... words) {
        String value = json.isString() ? json.stringValue() : "";
        if (!List.of(words).contains(value)) {
            problem("must be one of " + String.join(", ", words));
            return words[0];
        }
        return value;
    }

    String word(String name, String[] words, String otherwise) {
        return member(name).map(n -> n.word(words)).orElse(otherwise);
    }

    LocalDate date() {
        return parsed("a date such as 2027-01-31", LocalDate.EPOCH, t -> inReach(LocalDate.parse(t)));
    }

    Instant instant() {
        return parsed("an instant with an offset, such as 2027-01-31T10:00+01:00", Instant.EPOCH, t -> {
            OffsetDateTime instant = OffsetDateTime.parse(t);
            inReach(instant.toLocalDate());
            return instant.toInstant();
        });
    }

    LocalDateTime localDateTime() {
        return parsed("a local date and time such as 2027-01-31T10:00", LocalDate.EPOCH.atStartOfDay(), t -> {
            LocalDateTime local = LocalDateTime.parse(t);
            inReach(local.toLocalDate());
            return local;
        });
    }

    /** A date in a time that a house can have to do with. */
    private static LocalDate inReach(LocalDate date) {
        if (date.getYear() < FIRST_YEAR || date.getYear() > LAST_YEAR) {
            throw new DateTimeException("out of reach: " + date);
        }
        return date;
    }

    /** A time of day in minutes after midnight; 1440 for {@code 24:00} where that may be. */
    int timeOfDay(boolean endOfDayToo) {
        String what = endOfDayToo ? "a time from 00:00 to 24:00" : "a time from 00:00 to 23:59";
        return parsed(what, 0, text -> {
            if (!text.matches("[0-2][0-9]:[0-5][0-9]")) {
                throw new DateTimeException(text);
            }
            int minutes = Integer.parseInt(text.substring(0, 2)) * 60 + Integer.parseInt(text.substring(3));
            if (minutes > (endOfDayToo ? 1440 : 1439)) {
                throw new DateTimeException(text);
            }
            return minutes;
        });
    }

    <T> T parsed(String what, T otherwise, Function<String, T> parse) {
        if (json.isString()) {
            try {
                return parse.apply(json.stringValue());
            } catch (DateTimeException | IllegalArgumentException e) {
                // told below, as for a value of another kind
            }
        }
        problem("must be " + what);
        return otherwise;
    }

    /** What a factory makes of values that were read; its refusal is a problem of this value. */
    <T> Optional<T> made(Supplier<T> factory) {
        try {
            return Optional.of(factory.get());
        } catch (IllegalArgumentException e) {
            problem(e.getMessage());
            return Optional.empty();
        }
    }
}
