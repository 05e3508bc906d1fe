package gastfreund.app.catalogue;

import gastfreund.app.extras.Extras;
import gastfreund.app.extras.Manners;
import gastfreund.app.extras.Tongues;
import gastfreund.app.storage.Reading;
import gastfreund.housefile.HouseFile;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.bind.annotation.ResponseStatus;
import tools.jackson.databind.JsonNode;

/** Gives the catalogue, read once and kept until it is changed: one process serves one house. */
@Service
public class CatalogueService {

    /** There is no house yet. */
    @ResponseStatus(HttpStatus.NOT_FOUND)
    public static final class NoHouseException extends RuntimeException {
        public NoHouseException() {
            super("there is no house yet");
        }
    }

    private final CatalogueStore store;
    private final Reading reading;
    /** By language, the house's first language among them. */
    private volatile @Nullable Kept kept;

    CatalogueService(CatalogueStore store, Reading reading) {
        this.store = store;
        this.reading = reading;
    }

    /** @param first in the house's first language */
    private record Kept(Catalogue first, JsonNode file, Map<Locale, Catalogue> others) {}

    /**
     * The catalogue in the language of whoever is spoken to, or in the house's first where nobody is.
     *
     * @throws NoHouseException where there is no house
     */
    public Catalogue catalogue() {
        return find().orElseThrow(NoHouseException::new);
    }

    /** The same; empty where there is no house. */
    public Optional<Catalogue> find() {
        LocaleContext asked = LocaleContextHolder.getLocaleContext();
        Locale wanted = asked == null ? null : asked.getLocale();
        return kept().map(all -> wanted == null ? all.first() : in(all, wanted));
    }

    /**
     * The catalogue in the house's first language: what is kept for the sake of it is kept once, whoever asks.
     *
     * @throws NoHouseException where there is no house
     */
    public Catalogue plain() {
        return findPlain().orElseThrow(NoHouseException::new);
    }

    public Optional<Catalogue> findPlain() {
        return kept().map(Kept::first);
    }

    /**
     * The catalogue in a language, as far as its texts are written in it.
     *
     * @throws NoHouseException where there is no house
     */
    public Catalogue in(Locale wanted) {
        return in(kept().orElseThrow(NoHouseException::new), wanted);
    }

    private static Catalogue in(Kept all, Locale wanted) {
        Manners manners = all.first().extras().manners();
        Locale language = manners.spoken(wanted);
        return language.equals(manners.first())
                ? all.first()
                : all.others().computeIfAbsent(language, l -> read(Tongues.in(all.file(), l)));
    }

    /** A transaction that has changed the catalogue sees its own change, and nobody else does until it is committed. */
    private Optional<Kept> kept() {
        if (TransactionSynchronizationManager.hasResource(this)) {
            return read();
        }
        Kept catalogue = kept;
        return catalogue == null ? load() : Optional.of(catalogue);
    }

    private synchronized Optional<Kept> load() {
        if (kept == null) {
            kept = read().orElse(null);
        }
        return Optional.ofNullable(kept);
    }

    private Optional<Kept> read() {
        return reading.ofNow(() -> {
            List<Document> documents = store.documents();
            if (documents.isEmpty()) {
                return Optional.empty();
            }
            JsonNode file = HouseDocuments.file(documents);
            return Optional.of(new Kept(read(file), file, new ConcurrentHashMap<>()));
        });
    }

    /** Waits for whoever is just reading it, who may have read it as it was before. */
    private synchronized void forget() {
        kept = null;
    }

    /** To be called in the transaction that changes the catalogue, as often as it does. */
    void change() {
        if (TransactionSynchronizationManager.hasResource(this)) {
            return;
        }
        TransactionSynchronizationManager.bindResource(this, Boolean.TRUE);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                TransactionSynchronizationManager.unbindResource(CatalogueService.this);
                forget();
            }
        });
    }

    private static Catalogue read(JsonNode json) {
        AtomicReference<Extras> read = new AtomicReference<>();
        HouseFile file = HouseFile.read(json, whole -> read.set(Extras.of(whole)));
        return new Catalogue(file.house(), Objects.requireNonNull(read.get()), file.promoCodes());
    }

    /**
     * Takes in a house where there is none.
     *
     * @throws gastfreund.housefile.BadFileException where the file is wrong
     */
    @Transactional
    public void open(JsonNode houseFile) {
        HouseFile.read(houseFile, Extras::of);
        change();
        store.insert(houseFile);
    }
}
