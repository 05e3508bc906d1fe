package gastfreund.standins.geocoder;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/**
 * Finds addresses in Quillmere and answers in GeoJSON (RFC 7946). Two villages around it have a Church Lane each; whoever asks
 * for Fogbank Road gets no answer.
 */
@RestController
class SearchController {

    /** Where a street begins, and how far its houses are apart. */
    private record Street(String name, String town, double latitude, double longitude) {}

    private static final double HOUSE = 0.0002;
    private static final Pattern NUMBER = Pattern.compile("\\b(\\d{1,3})\\b");

    private static final List<Street> STREETS = List.of(
            new Street("Mill Yard", "Quillmere", 54.1200, 9.4000),
            new Street("Harbour Street", "Quillmere", 54.1260, 9.4110),
            new Street("Tide Lane", "Quillmere", 54.1330, 9.4250),
            new Street("Upper Orchard", "Quillmere", 54.1500, 9.3700),
            new Street("Saltmarsh Road", "Ebbing", 54.1950, 9.4600),
            new Street("Church Lane", "Ebbing", 54.1930, 9.4540),
            new Street("Church Lane", "Farrowby", 54.0800, 9.3300),
            new Street("Ridge Road", "Overhill", 54.3100, 9.7000));

    @GetMapping("/geocoder/search")
    ResponseEntity<Map<String, Object>> search(@RequestParam String q, @RequestParam(defaultValue = "5") int limit) {
        String wanted = q.toLowerCase(Locale.ROOT);
        if (wanted.contains("fogbank")) {
            throw new ResponseStatusException(HttpStatus.SERVICE_UNAVAILABLE);
        }
        Matcher number = NUMBER.matcher(q);
        int house = number.find() ? Integer.parseInt(number.group(1)) : 1;
        List<Map<String, Object>> features = new ArrayList<>();
        for (Street street : STREETS) {
            boolean named = wanted.contains(street.name().toLowerCase(Locale.ROOT));
            if (named && (wanted.contains(street.town().toLowerCase(Locale.ROOT)) || namesNoTown(wanted))) {
                features.add(feature(street, house));
            }
        }
        Map<String, Object> collection = new LinkedHashMap<>();
        collection.put("type", "FeatureCollection");
        collection.put("features", features.subList(0, Math.min(features.size(), Math.max(0, limit))));
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/geo+json"))
                .body(collection);
    }

    private static boolean namesNoTown(String wanted) {
        return STREETS.stream().noneMatch(s -> wanted.contains(s.town().toLowerCase(Locale.ROOT)));
    }

    private static Map<String, Object> feature(Street street, int house) {
        return Map.of(
                "type",
                "Feature",
                "geometry",
                Map.of("type", "Point", "coordinates", List.of(street.longitude() + house * HOUSE, street.latitude())),
                "properties",
                Map.of("label", street.name() + " " + house + ", " + street.town()));
    }
}
