package gastfreund.app.files;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Keeping;
import gastfreund.app.editing.Sentences;
import gastfreund.app.editing.Sort;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.Names;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What files would change: shown first, then done all together or not at all. */
@Service
class Files {

    private final IncomingStore store;
    private final HouseDocuments documents;
    private final Editing editing;
    private final Effects effects;
    private final Names names;
    private final Clock clock;

    Files(IncomingStore store, HouseDocuments documents, Editing editing, Effects effects, Names names, Clock clock) {
        this.store = store;
        this.documents = documents;
        this.editing = editing;
        this.effects = effects;
        this.names = names;
        this.clock = clock;
    }

    @Transactional
    public void wait(Host host, Incoming incoming) {
        store.put(host.id(), incoming.written(), clock.instant());
    }

    @Transactional
    public void drop(Host host) {
        store.drop(host.id());
    }

    /** What waits, as sentences; null: nothing does. */
    FilesPage.@Nullable Coming coming(Host host, Formats f) {
        Optional<String> waiting = store.of(host.id());
        if (waiting.isEmpty()) {
            return null;
        }
        Incoming incoming = Incoming.read(waiting.get());
        Sentences sentences = names.sentences(f);
        List<FilesPage.Change> changes = new ArrayList<>();
        for (Document fresh : incoming.fresh()) {
            List<String> said = sentences.of(
                    documents.find(fresh.ref()).map(Document::json).orElseGet(Sort.JSON::objectNode), fresh.json());
            if (!said.isEmpty()) {
                changes.add(new FilesPage.Change(fresh.name(), said));
            }
        }
        for (DocumentRef ref : incoming.gone()) {
            documents
                    .find(ref)
                    .ifPresent(d ->
                            changes.add(new FilesPage.Change(d.name(), List.of(f.text("change.deleted", d.name())))));
        }
        return new FilesPage.Coming(
                List.copyOf(changes), effects.of(incoming.fresh(), incoming.gone(), f), mark(waiting.get()));
    }

    /**
     * Lets count what waits.
     *
     * @param mark of what the host was shown
     * @return empty where nothing waits, or something else than was shown
     */
    @Transactional
    public Optional<Keeping> keep(Host host, String mark) {
        Optional<String> waiting = store.of(host.id()).filter(w -> mark(w).equals(mark));
        return waiting.map(w -> {
            Incoming incoming = Incoming.read(w);
            Keeping keeping = editing.together(host, incoming.fresh(), incoming.gone());
            if (keeping instanceof Keeping.Kept) {
                store.drop(host.id());
            }
            return keeping;
        });
    }

    private static String mark(String written) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(written.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
