package gastfreund.app.messages;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.setup.Outside;
import gastfreund.core.letters.QuietHours;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;

/**
 * Sends text messages through a gateway: {@code POST …/messages} with {@code {"id", "to", "text"}}, where the same id is the same
 * message however often it comes. 4xx is a no for good, but for 408 and 429.
 */
@Component
public class TextGateway {

    private final TextSettings settings;
    private final CatalogueService catalogues;
    private final Clock clock;
    private final RestClient http;

    TextGateway(TextSettings settings, CatalogueService catalogues, Clock clock) {
        this.settings = settings;
        this.catalogues = catalogues;
        this.clock = clock;
        this.http = RestClient.builder()
                .requestFactory(Outside.calls(settings.patience()))
                .build();
    }

    /** Whether text messages can go out at all. */
    public boolean canSend() {
        return !settings.url().isBlank();
    }

    /** Whether guests can be told of something by text message. */
    public boolean isOffered() {
        return canSend()
                && catalogues.find().map(c -> c.extras().letters().sendsTexts()).orElse(false);
    }

    /** Whether nobody gets a text message now. */
    boolean isQuiet() {
        Optional<Catalogue> house = catalogues.find();
        Optional<QuietHours> quiet = house.flatMap(c -> c.extras().quiet().hours());
        return quiet.isPresent()
                && quiet.get()
                        .around(
                                clock.instant().getEpochSecond() / 60,
                                house.orElseThrow().zone())
                        .isPresent();
    }

    /** @return why it was refused for good; empty: it was taken */
    Optional<String> send(String id, String to, String text) {
        return http.post()
                .uri(settings.url() + "/messages")
                .header(HttpHeaders.AUTHORIZATION, "Bearer " + settings.key())
                .contentType(MediaType.APPLICATION_JSON)
                .body(Map.of("id", id, "to", to, "text", text))
                .exchange((request, response) -> {
                    HttpStatusCode status = response.getStatusCode();
                    boolean later = status.value() == HttpStatus.REQUEST_TIMEOUT.value()
                            || status.value() == HttpStatus.TOO_MANY_REQUESTS.value();
                    if (status.is4xxClientError() && !later) {
                        String said = response.bodyTo(String.class);
                        return Optional.of(status.value() + (said == null ? "" : " " + said));
                    }
                    if (!status.is2xxSuccessful()) {
                        throw new IllegalStateException("the gateway for text messages says " + status.value());
                    }
                    return Optional.<String>empty();
                });
    }
}
