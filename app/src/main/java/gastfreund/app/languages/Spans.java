package gastfreund.app.languages;

import gastfreund.core.time.Minutes;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How people write how long something takes, in both languages: {@code 90 min}, {@code 1:30}, {@code 1 ½ Stunden}, {@code 2 days}. */
public final class Spans {

    private static final int MOST = 40;
    private static final long DAY = 1440;
    private static final Pattern CLOCK = Pattern.compile("\\A(\\d{1,4}+):(\\d\\d)\\z");
    private static final Pattern PART = Pattern.compile("\\G *+(\\d{1,6}+(?:\\.\\d{1,3}+)?+) *+([a-z]*+)\\.?+ *+");
    private static final Map<String, Long> UNITS = new HashMap<>();

    static {
        for (String unit : new String[] {"m", "min", "mins", "minute", "minutes", "minuten"}) {
            UNITS.put(unit, 1L);
        }
        for (String unit : new String[] {"h", "hr", "hrs", "hour", "hours", "std", "stunde", "stunden"}) {
            UNITS.put(unit, 60L);
        }
        for (String unit : new String[] {"d", "day", "days", "tag", "tage", "tagen"}) {
            UNITS.put(unit, DAY);
        }
        for (String unit : new String[] {"week", "weeks", "woche", "wochen"}) {
            UNITS.put(unit, 7 * DAY);
        }
    }

    private Spans() {}

    /**
     * What somebody wrote, in minutes.
     *
     * @param bare how many minutes one is where no unit stands
     * @return empty where it is none, or no whole number of minutes
     */
    public static OptionalLong read(String written, long bare) {
        String text = written.strip()
                .toLowerCase(Locale.ROOT)
                .replace('\u00a0', ' ')
                .replace(',', '.')
                .replace(" ½", ".5")
                .replace("½", ".5");
        if (text.startsWith(".")) {
            text = "0" + text;
        }
        if (text.isEmpty() || text.length() > MOST) {
            return OptionalLong.empty();
        }
        Matcher clock = CLOCK.matcher(text);
        if (clock.matches()) {
            long minutes = Long.parseLong(clock.group(2));
            return minutes < 60 ? OptionalLong.of(Long.parseLong(clock.group(1)) * 60 + minutes) : OptionalLong.empty();
        }
        return sum(text, bare);
    }

    private static OptionalLong sum(String text, long bare) {
        BigDecimal sum = BigDecimal.ZERO;
        Matcher part = PART.matcher(text);
        int end = 0;
        while (end < text.length() && part.find()) {
            boolean alone = part.start() == 0 && part.end() == text.length();
            Long unit = part.group(2).isEmpty() && alone ? Long.valueOf(bare) : UNITS.get(part.group(2));
            if (unit == null) {
                return OptionalLong.empty();
            }
            sum = sum.add(new BigDecimal(part.group(1)).multiply(BigDecimal.valueOf(unit)));
            end = part.end();
        }
        boolean whole = sum.stripTrailingZeros().scale() <= 0;
        return end == text.length() && whole ? OptionalLong.of(sum.longValueExact()) : OptionalLong.empty();
    }

    /** As {@link #read} reads it again: {@code 2 days}, {@code 1 ½ hours}, {@code 45 min}. */
    public static String said(long minutes, Formats f) {
        return minutes >= DAY && minutes % DAY == 0
                ? f.text("duration.days", minutes / DAY)
                : f.duration(Minutes.of(minutes));
    }
}
