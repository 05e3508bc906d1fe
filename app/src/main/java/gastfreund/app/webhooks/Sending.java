package gastfreund.app.webhooks;

import gastfreund.app.hosts.HostService;
import gastfreund.app.messages.Outbox;
import gastfreund.app.secrets.Secrets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends messages, and sends again what was not taken, after pauses that grow. Where nothing has got through for a day, or a
 * program says that it wants nothing any more, nothing more is sent there until a host lets it go on.
 */
@Component
class Sending implements DisposableBean {

    /** After how long a message is sent again that was not taken; then it is lost. */
    static final List<Duration> PAUSES = List.of(
            Duration.ofSeconds(5),
            Duration.ofMinutes(5),
            Duration.ofMinutes(30),
            Duration.ofHours(2),
            Duration.ofHours(5),
            Duration.ofHours(10),
            Duration.ofHours(14),
            Duration.ofHours(20),
            Duration.ofHours(24));

    /** Where nothing gets through for so long, nothing more is sent. */
    static final Duration PATIENCE = Duration.ofDays(1);

    private static final Logger LOG = LoggerFactory.getLogger(Sending.class);
    private static final int MOST = 20;
    private static final int AT_ONCE = 4;

    private final WebhookStore webhooks;
    private final DeliveryStore deliveries;
    private final Post post;
    private final HostService hosts;
    private final Outbox outbox;
    private final Secrets secrets;
    private final TransactionTemplate transaction;
    private final Clock clock;

    /** One that is slow keeps no other waiting. */
    private final ExecutorService senders = Executors.newFixedThreadPool(AT_ONCE, task -> {
        Thread thread = new Thread(task, "webhooks");
        thread.setDaemon(true);
        return thread;
    });

    Sending(
            WebhookStore webhooks,
            DeliveryStore deliveries,
            Post post,
            HostService hosts,
            Outbox outbox,
            Secrets secrets,
            TransactionTemplate transaction,
            Clock clock) {
        this.webhooks = webhooks;
        this.deliveries = deliveries;
        this.post = post;
        this.hosts = hosts;
        this.outbox = outbox;
        this.secrets = secrets;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Sends all that is due. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.webhooks:2s}")
    public void send() {
        List<Callable<@Nullable Void>> all = new ArrayList<>();
        for (Webhook webhook : webhooks.all()) {
            if (!webhook.isPaused()) {
                all.add(() -> {
                    sendTo(webhook);
                    return null;
                });
            }
        }
        try {
            senders.invokeAll(all);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void sendTo(Webhook webhook) {
        String secret = secrets.decrypt(webhook.secret());
        for (Delivery delivery : deliveries.due(webhook.id(), clock.instant(), MOST)) {
            String answer = post.send(delivery, secret, clock.instant());
            boolean taken = Post.isTaken(answer);
            transaction.executeWithoutResult(status -> note(webhook.id(), delivery, answer, taken));
            if (!taken) {
                LOG.info("webhook {}: {} {} answered {}", webhook.id(), delivery.type(), delivery.message(), answer);
                return;
            }
        }
    }

    private void note(String id, Delivery delivery, String answer, boolean taken) {
        Instant now = clock.instant();
        Webhook webhook = webhooks.byId(id).orElse(null);
        if (webhook == null) {
            return;
        }
        if (taken) {
            deliveries.sent(delivery.id(), "there", answer, null, now);
            if (webhook.failing() != null) {
                webhooks.failing(id, null);
            }
            return;
        }
        boolean more = delivery.tries() < PAUSES.size();
        deliveries.sent(
                delivery.id(),
                more ? "waiting" : "lost",
                answer,
                more ? now.plus(PAUSES.get(delivery.tries())) : null,
                now);
        Instant since = webhook.failing() == null ? now : webhook.failing();
        webhooks.failing(id, since);
        boolean gone = answer.equals(Post.GONE);
        if (gone || !now.isBefore(since.plus(PATIENCE))) {
            webhooks.pause(id, gone ? "gone" : "failing");
            hosts.inCharge().forEach(h -> outbox.put(PausedLetters.letter(h, webhook, answer)));
        }
    }

    @Override
    public void destroy() {
        senders.shutdownNow();
    }
}
