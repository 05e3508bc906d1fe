package gastfreund.app.running;

import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Says to whoever asks that the house answers, and nothing more. */
@Controller
class UpController {

    private final Running running;

    UpController(Running running) {
        this.running = running;
    }

    @GetMapping("/up")
    ResponseEntity<String> up() {
        running.ask();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .contentType(MediaType.APPLICATION_JSON)
                .body("{\"status\":\"UP\"}");
    }
}
