package gastfreund.standins.gateway;

import gastfreund.standins.StandinsSettings;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Tells a caller about its payment: signed, and again with growing pauses until it is taken. */
@Component
class Notifications implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Notifications.class);
    private static final int TRIES = 8;

    /** One notification on its way. */
    private record Telling(Payment payment, String body) {}

    private final Map<String, Integer> taken = new ConcurrentHashMap<>();
    private final StandinsSettings settings;
    private final Answers answers;
    private final Clock clock;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private final ScheduledExecutorService executor = Executors.newScheduledThreadPool(2);

    Notifications(StandinsSettings settings, Answers answers, Clock clock) {
        this.clock = clock;
        this.settings = settings;
        this.answers = answers;
    }

    /** Sends what is to be told, after a pause. */
    void send(Payment payment, Payment.Told told, Duration pause) {
        later(new Telling(payment, answers.written(told)), pause, 1);
    }

    /** How many notifications about a payment were taken by the one they went to. */
    int taken(String payment) {
        return taken.getOrDefault(payment, 0);
    }

    private void later(Telling telling, Duration pause, int attempt) {
        executor.schedule(() -> attempt(telling, attempt), pause.toMillis(), TimeUnit.MILLISECONDS);
    }

    private void attempt(Telling telling, int attempt) {
        String url = telling.payment().asked.notifyUrl();
        String body = telling.body();
        try {
            String time = Long.toString(clock.instant().getEpochSecond());
            HttpRequest request = HttpRequest.newBuilder(URI.create(url))
                    .timeout(Duration.ofSeconds(10))
                    .header("Content-Type", "application/json")
                    .header("Gateway-Time", time)
                    .header("Gateway-Signature", sign(telling.payment().account, time + "." + body))
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build();
            int status =
                    http.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
            if (status / 100 == 2) {
                taken.merge(telling.payment().id, 1, Integer::sum);
                return;
            }
            LOG.info("notification to {} was answered {}", url, status);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return;
        } catch (IOException e) {
            LOG.info("notification to {} did not get through: {}", url, e.toString());
        }
        if (attempt < TRIES) {
            later(telling, Duration.ofSeconds(1L << attempt), attempt + 1);
        }
    }

    private String sign(String account, String text) {
        String secret = settings.secretOf(account).orElseThrow();
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void destroy() {
        executor.shutdownNow();
    }
}
