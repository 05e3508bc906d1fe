package gastfreund.standins.calendars;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.HexFormat;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An event in a calendar.
 *
 * @param name under which it lies on the server
 * @param text of the whole iCalendar file
 */
record Entry(String name, String text) {

    private static final DateTimeFormatter UTC = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'");
    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss");
    private static final Pattern EVENTS = Pattern.compile("(?s)BEGIN:VEVENT.*END:VEVENT\\r?\\n");

    /** The zone in which the two live. */
    static final ZoneId ZONE = ZoneId.of("Europe/Berlin");

    static Entry of(String name, String title, LocalDateTime start, LocalDateTime end, Instant now) {
        return new Entry(
                name,
                """
                BEGIN:VCALENDAR
                VERSION:2.0
                PRODID:-//Stand-in//Calendars//EN
                BEGIN:VEVENT
                UID:%s@calendars.example
                DTSTAMP:%s
                DTSTART:%s
                DTEND:%s
                SUMMARY:%s
                END:VEVENT
                END:VCALENDAR
                """
                        .formatted(
                                name,
                                utc(now),
                                utc(start.atZone(ZONE).toInstant()),
                                utc(end.atZone(ZONE).toInstant()),
                                escaped(title))
                        .replace("\n", "\r\n"));
    }

    private static String utc(Instant instant) {
        return UTC.format(instant.atOffset(ZoneOffset.UTC));
    }

    private static String escaped(String title) {
        return title.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replaceAll("\\R", " ");
    }

    /** Whether a text is a calendar with an event. */
    static boolean isEvent(String text) {
        return text.startsWith("BEGIN:VCALENDAR") && EVENTS.matcher(text).find() && text.contains("\nUID:");
    }

    /** All that is about the event, without the calendar around it. */
    String events() {
        Matcher matcher = EVENTS.matcher(text);
        return matcher.find() ? matcher.group() : "";
    }

    String etag() {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return "\"" + HexFormat.of().formatHex(digest, 0, 10) + "\"";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    public String title() {
        return value("SUMMARY").replace("\\", "");
    }

    /** As it is read on the page; empty where the text says it in another way. */
    public String start() {
        return shown("DTSTART");
    }

    public String end() {
        return shown("DTEND");
    }

    private String shown(String line) {
        String value = value(line);
        try {
            LocalDateTime time = value.endsWith("Z")
                    ? LocalDateTime.parse(value, UTC)
                            .atOffset(ZoneOffset.UTC)
                            .atZoneSameInstant(ZONE)
                            .toLocalDateTime()
                    : LocalDateTime.parse(value, LOCAL);
            return time.toString();
        } catch (DateTimeParseException e) {
            return "";
        }
    }

    private String value(String line) {
        Matcher matcher =
                Pattern.compile("(?m)^" + line + "[^:\\r\\n]*+:([^\\r\\n]*+)").matcher(events());
        return matcher.find() ? matcher.group(1) : "";
    }
}
