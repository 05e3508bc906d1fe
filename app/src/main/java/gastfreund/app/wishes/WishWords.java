package gastfreund.app.wishes;

import gastfreund.app.languages.Formats;
import gastfreund.app.openings.PartOfDay;
import gastfreund.core.wishes.Wish;
import java.util.Arrays;
import java.util.List;

/** Wishes in words. */
final class WishWords {

    private WishWords() {}

    /** When something is wished for: {@code Thu 21 Jan 18:30}, or {@code Thu 21 Jan – Sat 23 Jan, mornings}. */
    static String when(Wish wish, Formats f) {
        Long start = wish.start();
        if (start != null) {
            return f.shortDay(f.zone().dateOf(start)) + " " + f.time(start);
        }
        String days = wish.from().equals(wish.to())
                ? f.shortDay(wish.from())
                : f.text("wish.days", f.shortDay(wish.from()), f.shortDay(wish.to()));
        List<String> parts = Arrays.stream(PartOfDay.values())
                .filter(p -> wish.times().contains(p.window()))
                .map(p -> f.text("part." + p.word()))
                .toList();
        return parts.isEmpty() ? days : days + ", " + String.join(", ", parts);
    }
}
