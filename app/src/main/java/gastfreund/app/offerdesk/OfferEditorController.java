package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Keeping;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Undoing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.pictures.Pictures;
import gastfreund.app.pictures.Taken;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** The editor of an offer. Everything changes a draft, which is kept or dropped. */
@Controller
@RequestMapping("/desk/offers/{id}")
class OfferEditorController {

    private final OfferPages pages;
    private final Editing editing;
    private final Undoing undoing;
    private final Pictures pictures;
    private final Clock clock;

    OfferEditorController(OfferPages pages, Editing editing, Undoing undoing, Pictures pictures, Clock clock) {
        this.clock = clock;
        this.pages = pages;
        this.editing = editing;
        this.undoing = undoing;
        this.pictures = pictures;
    }

    private Document seen(Host host, String id) {
        return pages.seen(host, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Needs(Right.SET_UP)
    @GetMapping
    @Partial("offer")
    String page(
            Host host,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(name = "picture", defaultValue = "") String wrongPicture,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = Note.said(said, f.words()).stream().toList();
        model.addAttribute("page", pages.page(host, seen(host, id), tab, notes, wrongPicture, f));
        return "offerdesk/editor";
    }

    /** The guest's panel with what is not kept yet. */
    @Needs(Right.SET_UP)
    @GetMapping("/preview")
    @Partial("panel")
    String preview(Host host, @PathVariable String id, @ModelAttribute Choice.Asked asked, Model model) {
        model.addAttribute("page", pages.preview(host, seen(host, id), asked));
        return "offerdesk/preview";
    }

    /**
     * Takes in what was typed, and what was pressed.
     *
     * @param add the list that gets another element
     * @param remove the element that is taken away
     * @param up the element that comes before the one before it
     */
    @Needs(Right.SET_UP)
    @PostMapping
    String type(
            Host host,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(required = false) @Nullable String add,
            @RequestParam(required = false) @Nullable String remove,
            @RequestParam(required = false) @Nullable String up,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        Document seen = seen(host, id);
        Formats f = Formats.of(model);
        take(host, seen, form, f);
        boolean right = true;
        if (Dates.MANY.equals(add)) {
            AtomicBoolean could = new AtomicBoolean();
            LocalDate today = f.zone().dateOf(clock.instant());
            editing.change(host, seen.ref(), json -> could.set(Dates.addMany(json, form, today, f)), Map.of());
            right = could.get();
        } else if (add != null) {
            editing.change(host, seen.ref(), json -> Rows.add(json, add, f), Map.of());
        }
        if (remove != null) {
            editing.change(host, seen.ref(), json -> Rows.remove(json, remove), Map.of());
        }
        if (up != null) {
            editing.change(host, seen.ref(), json -> Rows.up(json, up), Map.of());
        }
        String part = "offer".equals(form.getFirst("fragment")) ? "&fragment=offer" : "";
        return back(id, tab) + (right ? "" : "&said=many-wrong") + part;
    }

    private void take(Host host, Document seen, MultiValueMap<String, String> form, Formats f) {
        Map<String, String> unread = new HashMap<>();
        editing.change(host, seen.ref(), json -> OfferInputs.take(json, form, unread, f), unread);
    }

    private static String back(String id, String tab) {
        return "redirect:" + OfferPages.address(id) + "?tab=" + (Parts.TABS.contains(tab) ? tab : Parts.TABS.get(0));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/keep")
    String keep(
            Host host,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        Document seen = seen(host, id);
        take(host, seen, form, Formats.of(model));
        Keeping keeping = editing.keep(host, List.of(seen.ref()));
        String said =
                keeping instanceof Keeping.Kept kept ? (kept.keeping() == 0 ? "&said=nothing" : "&said=kept") : "";
        return back(id, tab) + said;
    }

    @Needs(Right.SET_UP)
    @PostMapping("/drop")
    String drop(Host host, @PathVariable String id, @RequestParam(defaultValue = "") String tab) {
        Document seen = seen(host, id);
        editing.drop(host, List.of(seen.ref()));
        return seen.version() == 0 ? "redirect:/desk/offers?said=dropped" : back(id, tab) + "&said=dropped";
    }

    /** Retires it, or takes it back, at once. */
    @Needs(Right.SET_UP)
    @PostMapping("/retire")
    String retire(Host host, @PathVariable String id, @RequestParam boolean retired) {
        DocumentRef ref = seen(host, id).ref();
        Keeping keeping = editing.atOnce(
                host, Map.of(ref, json -> Inputs.set(json, "retired", retired ? Sort.JSON.booleanNode(true) : null)));
        return back(id, "") + (keeping instanceof Keeping.Kept ? "&said=kept" : "");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/delete")
    String delete(Host host, @PathVariable String id) {
        Undoing.Deleting deleting = undoing.delete(host, seen(host, id).ref());
        return deleting instanceof Undoing.Deleting.Deleted
                ? "redirect:/desk/offers?said=deleted"
                : back(id, "") + "&said=not-deleted";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/picture")
    String picture(Host host, @PathVariable String id, @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        DocumentRef ref = seen(host, id).ref();
        String why = "&picture=none";
        if (file != null && !file.isEmpty()) {
            Taken taken = pictures.take(file.getBytes());
            if (taken instanceof Taken.In in) {
                set(host, ref, in.name());
                why = "";
            } else {
                why = "&picture=" + taken.why();
            }
        }
        return back(id, "what") + why + "#picture";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/picture/remove")
    String withoutPicture(Host host, @PathVariable String id) {
        set(host, seen(host, id).ref(), null);
        return back(id, "what") + "#picture";
    }

    private void set(Host host, DocumentRef ref, @Nullable String picture) {
        editing.change(
                host,
                ref,
                json -> Inputs.set(json, "extra/picture", picture == null ? null : Sort.JSON.stringNode(picture)),
                Map.of());
    }
}
