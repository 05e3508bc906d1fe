package gastfreund.app.embeds;

import gastfreund.app.secrets.Tokens;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Leads a guest who comes back from a gateway to their booking in the frame. The page around it sees the ticket, and must not
 * see the booking: it is good once, for a short while.
 */
@Component
class Tickets {

    private static final Duration GOOD = Duration.ofMinutes(10);
    private static final int MOST = 1000;

    private record Ticket(String booking, Instant until) {}

    private final Tokens tokens;
    private final Clock clock;
    private final Map<String, Ticket> tickets = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Ticket> eldest) {
            return size() > MOST;
        }
    };

    Tickets(Tokens tokens, Clock clock) {
        this.tokens = tokens;
        this.clock = clock;
    }

    /** @param booking the token of an order */
    synchronized String issue(String booking) {
        String ticket = tokens.next();
        tickets.put(ticket, new Ticket(booking, clock.instant().plus(GOOD)));
        return ticket;
    }

    /** The token of the order for which it was issued; empty where it was used, or is too old. */
    synchronized Optional<String> use(String ticket) {
        return Optional.ofNullable(tickets.remove(ticket))
                .filter(t -> clock.instant().isBefore(t.until()))
                .map(Ticket::booking);
    }
}
