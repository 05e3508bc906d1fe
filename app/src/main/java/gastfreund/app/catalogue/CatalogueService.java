package gastfreund.app.catalogue;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.housefile.HouseFile;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private volatile Catalogue kept;

    CatalogueService(CatalogueStore store) {
        this.store = store;
    }

    /** @throws NoHouseException where there is none */
    public Catalogue catalogue() {
        return find().orElseThrow(NoHouseException::new);
    }

    public Optional<Catalogue> find() {
        Catalogue catalogue = kept;
        if (catalogue == null) {
            catalogue = store.houseFile().map(this::read).orElse(null);
            kept = catalogue;
        }
        return Optional.ofNullable(catalogue);
    }

    private Catalogue read(JsonNode json) {
        Map<OfferId, Story> stories = new HashMap<>();
        Map<OfferId, List<Question>> questions = new HashMap<>();
        for (JsonNode offer : json.path("offers")) {
            OfferId id = new OfferId(offer.get("id").stringValue());
            stories.put(id, Story.of(offer.path("extra")));
            questions.put(id, Question.of(offer.path("extra")));
        }
        Map<PlaceId, String> notes = new HashMap<>();
        json.path("places")
                .forEach(p -> notes.put(
                        new PlaceId(p.get("id").stringValue()),
                        p.path("extra").path("directions").asString("")));
        HouseFile file = HouseFile.read(json);
        return new Catalogue(
                file.house(),
                Story.of(json.path("house").path("extra")),
                stories,
                notes,
                questions,
                CheckoutRules.of(json.path("house").path("extra")),
                PrepaidOffer.of(json.path("house").path("extra")),
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
        HouseFile.read(houseFile);
        store.insert(houseFile);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                kept = null;
            }
        });
    }
}
