package gastfreund.app.visits;

import gastfreund.app.setup.Outside;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks the geocoder where addresses are: a search, answered by a collection of features (RFC 7946). */
@Component
class Geocoder {

    private static final Logger LOG = LoggerFactory.getLogger(Geocoder.class);
    private static final int MOST_FOUND = 5;
    private static final int MOST_LABEL = 200;
    private static final int MOST_ANSWER = 100_000;
    private static final int MOST_KNOWN = 50;
    private static final List<String> LABELS = List.of("label", "display_name", "name");

    private final GeocoderSettings settings;
    private final RestClient http;
    private final JsonMapper json = JsonMapper.builder().build();

    /** Where the house's own places are, by their addresses; never a guest's. */
    private final Map<String, Found> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Found> eldest) {
            return size() > MOST_KNOWN;
        }
    };

    Geocoder(GeocoderSettings settings) {
        this.settings = settings;
        this.http = RestClient.builder()
                .requestFactory(Outside.calls(settings.patience()))
                .build();
    }

    /** Where a place of the house is; empty where that cannot be told. */
    Optional<Found> place(String address) {
        synchronized (known) {
            if (known.containsKey(address)) {
                return Optional.of(known.get(address));
            }
        }
        Optional<Found> found = find(address).flatMap(all -> all.stream().findFirst());
        found.ifPresent(f -> {
            synchronized (known) {
                known.put(address, f);
            }
        });
        return found;
    }

    /** The addresses that are meant, the likeliest first; empty where the geocoder does not answer. */
    Optional<List<Found>> find(String address) {
        if (settings.url().isBlank()) {
            return Optional.empty();
        }
        try {
            byte[] answer = http.get()
                    .uri(
                            settings.url() + "?q={q}&limit={limit}",
                            Map.of("q", address.replace('\n', ' '), "limit", MOST_FOUND))
                    .headers(h -> {
                        if (!settings.key().isBlank()) {
                            h.setBearerAuth(settings.key());
                        }
                    })
                    .accept(MediaType.valueOf("application/geo+json"), MediaType.APPLICATION_JSON)
                    .exchange((request, response) -> response.getStatusCode().is2xxSuccessful()
                            ? response.getBody().readNBytes(MOST_ANSWER)
                            : new byte[0]);
            JsonNode collection = answer.length == 0 ? json.nullNode() : json.readTree(answer);
            return collection.path("features").isArray() ? Optional.of(read(collection)) : Optional.empty();
        } catch (RestClientException | JacksonException e) {
            // The message of the first would say the address that was asked for.
            LOG.warn("the geocoder does not answer: {}", e.getClass().getSimpleName());
            return Optional.empty();
        }
    }

    private static List<Found> read(JsonNode collection) {
        List<Found> found = new ArrayList<>();
        for (JsonNode feature : collection.path("features")) {
            JsonNode at = feature.path("geometry").path("coordinates");
            double longitude = at.path(0).doubleValue(Double.NaN);
            double latitude = at.path(1).doubleValue(Double.NaN);
            String label = LABELS.stream()
                    .map(l -> feature.path("properties").path(l).stringValue(""))
                    .filter(l -> !l.isBlank() && l.length() <= MOST_LABEL)
                    .findFirst()
                    .orElse("");
            if (Math.abs(latitude) <= 90
                    && Math.abs(longitude) <= 180
                    && !label.isEmpty()
                    && found.size() < MOST_FOUND) {
                found.add(new Found(label, latitude, longitude));
            }
        }
        return List.copyOf(found);
    }
}
