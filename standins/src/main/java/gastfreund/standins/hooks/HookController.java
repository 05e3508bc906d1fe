package gastfreund.standins.hooks;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where the program is told, and where people and tests see what it was told. */
@RestController
class HookController {

    private final Clock clock;
    private final Map<String, Hook> hooks = new ConcurrentHashMap<>();

    HookController(Clock clock) {
        this.clock = clock;
    }

    private Hook hook(String name) {
        return hooks.computeIfAbsent(name, n -> new Hook());
    }

    @PostMapping("/hooks/{name}")
    ResponseEntity<Void> tell(
            @PathVariable String name,
            @RequestHeader(name = "webhook-id", defaultValue = "") String id,
            @RequestHeader(name = "webhook-timestamp", defaultValue = "") String timestamp,
            @RequestHeader(name = "webhook-signature", defaultValue = "") String signature,
            @RequestBody String body) {
        long now = clock.instant().getEpochSecond();
        return ResponseEntity.status(hook(name).take(id, timestamp, signature, body, now))
                .build();
    }

    /**
     * Gives it its secret, and says how it answers.
     *
     * @param apart how far its clock may be from the house's, in seconds
     */
    @PostMapping("/hooks/{name}/control")
    void set(
            @PathVariable String name,
            @RequestParam String secret,
            @RequestParam(defaultValue = "204") int answers,
            @RequestParam(defaultValue = "300") long apart) {
        hook(name).set(secret, answers, apart);
    }

    @GetMapping("/hooks/{name}/told")
    List<Hook.Told> told(@PathVariable String name) {
        return hook(name).told();
    }

    @GetMapping("/hooks/{name}/taken")
    List<String> taken(@PathVariable String name) {
        return hook(name).taken();
    }
}
