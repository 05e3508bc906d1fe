package gastfreund.app.feeds;

import gastfreund.app.calendars.Reminder;
import java.time.Duration;
import java.util.Locale;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Calendars for programs that follow them. */
@Controller
class FeedController {

    private static final Duration KEPT = Duration.ofMinutes(10);

    private final Feeds feeds;
    private final Versions versions;

    FeedController(Feeds feeds, Versions versions) {
        this.feeds = feeds;
        this.versions = versions;
    }

    @GetMapping("/calendars/{token}.ics")
    ResponseEntity<String> feed(@PathVariable String token, @RequestParam(defaultValue = "") String remind) {
        return answer(
                token + " " + remind,
                feeds.file(token, Reminder.of(remind))
                        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    }

    @GetMapping("/calendars/what-is-on.ics")
    ResponseEntity<String> whatIsOn(Locale locale) {
        return answer("on " + locale, feeds.whatIsOn(locale));
    }

    private ResponseEntity<String> answer(String name, String file) {
        Versions.Version version = versions.of(name, file);
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/calendar;charset=UTF-8"))
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .eTag("W/\"" + version.tag() + "\"")
                .lastModified(version.since())
                .body(file);
    }
}
