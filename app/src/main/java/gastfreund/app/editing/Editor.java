package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.node.ObjectNode;

/** What the form of an editor does to a host's draft. */
@Component
public class Editor {

    /** What was pressed beside what was typed, by the names of the buttons. */
    private static final String ADD = "add";

    private static final String REMOVE = "remove";
    private static final String UP = "up";

    /** What was dragged, and before what it was left; empty: behind all others. */
    private static final String MOVED = "moved";

    private static final String BEFORE = "before";

    private final Editing editing;

    Editor(Editing editing) {
        this.editing = editing;
    }

    /** Takes a form into a document. */
    public interface Taking {

        /** @param unread receives by field what cannot be read; blank: it can */
        void take(ObjectNode document, MultiValueMap<String, String> form, Map<String, String> unread, Formats f);
    }

    /** Takes in what was typed. */
    public void take(Host host, DocumentRef ref, MultiValueMap<String, String> form, Taking taking, Formats f) {
        Map<String, String> unread = new HashMap<>();
        editing.change(host, ref, json -> taking.take(json, form, unread, f), unread);
    }

    /**
     * Does what was pressed in a list: another element, one away, one before the one before it, or where it was dragged.
     *
     * @param adding adds to the list that is named; nothing where it cannot have another
     */
    public void press(
            Host host, DocumentRef ref, MultiValueMap<String, String> form, BiConsumer<ObjectNode, String> adding) {
        press(host, ref, form.getFirst(ADD), adding);
        press(host, ref, form.getFirst(REMOVE), Lists::remove);
        press(host, ref, form.getFirst(UP), Lists::up);
        String before = Objects.requireNonNullElse(form.getFirst(BEFORE), "");
        press(host, ref, form.getFirst(MOVED), (json, member) -> Lists.before(json, member, before));
    }

    private void press(Host host, DocumentRef ref, @Nullable String member, BiConsumer<ObjectNode, String> doing) {
        if (member != null) {
            editing.change(host, ref, json -> doing.accept(json, member), Map.of());
        }
    }

    /** Takes in what was typed, and keeps the documents if all is right. */
    public Keeping keep(Host host, DocumentRef ref, MultiValueMap<String, String> form, Taking taking, Formats f) {
        take(host, ref, form, taking, f);
        return editing.keep(host, List.of(ref));
    }
}
