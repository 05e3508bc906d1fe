package gastfreund.app.letters;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What the tags of a letter in a house's own words stand for. What nobody knows is empty. */
final class TagValues {

    private TagValues() {}

    /**
     * @param page the whole address of the booking's page
     * @param house its name
     */
    static Map<String, String> of(Facts facts, String page, String house, Formats f) {
        Map<String, String> values = new HashMap<>();
        List<Facts.Row> rows = facts.rows();
        values.put("guest", facts.guest());
        values.put("offer", rows.isEmpty() ? facts.what() : joined(rows, Facts.Row::title, ", "));
        values.put("when", joined(rows, r -> r.when(f), "\n"));
        values.put("start", joined(rows, r -> f.time(r.start()), ", "));
        values.put("place", joined(rows, Facts.Row::place, ", "));
        values.put("directions", joined(rows, Facts.Row::directions, "\n"));
        values.put("people", joined(rows, r -> String.join(" + ", r.staff()), ", "));
        values.put("party", joined(rows, r -> Integer.toString(r.party()), ", "));
        values.put(
                "price",
                rows.isEmpty()
                        ? ""
                        : f.money(Money.sum(rows.stream().map(Facts.Row::price).toList())));
        values.put("paid", facts.paid() > 0 ? f.money(Money.ofMinor(facts.paid())) : "");
        Money left = Money.sum(rows.stream().map(Facts.Row::left).toList());
        values.put("left", left.isPositive() ? f.money(left) : "");
        values.put("leftBy", joined(rows, r -> by(r.leftOn(), f), ", "));
        values.put("answers", joined(rows, r -> r.answers() == null ? "" : r.answers(), "\n"));
        values.put("bookingPage", page);
        values.put("payPage", left.isPositive() || facts.open() > 0 ? page : "");
        values.put("joinLink", joined(rows, r -> r.directions().startsWith("http") ? r.directions() : "", "\n"));
        Long kept = facts.until();
        values.put(
                "freeUntil",
                kept == null ? joined(rows, r -> until(r.free(), f), ", ") : f.moment(Instant.ofEpochSecond(kept)));
        values.put("reason", facts.why());
        values.put("house", house);
        return values;
    }

    private static String by(@Nullable LocalDate date, Formats f) {
        return date == null ? "" : f.shortDay(date);
    }

    private static String until(@Nullable Instant free, Formats f) {
        return free == null ? "" : f.moment(free);
    }

    /** Each once, those that say nothing left out. */
    private static String joined(List<Facts.Row> rows, Function<Facts.Row, String> of, String between) {
        return rows.stream().map(of).filter(v -> !v.isEmpty()).distinct().collect(Collectors.joining(between));
    }
}
