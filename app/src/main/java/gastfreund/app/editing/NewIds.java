package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.hosts.Host;
import gastfreund.app.typed.Plain;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** Ids for new documents, made from what they are called. */
@Component
public class NewIds {

    private static final int MOST = 40;
    private static final Pattern OTHERS = Pattern.compile("[^a-z0-9]");

    private final Editing editing;

    NewIds(Editing editing) {
        this.editing = editing;
    }

    /** One that nobody has or had: ids never die. */
    public DocumentRef free(Host host, Kind kind, String name) {
        String plain = String.join(
                "-",
                OTHERS.splitAsStream(Plain.of(name))
                        .filter(part -> !part.isEmpty())
                        .toList());
        String begin = plain.isEmpty() ? "new" : plain.substring(0, Math.min(plain.length(), MOST));
        String id = begin;
        for (int i = 2; isTaken(host, new DocumentRef(kind, id)); i++) {
            id = begin + "-" + i;
        }
        return new DocumentRef(kind, id);
    }

    private boolean isTaken(Host host, DocumentRef ref) {
        return editing.seen(host, ref).isPresent() || editing.last(ref).isPresent();
    }
}
