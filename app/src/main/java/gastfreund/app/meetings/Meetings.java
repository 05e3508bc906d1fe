package gastfreund.app.meetings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.setup.Outside;
import gastfreund.app.typed.WebAddress;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.client.RestClient;

/** Has a link made for each booking at a place that wants one, again and again until there is one. */
@Service
public class Meetings {

    private static final int MOST_LINK = 500;

    /** What the service said, unchecked. */
    private record Room(@Nullable String link) {}

    private final MeetingStore store;
    private final MeetingSettings settings;
    private final CatalogueService catalogues;
    private final Rounds rounds;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final RestClient http;

    Meetings(
            MeetingStore store,
            MeetingSettings settings,
            CatalogueService catalogues,
            Rounds rounds,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.settings = settings;
        this.catalogues = catalogues;
        this.rounds = rounds;
        this.transaction = transaction;
        this.clock = clock;
        this.http = RestClient.builder()
                .requestFactory(Outside.calls(settings.patience()))
                .build();
    }

    /** The link of a booking; empty where there is none, or none yet. */
    public Optional<String> link(BookingId booking) {
        return store.link(booking);
    }

    /** Whether links can be made at all. */
    public boolean canBeMade() {
        return !settings.url().isBlank();
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.meetings:5s}")
    public void make() {
        if (!canBeMade() || catalogues.find().isEmpty()) {
            return;
        }
        Catalogue catalogue = catalogues.catalogue();
        Set<PlaceId> places = catalogue.extras().placeNotes().entrySet().stream()
                .filter(e -> e.getValue().meeting())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        rounds.each(
                Kind.MEETING,
                store.wanted(places, clock.instant()).stream()
                        .map(w -> new Entry(w.booking().value(), () -> make(w, catalogue)))
                        .toList());
    }

    /** The service knows a booking by its reference, and makes one room for it however often it is asked. */
    private void make(MeetingStore.Wanted wanted, Catalogue catalogue) {
        String title = catalogue.house().offer(wanted.offer()).map(Offer::title).orElse("");
        Room room = http.post()
                .uri(settings.url() + "/rooms")
                .header("Authorization", "Bearer " + settings.key())
                .contentType(MediaType.APPLICATION_JSON)
                .body(Map.of(
                        "reference", wanted.booking().value(),
                        "subject", title,
                        "start", wanted.time().startInstant().toString(),
                        "end", wanted.time().endInstant().toString()))
                .retrieve()
                .body(Room.class);
        String link = room == null || room.link() == null ? "" : room.link();
        if (link.length() > MOST_LINK || !WebAddress.isOne(link)) {
            throw new IllegalStateException("the meeting service gave no link");
        }
        transaction.executeWithoutResult(t -> store.put(wanted.booking(), link, clock.instant()));
    }
}
