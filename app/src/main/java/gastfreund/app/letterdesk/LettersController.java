package gastfreund.app.letterdesk;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.editing.Keeping;
import gastfreund.app.effects.FaultWords;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.messages.Outbox;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.strangers.Framing;
import gastfreund.app.wording.HouseLetters;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.app.wording.Tags;
import gastfreund.app.wording.Wording;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The letters of the house: looked at while they are typed, and kept at once. */
@Controller
@RequestMapping(LetterPages.ADDRESS)
class LettersController {

    private final LetterPages pages;
    private final LetterEdits edits;
    private final Previews previews;
    private final Rehearsal rehearsal;
    private final CatalogueService catalogues;
    private final Outbox outbox;

    LettersController(
            LetterPages pages,
            LetterEdits edits,
            Previews previews,
            Rehearsal rehearsal,
            CatalogueService catalogues,
            Outbox outbox) {
        this.pages = pages;
        this.edits = edits;
        this.previews = previews;
        this.rehearsal = rehearsal;
        this.catalogues = catalogues;
        this.outbox = outbox;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    @Partial("letters")
    String page(
            @ModelAttribute Typed typed,
            @RequestParam(required = false) @Nullable String said,
            HttpServletResponse response,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = said == null
                ? List.of()
                : f.words().find("letters.said." + said).map(Note::done).stream()
                        .toList();
        return show(typed.plain(), notes, Map.of(), response, model);
    }

    /** What it would be like with what is typed; nothing is kept. */
    @Needs(Right.SET_UP)
    @PostMapping
    @Partial("letters")
    String type(@ModelAttribute Typed typed, HttpServletResponse response, Model model) {
        return show(typed, List.of(), wrong(typed, Formats.of(model)), response, model);
    }

    private String show(
            Typed typed, List<Note> notes, Map<String, String> wrong, HttpServletResponse response, Model model) {
        Framing.show(response, "");
        Formats f = Formats.of(model);
        LettersPage page = pages.page(typed, catalogues.catalogue(), notes, wrong, f);
        LettersPage.Preview preview = page.chosen().preview();
        model.addAttribute("page", preview == null ? page : page.framed(previews.put(preview.html())));
        return "letterdesk/letters";
    }

    /** What cannot be kept of what is typed, in words, by the names of the fields. */
    private static Map<String, String> wrong(Typed typed, Formats f) {
        Map<String, String> wrong = new HashMap<>();
        tagged("subject", typed.subject(), wrong, f);
        tagged("text", typed.text(), wrong, f);
        tagged("message", typed.message(), wrong, f);
        if (typed.minutes() != null) {
            OptionalLong minutes = Spans.read(typed.minutes(), 60);
            if (minutes.isEmpty() || minutes.getAsLong() > HouseLetters.MOST_MINUTES) {
                wrong.put("minutes", f.text("letters.wrongMinutes"));
            }
        }
        return wrong;
    }

    private static void tagged(String field, @Nullable String text, Map<String, String> wrong, Formats f) {
        if (text != null) {
            (text.isBlank() ? Optional.of("is missing") : Tags.wrong(text))
                    .ifPresent(w -> wrong.put(field, FaultWords.of(w, f)));
        }
    }

    /** The mail alone, as its reader's program draws it, in the frame of the page above. */
    @Needs(Right.SET_UP)
    @GetMapping("/preview/{token}")
    ResponseEntity<String> preview(@PathVariable String token) {
        String html = previews.get(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return ResponseEntity.ok()
                .header(
                        "Content-Security-Policy",
                        "default-src 'none'; style-src 'unsafe-inline'; img-src 'self'; sandbox; frame-ancestors 'self'")
                .header("X-Frame-Options", "SAMEORIGIN")
                .contentType(MediaType.valueOf("text/html;charset=UTF-8"))
                .body(html);
    }

    @Needs(Right.SET_UP)
    @PostMapping("/keep")
    String keep(Host host, @ModelAttribute Typed typed, HttpServletResponse response, Model model) {
        Formats f = Formats.of(model);
        Map<String, String> wrong = wrong(typed, f);
        Catalogue catalogue = catalogues.catalogue();
        OwnLetter letter = LetterPages.said(typed, LetterPages.chosen(typed, catalogue));
        Locale language = LetterPages.language(typed, catalogue);
        if (wrong.isEmpty()) {
            Keeping keeping =
                    edits.keep(host, typed, letter, pages.words(typed, letter, language), language, catalogue);
            if (keeping instanceof Keeping.Kept) {
                return back(typed.withLetter(letter.id()), "kept");
            }
        }
        return show(typed, List.of(Note.bad(f.text("letters.notKept"))), wrong, response, model);
    }

    @Needs(Right.SET_UP)
    @PostMapping("/reset")
    String reset(Host host, @ModelAttribute Typed typed) {
        edits.reset(host, typed, LetterPages.chosen(typed, catalogues.catalogue()));
        return back(typed, "reset");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/remove")
    String remove(Host host, @ModelAttribute Typed typed) {
        edits.remove(host, typed, LetterPages.chosen(typed, catalogues.catalogue()));
        return back(typed.withLetter(""), "removed");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/add")
    String add(Host host, @ModelAttribute Typed typed, @RequestParam(defaultValue = "") String occasion) {
        Occasion wanted = Occasion.of(occasion)
                .filter(Occasion::isTimed)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return back(typed.withLetter(edits.add(host, typed, wanted, catalogues.catalogue())), "added");
    }

    /** One to the host who asks, as the guest of the preview would get it. */
    @Needs(Right.SET_UP)
    @PostMapping("/send")
    String send(Host host, @ModelAttribute Typed typed, HttpServletResponse response, Model model) {
        Formats f = Formats.of(model);
        Map<String, String> wrong = wrong(typed, f);
        Catalogue catalogue = catalogues.catalogue();
        OwnLetter letter = LetterPages.chosen(typed, catalogue);
        Locale language = LetterPages.language(typed, catalogue);
        Optional<LetterPages.Sample> sample = pages.sample(typed);
        if (!wrong.isEmpty() || sample.isEmpty()) {
            return show(typed, List.of(Note.bad(f.text("letters.notSent"))), wrong, response, model);
        }
        Wording words = pages.words(typed, letter, language);
        String why = outbox.trySending(
                host.email(),
                rehearsal.as(sample.get().order(), sample.get().line(), letter.occasion(), words, language));
        Note note = why.isEmpty()
                ? Note.done(f.text("letters.sent", host.email()))
                : Note.bad(f.text("letters.failed", why));
        return show(typed, List.of(note), wrong, response, model);
    }

    private static String back(Typed typed, String said) {
        String address = LetterPages.address(typed.plain());
        return "redirect:" + address + (address.contains("?") ? "&" : "?") + "said=" + said;
    }
}
