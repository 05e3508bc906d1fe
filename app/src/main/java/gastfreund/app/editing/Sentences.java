package gastfreund.app.editing;

import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.typed.Written;
import gastfreund.core.hours.Window;
import gastfreund.core.money.Money;
import gastfreund.housefile.HoursFile;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Says the change of a document in sentences: {@code Thursday: 9:30–13, 14–18:30 → 9:30–13, 14–20}. */
public final class Sentences {

    private static final String WEEKLY = "hours/weekly/";
    private static final String EXCEPTIONS = "hours/exceptions/";
    private static final String HOURS = "hours/";
    private static final String PICTURE = "/picture";
    private static final String PRICES = "staff/prices/";
    private static final String STOCK = "extra/stock/";
    private static final int MOST_TEXT = 60;

    /** The last names of members that are amounts of money. */
    private static final Set<String> AMOUNTS = Set.of("price", "amount", "minSubtotal", "perKm");

    /** The last names of members that are minutes, or hours before something starts. */
    private static final Set<String> SPANS =
            Set.of("minutes", "prep", "reset", "notice", "minutesPerDay", "every", "offset", "hoursBefore");

    private final Formats f;
    private final Figures figures;
    private final Map<String, String> names;

    /** @param names of offers, people, things and places, by their ids */
    public Sentences(Formats f, Figures figures, Map<String, String> names) {
        this.f = f;
        this.figures = figures;
        this.names = Map.copyOf(names);
    }

    /** One for each member that is not as it was. */
    public List<String> of(JsonNode before, JsonNode after) {
        if (before.isEmpty()) {
            return List.of(f.text("change.made", name(after)));
        }
        if (after.isEmpty()) {
            return List.of(f.text("change.deleted", name(before)));
        }
        Map<String, JsonNode> was = Members.of(before);
        Map<String, JsonNode> is = Members.of(after);
        List<String> sentences = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            String member = WEEKLY + Members.name(day);
            if (Merge.touched(was, is).contains(member)) {
                sentences.add(sentence(member, was.get(member), is.get(member)));
            }
        }
        Merge.touched(was, is).stream()
                .filter(m -> !m.startsWith(WEEKLY) && !m.endsWith("/id"))
                .forEach(m -> sentences.add(sentence(m, was.get(m), is.get(m))));
        return sentences.stream().distinct().toList();
    }

    private static String name(JsonNode document) {
        return document.path("name").stringValue(document.path("title").stringValue(""));
    }

    private String sentence(String member, @Nullable JsonNode before, @Nullable JsonNode after) {
        if (member.equals("retired")) {
            return f.text(after == null || !after.booleanValue(false) ? "change.back" : "change.retired");
        }
        if (member.endsWith(PICTURE)) {
            return f.text("change.set", label(member), f.text(after == null ? "change.nothing" : "change.another"));
        }
        if (!member.startsWith(HOURS) && (isStructured(before) || isStructured(after))) {
            return f.text("change.otherwise", label(member));
        }
        if (member.startsWith(EXCEPTIONS) && before == null) {
            return f.text("change.set", label(member), value(member, after));
        }
        if (member.startsWith(EXCEPTIONS) && after == null) {
            return f.text("change.asUsual", label(member));
        }
        return f.text("change.to", label(member), value(member, before), value(member, after));
    }

    /** Whether a member is more than a value and a list of values: what it is stands in its editor. */
    private static boolean isStructured(@Nullable JsonNode member) {
        return member != null
                && member.isArray()
                && !member.isEmpty()
                && member.get(0).isObject();
    }

    /** What a member is called. */
    public String label(String member) {
        if (member.startsWith(WEEKLY)) {
            return day(member.substring(WEEKLY.length()));
        }
        if (member.startsWith(EXCEPTIONS)) {
            String[] dates = member.substring(EXCEPTIONS.length()).split("\\.\\.");
            LocalDate from = LocalDate.parse(dates[0]);
            LocalDate to = LocalDate.parse(dates[1]);
            return from.equals(to) ? f.shortDay(from) : f.dayAndMonth(from) + " – " + f.dayAndMonth(to);
        }
        List<String> about = new ArrayList<>();
        List<String> path = new ArrayList<>();
        if (member.startsWith(PRICES)) {
            String[] parts = member.substring(PRICES.length()).split("/");
            return f.text("change.price", names.getOrDefault(parts[0], parts[0]), parts[parts.length - 1]);
        }
        if (member.startsWith(STOCK)) {
            return f.text("change.stock", member.substring(STOCK.length()));
        }
        for (String part : member.split("/")) {
            if (names.containsKey(part)) {
                about.add(names.get(part));
            } else {
                path.add(part);
            }
        }
        Optional<String> label = Optional.empty();
        for (int from = 0; from < path.size() && label.isEmpty(); from++) {
            label = f.words().find("member." + String.join(".", path.subList(from, path.size())));
        }
        String said = label.orElse(path.get(path.size() - 1));
        return about.isEmpty() ? said : said + " (" + String.join(", ", about) + ")";
    }

    private String day(String code) {
        for (DayOfWeek day : DayOfWeek.values()) {
            if (Members.name(day).equals(code)) {
                return day.getDisplayName(TextStyle.FULL_STANDALONE, f.locale());
            }
        }
        return code;
    }

    /** A member's value in words. */
    public String value(String member, @Nullable JsonNode value) {
        if (member.startsWith(WEEKLY) || member.startsWith(EXCEPTIONS)) {
            return figures.of(value == null ? List.of(Window.of(0, 1440)) : HoursFile.windows(value));
        }
        if (value == null || value.isNull() || value.isArray() && value.isEmpty()) {
            return f.text("change.nothing");
        }
        String last = member.substring(member.lastIndexOf('/') + 1);
        if (SPANS.contains(last) && value.isIntegralNumber()) {
            return Spans.said(value.longValue() * (last.equals("hoursBefore") ? 60 : 1), f);
        }
        if (last.endsWith("Percent")) {
            return Sort.PERCENT.said(value, f);
        }
        if (value.isString()) {
            Optional<String> word = f.words().find("word." + last + "." + value.stringValue());
            if (word.isPresent()) {
                return word.get();
            }
        }
        boolean money = AMOUNTS.contains(last) || member.startsWith(PRICES);
        if (money && value.isIntegralNumber()) {
            return f.money(Money.ofMinor(value.longValue()));
        }
        return plain(value);
    }

    private String plain(JsonNode value) {
        if (value.isBoolean()) {
            return f.text(value.booleanValue() ? "change.yes" : "change.no");
        }
        if (value.isArray()) {
            return StreamSupport.stream(value.spliterator(), false)
                    .map(this::plain)
                    .collect(Collectors.joining(", "));
        }
        String text = value.isString() ? value.stringValue() : value.toString();
        String named = Written.line(names.getOrDefault(text, text), Integer.MAX_VALUE);
        return named.length() <= MOST_TEXT ? named : named.substring(0, MOST_TEXT - 1) + "…";
    }
}
