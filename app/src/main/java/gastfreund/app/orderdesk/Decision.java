package gastfreund.app.orderdesk;

import gastfreund.app.pages.Field;
import java.util.List;
import java.util.stream.Stream;

/**
 * Something that a host may decide about a row, with all the words it is offered in. Whether it is offered is decided where
 * these are made, and nowhere else.
 *
 * @param action where it is sent, or where its link leads
 * @param label what it is called
 * @param go what the button says that does it; empty: the label does it at once
 * @param help what is to be known before; empty: nothing
 * @param first whether it is what most rows wait for
 * @param link whether it leads to a page of its own
 * @param open whether its form is open, since something in it is wrong
 */
public record Decision(
        String action,
        String label,
        String go,
        String help,
        boolean first,
        boolean link,
        boolean open,
        List<Field> fields) {

    static Decision atOnce(String action, String label, boolean first) {
        return new Decision(action, label, "", "", first, false, false, List.of());
    }

    static Decision leading(String address, String label) {
        return new Decision(address, label, "", "", false, true, false, List.of());
    }

    static Decision asking(String action, String label, String go, String help, Field... fields) {
        boolean wrong = List.of(fields).stream().anyMatch(Field::isWrong);
        return new Decision(action, label, go, help, false, false, wrong, List.of(fields));
    }

    /** The same with something that is sent along. */
    Decision with(String name, String value) {
        return new Decision(
                action,
                label,
                go,
                help,
                first,
                link,
                open,
                Stream.concat(fields.stream(), Stream.of(Field.hidden(name, value)))
                        .toList());
    }

    /** The same, decided on a board to which it leads back. */
    public Decision on(String board) {
        return link ? this : with("board", board);
    }

    /** What it does, as its address says: {@code accept}, {@code decline}. */
    public String act() {
        return action.substring(action.lastIndexOf('/') + 1);
    }

    /** Whether the label's button sends it. */
    public boolean isAtOnce() {
        return go.isEmpty() && !link;
    }
}
