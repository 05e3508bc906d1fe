package gastfreund.app.calendars;

import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;

/** The lines of an iCalendar file: escaped and folded as RFC 5545, 3.1 and 3.3.11, want it. */
final class FileLines {

    /** The longest line in bytes, without what ends it. */
    private static final int LONGEST = 75;

    private static final Pattern PLAIN = Pattern.compile("[^:;,]*+");

    private final StringBuilder text = new StringBuilder();

    /** A line whose value needs no escaping: a time, a number, an address, a word of the format. */
    FileLines put(String name, String value) {
        return fold(name + ':' + value);
    }

    /** A line whose value is what people wrote; none where they wrote nothing. */
    FileLines words(String name, String value) {
        return value.isEmpty() ? this : fold(name + ':' + escaped(value));
    }

    /** Lines that are whole already, each with its end. */
    FileLines whole(String lines) {
        text.append(lines);
        return this;
    }

    /** A parameter's value, in quotes where it needs them (RFC 6868). */
    static String parameter(String value) {
        String safe = value.replace("^", "^^")
                .replace("\"", "^'")
                .replace("\r\n", "\n")
                .replace("\n", "^n");
        return PLAIN.matcher(safe).matches() ? safe : '"' + safe + '"';
    }

    private static String escaped(String value) {
        StringBuilder safe = new StringBuilder(value.length() + 8);
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            switch (c) {
                case '\\', ';', ',' -> safe.append('\\').append(c);
                case '\n' -> safe.append("\\n");
                default -> {
                    if (c >= ' ' || c == '\t') {
                        safe.append(c);
                    }
                }
            }
        }
        return safe.toString();
    }

    private FileLines fold(String line) {
        if (line.length() <= LONGEST / 3 || line.getBytes(StandardCharsets.UTF_8).length <= LONGEST) {
            text.append(line).append("\r\n");
            return this;
        }
        int used = 0;
        for (int i = 0; i < line.length(); ) {
            int point = line.codePointAt(i);
            int size = point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4;
            if (used + size > LONGEST) {
                text.append("\r\n ");
                used = 1;
            }
            text.appendCodePoint(point);
            used += size;
            i += Character.charCount(point);
        }
        text.append("\r\n");
        return this;
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
