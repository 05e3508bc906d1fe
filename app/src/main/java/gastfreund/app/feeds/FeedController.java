package gastfreund.app.feeds;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** Calendars for programs that follow them. */
@Controller
class FeedController {

    private static final Duration KEPT = Duration.ofMinutes(10);

    private final Feeds feeds;

    FeedController(Feeds feeds) {
        this.feeds = feeds;
    }

    @GetMapping("/calendars/{token}.ics")
    ResponseEntity<String> feed(@PathVariable String token) {
        return answer(feeds.file(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    }

    @GetMapping("/calendars/what-is-on.ics")
    ResponseEntity<String> whatIsOn(Locale locale) {
        return answer(feeds.whatIsOn(locale));
    }

    private static ResponseEntity<String> answer(String file) {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/calendar;charset=UTF-8"))
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .eTag("W/\"" + DigestUtils.md5DigestAsHex(file.getBytes(StandardCharsets.UTF_8)) + "\"")
                .body(file);
    }
}
