package gastfreund.app.start;

import gastfreund.app.editing.Figures;
import gastfreund.core.hours.Window;
import gastfreund.housefile.HoursFile;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A week as people say it in one line, in both languages: {@code Tue to Fri 10–18, Sat 10–14}. */
final class WeekWords {

    private static final int MOST = 300;

    private static final String FIGURES = "\\d[\\d\\s:.,h–—-]*+";

    /** Days, then figures, up to the days that follow. */
    private static final Pattern PIECE = Pattern.compile(
            "\\G[\\s,;]*+(\\p{L}[\\p{L}\\s,.&–—-]*+)(" + FIGURES + "(?:(?:und|and) ++" + FIGURES + ")*+)");

    private static final Pattern WORD = Pattern.compile("\\p{L}++|[–—-]");
    private static final Set<String> TO = Set.of("to", "till", "until", "bis", "-", "–", "—");
    private static final Set<String> AND = Set.of("and", "und");
    private static final Map<String, DayOfWeek> DAYS = new HashMap<>();

    static {
        String[][] names = {
            {"mo", "mon", "monday", "montag"},
            {"tu", "tue", "tues", "tuesday", "di", "dienstag"},
            {"we", "wed", "wednesday", "mi", "mittwoch"},
            {"th", "thu", "thur", "thurs", "thursday", "do", "donnerstag"},
            {"fr", "fri", "friday", "freitag"},
            {"sa", "sat", "saturday", "samstag", "sonnabend"},
            {"su", "sun", "sunday", "so", "sonntag"}
        };
        for (DayOfWeek day : DayOfWeek.values()) {
            for (String name : names[day.ordinal()]) {
                DAYS.put(name, day);
            }
        }
    }

    private WeekWords() {}

    /** The windows of each day that has some; empty where something of it cannot be read. */
    static Optional<Map<DayOfWeek, List<Window>>> read(String written, Figures figures) {
        Map<DayOfWeek, List<Window>> week = new EnumMap<>(DayOfWeek.class);
        String text = written.strip();
        if (text.length() > MOST) {
            return Optional.empty();
        }
        Matcher piece = PIECE.matcher(text);
        int end = 0;
        while (piece.find()) {
            Optional<Set<DayOfWeek>> days = days(piece.group(1));
            Figures.Read read = figures.read(trimmed(piece.group(2)));
            List<Window> windows = read.windows();
            if (days.isEmpty() || !read.isRight() || windows == null) {
                return Optional.empty();
            }
            days.get().forEach(d -> week.computeIfAbsent(d, k -> new ArrayList<>())
                    .addAll(windows));
            end = piece.end();
        }
        return end == text.length() && !week.isEmpty() ? Optional.of(week) : Optional.empty();
    }

    private static String trimmed(String figures) {
        String text = figures.strip();
        while (text.endsWith(",") || text.endsWith(".")) {
            text = text.substring(0, text.length() - 1).strip();
        }
        return text;
    }

    private static Optional<Set<DayOfWeek>> days(String words) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        Matcher word = WORD.matcher(words.toLowerCase(Locale.ROOT));
        DayOfWeek last = null;
        boolean range = false;
        while (word.find()) {
            String one = word.group();
            DayOfWeek day = DAYS.get(one);
            if (TO.contains(one) && last != null) {
                range = true;
            } else if (day == null) {
                if (!AND.contains(one)) {
                    return Optional.empty();
                }
            } else {
                for (DayOfWeek d = range && last != null ? last : day; d != day; d = d.plus(1)) {
                    days.add(d);
                }
                days.add(day);
                last = day;
                range = false;
            }
        }
        return days.isEmpty() || range ? Optional.empty() : Optional.of(days);
    }

    /** As the house file has it. */
    static ObjectNode hours(Map<DayOfWeek, List<Window>> week) {
        ObjectNode hours = JsonNodeFactory.instance.objectNode();
        ArrayNode weekly = hours.putArray("weekly");
        week.forEach((day, windows) -> HoursFile.written(windows).forEach(w -> {
            ObjectNode window = w.deepCopy().asObject();
            window.putArray("days").add(day.name().substring(0, 3).toLowerCase(Locale.ROOT));
            weekly.add(window);
        }));
        return hours;
    }
}
