package gastfreund.standins.meetings;

import gastfreund.standins.StandinsSettings;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Makes rooms, one for each reference however often it is asked, and shows an empty one to whoever comes. */
@RestController
@RequestMapping("/meetings/rooms")
class RoomsController {

    record Wish(String reference, String subject, Instant start, Instant end) {}

    private final StandinsSettings settings;
    private final Map<String, Wish> rooms = new ConcurrentHashMap<>();

    RoomsController(StandinsSettings settings) {
        this.settings = settings;
    }

    @PostMapping
    Map<String, String> make(@RequestHeader("Authorization") String key, @RequestBody Wish wish) {
        String secret = settings.secretOf(key.replaceFirst("^Bearer ", ""))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.UNAUTHORIZED));
        String room = UUID.nameUUIDFromBytes((secret + wish.reference()).getBytes(StandardCharsets.UTF_8))
                .toString();
        rooms.put(room, wish);
        return Map.of(
                "link",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/meetings/rooms/" + room)
                        .toUriString());
    }

    @GetMapping("/{room}")
    ResponseEntity<String> enter(@PathVariable String room) {
        Wish wish = rooms.get(room);
        return wish == null
                ? ResponseEntity.notFound().build()
                : ResponseEntity.ok()
                        .contentType(MediaType.TEXT_PLAIN)
                        .body("A room from " + wish.start() + " to " + wish.end() + ". Nobody is here yet.");
    }
}
