package gastfreund.app.board;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.House;
import java.io.IOException;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells the boards that are open somewhere that something has changed. */
@Component
class BoardEvents {

    /** After that a browser asks anew, and whoever is signed in no longer is told nothing more. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    /** How many are told at once; others ask for themselves. */
    private static final int MOST = 200;

    private final BookingChanges bookings;
    private final CatalogueService catalogues;
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();
    private final String started = Long.toString(System.nanoTime(), Character.MAX_RADIX);
    private @Nullable House house;
    private long houses;
    private volatile String told = "";

    BoardEvents(BookingChanges bookings, CatalogueService catalogues) {
        this.bookings = bookings;
        this.catalogues = catalogues;
    }

    /** Another one after each change of what boards show. */
    synchronized String version() {
        House now = catalogues.find().map(Catalogue::house).orElse(null);
        if (now != house) {
            house = now;
            houses++;
        }
        return started + "-" + bookings.version() + "-" + houses;
    }

    /** Whether one more can be told. */
    boolean hasRoom() {
        return open.size() < MOST;
    }

    SseEmitter follow() throws IOException {
        SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
        emitter.onCompletion(() -> open.remove(emitter));
        emitter.onTimeout(emitter::complete);
        emitter.onError(e -> open.remove(emitter));
        open.add(emitter);
        emitter.send(SseEmitter.event().name("version").data(version()));
        return emitter;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.boards:1s}")
    void tell() {
        String now = version();
        if (!now.equals(told)) {
            told = now;
            open.forEach(emitter -> send(emitter, now));
        }
    }

    private void send(SseEmitter emitter, String version) {
        try {
            emitter.send(SseEmitter.event().name("version").data(version));
        } catch (IOException | IllegalStateException e) {
            open.remove(emitter);
        }
    }

    /** Nothing that goes on keeps the application from being stopped. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        open.forEach(SseEmitter::complete);
        open.clear();
    }
}
