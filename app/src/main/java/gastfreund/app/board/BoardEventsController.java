package gastfreund.app.board;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Lets a board that is open follow what happens elsewhere. It is told no more than that something has changed. */
@Controller
class BoardEventsController {

    private final BoardEvents events;

    BoardEventsController(BoardEvents events) {
        this.events = events;
    }

    @Needs(Right.SEE)
    @GetMapping(path = "/desk/board/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter changes() throws IOException {
        if (!events.hasRoom()) {
            throw new ResponseStatusException(HttpStatus.SERVICE_UNAVAILABLE);
        }
        return events.follow();
    }

    /** The same for browsers and proxies that let no events through. */
    @Needs(Right.SEE)
    @GetMapping("/desk/board/version")
    ResponseEntity<String> version() {
        return ResponseEntity.ok().contentType(MediaType.TEXT_PLAIN).body(events.version());
    }
}
