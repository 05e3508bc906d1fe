package gastfreund.app.catalogue;

import gastfreund.app.storage.Reading;
import gastfreund.housefile.HouseFile;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
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
    private volatile @Nullable Catalogue kept;

    CatalogueService(CatalogueStore store, Reading reading) {
        this.store = store;
        this.reading = reading;
    }

    /** @throws NoHouseException where there is none */
    public Catalogue catalogue() {
        return find().orElseThrow(NoHouseException::new);
    }

    /** A transaction that has changed the catalogue sees its own change, and nobody else does until it is committed. */
    public Optional<Catalogue> find() {
        if (TransactionSynchronizationManager.hasResource(this)) {
            return read();
        }
        Catalogue catalogue = kept;
        return catalogue == null ? load() : Optional.of(catalogue);
    }

    private synchronized Optional<Catalogue> load() {
        if (kept == null) {
            kept = read().orElse(null);
        }
        return Optional.ofNullable(kept);
    }

    private Optional<Catalogue> read() {
        return reading.ofNow(() -> {
            List<Document> documents = store.documents();
            return documents.isEmpty() ? Optional.empty() : Optional.of(read(HouseDocuments.file(documents)));
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

    private Catalogue read(JsonNode json) {
        AtomicReference<Extras> read = new AtomicReference<>();
        HouseFile file = HouseFile.read(json, whole -> read.set(Extras.of(whole)));
        Extras extras = Objects.requireNonNull(read.get());
        return new Catalogue(
                file.house(),
                extras.story(),
                extras.stories(),
                extras.shelves(),
                extras.placeNotes(),
                extras.portraits(),
                extras.dayNotes(),
                extras.order(),
                extras.opening(),
                extras.questions(),
                extras.checkout(),
                extras.keeping(),
                extras.prepaidOffers(),
                file.promoCodes(),
                store.holdMinutes(),
                store.answerHours());
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
