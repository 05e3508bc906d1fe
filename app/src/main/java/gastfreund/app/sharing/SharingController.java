package gastfreund.app.sharing;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.embeds.Embed;
import gastfreund.app.extras.Sharing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.strangers.Framing;
import gastfreund.app.typed.Written;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** How the house stands on other people's websites. Everything said is in the address; looks and sites are kept at once. */
@Controller
@RequestMapping(SharingPages.ADDRESS)
class SharingController {

    private final SharingPages pages;
    private final CatalogueService catalogues;
    private final Editing editing;
    private final LinesByMail mail;
    private final SharingSettings settings;

    SharingController(
            SharingPages pages,
            CatalogueService catalogues,
            Editing editing,
            LinesByMail mail,
            SharingSettings settings) {
        this.pages = pages;
        this.catalogues = catalogues;
        this.editing = editing;
        this.mail = mail;
        this.settings = settings;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    @Partial("sharing")
    String page(
            @ModelAttribute Asked asked,
            @RequestParam(required = false) @Nullable String said,
            HttpServletResponse response,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = said == null
                ? List.of()
                : f.words().find("sharing.said." + said).stream()
                        .map(words -> said.startsWith("no-") ? Note.bad(words) : Note.done(words))
                        .toList();
        Framing.show(response, Embed.origin(settings.neighbour()));
        model.addAttribute("page", pages.page(asked, catalogues.catalogue(), notes, f));
        return "sharing/sharing";
    }

    @Needs(Right.SET_UP)
    @GetMapping("/code.svg")
    ResponseEntity<String> drawing(@ModelAttribute Asked asked, Model model) {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attached("code.svg"))
                .body(pages.code(shown(asked, Formats.of(model))).svg());
    }

    @Needs(Right.SET_UP)
    @GetMapping("/code.png")
    ResponseEntity<byte[]> picture(@ModelAttribute Asked asked, Model model) {
        return file("code.png", MediaType.IMAGE_PNG, CodePicture.png(pages.code(shown(asked, Formats.of(model)))));
    }

    @Needs(Right.SET_UP)
    @GetMapping("/card.pdf")
    ResponseEntity<byte[]> card(@ModelAttribute Asked asked, Model model) {
        Formats f = Formats.of(model);
        return file(
                "card.pdf",
                MediaType.APPLICATION_PDF,
                pages.card(shown(asked, f), catalogues.catalogue(), f).pdf());
    }

    private Shown shown(Asked asked, Formats f) {
        return Shown.of(asked, catalogues.catalogue(), f);
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, byte[] content) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, attached(name))
                .body(content);
    }

    private static String attached(String name) {
        return ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString();
    }

    /** Sends the lines to whoever makes the website. */
    @Needs(Right.SET_UP)
    @PostMapping("/send")
    String send(Host host, @ModelAttribute Asked asked, @RequestParam(defaultValue = "") String to, Model model) {
        Formats f = Formats.of(model);
        Shown shown = shown(asked, f);
        Lines lines = pages.lines(asked, shown, f);
        boolean sent = mail.send(host, to, shown.title(), asked.isLink() ? lines.link() : lines.panel(), f.locale());
        return back(asked, sent ? "sent" : "no-mail");
    }

    /** Keeps a look under a name, in place of the one that has it. */
    @Needs(Right.SET_UP)
    @PostMapping("/looks")
    String keep(Host host, @ModelAttribute Asked asked, @RequestParam(defaultValue = "") String name) {
        String called = Written.line(name, Sharing.MOST_NAME);
        if (called.isEmpty()) {
            return back(asked, "no-name");
        }
        Catalogue catalogue = catalogues.catalogue();
        List<Sharing.PanelLook> looks =
                new ArrayList<>(catalogue.extras().sharing().looks());
        int at = looks.stream().map(Sharing.PanelLook::name).toList().indexOf(called);
        if (at < 0 && looks.size() >= Sharing.MOST_LOOKS) {
            return back(asked, "no-more");
        }
        ObjectNode look = written(SharingPages.look(called, asked, catalogue));
        edit(host, house -> {
            ArrayNode all = looks(house);
            if (at < 0) {
                all.add(look);
            } else {
                all.set(at, look);
            }
        });
        return back(asked.inLook(called), "look-kept");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/looks/remove")
    String remove(Host host, @ModelAttribute Asked asked, @RequestParam(defaultValue = "") String name) {
        edit(host, house -> {
            ArrayNode all = looks(house);
            for (int i = all.size() - 1; i >= 0; i--) {
                if (all.get(i).path("name").stringValue("").equals(name)) {
                    all.remove(i);
                }
            }
            if (all.isEmpty()) {
                ((ObjectNode) house.path("extra")).remove("looks");
            }
        });
        return back(asked.look().equals(name) ? asked.inLook("") : asked, "look-gone");
    }

    /** Says on which sites the house may stand. */
    @Needs(Right.SET_UP)
    @PostMapping("/sites")
    String sites(Host host, @ModelAttribute Asked asked, @RequestParam(defaultValue = "") String sites, Model model) {
        Optional<JsonNode> read = new SitesSort().read(sites, Formats.of(model));
        if (read.isEmpty()) {
            return back(asked, "no-site");
        }
        edit(host, house -> {
            ObjectNode extra = extra(house);
            if (read.get().isEmpty()) {
                extra.remove("sites");
            } else {
                extra.set("sites", read.get());
            }
        });
        return back(asked, "sites");
    }

    private void edit(Host host, Consumer<ObjectNode> edit) {
        editing.atOnce(host, Map.of(DocumentRef.HOUSE, edit));
    }

    private static ObjectNode extra(ObjectNode house) {
        return house.path("extra") instanceof ObjectNode extra ? extra : house.putObject("extra");
    }

    private static ArrayNode looks(ObjectNode house) {
        ObjectNode extra = extra(house);
        return extra.path("looks") instanceof ArrayNode looks ? looks : extra.putArray("looks");
    }

    private static ObjectNode written(Sharing.PanelLook look) {
        ObjectNode written = JsonNodeFactory.instance.objectNode().put("name", look.name());
        written.put("accent", look.accent());
        written.put("font", look.font());
        written.put("ground", look.ground());
        written.put("corners", look.corners());
        written.put("lang", look.lang());
        written.put("without", look.without());
        written.properties().stream()
                .filter(p -> p.getValue().stringValue("").isEmpty())
                .map(Map.Entry::getKey)
                .toList()
                .forEach(written::remove);
        return written;
    }

    private static String back(Asked asked, String said) {
        String query = asked.query();
        return "redirect:" + SharingPages.ADDRESS + query + (query.isEmpty() ? "?" : "&") + "said=" + said;
    }
}
