package gastfreund.app.offerdesk;

import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.core.time.Recurrence;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The dates of a timetable as they are typed: a date, a time, how it comes again, and how often. */
final class Dates {

    /** How a start comes again. */
    static final String[] REPEATS = {"once", "daily", "weekly", "fortnight", "own"};

    static final String LIST = "timetable";
    static final String MANY = "many";

    /** The most entries that are shown and made at the desk; a house file may have more. */
    static final int MOST = 30;

    static final String APART = "apart/";

    private static final int MOST_WEEKS = 104;
    private static final int MOST_SEATS = 10_000;
    private static final int DAY = 1440;
    private static final Pattern RULE =
            Pattern.compile("FREQ=(DAILY|WEEKLY)(?:;INTERVAL=(\\d{1,3}+))?+(?:;COUNT=(\\d{1,4}+))?+");

    private Dates() {}

    static boolean has(JsonNode offer) {
        return offer.path("mode").stringValue("open").equals(LIST);
    }

    /** How an entry comes again: one of {@link #REPEATS}. */
    static String repeat(JsonNode entry) {
        String rule = entry.path("rrule").stringValue("");
        Matcher known = RULE.matcher(rule);
        if (rule.isEmpty()) {
            return "once";
        }
        if (!known.matches()) {
            return "own";
        }
        String every = known.group(2) == null ? "1" : known.group(2);
        boolean weekly = known.group(1).equals("WEEKLY");
        return every.equals("1") ? (weekly ? "weekly" : "daily") : weekly && every.equals("2") ? "fortnight" : "own";
    }

    /** How often an entry takes place; empty: without end, or by a rule of its own. */
    static String times(JsonNode entry) {
        Matcher known = RULE.matcher(entry.path("rrule").stringValue(""));
        return known.matches() && known.group(3) != null ? known.group(3) : "";
    }

    static String date(JsonNode entry) {
        String start = entry.path("start").stringValue("");
        return start.length() >= 10 ? start.substring(0, 10) : "";
    }

    static String time(JsonNode entry) {
        String start = entry.path("start").stringValue("");
        String time = start.length() >= 16 ? start.substring(11, 16) : "";
        return time.startsWith("0") ? time.substring(1) : time;
    }

    /** Takes what was typed into the entries of a timetable. */
    static void take(ObjectNode offer, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        int place = 0;
        for (JsonNode one : offer.path(LIST)) {
            ObjectNode entry = (ObjectNode) one;
            String name = LIST + "/" + place++ + "/";
            if (form.containsKey(name + "date")) {
                start(entry, name, form, unread, f);
                rule(entry, name, form, unread);
            }
        }
    }

    private static void start(
            ObjectNode entry, String name, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        String date = first(form, name + "date");
        String time = first(form, name + "time");
        boolean dates = Sort.DATE.read(date, f).isPresent();
        boolean times = Sorts.TIME_OF_DAY.read(time, f).isPresent();
        unread.put(name + "date", dates ? "" : date.isEmpty() ? " " : date);
        unread.put(name + "time", times ? "" : time.isEmpty() ? " " : time);
        if (dates && times) {
            entry.put(
                    "start",
                    date + "T" + Sorts.TIME_OF_DAY.read(time, f).orElseThrow().stringValue());
        }
    }

    private static void rule(
            ObjectNode entry, String name, MultiValueMap<String, String> form, Map<String, String> unread) {
        String repeat = first(form, name + "repeat");
        String times = first(form, name + "times");
        boolean number = times.isEmpty() || times.length() < 5 && times.chars().allMatch(Character::isDigit);
        unread.put(name + "times", number ? "" : times);
        if (!number || repeat.equals("own") || repeat.equals(repeat(entry)) && times.equals(times(entry))) {
            return;
        }
        String count = times.isEmpty() ? "" : ";COUNT=" + times;
        switch (repeat) {
            case "daily" -> entry.put("rrule", "FREQ=DAILY" + count);
            case "weekly" -> entry.put("rrule", "FREQ=WEEKLY" + count);
            case "fortnight" -> entry.put("rrule", "FREQ=WEEKLY;INTERVAL=2" + count);
            default -> entry.remove("rrule");
        }
    }

    private static String first(MultiValueMap<String, String> form, String name) {
        return String.join("", form.getOrDefault(name, List.of())).strip();
    }

    /** Takes a date out of an entry, and gives it an entry of its own, where it can have other people, seats or times. */
    static void apart(ObjectNode offer, int place, String date) {
        if (offer.path(LIST) instanceof ArrayNode list
                && list.path(place) instanceof ObjectNode entry
                && list.size() < MOST
                && takesPlace(entry, date)) {
            ObjectNode own = entry.deepCopy();
            own.remove("exdates");
            own.remove("rrule");
            own.put("start", date + entry.path("start").stringValue("").substring(10));
            ArrayNode without = entry.path("exdates") instanceof ArrayNode given ? given : entry.putArray("exdates");
            without.add(date);
            list.insert(place + 1, own);
        }
    }

    private static boolean takesPlace(JsonNode entry, String date) {
        try {
            LocalDate wanted = LocalDate.parse(date);
            return of(entry, wanted, 1).contains(wanted);
        } catch (DateTimeException e) {
            return false;
        }
    }

    /** Adds an entry like the last, a week later. */
    static void add(ObjectNode offer) {
        if (offer.path(LIST) instanceof ArrayNode list && !list.isEmpty() && list.size() < MOST) {
            ObjectNode entry = (ObjectNode) list.get(list.size() - 1).deepCopy();
            try {
                LocalDate date = LocalDate.parse(date(entry)).plusWeeks(1);
                entry.put("start", date + entry.path("start").stringValue("").substring(10));
            } catch (DateTimeException e) {
                return;
            }
            entry.remove("exdates");
            entry.remove("rrule");
            list.add(entry);
        }
    }

    /**
     * Adds an entry for each time of some days: {@code from 10 to 16 every hour on Wed, Fri and Sat, 2 places each}.
     *
     * @return false where something of it cannot be read, or there would be too many
     */
    static boolean addMany(ObjectNode offer, MultiValueMap<String, String> form, LocalDate today, Formats f) {
        List<String> days = form.getOrDefault(MANY + "/days", List.of());
        String from = first(form, MANY + "/from");
        String to = first(form, MANY + "/to");
        OptionalLong every = Spans.read(first(form, MANY + "/every"), 1);
        String weeks = first(form, MANY + "/weeks");
        String seats = first(form, MANY + "/seats");
        boolean right = !days.isEmpty()
                && Sorts.TIME_OF_DAY.read(from, f).isPresent()
                && Sorts.TIME_OF_DAY.read(to, f).isPresent()
                && every.isPresent()
                && every.getAsLong() > 0
                && isNumber(weeks, MOST_WEEKS)
                && isNumber(seats, MOST_SEATS);
        if (!right || !(offer.path(LIST) instanceof ArrayNode list)) {
            return false;
        }
        int first = minute(Sorts.TIME_OF_DAY.read(from, f).orElseThrow().stringValue());
        int last = minute(Sorts.TIME_OF_DAY.read(to, f).orElseThrow().stringValue());
        long count = last < first ? 0 : ((last - first) / every.getAsLong() + 1) * days.size();
        if (count == 0 || list.size() + count > MOST) {
            return false;
        }
        String length = offer.path("lengths").path(0).path("id").stringValue("");
        for (DayOfWeek day : DayOfWeek.values()) {
            if (!days.contains(day.name().substring(0, 3).toLowerCase(Locale.ROOT))) {
                continue;
            }
            LocalDate date = today.with(TemporalAdjusters.next(day));
            for (long minute = first; minute <= last && minute < DAY; minute += every.getAsLong()) {
                list.addObject()
                        .put("start", date + "T" + LocalTime.ofSecondOfDay(minute * 60))
                        .put("rrule", "FREQ=WEEKLY;COUNT=" + weeks)
                        .put("length", length)
                        .put("seats", Integer.parseInt(seats));
            }
        }
        return true;
    }

    private static boolean isNumber(String text, int most) {
        boolean digits = !text.isEmpty() && text.length() < 6 && text.chars().allMatch(c -> c >= '0' && c <= '9');
        return digits && Integer.parseInt(text) >= 1 && Integer.parseInt(text) <= most;
    }

    private static int minute(String time) {
        return Integer.parseInt(time.substring(0, 2)) * 60 + Integer.parseInt(time.substring(3));
    }

    /** The dates of an entry from a day on, whether it takes place on them or not. */
    static List<LocalDate> of(JsonNode entry, LocalDate from, int most) {
        try {
            String rule = entry.path("rrule").stringValue("");
            Recurrence times = Recurrence.of(
                    LocalDateTime.parse(entry.path("start").stringValue("")), rule.isEmpty() ? null : rule, Set.of());
            return Arrays.stream(times.between(from, from.plusYears(2)))
                    .mapToObj(Recurrence::localOf)
                    .map(LocalDateTime::toLocalDate)
                    .distinct()
                    .limit(most)
                    .toList();
        } catch (DateTimeException | IllegalArgumentException e) {
            // What is wrong with it is told at its fields.
            return List.of();
        }
    }
}
