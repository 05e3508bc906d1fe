package gastfreund.app.household;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.effects.Ahead;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.Booked;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Whether something can be retired or deleted, and what that means for the house. */
@Component
public class Retiring {

    private final HouseDocuments documents;
    private final Ahead ahead;
    private final CatalogueService catalogues;
    private final Clock clock;

    Retiring(HouseDocuments documents, Ahead ahead, CatalogueService catalogues, Clock clock) {
        this.documents = documents;
        this.ahead = ahead;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** What ending it means, said before it is done. */
    public HouseholdPage.Ending of(Document seen, Formats f) {
        DocumentRef ref = seen.ref();
        boolean deletable = !documents.isBooked(ref) && !isNamed(ref);
        List<String> warnings = new ArrayList<>();
        if (!seen.isRetired()) {
            int ahead = ahead(ref);
            if (ahead > 0) {
                warnings.add(f.text("household.ahead", ahead, seen.name()));
            }
            for (Document offer : ref.kind() == Kind.OFFERS ? List.<Document>of() : documents.all(Kind.OFFERS)) {
                if (!offer.isRetired() && isLast(offer.json(), ref)) {
                    warnings.add(f.text("household.last", seen.name(), offer.name()));
                }
            }
        }
        String words =
                seen.isRetired() ? "household.retired" : deletable ? "household.canDelete" : "household.canRetire";
        return new HouseholdPage.Ending(seen.isRetired(), deletable, f.text(words, seen.name()), List.copyOf(warnings));
    }

    /** Whether an offer or a code names it. */
    private boolean isNamed(DocumentRef ref) {
        return !documents.tryWithout(List.of(ref), List.of()).isRight();
    }

    /** How many bookings of the next 400 days are with a person, at a place or with a thing. */
    private int ahead(DocumentRef ref) {
        Booked all = ahead.of(catalogues.plain().house(), clock.instant());
        long now = clock.instant().getEpochSecond() / 60;
        return (int) all.bookings().stream()
                .filter(b -> b.start() >= now)
                .filter(b -> switch (ref.kind()) {
                    case STAFF -> b.staff().stream().anyMatch(s -> s.value().equals(ref.id()));
                    case OFFERS -> b.offer().value().equals(ref.id());
                    case PLACES -> b.place() != null && b.place().value().equals(ref.id());
                    default -> uses(b.offer().value(), ref.id());
                })
                .count();
    }

    private boolean uses(String offer, String thing) {
        return documents
                .find(DocumentRef.offer(offer))
                .map(o -> {
                    for (JsonNode use : o.json().path("uses")) {
                        if (use.path("resource").stringValue("").equals(thing)) {
                            return true;
                        }
                    }
                    return false;
                })
                .orElse(false);
    }

    /** Whether an offer could not take place without it: nobody else serves, there is no other place, or it needs the thing. */
    private boolean isLast(JsonNode offer, DocumentRef ref) {
        return switch (ref.kind()) {
            case STAFF -> needsAlone(offer.path("staff").path("of"), ref)
                    || offer.path("staff").path("pick").stringValue("").equals("all") && Serves.serves(offer, ref.id());
            case PLACES -> needsAlone(offer.path("places"), ref);
            default -> uses(offer.path("id").stringValue(""), ref.id());
        };
    }

    private boolean needsAlone(JsonNode list, DocumentRef ref) {
        boolean named = false;
        int others = 0;
        for (JsonNode one : list) {
            String id = one.stringValue("");
            boolean lives = documents
                    .find(new DocumentRef(ref.kind(), id))
                    .map(d -> !d.isRetired())
                    .orElse(false);
            if (id.equals(ref.id())) {
                named = true;
            } else if (lives) {
                others++;
            }
        }
        return named && others == 0;
    }
}
