package gastfreund.app.troubles;

import gastfreund.app.busytimes.BusyTimes;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Orders;
import gastfreund.app.rounds.Rounds;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Looks for what does not get through, and tells those in charge of it, once a day at most. */
@Service
public class Troubles {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration DAY = Duration.ofDays(1);
    private static final int MOST = 20;

    private final TroubleStore store;
    private final Outbox outbox;
    private final Rounds rounds;
    private final BusyTimes busy;
    private final Orders orders;
    private final HostService hosts;
    private final CatalogueService catalogues;
    private final Clock clock;

    Troubles(
            TroubleStore store,
            Outbox outbox,
            Rounds rounds,
            BusyTimes busy,
            Orders orders,
            HostService hosts,
            CatalogueService catalogues,
            Clock clock) {
        this.store = store;
        this.outbox = outbox;
        this.rounds = rounds;
        this.busy = busy;
        this.orders = orders;
        this.hosts = hosts;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** Puts a letter to each of those in charge, where there is something and none went within a day. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.troubles:10m}")
    @Transactional
    public void tell() {
        Instant now = clock.instant();
        Instant last = store.told().orElse(Instant.EPOCH);
        if (catalogues.find().isEmpty() || now.isBefore(last.plus(DAY))) {
            return;
        }
        List<Trouble> troubles = troubles(last.isBefore(now.minus(DAY)) ? now.minus(DAY) : last);
        if (troubles.isEmpty()) {
            return;
        }
        store.told(now);
        String facts = JSON.writeValueAsString(troubles.subList(0, Math.min(MOST, troubles.size())));
        for (Host host : hosts.inCharge()) {
            outbox.put(new Letter(null, TroubleLetters.KIND, host.email(), host.language(), facts));
        }
    }

    private List<Trouble> troubles(Instant since) {
        List<Trouble> troubles = new ArrayList<>();
        // A letter about letters that cannot reach its reader either would bring another each day.
        outbox.lostSince(since).stream()
                .filter(s -> !s.kind().equals(TroubleLetters.KIND))
                .forEach(s -> troubles.add(new Trouble(s.lost(), s.recipient(), s.why(), number(s.order()))));
        rounds.stuck().forEach(s -> troubles.add(new Trouble("stuck." + s.kind(), "", s.error(), number(s.order()))));
        busy.failing().forEach(s -> troubles.add(new Trouble("calendar", s.name(), s.error(), 0)));
        return troubles;
    }

    private long number(@Nullable Long order) {
        return order == null ? 0 : orders.byId(order).number();
    }
}
