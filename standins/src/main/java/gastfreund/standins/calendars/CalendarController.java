package gastfreund.standins.calendars;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages on which events are made, moved and deleted, and each calendar as one file. */
@Controller
class CalendarController {

    private final Calendars calendars;
    private final Clock clock;

    CalendarController(Calendars calendars, Clock clock) {
        this.calendars = calendars;
        this.clock = clock;
    }

    @GetMapping("/calendars")
    String people(Model model) {
        model.addAttribute("people", Calendars.PEOPLE);
        return "standins/calendars";
    }

    @GetMapping("/calendars/{person:[a-z]+}")
    String page(@PathVariable String person, Model model) {
        model.addAttribute("people", Calendars.PEOPLE);
        model.addAttribute("person", known(person));
        model.addAttribute("entries", calendars.of(person));
        model.addAttribute("today", LocalDate.now(clock.withZone(Entry.ZONE)));
        return "standins/calendars";
    }

    @GetMapping("/calendars/{person:[a-z]+}.ics")
    ResponseEntity<String> file(@PathVariable String person) {
        String file = calendars.file(known(person));
        // Whoever asks with this tag again is told that nothing has changed.
        return ResponseEntity.ok()
                .eTag(new Entry(person, file).etag())
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(file);
    }

    @PostMapping("/calendars/{person}")
    String make(
            @PathVariable String person,
            @RequestParam(defaultValue = "") String title,
            @RequestParam String date,
            @RequestParam String from,
            @RequestParam String to) {
        put(known(person), UUID.randomUUID().toString(), title, date, from, to);
        return "redirect:/calendars/" + person;
    }

    @PostMapping("/calendars/{person}/{name}")
    String move(
            @PathVariable String person,
            @PathVariable String name,
            @RequestParam String date,
            @RequestParam String from,
            @RequestParam String to) {
        Entry entry = calendars.find(person, name).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        put(person, name, entry.title(), date, from, to);
        return "redirect:/calendars/" + person;
    }

    @PostMapping("/calendars/{person}/{name}/delete")
    String delete(@PathVariable String person, @PathVariable String name) {
        calendars.remove(known(person), name);
        return "redirect:/calendars/" + person;
    }

    private void put(String person, String name, String title, String date, String from, String to) {
        try {
            LocalDateTime start = LocalDate.parse(date).atTime(LocalTime.parse(from));
            LocalDateTime end = LocalDate.parse(date).atTime(LocalTime.parse(to));
            if (!end.isAfter(start)) {
                end = end.plusDays(1);
            }
            calendars.put(
                    person, Entry.of(name, title.isBlank() ? "Busy" : title.strip(), start, end, clock.instant()));
        } catch (DateTimeException e) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "a date and two times", e);
        }
    }

    private String known(String person) {
        if (!calendars.has(person)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return person;
    }
}
