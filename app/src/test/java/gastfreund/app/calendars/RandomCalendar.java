package gastfreund.app.calendars;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;

/**
 * A calendar made up by chance, and an expansion of it that shares nothing with the one that is tested: every date from the
 * first on is asked whether the rule names it.
 */
final class RandomCalendar {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss");
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("uuuuMMdd");
    private static final List<String> ZONES =
            List.of("", "Z", "Europe/Berlin", "America/New_York", "Asia/Kolkata", "Australia/Lord_Howe", "Mill Time");

    /** An hour and a half ahead of UTC; one more from the second Sunday of March to that of September, at 3. */
    private static final String MILL_TIME =
            """
            BEGIN:VTIMEZONE
            TZID:Mill Time
            BEGIN:STANDARD
            DTSTART:20100912T030000
            TZOFFSETFROM:+0230
            TZOFFSETTO:+0130
            RRULE:FREQ=YEARLY;BYMONTH=9;BYDAY=2SU
            END:STANDARD
            BEGIN:DAYLIGHT
            DTSTART:20100314T030000
            TZOFFSETFROM:+0130
            TZOFFSETTO:+0230
            RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=2SU
            END:DAYLIGHT
            END:VTIMEZONE
            """;

    private record Span(Instant start, Instant end) {}

    private final Random random;
    private final ZoneId house;
    private final StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//EN\n" + MILL_TIME);
    private final List<Span> busy = new ArrayList<>();

    RandomCalendar(Random random, ZoneId house) {
        this.random = random;
        this.house = house;
        int events = 1 + random.nextInt(4);
        for (int i = 0; i < events; i++) {
            event("event-" + i);
        }
        text.append("END:VCALENDAR\n");
    }

    String text() {
        return text.toString().replace("\n", "\r\n");
    }

    /** Each minute of some time in which somebody is busy. */
    BitSet busy(Instant from, Instant to) {
        BitSet minutes = new BitSet();
        long count = Duration.between(from, to).toMinutes();
        for (Span span : busy) {
            long start = Math.max(0, Duration.between(from, span.start()).toMinutes());
            long end = Math.min(count, Duration.between(from, span.end()).toMinutes());
            for (long minute = start; minute < end; minute++) {
                minutes.set((int) minute);
            }
        }
        return minutes;
    }

    private void event(String uid) {
        boolean day = random.nextInt(4) == 0;
        String zone = day ? "" : ZONES.get(random.nextInt(ZONES.size()));
        LocalDate date = LocalDate.of(2025, 1, 1).plusDays(random.nextInt(840));
        LocalTime time = day ? LocalTime.MIDNIGHT : LocalTime.of(random.nextInt(24), 5 * random.nextInt(12));
        int length = day ? 1 + random.nextInt(3) : 5 * (1 + random.nextInt(200));
        int interval = 1 + random.nextInt(3);
        int kind = random.nextInt(5);
        StringBuilder rule = new StringBuilder();
        List<DayOfWeek> weekdays = new ArrayList<>();
        switch (kind) {
            case 1 -> rule.append("FREQ=DAILY");
            case 2 -> {
                weekdays.add(date.getDayOfWeek());
                weekdays.add(DayOfWeek.of(1 + random.nextInt(7)));
                rule.append("FREQ=WEEKLY;BYDAY=").append(code(weekdays.get(0)));
                if (weekdays.get(1) != weekdays.get(0)) {
                    rule.append(',').append(code(weekdays.get(1)));
                }
            }
            case 3 -> rule.append("FREQ=MONTHLY;BYMONTHDAY=").append(date.getDayOfMonth());
            case 4 -> rule.append("FREQ=MONTHLY;BYDAY=")
                    .append((date.getDayOfMonth() - 1) / 7 + 1)
                    .append(code(date.getDayOfWeek()));
            default -> {
                // It does not return.
            }
        }
        int count = Integer.MAX_VALUE;
        LocalDate until = LocalDate.MAX;
        if (kind > 0) {
            rule.append(";INTERVAL=").append(interval);
            if (random.nextInt(3) == 0) {
                count = 1 + random.nextInt(60);
                rule.append(";COUNT=").append(count);
            } else if (random.nextInt(2) == 0) {
                until = date.plusDays(random.nextInt(900));
                rule.append(";UNTIL=")
                        .append(
                                day
                                        ? DATE.format(until)
                                        : TIME.format(instant(until.atTime(23, 59), zone)
                                                        .atOffset(ZoneOffset.UTC)) + "Z");
            }
        }
        TreeMap<LocalDate, Span> all = new TreeMap<>();
        int met = 0;
        for (LocalDate each = date;
                each.isBefore(LocalDate.of(2027, 6, 1)) && !each.isAfter(until);
                each = each.plusDays(1)) {
            if (named(each, date, kind, interval, weekdays) && ++met <= count) {
                all.put(each, span(each.atTime(time), zone, day, length));
            }
        }
        List<LocalDate> dates = new ArrayList<>(all.keySet());
        StringBuilder more = new StringBuilder();
        StringBuilder others = new StringBuilder();
        for (int i = 0; kind > 0 && i < random.nextInt(4); i++) {
            LocalDate one = dates.get(random.nextInt(dates.size()));
            if (random.nextBoolean()) {
                more.append(line("EXDATE", one.atTime(time), zone, day));
                if (!others.toString().contains(line("RECURRENCE-ID", one.atTime(time), zone, day))) {
                    all.remove(one);
                }
            } else if (all.containsKey(one)
                    && !others.toString().contains(line("RECURRENCE-ID", one.atTime(time), zone, day))) {
                moved(uid, one, time, zone, day, length, others);
                all.remove(one);
            }
        }
        if (random.nextInt(3) == 0) {
            LocalDate added = date.plusDays(random.nextInt(800)).plusYears(3);
            more.append(line("RDATE", added.atTime(time), zone, day));
        }
        String takes = random.nextInt(4) == 0 ? "TRANSPARENT" : "OPAQUE";
        text.append("BEGIN:VEVENT\nUID:").append(uid).append('\n');
        text.append(line("DTSTART", date.atTime(time), zone, day));
        text.append(end(date, time, zone, day, length));
        text.append(kind == 0 ? "" : "RRULE:" + rule + "\n").append(more);
        text.append("TRANSP:").append(takes).append("\nEND:VEVENT\n").append(others);
        if (takes.equals("OPAQUE")) {
            busy.addAll(all.values());
        }
    }

    private String end(LocalDate date, LocalTime time, String zone, boolean day, int length) {
        if (day) {
            return random.nextBoolean()
                    ? "DURATION:P" + length + "D\n"
                    : line("DTEND", date.plusDays(length).atStartOfDay(), zone, true);
        }
        Instant end = instant(date.atTime(time), zone).plus(Duration.ofMinutes(length));
        return random.nextBoolean()
                ? "DURATION:PT" + length + "M\n"
                : "DTEND:" + TIME.format(end.atOffset(ZoneOffset.UTC)) + "Z\n";
    }

    /** An occurrence that is elsewhere, or cancelled. */
    private void moved(
            String uid, LocalDate one, LocalTime time, String zone, boolean day, int length, StringBuilder into) {
        LocalDate to = one.plusDays(random.nextInt(9) - 4);
        boolean cancelled = random.nextInt(3) == 0;
        into.append("BEGIN:VEVENT\nUID:").append(uid).append('\n');
        into.append(line("RECURRENCE-ID", one.atTime(time), zone, day));
        into.append(line("DTSTART", to.atTime(time), zone, day));
        into.append(end(to, time, zone, day, length)).append("TRANSP:OPAQUE\n");
        into.append(cancelled ? "STATUS:CANCELLED\n" : "").append("END:VEVENT\n");
        if (!cancelled) {
            busy.add(span(to.atTime(time), zone, day, length));
        }
    }

    private static boolean named(LocalDate date, LocalDate first, int kind, int interval, List<DayOfWeek> weekdays) {
        return switch (kind) {
            case 1 -> ChronoUnit.DAYS.between(first, date) % interval == 0;
            case 2 -> weekdays.contains(date.getDayOfWeek())
                    && ChronoUnit.WEEKS.between(monday(first), monday(date)) % interval == 0;
            case 3 -> date.getDayOfMonth() == first.getDayOfMonth() && months(first, date) % interval == 0;
            case 4 -> date.getDayOfWeek() == first.getDayOfWeek()
                    && (date.getDayOfMonth() - 1) / 7 == (first.getDayOfMonth() - 1) / 7
                    && months(first, date) % interval == 0;
            default -> date.equals(first);
        };
    }

    private static LocalDate monday(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static int months(LocalDate first, LocalDate date) {
        return (date.getYear() - first.getYear()) * 12 + date.getMonthValue() - first.getMonthValue();
    }

    private static String code(DayOfWeek day) {
        return day.name().substring(0, 2);
    }

    private static String line(String name, LocalDateTime local, String zone, boolean day) {
        if (day) {
            return name + ";VALUE=DATE:" + DATE.format(local) + "\n";
        }
        return switch (zone) {
            case "" -> name + ":" + TIME.format(local) + "\n";
            case "Z" -> name + ":" + TIME.format(local) + "Z\n";
            default -> name + ";TZID=" + zone + ":" + TIME.format(local) + "\n";
        };
    }

    private Span span(LocalDateTime local, String zone, boolean day, int length) {
        Instant start = instant(local, zone);
        return new Span(start, day ? instant(local.plusDays(length), zone) : start.plus(Duration.ofMinutes(length)));
    }

    private Instant instant(LocalDateTime local, String zone) {
        return switch (zone) {
            case "" -> local.atZone(house).toInstant();
            case "Z" -> local.toInstant(ZoneOffset.UTC);
            case "Mill Time" -> millTime(local);
            default -> local.atZone(ZoneId.of(zone)).toInstant();
        };
    }

    /** What is skipped is read with the offset before, what is there twice is the first. */
    private static Instant millTime(LocalDateTime local) {
        LocalDateTime spring = secondSunday(local.getYear(), 3).plusHours(1);
        LocalDateTime autumn = secondSunday(local.getYear(), 9);
        boolean summer = !local.isBefore(spring) && local.isBefore(autumn);
        return local.toInstant(ZoneOffset.ofHoursMinutes(summer ? 2 : 1, 30));
    }

    private static LocalDateTime secondSunday(int year, int month) {
        return LocalDate.of(year, month, 1)
                .with(TemporalAdjusters.dayOfWeekInMonth(2, DayOfWeek.SUNDAY))
                .atTime(3, 0);
    }
}
