package gastfreund.app.adviser;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Table;
import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A month for the tax adviser: on a page, as CSV, and to be printed. */
@Controller
class AdviserController {

    private static final String OWN = "/desk/figures/month";

    /** How many months can be chosen. */
    private static final int MONTHS = 36;

    private final Adviser adviser;
    private final CatalogueService catalogues;

    AdviserController(Adviser adviser, CatalogueService catalogues) {
        this.adviser = adviser;
        this.catalogues = catalogues;
    }

    /** What an address says; this month where it says nothing that is one. */
    private YearMonth month(@Nullable String said) {
        try {
            YearMonth month = said == null ? adviser.thisMonth() : YearMonth.parse(said);
            return month.getYear() < 1970 || month.isAfter(adviser.thisMonth()) ? adviser.thisMonth() : month;
        } catch (DateTimeParseException e) {
            return adviser.thisMonth();
        }
    }

    private static String name(YearMonth month, Formats f) {
        return f.month(month.atDay(1));
    }

    /** What the page shows. */
    public record MonthPage(String name, Field months, List<Sheets.Part> parts, String csv, String pdf) {}

    @Needs(Right.SEE_ALL)
    @GetMapping(OWN)
    String page(@RequestParam(required = false) @Nullable String month, Model model) {
        Formats f = Formats.of(model);
        YearMonth chosen = month(month);
        Field months = Field.select(
                        "month",
                        f.text("adviser.month"),
                        IntStream.range(0, MONTHS)
                                .mapToObj(i -> adviser.thisMonth().minusMonths(i))
                                .map(m -> Field.Option.of(m.toString(), name(m, f)))
                                .toList())
                .value(chosen.toString());
        model.addAttribute(
                "page",
                new MonthPage(
                        name(chosen, f),
                        months,
                        new Sheets(adviser.of(chosen), f).parts(),
                        OWN + ".csv?month=" + chosen,
                        OWN + ".pdf?month=" + chosen));
        return "adviser/month";
    }

    @Needs(Right.SEE_ALL)
    @GetMapping(OWN + ".csv")
    ResponseEntity<String> csv(@RequestParam(required = false) @Nullable String month, Model model) {
        YearMonth chosen = month(month);
        return Table.file(
                "month-" + chosen + ".csv", Sheets.COLUMNS, new Sheets(adviser.of(chosen), Formats.of(model)).rows());
    }

    @Needs(Right.SEE_ALL)
    @GetMapping(OWN + ".pdf")
    ResponseEntity<byte[]> pdf(@RequestParam(required = false) @Nullable String month, Model model) {
        Formats f = Formats.of(model);
        YearMonth chosen = month(month);
        Catalogue catalogue = catalogues.catalogue();
        String house =
                catalogue.house().name() + "\n" + catalogue.extras().legal().inLines();
        byte[] pdf = AdviserPdf.of(
                f.text("adviser.of", name(chosen, f)),
                house.strip(),
                new Sheets(adviser.of(chosen), f).parts(),
                f.locale().toLanguageTag());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("month-" + chosen + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
