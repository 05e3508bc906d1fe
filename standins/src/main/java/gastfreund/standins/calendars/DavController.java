package gastfreund.standins.calendars;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/**
 * Single events by CalDAV's rules (RFC 4791, 5.3.2; RFC 9110, 13): each has a tag, and whoever writes with the tag of another
 * version, or makes what is there already, is refused.
 */
@RestController
@RequestMapping("/dav/{person}/{name}.ics")
class DavController {

    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    private final Calendars calendars;

    DavController(Calendars calendars) {
        this.calendars = calendars;
    }

    @RequestMapping(method = RequestMethod.OPTIONS)
    ResponseEntity<Void> options() {
        return ResponseEntity.ok()
                .header("DAV", "1, calendar-access")
                .header(HttpHeaders.ALLOW, "OPTIONS, GET, HEAD, PUT, DELETE")
                .build();
    }

    @GetMapping
    ResponseEntity<String> get(@PathVariable String person, @PathVariable String name) {
        Entry entry = calendars.find(person, name).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return ResponseEntity.ok().eTag(entry.etag()).contentType(CALENDAR).body(entry.text());
    }

    @PutMapping
    ResponseEntity<String> put(
            @PathVariable String person,
            @PathVariable String name,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String match,
            @RequestHeader(name = HttpHeaders.IF_NONE_MATCH, required = false) @Nullable String noneMatch,
            @RequestBody String text) {
        if (!calendars.has(person)) {
            // The collection is not there.
            throw new ResponseStatusException(HttpStatus.CONFLICT);
        }
        Optional<Entry> before = calendars.find(person, name);
        check(before, match);
        if (before.isPresent()
                && noneMatch != null
                && (noneMatch.equals("*") || noneMatch.contains(before.get().etag()))) {
            throw new ResponseStatusException(HttpStatus.PRECONDITION_FAILED);
        }
        if (!Entry.isEvent(text)) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .contentType(MediaType.APPLICATION_XML)
                    .body(
                            "<D:error xmlns:D=\"DAV:\" xmlns:C=\"urn:ietf:params:xml:ns:caldav\"><C:valid-calendar-data/></D:error>");
        }
        Entry entry = new Entry(name, text);
        calendars.put(person, entry);
        return ResponseEntity.status(before.isPresent() ? HttpStatus.NO_CONTENT : HttpStatus.CREATED)
                .eTag(entry.etag())
                .build();
    }

    @DeleteMapping
    ResponseEntity<Void> delete(
            @PathVariable String person,
            @PathVariable String name,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String match) {
        Optional<Entry> before = calendars.find(person, name);
        if (before.isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        check(before, match);
        calendars.remove(person, name);
        return ResponseEntity.noContent().build();
    }

    private static void check(Optional<Entry> before, @Nullable String match) {
        boolean fits = match == null
                || before.isPresent()
                        && (match.equals("*") || match.contains(before.get().etag()));
        if (!fits) {
            throw new ResponseStatusException(HttpStatus.PRECONDITION_FAILED);
        }
    }
}
