package gastfreund.standins.texts;

import gastfreund.standins.StandinsSettings;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/**
 * Takes text messages, each once whatever its id is sent again, and shows the telephones at which they arrived. Numbers that end
 * in 000 do not exist; those that end in 503 cannot be reached now.
 */
@Controller
@RequestMapping("/texts")
class TextsController {

    private static final Pattern NUMBER = Pattern.compile("\\+[1-9][0-9]{6,14}");
    private static final int ONE_PART = 160;

    /** A message as it is asked for. */
    record Wish(String id, String to, String text) {}

    /** A message that arrived. */
    public record Text(String to, String text, Instant at) {}

    private final StandinsSettings settings;
    private final Clock clock;
    private final Map<String, Text> texts = Collections.synchronizedMap(new LinkedHashMap<>());

    TextsController(StandinsSettings settings, Clock clock) {
        this.settings = settings;
        this.clock = clock;
    }

    @PostMapping("/messages")
    @ResponseBody
    ResponseEntity<Map<String, Object>> send(@RequestHeader("Authorization") String key, @RequestBody Wish wish) {
        if (settings.secretOf(key.replaceFirst("^Bearer ", "")).isEmpty()) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED);
        }
        if (!NUMBER.matcher(wish.to()).matches() || wish.to().endsWith("000")) {
            return ResponseEntity.unprocessableEntity().body(Map.of("error", "no such number"));
        }
        if (wish.to().endsWith("503")) {
            throw new ResponseStatusException(HttpStatus.SERVICE_UNAVAILABLE);
        }
        texts.putIfAbsent(wish.id(), new Text(wish.to(), wish.text(), clock.instant()));
        return ResponseEntity.accepted()
                .body(Map.of("id", wish.id(), "parts", (wish.text().length() + ONE_PART - 1) / ONE_PART));
    }

    @GetMapping
    String telephones(Model model) {
        Map<String, List<Text>> telephones = new LinkedHashMap<>();
        List<Text> all = new ArrayList<>(texts.values());
        Collections.reverse(all);
        all.forEach(
                t -> telephones.computeIfAbsent(t.to(), n -> new ArrayList<>()).add(t));
        model.addAttribute("telephones", telephones);
        return "standins/texts";
    }
}
