package gastfreund.app.vouchers;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Note;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** What is left of a voucher or a pass, and its printed form, for whoever has its code. */
@Controller
class CodeController {

    /**
     * What the page shows.
     *
     * @param left what is left of it, in words
     * @param print the address of its printed form
     */
    public record CodePage(
            String title, String code, String left, String until, List<Note> notes, boolean usable, String print) {}

    private final PrepaidService prepaid;
    private final CatalogueService catalogues;
    private final Speech speech;
    private final Address address;

    CodeController(PrepaidService prepaid, CatalogueService catalogues, Speech speech, Address address) {
        this.prepaid = prepaid;
        this.catalogues = catalogues;
        this.speech = speech;
        this.address = address;
    }

    @GetMapping("/codes/{code}")
    String page(@PathVariable String code, Model model) {
        Prepaid found = find(code);
        model.addAttribute("page", page(found, Formats.of(model)));
        return "vouchers/code";
    }

    private CodePage page(Prepaid found, Formats f) {
        boolean usable = found.isUsable(prepaid.today());
        String left = found.isVoucher()
                ? f.text("prepaid.left", f.money(found.money()), f.money(found.worthMoney()))
                : f.text("prepaid.visitsLeft", found.rest(), found.worth());
        Note over = Note.warn(f.text(found.rest() == 0 ? "prepaid.usedUp" : "prepaid.over"));
        return new CodePage(
                found.title(),
                found.code(),
                left,
                f.text("prepaid.until", f.fullDate(found.lastDay())),
                usable ? List.of() : List.of(over),
                usable,
                "/codes/" + found.code() + "/print.pdf");
    }

    @GetMapping("/codes/{code}/print.pdf")
    ResponseEntity<byte[]> print(@PathVariable String code, Locale locale) {
        Prepaid found = find(code);
        String name = found.kind().code() + "-" + found.code() + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .contentType(MediaType.APPLICATION_PDF)
                .body(new PrepaidPdf(
                                found,
                                catalogues.catalogue().house().name(),
                                address.of("/codes/" + found.code()),
                                speech.in(locale, catalogues.catalogue()))
                        .drawn());
    }

    private Prepaid find(String code) {
        return prepaid.byCode(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
