package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Editor;
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
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.regex.Pattern;
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

    private static final Pattern PLACE = Pattern.compile("\\A\\d{1,3}+\\z");

    private final OfferPages pages;
    private final Editing editing;
    private final Editor editor;
    private final Undoing undoing;
    private final Pictures pictures;
    private final Clock clock;

    OfferEditorController(
            OfferPages pages, Editing editing, Editor editor, Undoing undoing, Pictures pictures, Clock clock) {
        this.clock = clock;
        this.pages = pages;
        this.editing = editing;
        this.editor = editor;
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
            @RequestParam(name = "more", defaultValue = "") String wrongMore,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = Note.said(said, f.words()).stream().toList();
        model.addAttribute("page", pages.page(host, seen(host, id), tab, notes, wrongPicture, wrongMore, f));
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
     */
    @Needs(Right.SET_UP)
    @PostMapping
    String type(
            Host host,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(required = false) @Nullable String add,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        Document seen = seen(host, id);
        Formats f = Formats.of(model);
        editor.take(host, seen.ref(), form, OfferInputs::take, f);
        boolean right = true;
        if (Dates.MANY.equals(add)) {
            AtomicBoolean could = new AtomicBoolean();
            LocalDate today = f.zone().dateOf(clock.instant());
            editing.change(host, seen.ref(), json -> could.set(Dates.addMany(json, form, today, f)), Map.of());
            right = could.get();
        } else if (add != null && add.startsWith(Dates.APART)) {
            String date = String.valueOf(form.getFirst(add));
            String place = add.substring(Dates.APART.length());
            if (PLACE.matcher(place).matches()) {
                editing.change(host, seen.ref(), json -> Dates.apart(json, Integer.parseInt(place), date), Map.of());
            }
        } else {
            editor.press(host, seen.ref(), form, (json, list) -> Rows.add(json, list, f));
        }
        String part = "offer".equals(form.getFirst("fragment")) ? "&fragment=offer" : "";
        return back(id, tab) + (right ? "" : "&said=many-wrong") + part;
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
        Keeping keeping = editor.keep(host, seen(host, id).ref(), form, OfferInputs::take, Formats.of(model));
        return back(id, tab) + keeping.said('&');
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
        return back(id, "what") + taken(file, "picture", name -> set(host, ref, name)) + "#picture";
    }

    /** Another picture beside the first. */
    @Needs(Right.SET_UP)
    @PostMapping("/more/picture")
    String anotherPicture(
            Host host, @PathVariable String id, @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        DocumentRef ref = seen(host, id).ref();
        return back(id, "what")
                + taken(file, "more", name -> editing.change(host, ref, json -> Rows.addPicture(json, name), Map.of()))
                + "#picture-more";
    }

    /** Takes in a picture; why it was not taken, as a parameter of that name. */
    private String taken(@Nullable MultipartFile file, String parameter, Consumer<String> use) throws IOException {
        if (file == null || file.isEmpty()) {
            return "&" + parameter + "=none";
        }
        Taken taken = pictures.take(file.getBytes());
        if (taken instanceof Taken.In in) {
            use.accept(in.name());
            return "";
        }
        return "&" + parameter + "=" + taken.why();
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
