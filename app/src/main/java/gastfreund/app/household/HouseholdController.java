package gastfreund.app.household;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Keeping;
import gastfreund.app.editing.NewIds;
import gastfreund.app.editing.Undoing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Written;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The people, things and places of the house. Everything changes a draft, which is kept or dropped. */
@Controller
@RequestMapping("/desk/house")
class HouseholdController {

    private final HouseholdPages pages;
    private final HouseDocuments documents;
    private final Editing editing;
    private final Undoing undoing;
    private final Serves serves;
    private final NewIds ids;

    HouseholdController(
            HouseholdPages pages,
            HouseDocuments documents,
            Editing editing,
            Undoing undoing,
            Serves serves,
            NewIds ids) {
        this.pages = pages;
        this.documents = documents;
        this.editing = editing;
        this.undoing = undoing;
        this.serves = serves;
        this.ids = ids;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String index(Host host, @RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page", pages.index(host, Note.said(said, f.words()).stream().toList(), f));
        return "household/index";
    }

    /** Who gets it where a guest does not care. */
    @Needs(Right.SET_UP)
    @PostMapping("/gets-it")
    String getsIt(Host host, @RequestParam Map<String, String> form) {
        Map<DocumentRef, Consumer<ObjectNode>> edits = new LinkedHashMap<>();
        for (Document offer : documents.all(Kind.OFFERS)) {
            String assign = form.getOrDefault("assign-" + offer.ref().id(), "");
            if (assign.equals("least") || assign.equals("order")) {
                edits.put(offer.ref(), json -> assign(json, assign));
            }
        }
        return "redirect:/desk/house" + editing.atOnce(host, edits).said('?');
    }

    private static void assign(ObjectNode offer, String assign) {
        if (offer.path("staff") instanceof ObjectNode staff
                && !staff.path("assign").stringValue("least").equals(assign)) {
            staff.put("assign", assign);
        }
    }

    /** Whether people set their own hours. */
    @Needs(Right.SET_UP)
    @PostMapping("/own-hours")
    String ownHours(Host host, @RequestParam(defaultValue = "false") boolean ownHours) {
        Consumer<ObjectNode> edit = json -> {
            if (ownHours) {
                Form.extraOf(json).put("ownHours", true);
            } else {
                Form.removeExtra(json, "ownHours");
            }
        };
        return "redirect:/desk/house"
                + editing.atOnce(host, Map.of(DocumentRef.HOUSE, edit)).said('?');
    }

    /** Begins somebody or something new, as a draft. */
    @Needs(Right.SET_UP)
    @PostMapping("/{kind}")
    String add(Host host, @PathVariable String kind, @RequestParam(defaultValue = "") String name) {
        Kind of = kind(kind);
        String called = Written.line(name, Form.MOST_LINE);
        if (called.isEmpty()) {
            return "redirect:/desk/house?said=no-name";
        }
        DocumentRef ref = ids.free(host, of, called);
        ObjectNode json =
                JsonNodeFactory.instance.objectNode().put("id", ref.id()).put("name", called);
        if (of == Kind.RESOURCES) {
            json.put("units", 1);
        } else if (of == Kind.PLACES) {
            json.put("kind", "onsite");
        }
        editing.begin(host, new Document(ref, 0, json));
        return "redirect:" + HouseholdPages.address(ref);
    }

    private static Kind kind(String code) {
        return Kind.ofCode(code)
                .filter(HouseholdPages.KINDS::contains)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private Document seen(Host host, String kind, String id) {
        return editing.seen(host, new DocumentRef(kind(kind), id))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Needs(Right.SET_UP)
    @GetMapping("/{kind}/{id}")
    @Partial("household")
    String page(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(name = "picture", defaultValue = "") String wrongPicture,
            Model model) {
        Formats f = Formats.of(model);
        Document seen = seen(host, kind, id);
        model.addAttribute(
                "page",
                pages.page(host, seen, Note.said(said, f.words()).stream().toList(), wrongPicture, f));
        return "household/one";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}")
    String type(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam Map<String, String> form,
            Model model) {
        Document seen = seen(host, kind, id);
        type(host, seen, form, Formats.of(model));
        String part = "household".equals(form.get("fragment")) ? "?fragment=household" : "";
        return "redirect:" + HouseholdPages.address(seen.ref()) + part;
    }

    private void type(Host host, Document seen, Map<String, String> form, Formats f) {
        Form.Typing typing = new Form.Typing(form, f);
        Form fields = pages.form(seen.ref().kind());
        editing.change(host, seen.ref(), json -> fields.type(json, typing), typing.unread());
        if (seen.ref().kind() == Kind.STAFF) {
            serves.type(host, seen.ref().id(), form, f);
        }
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/keep")
    String keep(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam Map<String, String> form,
            Model model) {
        Document seen = seen(host, kind, id);
        type(host, seen, form, Formats.of(model));
        Keeping keeping = editing.keep(host, pages.together(host, seen.ref()));
        return "redirect:" + HouseholdPages.address(seen.ref()) + keeping.said('?');
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/drop")
    String drop(Host host, @PathVariable String kind, @PathVariable String id) {
        Document seen = seen(host, kind, id);
        editing.drop(host, pages.together(host, seen.ref()));
        String to = seen.version() == 0 ? "/desk/house" : HouseholdPages.address(seen.ref());
        return "redirect:" + to + "?said=dropped";
    }

    /** Retires it, or takes it back, at once. */
    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/retire")
    String retire(Host host, @PathVariable String kind, @PathVariable String id, @RequestParam boolean retired) {
        Document seen = seen(host, kind, id);
        Consumer<ObjectNode> edit = json -> {
            json.remove("retired");
            if (retired) {
                json.put("retired", true);
            }
        };
        Keeping keeping = editing.atOnce(host, Map.of(seen.ref(), edit));
        return "redirect:" + HouseholdPages.address(seen.ref()) + keeping.said('?');
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/delete")
    String delete(Host host, @PathVariable String kind, @PathVariable String id) {
        Document seen = seen(host, kind, id);
        Undoing.Deleting deleting = undoing.delete(host, seen.ref());
        return deleting instanceof Undoing.Deleting.Deleted
                ? "redirect:/desk/house?said=deleted"
                : "redirect:" + HouseholdPages.address(seen.ref()) + "?said=not-deleted";
    }
}
