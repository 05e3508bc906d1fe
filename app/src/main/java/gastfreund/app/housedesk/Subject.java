package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Editor;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Part;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import java.util.List;
import java.util.Map;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a sheet is about: a document of the house, and the sentences in which it is told. */
interface Subject extends Editor.Taking {

    DocumentRef ref();

    /** The address of its page. */
    String address();

    String title(Document seen, Formats f);

    /** Its tabs, in their order; one without words stands alone. */
    List<String> tabs();

    default String tabWords(String tab, Formats f) {
        return f.text("sheet.tab." + tab);
    }

    /** The members that can be changed here. */
    Inputs table();

    /** @param tab one of its {@link #tabs} */
    List<Part> parts(String tab, Asking ask);

    /** What every page of it says besides. */
    default List<Note> notes(String tab, Document seen, Formats f) {
        return List.of();
    }

    /** The members that name pictures. */
    default List<String> pictures(String tab, JsonNode document) {
        return List.of();
    }

    /** Whether it can be taken away as a whole, once nobody has used it. */
    default boolean isDeletable() {
        return false;
    }

    /** Adds to a list; nothing where it cannot have another. */
    default void add(ObjectNode document, String list, Formats f) {}

    @Override
    default void take(ObjectNode document, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        table().take(document, form, unread, f);
    }
}
