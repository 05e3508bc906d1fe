package gastfreund.app.editing;

import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** How a member of a document is written in a field, and read from it. Blank is no member. */
public interface Sort {

    /** Reads what was typed and is not blank; empty where it cannot be read. */
    Optional<JsonNode> read(String typed, Formats f);

    /** Writes a member that is there so that it is read as the same. */
    String said(JsonNode member, Formats f);

    /** How much may be typed. */
    default int most() {
        return 120;
    }

    JsonNodeFactory JSON = JsonNodeFactory.instance;

    /** A number as it is read from a file. */
    static JsonNode number(long value) {
        return value == (int) value ? JSON.numberNode((int) value) : JSON.numberNode(value);
    }

    /** A line of text. */
    Sort LINE = new Text(120);

    /** Some lines of text. */
    Sort TEXT = new Text(4000);

    /** Several texts, one on each line. */
    Sort LINES = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            ArrayNode lines = JSON.arrayNode();
            typed.lines().map(String::strip).filter(l -> !l.isEmpty()).forEach(lines::add);
            return Optional.of(lines);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            StringBuilder lines = new StringBuilder();
            member.forEach(l -> lines.append(lines.isEmpty() ? "" : "\n").append(l.stringValue("")));
            return lines.toString();
        }

        @Override
        public int most() {
            return 4000;
        }
    };

    /** A whole number. */
    Sort WHOLE = new Sort() {
        private static final Pattern WHOLE = Pattern.compile("\\d{1,7}");

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return WHOLE.matcher(typed).matches() ? Optional.of(number(Long.parseLong(typed))) : Optional.empty();
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.isIntegralNumber() ? Long.toString(member.longValue()) : "";
        }
    };

    /** An amount of money. */
    Sort AMOUNT = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return f.amount(typed).map(a -> number(a.minor()));
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.isIntegralNumber() ? f.field(Money.ofMinor(member.longValue())) : "";
        }
    };

    /** A percentage, whole or with decimals, with or without the sign. */
    Sort PERCENT = new Sort() {
        private static final Pattern DECIMAL = Pattern.compile("-?\\d{1,4}+(?:\\.\\d{1,4}+)?+");

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            String plain = typed.replace("%", "").strip().replace(',', '.').replace('−', '-');
            if (!DECIMAL.matcher(plain).matches()) {
                return Optional.empty();
            }
            return Optional.of(plain.contains(".") ? JSON.stringNode(plain) : number(Long.parseLong(plain)));
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.isMissingNode() ? "" : member.asString("") + "\u00a0%";
        }
    };

    /** How long, in minutes. */
    Sort SPAN = new Span(1, 1);

    /** How long before, in hours; a bare number is one of hours. */
    Sort HOURS = new Span(60, 60);

    /** A date, as a date field sends it. */
    Sort DATE = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            try {
                return Optional.of(JSON.stringNode(LocalDate.parse(typed).toString()));
            } catch (DateTimeException e) {
                return Optional.empty();
            }
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.stringValue("");
        }
    };

    /** A text of up to so many characters. */
    record Text(int most) implements Sort {

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return Optional.of(JSON.stringNode(Written.text(typed, most).replace("\r\n", "\n")));
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.stringValue("");
        }
    }

    /**
     * How long.
     *
     * @param unit how many minutes one is in the document
     * @param bare how many minutes one is where somebody writes no unit
     */
    record Span(long unit, long bare) implements Sort {

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            OptionalLong minutes = Spans.read(typed, bare);
            return minutes.isPresent() && minutes.getAsLong() % unit == 0
                    ? Optional.of(number(minutes.getAsLong() / unit))
                    : Optional.empty();
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.isIntegralNumber() && member.longValue() >= 0 ? Spans.said(member.longValue() * unit, f) : "";
        }
    }
}
