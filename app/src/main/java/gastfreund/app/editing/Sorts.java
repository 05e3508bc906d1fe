package gastfreund.app.editing;

import gastfreund.app.languages.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How members that not every document has are written and read. */
public final class Sorts {

    private static final Pattern TIME = Pattern.compile("(\\d{1,2}+)(?:[:.h](\\d\\d))?+");
    private static final Pattern BETWEEN_WORDS = Pattern.compile(",");
    private static final Pattern BETWEEN_TIMES = Pattern.compile("[,; ]++");
    private static final Set<String> NOTHING = Set.of("nothing", "nichts", "0");
    private static final Set<String> DEPOSIT = Set.of("deposit", "the deposit", "anzahlung", "die anzahlung");
    private static final Set<String> ALL = Set.of("all", "everything", "alles");

    private Sorts() {}

    /** One of some words of the house file. */
    public record Word(List<String> words) implements Sort {

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return words.contains(typed) ? Optional.of(JSON.stringNode(typed)) : Optional.empty();
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.stringValue("");
        }
    }

    public static Word word(String... words) {
        return new Word(List.of(words));
    }

    /** Some words, with commas between them. */
    public static final Sort WORDS = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            ArrayNode words = JSON.arrayNode();
            BETWEEN_WORDS
                    .splitAsStream(typed)
                    .map(String::strip)
                    .filter(w -> !w.isEmpty())
                    .forEach(words::add);
            return Optional.of(words);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            List<String> words = new ArrayList<>();
            member.forEach(w -> words.add(w.stringValue("")));
            return String.join(", ", words);
        }
    };

    /** A part or an amount: {@code 30 %}, {@code 12.00}. */
    public static final Sort SHARE = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return typed.endsWith("%")
                    ? PERCENT.read(typed, f).map(p -> JSON.objectNode().set("percent", p))
                    : AMOUNT.read(typed, f).map(a -> JSON.objectNode().set("amount", a));
        }

        @Override
        public String said(JsonNode member, Formats f) {
            return member.has("percent")
                    ? PERCENT.said(member.path("percent"), f)
                    : AMOUNT.said(member.path("amount"), f);
        }
    };

    /** What is kept of a booking that is cancelled: {@code nothing}, {@code 30 %}, {@code the deposit}, {@code 12.00}, {@code all}. */
    public static final Sort KEEP = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            String word = typed.toLowerCase(Locale.ROOT);
            ObjectNode keep = JSON.objectNode();
            if (NOTHING.contains(word)) {
                return Optional.of(keep.put("percent", 0));
            }
            if (DEPOSIT.contains(word)) {
                return Optional.of(keep.put("deposit", true));
            }
            return ALL.contains(word) ? Optional.of(keep.put("all", true)) : SHARE.read(typed, f);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            if (member.has("all")) {
                return f.text("keep.all");
            }
            if (member.has("deposit")) {
                return f.text("keep.deposit");
            }
            return member.path("percent").asString("").equals("0") ? f.text("keep.nothing") : SHARE.said(member, f);
        }
    };

    /** A time of the day: {@code 9:30}, {@code 17}. */
    public static final Sort TIME_OF_DAY = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            return time(typed).map(JSON::stringNode);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            String time = member.stringValue("");
            return time.startsWith("0") ? time.substring(1) : time;
        }
    };

    /** Times of the day: {@code 9:00, 11:00, 14:30}. */
    public static final Sort TIMES = new Each(BETWEEN_TIMES, TIME_OF_DAY, 600);

    /**
     * Several of a kind, said with commas between them.
     *
     * @param between what stands between two of them where they are typed
     * @param most how much may be typed
     */
    public record Each(Pattern between, Sort one, int most) implements Sort {

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            ArrayNode all = JSON.arrayNode();
            for (String piece :
                    between.splitAsStream(typed).filter(t -> !t.isEmpty()).toList()) {
                Optional<JsonNode> read = one.read(piece, f);
                if (read.isEmpty()) {
                    return Optional.empty();
                }
                all.add(read.get());
            }
            return Optional.of(all);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            List<String> all = new ArrayList<>();
            member.forEach(m -> all.add(one.said(m, f)));
            return String.join(", ", all);
        }
    }

    private static Optional<String> time(String typed) {
        Matcher time = TIME.matcher(typed);
        if (!time.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(time.group(1));
        int minute = time.group(2) == null ? 0 : Integer.parseInt(time.group(2));
        boolean is = minute < 60 && (hour < 24 || hour == 24 && minute == 0);
        return is ? Optional.of(String.format(Locale.ROOT, "%02d:%02d", hour, minute)) : Optional.empty();
    }
}
