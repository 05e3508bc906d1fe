package gastfreund.app.calendars;

import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * When somebody is busy by an iCalendar file of another program (RFC 5545, {@code docs/letters.md}, "Busy times"). Events that
 * return are worked out in local times of their zone; what was cancelled or is marked as free is not busy, whole days only where
 * they say so; our own events coming back are not looked at.
 */
public final class BusyFile {

    /** How many occurrences of events are taken. */
    public static final int MOST = 10_000;

    /** How far moved occurrences are looked for beyond the time asked for. */
    private static final Duration MARGIN = Duration.ofDays(2);

    /**
     * What was read.
     *
     * @param busy in whole minutes, ascending, what overlaps or touches made one
     * @param occurrences how many there are, our own left out
     * @param unread how many events could not be understood
     * @param zones what they are called that nobody knows; their times were read as the house's
     */
    public record Read(List<Interval> busy, int occurrences, int unread, Set<String> zones) {}

    /** A file that cannot be taken. */
    public static final class Refused extends Exception {

        private static final long serialVersionUID = 1;

        private final Why why;

        /** Why it was not taken. */
        public enum Why {
            NO_CALENDAR,
            TOO_MANY
        }

        Refused(Why why) {
            super(why.name());
            this.why = why;
        }

        public Why why() {
            return why;
        }
    }

    /** There are more occurrences than are taken. */
    private static final class TooMany extends RuntimeException {

        private static final long serialVersionUID = 1;
    }

    /** When an occurrence takes place; the end is exclusive. */
    private record Span(Instant start, Instant end) {}

    private final ZoneId house;
    private final Instant from;
    private final Instant to;
    private final Map<String, FileZone> zones = new HashMap<>();
    private final Map<String, Component> described = new HashMap<>();
    private final Set<String> unknown = new TreeSet<>();
    private final List<Span> busy = new ArrayList<>();
    private int occurrences;
    private int unread;

    private BusyFile(ZoneId house, Instant from, Instant to) {
        this.house = house;
        this.from = from;
        this.to = to;
    }

    /**
     * @param house the zone of times that name none
     * @param from what ends until then is left out
     * @param to what begins then or later is left out
     * @throws Refused where it is no calendar, or there is too much in it
     */
    public static Read read(String text, ZoneId house, Instant from, Instant to) throws Refused {
        Component calendar;
        try {
            calendar = Component.calendar(text);
        } catch (Component.Unreadable e) {
            throw new Refused(Refused.Why.NO_CALENDAR);
        }
        BusyFile reading = new BusyFile(house, from, to);
        try {
            reading.read(calendar);
        } catch (TooMany e) {
            throw new Refused(Refused.Why.TOO_MANY);
        }
        return new Read(reading.minutes(), reading.occurrences, reading.unread, Set.copyOf(reading.unknown));
    }

    private void read(Component calendar) {
        calendar.inside().stream()
                .filter(c -> c.name().equals("VTIMEZONE"))
                .forEach(c -> described.put(c.value("TZID"), c));
        Map<String, List<Component>> events = new LinkedHashMap<>();
        int nameless = 0;
        for (Component component : calendar.inside()) {
            if (component.name().equals("VEVENT")) {
                String uid = component.value("UID");
                String key = uid.isEmpty() ? "\n" + nameless++ : uid;
                events.computeIfAbsent(key, k -> new ArrayList<>()).add(component);
            }
        }
        events.forEach((uid, parts) -> {
            if (!uid.endsWith(CalendarFile.OURS)) {
                event(parts);
            }
        });
    }

    /** Takes in an event with all that was said of single occurrences of it. */
    private void event(List<Component> parts) {
        try {
            Component master = latest(parts.stream()
                    .filter(p -> p.value("RECURRENCE-ID").isEmpty())
                    .toList());
            Map<Instant, Component> moved = new TreeMap<>();
            TreeMap<Instant, Component> onwards = new TreeMap<>();
            for (Component part : parts) {
                if (part != master && !part.value("RECURRENCE-ID").isEmpty()) {
                    Component.Line which = part.line("RECURRENCE-ID").orElseThrow();
                    Map<Instant, Component> into =
                            which.parameter("RANGE").equalsIgnoreCase("THISANDFUTURE") ? onwards : moved;
                    into.merge(instantOf(which, master), part, (a, b) -> latest(List.of(a, b)));
                }
            }
            if (master != null) {
                all(master, moved, onwards);
            }
            moved.values().forEach(part -> add(part, span(part, time(part, "DTSTART"))));
        } catch (IllegalArgumentException | ArithmeticException e) {
            unread++;
        }
    }

    /** An occurrence is named by its time, or in whole days by its date, also where times are. */
    private Instant instantOf(Component.Line which, @Nullable Component master) {
        FileTime named = time(which);
        if (!named.day() || master == null) {
            return named.instant();
        }
        FileTime first = time(master, "DTSTART");
        return first.day()
                ? first.zone().instant(named.local())
                : first.zone()
                        .instant(
                                named.local().toLocalDate().atTime(first.local().toLocalTime()));
    }

    private static @Nullable Component latest(List<Component> versions) {
        return versions.stream().max(Comparator.comparingInt(c -> sequence(c))).orElse(null);
    }

    private static int sequence(Component component) {
        String text = component.value("SEQUENCE");
        return !text.isEmpty() && text.length() < 10 && text.chars().allMatch(Character::isDigit)
                ? Integer.parseInt(text)
                : 0;
    }

    private void all(Component master, Map<Instant, Component> moved, TreeMap<Instant, Component> onwards) {
        FileTime first = time(master, "DTSTART");
        Duration reach = MARGIN.plus(Duration.between(
                span(master, first).start(), span(master, first).end()));
        for (Map.Entry<Instant, Component> later : onwards.entrySet()) {
            FileTime changed = time(later.getValue(), "DTSTART");
            Span span = span(later.getValue(), changed);
            reach = reach.plus(Duration.between(later.getKey(), span.start()).abs())
                    .plus(Duration.between(span.start(), span.end()));
        }
        Map<Instant, FileTime> starts = starts(master, first, from.minus(reach), to.plus(reach));
        Map<Instant, Instant> ends = new HashMap<>();
        periods(master, starts, ends);
        without(master, first, starts);
        moved.keySet().forEach(starts::remove);
        starts.forEach((at, start) -> {
            Map.Entry<Instant, Component> change = onwards.floorEntry(at);
            if (change == null) {
                Instant end = ends.get(at);
                add(master, end == null ? span(master, start) : new Span(at, end));
            } else {
                Component part = change.getValue();
                FileTime changed = time(part, "DTSTART");
                LocalDateTime was = changed.zone().local(change.getKey());
                LocalDateTime now = changed.zone().local(at).plus(Duration.between(was, changed.local()));
                add(part, span(part, new FileTime(now, changed.zone(), changed.day())));
            }
        });
    }

    /** The starts from some time until another, by the event's first one, its rules and its dates. */
    private Map<Instant, FileTime> starts(Component master, FileTime first, Instant after, Instant before) {
        Map<Instant, FileTime> starts = new TreeMap<>();
        put(starts, first, after, before);
        master.all("RRULE").forEach(l -> byRule(l.value(), first, after, before)
                .forEach(start -> put(starts, start, after, before)));
        master.all("RDATE")
                .filter(l -> !l.parameter("VALUE").equalsIgnoreCase("PERIOD"))
                .flatMap(l -> times(l).stream())
                .forEach(start -> put(starts, start, after, before));
        return starts;
    }

    private static void put(Map<Instant, FileTime> starts, FileTime start, Instant after, Instant before) {
        Instant at = start.instant();
        if (!at.isBefore(after) && at.isBefore(before)) {
            starts.put(at, start);
        }
    }

    private List<FileTime> byRule(String rule, FileTime first, Instant after, Instant before) {
        String until = Rules.until(rule).orElse("");
        List<FileTime> starts = new ArrayList<>();
        Rules.each(rule, first.local(), first.zone().local(after), local -> {
            FileTime start = new FileTime(local, first.zone(), first.day());
            if (!start.instant().isBefore(before) || isAfter(start, until)) {
                return false;
            }
            starts.add(start);
            if (starts.size() > MOST) {
                throw new TooMany();
            }
            return true;
        });
        return starts;
    }

    private static boolean isAfter(FileTime start, String until) {
        if (until.isEmpty()) {
            return false;
        }
        LocalDateTime last = FileTime.local(until);
        if (FileTime.isDay(until)) {
            return start.local().toLocalDate().isAfter(last.toLocalDate());
        }
        return FileTime.isUtc(until) && !start.day()
                ? start.instant().isAfter(last.toInstant(ZoneOffset.UTC))
                : start.local().isAfter(last);
    }

    /** Dates that are given with an end of their own. */
    private void periods(Component master, Map<Instant, FileTime> starts, Map<Instant, Instant> ends) {
        master.all("RDATE")
                .filter(l -> l.parameter("VALUE").equalsIgnoreCase("PERIOD"))
                .forEach(l -> Arrays.stream(l.value().split(",")).forEach(period -> {
                    String[] both = period.split("/", 2);
                    if (both.length < 2) {
                        throw new IllegalArgumentException("no period: " + period);
                    }
                    FileTime start = time(l, both[0]);
                    starts.put(start.instant(), start);
                    ends.put(
                            start.instant(),
                            both[1].strip().startsWith("P")
                                    ? end(start, FileTime.length(both[1]))
                                    : time(l, both[1]).instant());
                }));
    }

    private void without(Component master, FileTime first, Map<Instant, FileTime> starts) {
        master.all("EXDATE").flatMap(l -> times(l).stream()).forEach(out -> {
            if (out.day() && !first.day()) {
                starts.values()
                        .removeIf(
                                s -> s.local().toLocalDate().equals(out.local().toLocalDate()));
            } else {
                starts.remove(out.instant());
            }
        });
        master.all("EXRULE").forEach(l -> byRule(l.value(), first, from.minus(MARGIN), to.plus(MARGIN))
                .forEach(out -> starts.remove(out.instant())));
    }

    private void add(Component part, Span span) {
        if (!span.end().isAfter(from) || !span.start().isBefore(to)) {
            return;
        }
        if (++occurrences > MOST) {
            throw new TooMany();
        }
        boolean day = time(part, "DTSTART").day();
        String transparency = part.value("TRANSP");
        boolean takes = day ? transparency.equalsIgnoreCase("OPAQUE") : !transparency.equalsIgnoreCase("TRANSPARENT");
        if (takes
                && !part.value("STATUS").equalsIgnoreCase("CANCELLED")
                && span.end().isAfter(span.start())) {
            busy.add(span);
        }
    }

    /** An occurrence of an event that begins at some time. */
    private Span span(Component part, FileTime start) {
        Instant at = start.instant();
        if (part.line("DTEND").isPresent()) {
            FileTime first = time(part, "DTSTART");
            FileTime last = time(part, "DTEND");
            return start.day()
                    ? new Span(
                            at,
                            start.zone()
                                    .instant(start.local()
                                            .plusDays(ChronoUnit.DAYS.between(
                                                    first.local().toLocalDate(),
                                                    last.local().toLocalDate()))))
                    : new Span(at, at.plus(Duration.between(first.instant(), last.instant())));
        }
        if (part.line("DURATION").isPresent()) {
            return new Span(at, end(start, FileTime.length(part.value("DURATION"))));
        }
        return new Span(at, start.day() ? start.zone().instant(start.local().plusDays(1)) : at);
    }

    private static Instant end(FileTime start, FileTime.Length length) {
        return start.zone().instant(start.local().plus(length.days())).plus(length.rest());
    }

    private FileTime time(Component part, String line) {
        return time(part.line(line).orElseThrow(() -> new IllegalArgumentException("without " + line)));
    }

    private FileTime time(Component.Line line) {
        return time(line, line.value());
    }

    private List<FileTime> times(Component.Line line) {
        return Stream.of(line.value().split(",")).map(v -> time(line, v)).toList();
    }

    private FileTime time(Component.Line line, String text) {
        LocalDateTime local = FileTime.local(text);
        if (FileTime.isDay(text)) {
            return new FileTime(local, new FileZone.Known(house), true);
        }
        return new FileTime(
                local, FileTime.isUtc(text) ? new FileZone.Known(ZoneOffset.UTC) : zone(line.parameter("TZID")), false);
    }

    /**
     * The zone of a name. One that is known everywhere is what is known of it; a name without a region, as {@code EST}, is what
     * the file says that it is.
     */
    private FileZone zone(String name) {
        return name.isEmpty() ? new FileZone.Known(house) : zones.computeIfAbsent(name, this::found);
    }

    private FileZone found(String name) {
        Component own = described.get(name);
        if (own == null || name.indexOf('/') >= 0) {
            FileZone known = FileZone.known(name).orElse(null);
            if (known != null) {
                return known;
            }
        }
        if (own == null) {
            unknown.add(name);
            return new FileZone.Known(house);
        }
        return FileZone.described(own, to.plus(MARGIN));
    }

    private List<Interval> minutes() {
        List<Interval> merged = new ArrayList<>();
        busy.stream().sorted(Comparator.comparing(Span::start)).forEach(span -> {
            long start = Math.floorDiv(span.start().getEpochSecond(), 60L);
            long end = -Math.floorDiv(-span.end().getEpochSecond(), 60L);
            Interval last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last != null && last.end() >= start) {
                merged.set(merged.size() - 1, Interval.between(last.start(), Math.max(last.end(), end)));
            } else {
                merged.add(Interval.between(start, end));
            }
        });
        return List.copyOf(merged);
    }
}
