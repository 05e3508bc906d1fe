package gastfreund.app.webhooks;

import gastfreund.app.rounds.Attention;
import gastfreund.app.secrets.Secrets;
import gastfreund.app.secrets.Tokens;
import java.net.URI;
import java.net.URISyntaxException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;

/** Who is told what happens, and what they were told. */
@Service
public class Webhooks implements Attention {

    /** What can be heard of. */
    static final List<String> SUBJECTS = List.of("booking", "order", "payment", "openings");

    /** So many can be told. */
    static final int MOST = 20;

    private static final int LOGGED = 50;
    private static final int SECRET_BYTES = 32;
    private static final int LONGEST = 400;

    private final WebhookStore store;
    private final DeliveryStore deliveries;
    private final WebhookSettings settings;
    private final Secrets secrets;
    private final Tokens tokens;
    private final SecureRandom random = new SecureRandom();
    private final Clock clock;

    Webhooks(
            WebhookStore store,
            DeliveryStore deliveries,
            WebhookSettings settings,
            Secrets secrets,
            Tokens tokens,
            Clock clock) {
        this.store = store;
        this.deliveries = deliveries;
        this.settings = settings;
        this.secrets = secrets;
        this.tokens = tokens;
        this.clock = clock;
    }

    public List<Webhook> all() {
        return store.all();
    }

    /** The secret of one, as its program needs it. */
    String secret(Webhook webhook) {
        return secrets.decrypt(webhook.secret());
    }

    /** What was sent, the newest first. */
    List<Delivery> log() {
        return deliveries.newest(LOGGED);
    }

    /** Whether messages can be sent to an address: one with TLS, or any where the own network may be told. */
    boolean canBeTold(String address) {
        try {
            URI uri = new URI(address);
            boolean web =
                    "https".equals(uri.getScheme()) || settings.privateAddresses() && "http".equals(uri.getScheme());
            return web && uri.getHost() != null && uri.getUserInfo() == null && address.length() <= LONGEST;
        } catch (URISyntaxException e) {
            return false;
        }
    }

    /** Tells an address from now on what happens. */
    @Transactional
    public Webhook make(String address, Set<String> subjects) {
        if (store.all().isEmpty()) {
            store.told(store.newest());
        }
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        Webhook webhook = new Webhook(
                tokens.next(),
                address,
                subjects,
                secrets.encrypt(Signature.BEGINS + Base64.getEncoder().encodeToString(secret)),
                clock.instant().truncatedTo(ChronoUnit.SECONDS),
                null,
                "");
        store.insert(webhook);
        return webhook;
    }

    @Transactional
    public void remove(String id) {
        store.remove(id);
    }

    /** Lets a paused one go on, and sends at once what waits for it. */
    @Transactional
    public void goOn(String id) {
        store.pause(id, "");
        store.failing(id, null);
        deliveries.allAgain(id, clock.instant());
    }

    /** Sends a message that tells of nothing, to see whether it arrives. */
    @Transactional
    public void test(String id) {
        Optional<Webhook> webhook = store.byId(id);
        if (webhook.isPresent()) {
            Instant now = clock.instant();
            String message = "msg_" + tokens.next();
            String body = Telling.body(What.TEST_SENT, now, JsonNodeFactory.instance.objectNode());
            deliveries.write(message, What.TEST_SENT, What.TEST_SENT.code() + " " + message, body, now);
            deliveries.send(message, id, now);
        }
    }

    /** Sends a message once more. */
    @Transactional
    public void again(long delivery) {
        deliveries.byId(delivery).ifPresent(d -> deliveries.again(d.id(), clock.instant()));
    }

    @Override
    public int waiting() {
        return store.countPaused();
    }
}
