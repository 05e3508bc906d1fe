package gastfreund.app.lists;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The columns of a list, of which a host chooses those that are shown. */
public record Columns(List<Column> all) {

    /**
     * A column.
     *
     * @param number whether its values are numbers
     * @param first whether it is shown where nobody has chosen
     */
    public record Column(String key, boolean number, boolean first) {}

    /** What stands above a column. */
    public record Head(String words, boolean number) {}

    /**
     * What stands in a column.
     *
     * @param address where its words lead; empty: nowhere
     * @param label what the link is called where its words do not say it; null: they do
     * @param after quiet words beside them
     * @param under quiet words under them
     * @param sign the class of a sign before them; empty: none
     */
    public record Cell(
            String words,
            String address,
            @Nullable String label,
            String after,
            String under,
            String sign,
            boolean number) {

        /** Words alone. */
        public static Cell of(String words) {
            return new Cell(words, "", null, "", "", "", false);
        }

        public static Cell number(String words) {
            return new Cell(words, "", null, "", "", "", true);
        }

        public static Cell link(String words, String address) {
            return of(words).to(address, null);
        }

        public Cell to(String address, @Nullable String label) {
            return new Cell(words, address, label, after, under, sign, number);
        }

        public Cell with(String sign, String after, String under) {
            return new Cell(words, address, label, after, under, sign, number);
        }
    }

    /** The keys of those that were asked for, in the list's order; where nobody asked, of those that are shown first. */
    public List<String> known(@Nullable List<String> asked) {
        List<String> known = asked == null
                ? List.of()
                : all.stream().map(Column::key).filter(asked::contains).toList();
        return known.isEmpty()
                ? all.stream().filter(Column::first).map(Column::key).toList()
                : known;
    }

    /** The places of some columns. */
    public List<Integer> places(List<String> chosen) {
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (chosen.contains(all.get(i).key())) {
                places.add(i);
            }
        }
        return places;
    }

    /** What of a row stands in some columns. */
    public <T> List<T> only(List<T> row, List<String> chosen) {
        return places(chosen).stream().map(row::get).toList();
    }

    /** The places of numbers among the columns that are shown. */
    public Set<Integer> numbers(List<String> chosen) {
        List<Column> shown = only(all, chosen);
        return IntStream.range(0, shown.size())
                .filter(i -> shown.get(i).number())
                .boxed()
                .collect(Collectors.toSet());
    }

    public List<Head> heads(List<String> chosen, Formats f) {
        return only(all, chosen).stream()
                .map(c -> new Head(f.text("lists.col." + c.key()), c.number()))
                .toList();
    }

    /** Where they are chosen. */
    public Field choice(List<String> chosen, Formats f) {
        return Field.choices(
                        "cols",
                        f.text("lists.cols"),
                        all.stream()
                                .map(c -> Field.Option.of(c.key(), f.text("lists.col." + c.key())))
                                .toList())
                .given(chosen);
    }
}
