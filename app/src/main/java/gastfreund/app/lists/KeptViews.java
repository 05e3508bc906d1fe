package gastfreund.app.lists;

import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What hosts look for again and again in lists, under names; all of them see it. */
@Service
public class KeptViews {

    private static final int MOST_NAME = 60;

    private final KeptViewStore store;

    KeptViews(KeptViewStore store) {
        this.store = store;
    }

    /** @param remove where it is removed */
    public record Shown(String name, String address, String remove) {}

    /** Where what is looked for is kept, and the name for it. */
    public record Keeping(String action, Field name) {

        /** @param shown the address that {@code /views} under a list has with what is looked for */
        public static Keeping of(String shown, Formats f) {
            return new Keeping(
                    shown,
                    Field.line("name", f.text("lists.viewName"), MOST_NAME).required());
        }
    }

    /** @param own the address of the list */
    public List<Shown> of(String list, String own) {
        return store.of(list).stream()
                .map(v -> new Shown(v.name(), own + "?" + v.query(), own + "/views/" + v.id() + "/remove"))
                .toList();
    }

    /**
     * Keeps what an address shows; nothing without a name.
     *
     * @param address of the list with what is looked for
     */
    @Transactional
    public void keep(String list, String name, String address, Host host) {
        String called = Written.line(name, MOST_NAME);
        if (!called.isEmpty()) {
            store.keep(list, called, address.substring(address.indexOf('?') + 1), host.email());
        }
    }

    @Transactional
    public void remove(String list, long view) {
        store.remove(list, view);
    }
}
