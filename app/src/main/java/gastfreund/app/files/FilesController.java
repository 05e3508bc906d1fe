package gastfreund.app.files;

import gastfreund.app.backups.Backups;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Keeping;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The house as files, out and in again. */
@Controller
@RequestMapping("/desk/house/files")
public class FilesController {

    private static final Logger LOG = LoggerFactory.getLogger(FilesController.class);
    private static final double MEGABYTE = 1_000_000;

    private final Files files;
    private final WholeHouse house;
    private final OfferTable offers;
    private final CodeTable codes;
    private final HouseDocuments documents;
    private final Backups backups;

    FilesController(
            Files files,
            WholeHouse house,
            OfferTable offers,
            CodeTable codes,
            HouseDocuments documents,
            Backups backups) {
        this.backups = backups;
        this.files = files;
        this.house = house;
        this.offers = offers;
        this.codes = codes;
        this.documents = documents;
    }

    @Needs(Right.FILES)
    @GetMapping
    String page(Host host, @RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        return show(host, Note.said(said, f.words()).stream().toList(), List.of(), model);
    }

    private String show(Host host, List<Note> notes, List<String> reasons, Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new FilesPage(
                        notes,
                        List.of(
                                way("house", "house.json", "application/json", f),
                                way("offers", "offers.csv", "text/csv", f),
                                way("codes", "promo-codes.csv", "text/csv", f)),
                        reasons,
                        files.coming(host, f),
                        backups(f)));
        return "files/files";
    }

    private List<String> backups(Formats f) {
        List<String> words = new ArrayList<>();
        words.add(backups.all().stream()
                .findFirst()
                .map(b -> f.text("files.backupsLast", f.moment(b.at()), b.bytes() / MEGABYTE))
                .orElse(f.text("files.backupsNone")));
        words.add(
                backups.days() == 0
                        ? f.text("files.backupsOff")
                        : f.text("files.backupsWhere", backups.folder().toString(), backups.days()));
        if (!backups.haveKey()) {
            words.add(f.text("files.backupsNoKey"));
        }
        return words;
    }

    /** A backup beside those of the nights. */
    @Needs(Right.FILES)
    @PostMapping("/backup")
    String backup() {
        try {
            backups.take();
            return "redirect:/desk/house/files?said=backup-taken";
        } catch (IllegalStateException | UncheckedIOException e) {
            LOG.warn("a backup could not be taken: {}", e.getMessage());
            return "redirect:/desk/house/files?said=backup-failed";
        }
    }

    private static FilesPage.Way way(String kind, String name, String type, Formats f) {
        return new FilesPage.Way(
                f.text("files." + kind),
                f.text("files.help." + kind),
                "/desk/house/files/" + name,
                "/desk/house/files/" + kind + "/file",
                Field.file("file", f.text("files.file"), type + ",." + name.substring(name.indexOf('.') + 1))
                        .id("file-" + kind));
    }

    @Needs(Right.FILES)
    @GetMapping("/house.json")
    ResponseEntity<String> house() {
        return file("house.json", MediaType.APPLICATION_JSON, house.written());
    }

    @Needs(Right.FILES)
    @GetMapping("/offers.csv")
    ResponseEntity<String> offers() {
        return file("offers.csv", csv(), offers.written());
    }

    @Needs(Right.FILES)
    @GetMapping("/promo-codes.csv")
    ResponseEntity<String> codes() {
        return file("promo-codes.csv", csv(), codes.written(documents.all(Kind.PROMO_CODES)));
    }

    private static MediaType csv() {
        return new MediaType("text", "csv", StandardCharsets.UTF_8);
    }

    private static ResponseEntity<String> file(String name, MediaType type, String text) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(type)
                .body(text);
    }

    @Needs(Right.FILES)
    @PostMapping("/house/file")
    String houseIn(Host host, @RequestParam(required = false) @Nullable MultipartFile file, Model model)
            throws IOException {
        return in(host, file, house::read, model);
    }

    @Needs(Right.FILES)
    @PostMapping("/offers/file")
    String offersIn(Host host, @RequestParam(required = false) @Nullable MultipartFile file, Model model)
            throws IOException {
        return in(host, file, offers::read, model);
    }

    @Needs(Right.FILES)
    @PostMapping("/codes/file")
    String codesIn(Host host, @RequestParam(required = false) @Nullable MultipartFile file, Model model)
            throws IOException {
        return in(host, file, codes::read, model);
    }

    private String in(Host host, @Nullable MultipartFile file, Function<String, Incoming> reading, Model model)
            throws IOException {
        Formats f = Formats.of(model);
        if (file == null || file.isEmpty()) {
            return show(host, List.of(Note.bad(f.text("files.none"))), List.of(), model);
        }
        try {
            Incoming incoming = reading.apply(new String(file.getBytes(), StandardCharsets.UTF_8));
            if (incoming.isEmpty()) {
                return "redirect:/desk/house/files?said=file-same";
            }
            files.wait(host, incoming);
            return "redirect:/desk/house/files";
        } catch (UnfitFileException e) {
            return show(host, List.of(Note.bad(f.text("files.unfit"))), e.reasons(), model);
        }
    }

    /** Lets count what was shown. */
    @Needs(Right.FILES)
    @PostMapping("/keep")
    String keep(Host host, @RequestParam(defaultValue = "") String mark) {
        Optional<Keeping> keeping = files.keep(host, mark);
        if (keeping.isEmpty()) {
            return "redirect:/desk/house/files?said=file-other";
        }
        return keeping.get() instanceof Keeping.Kept
                ? "redirect:/desk/changes?said=kept"
                : "redirect:/desk/house/files?said=does-not-fit";
    }

    @Needs(Right.FILES)
    @PostMapping("/drop")
    String drop(Host host) {
        files.drop(host);
        return "redirect:/desk/house/files?said=dropped";
    }
}
