package gastfreund.app.pages;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A sentence of a form, with fields where it can be changed. {@code pages/fields.html} draws it.
 *
 * @param id unique on its page
 * @param notes what it does now, below it
 * @param remove what is sent to take it away; empty: it stays
 * @param moves whether it can be moved among its like
 */
public record Clause(String id, List<Piece> pieces, List<Note> notes, String remove, boolean moves) {

    /** Some words, or a field. */
    public record Piece(String words, @Nullable Field field) {}

    /** @param pattern with {@code {0}} where the first field stands, and so on */
    public static Clause of(String id, String pattern, Field... fields) {
        List<Piece> pieces = new ArrayList<>();
        int from = 0;
        for (int open = pattern.indexOf('{'); open >= 0; open = pattern.indexOf('{', from)) {
            int close = pattern.indexOf('}', open);
            if (open > from) {
                pieces.add(new Piece(pattern.substring(from, open), null));
            }
            pieces.add(new Piece("", fields[Integer.parseInt(pattern.substring(open + 1, close))]));
            from = close + 1;
        }
        if (from < pattern.length()) {
            pieces.add(new Piece(pattern.substring(from), null));
        }
        return new Clause(id, List.copyOf(pieces), List.of(), "", false);
    }

    public Clause with(List<Note> below) {
        return new Clause(id, pieces, List.copyOf(below), remove, moves);
    }

    public Clause removed(String by) {
        return new Clause(id, pieces, notes, by, moves);
    }

    public Clause moved() {
        return new Clause(id, pieces, notes, remove, true);
    }

    /** What is wrong with its fields. */
    public List<Field> wrong() {
        List<Field> wrong = new ArrayList<>();
        pieces.forEach(p -> {
            if (p.field() != null && p.field().isWrong()) {
                wrong.add(p.field());
            }
        });
        return wrong;
    }
}
