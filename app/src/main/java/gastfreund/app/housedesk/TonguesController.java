package gastfreund.app.housedesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Editing;
import gastfreund.app.extras.Manners;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The house's texts in other languages: how much is written, and each thing's own. */
@Controller
@RequestMapping(TonguesController.ADDRESS)
class TonguesController {

    static final String ADDRESS = "/desk/house/texts";

    private final Sheets sheets;
    private final HouseDocuments documents;
    private final Editing editing;
    private final CatalogueService catalogues;

    TonguesController(Sheets sheets, HouseDocuments documents, Editing editing, CatalogueService catalogues) {
        this.sheets = sheets;
        this.documents = documents;
        this.editing = editing;
        this.catalogues = catalogues;
    }

    static String address(DocumentRef ref) {
        return ADDRESS + "/" + ref.kind().code() + "/" + ref.id();
    }

    /** @param first the language in which texts are written, in the reader's words */
    public record TonguesPage(String first, boolean alone, List<Row> rows) {}

    /** @param written how many of its texts are written, by language, in words */
    public record Row(String name, String address, List<String> written) {}

    /** The languages beside the first. */
    private List<String> others() {
        Manners manners = catalogues.plain().extras().manners();
        return manners.languages().stream()
                .filter(l -> !l.equals(manners.first()))
                .map(Locale::toLanguageTag)
                .toList();
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String list(Host host, Model model) {
        Formats f = Formats.of(model);
        List<String> others = others();
        List<Row> rows = new ArrayList<>();
        for (Document document : documents.all()) {
            Document seen = editing.seen(host, document.ref()).orElse(document);
            int texts = SpokenTexts.of(seen).size();
            if (!seen.isRetired() && texts > 0) {
                rows.add(new Row(
                        seen.name(),
                        address(seen.ref()),
                        others.stream()
                                .map(l -> f.text(
                                        "tongues.written",
                                        SpokenTexts.written(seen, l),
                                        texts,
                                        Locale.forLanguageTag(l).getDisplayLanguage(f.locale())))
                                .toList()));
            }
        }
        String first = catalogues.plain().extras().manners().first().getDisplayLanguage(f.locale());
        model.addAttribute("page", new TonguesPage(first, others.isEmpty(), List.copyOf(rows)));
        return "housedesk/tongues";
    }

    private Subject subject(Host host, String kind, String id) {
        List<String> others = others();
        return Kind.ofCode(kind)
                .filter(k -> SpokenTexts.has(k) && !others.isEmpty())
                .flatMap(k -> editing.seen(host, new DocumentRef(k, id)))
                .map(d -> new TongueSubject(d, others))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Needs(Right.SET_UP)
    @GetMapping("/{kind}/{id}")
    @Partial("sheet")
    String page(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                sheets.page(
                        host,
                        subject(host, kind, id),
                        tab,
                        Note.said(said, f.words()).stream().toList(),
                        "",
                        f));
        return "housedesk/sheet";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}")
    String type(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        return sheets.type(host, subject(host, kind, id), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/keep")
    String keep(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        return sheets.keep(host, subject(host, kind, id), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/drop")
    String drop(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String tab) {
        return sheets.drop(host, subject(host, kind, id), tab, ADDRESS);
    }
}
