package gastfreund.app.letterdesk;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Sent;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What was sent to whom, and what came of it. */
@Controller
@RequestMapping(SentController.ADDRESS)
class SentController {

    static final String ADDRESS = "/desk/letters/sent";

    /** How many letters are looked through, and how many are shown. */
    private static final int MOST = 2000;

    private static final int SHOWN = 100;
    private static final int MOST_SEARCH = 100;

    /**
     * @param found how many letters there are, of which the first are shown
     * @param search the field
     */
    public record SentPage(List<Note> notes, Field search, List<Row> rows, String found) {}

    /**
     * A letter.
     *
     * @param look of its state
     * @param why what the server said; empty: nothing
     */
    public record Row(String id, String when, String to, String what, String state, String look, String why) {}

    private final Outbox outbox;

    SentController(Outbox outbox) {
        this.outbox = outbox;
    }

    @Needs(Right.SEE_ALL)
    @GetMapping
    String page(
            @RequestParam(defaultValue = "") String search,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        String wanted = search.strip().toLowerCase(Locale.ROOT);
        List<Sent> found = outbox.last(MOST).stream()
                .filter(s -> wanted.isEmpty()
                        || s.recipient().toLowerCase(Locale.ROOT).contains(wanted)
                        || s.subject().toLowerCase(Locale.ROOT).contains(wanted))
                .toList();
        model.addAttribute(
                "page",
                new SentPage(
                        Note.said(said, f.words()).stream().toList(),
                        Field.line("search", f.text("sent.search"), MOST_SEARCH).value(search),
                        found.stream().limit(SHOWN).map(s -> row(s, f)).toList(),
                        f.text("sent.found", found.size(), Math.min(found.size(), SHOWN))));
        return "letterdesk/sent";
    }

    private static Row row(Sent sent, Formats f) {
        Instant when = sent.sentAt() == null ? sent.putAt() : sent.sentAt();
        String state = sent.state();
        return new Row(
                sent.id(),
                f.moment(when),
                sent.recipient(),
                what(sent, f),
                state.equals("tried")
                        ? f.text("sent.state.tried", sent.tries())
                        : state.equals("waiting") && sent.notBefore().isAfter(sent.putAt())
                                ? f.text("sent.state.later", f.moment(sent.notBefore()))
                                : f.text("sent.state." + state),
                state.equals("sent") ? "" : state.equals("waiting") ? "quiet" : "error",
                sent.why());
    }

    private static String what(Sent sent, Formats f) {
        if (sent.isText()) {
            return f.text("sent.text");
        }
        return sent.subject().isEmpty() ? f.text("sent.unwritten") : sent.subject();
    }

    /** Puts it into the outbox again. */
    @Needs(Right.SET_UP)
    @PostMapping("/again")
    String again(@RequestParam(defaultValue = "") String id) {
        if (!outbox.again(id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:" + ADDRESS + "?said=letter-again";
    }
}
