package gastfreund.housefile;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.math.BigDecimal;
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
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * A value in a file with its path. Whatever is asked of it and is not so is noted as a problem, and a harmless stand-in
 * is given, so that all problems of a file are found in one reading.
 */
public final class Node {

    private static final Pattern DECIMAL = Pattern.compile("-?\\d{1,6}+(?:\\.\\d{1,6}+)?+");
    private static final Pattern TIME = Pattern.compile("[0-2][0-9]:[0-5][0-9]");

    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2199;
    static final int MOST_PERCENT = 100_000;

    /** The largest amount, in minor units: sums of many thousands of them stay within a long. */
    static final long MOST_MONEY = 1_000_000_000_000L;

    private final JsonNode json;
    private final String path;
    private final List<Problem> problems;

    private Node(JsonNode json, String path, List<Problem> problems) {
        this.json = json;
        this.path = path;
        this.problems = problems;
    }

    /**
     * A whole file.
     *
     * @param problems where the problems of it and of all in it are noted
     */
    public static Node root(JsonNode json, List<Problem> problems) {
        return new Node(json, "", problems);
    }

    String path() {
        return path;
    }

    /** The value as it was written. */
    public JsonNode json() {
        return json;
    }

    /** Notes something wrong with this value. */
    public void problem(String message) {
        problems.add(new Problem(path, message));
    }

    private Node child(JsonNode value, String name) {
        return new Node(value, path.isEmpty() ? name : path + "." + name, problems);
    }

    /** Notes every member that is not among the known ones, and a value that is no object. */
    public Node object(String... known) {
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

    /** Whether there is a member of that name. */
    public boolean has(String name) {
        return json.has(name);
    }

    /** A member; empty where it is missing. */
    public Optional<Node> member(String name) {
        return json.has(name) ? Optional.of(child(json.get(name), name)) : Optional.empty();
    }

    /** A member; a problem where it is missing. */
    public Node required(String name) {
        if (!json.has(name)) {
            child(json, name).problem("is missing");
            return child(json.path(name), name).silent();
        }
        return child(json.get(name), name);
    }

    /** A member for a problem of its own, missing or not. */
    public Node at(String name) {
        return child(json.path(name), name);
    }

    /** The same value, whose further problems are not worth telling. */
    private Node silent() {
        return new Node(json, path, new ArrayList<>());
    }

    /** The elements of an array. */
    public List<Node> elements() {
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
    public List<Node> elements(String name) {
        return member(name).map(Node::elements).orElse(List.of());
    }

    /** The members of an object, as nodes by name. */
    public List<Map.Entry<String, Node>> members() {
        if (!json.isObject()) {
            problem("must be an object");
            return List.of();
        }
        return json.properties().stream()
                .map(m -> Map.entry(m.getKey(), child(m.getValue(), m.getKey())))
                .toList();
    }

    /** A text that is not blank. */
    public String text() {
        if (!json.isString() || json.stringValue().isBlank()) {
            problem("must be a text that is not blank");
            return "?";
        }
        return json.stringValue();
    }

    /** A text that may be blank. */
    public String textOrBlank() {
        if (!json.isString()) {
            problem("must be a text");
            return "";
        }
        return json.stringValue();
    }

    /** {@link #textOrBlank()} of a member; blank where it is missing. */
    public String textOrBlank(String name) {
        return member(name).map(Node::textOrBlank).orElse("");
    }

    /** True or false. */
    public boolean truth() {
        if (!json.isBoolean()) {
            problem("must be true or false");
            return false;
        }
        return json.booleanValue();
    }

    /** {@link #truth()} of a member; false where it is missing. */
    public boolean truth(String name) {
        return member(name).map(Node::truth).orElse(false);
    }

    /** A whole number between two bounds, both inclusive. */
    public long number(long least, long most) {
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

    /** As {@link #number}. */
    public int integer(int least, int most) {
        return (int) number(least, most);
    }

    /** A member's whole number; empty where it is missing. */
    public OptionalInt integer(String name, int least, int most) {
        return member(name).map(n -> OptionalInt.of(n.integer(least, most))).orElse(OptionalInt.empty());
    }

    /** As {@link #integer(String, int, int)}; a problem where it is missing. */
    OptionalInt requiredInteger(String name, int least, int most) {
        required(name);
        return integer(name, least, most);
    }

    /** A member's whole number, or another where it is missing. */
    public int integer(String name, int least, int most, int otherwise) {
        return integer(name, least, most).orElse(otherwise);
    }

    /** One of some words. */
    public String word(String... words) {
        String value = json.isString() ? json.stringValue() : "";
        if (!List.of(words).contains(value)) {
            problem("must be one of " + String.join(", ", words));
            return words[0];
        }
        return value;
    }

    /** A member that is one of some words; another where it is missing. */
    public String word(String name, String[] words, String otherwise) {
        return member(name).map(n -> n.word(words)).orElse(otherwise);
    }

    /** A percentage: a whole number or a decimal text, between two bounds, both inclusive. */
    public Percent percent(int least, int most) {
        Percent percent = json.isIntegralNumber()
                ? Percent.of(number(-MOST_PERCENT, MOST_PERCENT))
                : parsed("a whole number or a decimal text", Percent.ZERO, text -> {
                    if (!DECIMAL.matcher(text).matches()) {
                        throw new IllegalArgumentException(text);
                    }
                    return Percent.of(text);
                });
        if (percent.value().compareTo(BigDecimal.valueOf(least)) < 0
                || percent.value().compareTo(BigDecimal.valueOf(most)) > 0) {
            problem("must be from " + least + " to " + most);
            return Percent.ZERO;
        }
        return percent;
    }

    /** An amount of money, not negative and not too large for any sum of a house's. */
    public Money amount() {
        return amount(0);
    }

    /** An amount of money of at least {@code least} minor units. */
    public Money amount(long least) {
        return Money.ofMinor(number(least, MOST_MONEY));
    }

    /** A date in a time that a house can have to do with. */
    public LocalDate date() {
        return parsed("a date such as 2027-01-31", LocalDate.EPOCH, t -> inReach(LocalDate.parse(t)));
    }

    /** A moment with an offset. */
    public Instant instant() {
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
            if (!TIME.matcher(text).matches()) {
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
            problem(String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }
}
