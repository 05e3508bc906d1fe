package gastfreund.app.editing;

import gastfreund.app.languages.Words;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Window;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The windows of a day as people write them: {@code 9:30–13, 14–18:30}, {@code closed}, {@code 22–2},
 * {@code 14–16 (Glaze advice call)}, {@code 18–20 (desk only)}. Both languages are read, whatever the reader's; what is
 * written in one way is read back as the same windows.
 */
public final class Figures {

    private static final int HOUR = 60;
    private static final int DAY = 1440;
    private static final int MOST_WINDOWS = 24;

    private static final Set<String> CLOSED =
            Set.of("", "closed", "off", "none", "no", "geschlossen", "zu", "frei", "nein", "-", "–", "—");
    private static final Set<String> ALL_DAY = Set.of(
            "all day",
            "always",
            "open",
            "24h",
            "24 h",
            "24 hours",
            "round the clock",
            "ganztags",
            "ganztägig",
            "den ganzen tag",
            "immer",
            "offen",
            "durchgehend",
            "24 stunden",
            "rund um die uhr");
    private static final Set<String> DESK = Set.of("desk only", "desk", "nur wir", "nur am pult", "intern");

    private static final Set<String> NOON = Set.of("noon", "midday", "mittag", "mittags");

    private static final Pattern GAPS = Pattern.compile("\\s");

    private static final String TIME =
            "(?:(noon|midday|mittags?|midnight|mitternacht)|(\\d{1,2})(?: ?[:.h] ?(\\d{2})|(\\d{2}))?+)"
                    + " ?+(?:(am|pm|a\\.m\\.|p\\.m\\.)|uhr|h|o'clock)?+";
    private static final Pattern WINDOW = Pattern.compile("(?:from |von |ab )?+" + TIME
            + " ?+(?:–|—|−|-|to|till|until|through|bis|/) ?+" + TIME + " ?+(?:\\(([^()]{0,200}+)\\))?+");
    private static final Pattern BETWEEN =
            Pattern.compile(" ?(?:,|;|\\+|&|\\band\\b|\\bund\\b|\\bu\\.) ?(?:and |und )?");

    /**
     * What somebody wrote.
     *
     * @param windows by their beginning; null where it cannot be read
     * @param wrong what is wrong, in words; empty: nothing
     */
    public record Read(@Nullable List<Window> windows, String wrong) {

        public boolean isRight() {
            return windows != null;
        }
    }

    private final Words words;
    private final Map<OfferId, String> titles;

    /** @param titles of the offers that windows may be for */
    public Figures(Words words, Map<OfferId, String> titles) {
        this.words = words;
        this.titles = titles;
    }

    /** The windows as they are written. */
    public String of(List<Window> windows) {
        if (windows.isEmpty()) {
            return words.text("hours.closed");
        }
        if (windows.equals(List.of(Window.of(0, DAY)))) {
            return words.text("hours.allDay");
        }
        return windows.stream()
                .sorted(Comparator.comparingInt(Window::from).thenComparingInt(Window::to))
                .map(w -> times(w) + (isForAll(w) ? "" : " (" + whom(w) + ")"))
                .collect(Collectors.joining(", "));
    }

    private static boolean isForAll(Window window) {
        return window.offers().isEmpty() && !window.deskOnly();
    }

    /** {@code 9:30–13}. */
    public static String times(Window window) {
        return time(window.from()) + "–" + time(window.to());
    }

    /** {@code 9}, {@code 9:30}. */
    public static String time(int minute) {
        return minute % HOUR == 0
                ? Integer.toString(minute / HOUR)
                : String.format(Locale.ROOT, "%d:%02d", minute / HOUR, minute % HOUR);
    }

    /** Whom a window is for, where it is not for everybody and everything. */
    public String whom(Window window) {
        List<String> names = new ArrayList<>();
        window.offers().stream().map(this::name).sorted().forEach(names::add);
        if (window.deskOnly()) {
            names.add(words.text("hours.desk"));
        }
        return String.join(", ", names);
    }

    /** The title, where it can be read back. */
    private String name(OfferId offer) {
        String title = titles.getOrDefault(offer, offer.value());
        boolean readable = title.chars().noneMatch(c -> "(),;".indexOf(c) >= 0)
                && !DESK.contains(title.toLowerCase(Locale.ROOT))
                && titles.values().stream()
                                .filter(t -> t.equalsIgnoreCase(title))
                                .count()
                        == 1;
        return readable ? title : offer.value();
    }

    public Read read(String written) {
        String text = String.join(
                " ",
                GAPS.splitAsStream(written.replace('\u00a0', ' ').replace('\u202f', ' '))
                        .filter(part -> !part.isEmpty())
                        .toList());
        String low = text.toLowerCase(Locale.ROOT);
        if (CLOSED.contains(low)) {
            return new Read(List.of(), "");
        }
        if (ALL_DAY.contains(low)) {
            return new Read(List.of(Window.of(0, DAY)), "");
        }
        return readWindows(low);
    }

    private Read readWindows(String low) {
        List<Window> windows = new ArrayList<>();
        Matcher window = WINDOW.matcher(low);
        Matcher between = BETWEEN.matcher(low);
        int at = 0;
        while (at < low.length()) {
            if (!window.find(at) || window.start() != at) {
                return wrong(windows.isEmpty() ? "hours.unread" : "hours.unreadRest", low.substring(at));
            }
            OptionalInt from = time(window, 1);
            OptionalInt to = time(window, 6);
            Whom whom = whom(window.group(11));
            if (!whom.unknown().isEmpty()) {
                return wrong("hours.noSuchOffer", whom.unknown());
            }
            int[] times = from.isEmpty() || to.isEmpty()
                    ? new int[] {DAY, DAY}
                    : pair(from.getAsInt(), window.group(5), to.getAsInt(), window.group(10));
            if (times[0] == DAY) {
                return wrong("hours.noSuchTime", window.group().strip());
            }
            windows.add(new Window(times[0], times[1], whom.offers(), whom.desk()));
            at = window.end();
            if (at < low.length() && between.find(at) && between.start() == at && between.end() < low.length()) {
                at = between.end();
            } else if (at < low.length()) {
                return wrong("hours.unreadRest", low.substring(at).strip());
            }
        }
        if (windows.size() > MOST_WINDOWS) {
            return wrong("hours.tooMany", Integer.toString(MOST_WINDOWS));
        }
        windows.sort(Comparator.comparingInt(Window::from).thenComparingInt(Window::to));
        return new Read(List.copyOf(windows), "");
    }

    private Read wrong(String key, String what) {
        return new Read(null, words.text(key, what));
    }

    /** Minutes after midnight; empty where there is no such time. Halves of the day are seen to by {@link #pair}. */
    private static OptionalInt time(Matcher window, int group) {
        String named = window.group(group);
        if (named != null) {
            return OptionalInt.of(NOON.contains(named) ? DAY / 2 : group == 1 ? 0 : DAY);
        }
        int hour = Integer.parseInt(window.group(group + 1));
        String minutes = window.group(group + 2) == null ? window.group(group + 3) : window.group(group + 2);
        int minute = minutes == null ? 0 : Integer.parseInt(minutes);
        String half = window.group(group + 4);
        boolean twelve = half != null;
        boolean known = minute < HOUR && hour * HOUR + minute <= DAY && (!twelve || hour >= 1 && hour <= 12);
        return known ? OptionalInt.of(hour * HOUR + minute) : OptionalInt.empty();
    }

    /** A window's ends where one or both are written with the half of the day: {@code 9–5pm}, {@code 9am–5}. */
    private static int[] pair(int from, @Nullable String fromHalf, int to, @Nullable String toHalf) {
        int first = fromHalf == null ? from : inHalf(from, fromHalf);
        int last = toHalf == null ? to : inHalf(to, toHalf);
        if (fromHalf == null && toHalf != null && first < DAY / 2 && toHalf.startsWith("p") && first + DAY / 2 < last) {
            first += DAY / 2;
        }
        if (fromHalf != null && toHalf == null && last <= first && last < DAY / 2) {
            last += DAY / 2;
        }
        return new int[] {first, last};
    }

    private static int inHalf(int minute, String half) {
        return minute % (DAY / 2) + (half.startsWith("p") ? DAY / 2 : 0);
    }

    /**
     * Whom a window is for.
     *
     * @param unknown what is no offer; empty: nothing
     */
    private record Whom(Set<OfferId> offers, boolean desk, String unknown) {}

    private Whom whom(@Nullable String written) {
        Set<OfferId> offers = new HashSet<>();
        boolean desk = false;
        for (String one : written == null ? new String[0] : written.split("[,;]")) {
            String name = one.strip();
            Optional<OfferId> offer = offer(name);
            if (DESK.contains(name)) {
                desk = true;
            } else if (offer.isPresent()) {
                offers.add(offer.get());
            } else {
                return new Whom(Set.of(), false, name);
            }
        }
        return new Whom(offers, desk, "");
    }

    private Optional<OfferId> offer(String name) {
        Set<String> found = new TreeSet<>();
        titles.forEach((id, title) -> {
            if (title.toLowerCase(Locale.ROOT).equals(name)
                    || id.value().toLowerCase(Locale.ROOT).equals(name)) {
                found.add(id.value());
            }
        });
        return found.size() == 1 ? Optional.of(new OfferId(found.iterator().next())) : Optional.empty();
    }
}
