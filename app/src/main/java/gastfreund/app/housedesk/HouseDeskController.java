package gastfreund.app.housedesk;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** The sheets of the house: who it is and its rules, and what it sells without a time. */
@Controller
@RequestMapping({HouseSubject.ADDRESS, SaleSubject.ADDRESS})
class HouseDeskController {

    private final Sheets sheets;
    private final HouseSubject house;
    private final SaleSubject sale;

    HouseDeskController(Sheets sheets, HouseSubject house, SaleSubject sale) {
        this.sheets = sheets;
        this.house = house;
        this.sale = sale;
    }

    private Subject subject(HttpServletRequest request) {
        return request.getServletPath().startsWith(SaleSubject.ADDRESS) ? sale : house;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    @Partial("sheet")
    String page(
            Host host,
            HttpServletRequest request,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(defaultValue = "") String wrong,
            Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                sheets.page(
                        host,
                        subject(request),
                        tab,
                        Note.said(said, f.words()).stream().toList(),
                        wrong,
                        f));
        return "housedesk/sheet";
    }

    @Needs(Right.SET_UP)
    @PostMapping
    String type(Host host, HttpServletRequest request, @RequestParam MultiValueMap<String, String> form, Model model) {
        return sheets.type(host, subject(request), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/keep")
    String keep(Host host, HttpServletRequest request, @RequestParam MultiValueMap<String, String> form, Model model) {
        return sheets.keep(host, subject(request), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/drop")
    String drop(Host host, HttpServletRequest request, @RequestParam(defaultValue = "") String tab) {
        return sheets.drop(host, subject(request), tab, "/desk/house");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/picture")
    String picture(
            Host host,
            HttpServletRequest request,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(defaultValue = "") String member,
            @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        if (file == null) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        return sheets.picture(host, subject(request), tab, member, file);
    }

    @Needs(Right.SET_UP)
    @PostMapping("/picture/remove")
    String withoutPicture(
            Host host,
            HttpServletRequest request,
            @RequestParam(defaultValue = "") String tab,
            @RequestParam(defaultValue = "") String member)
            throws IOException {
        return sheets.picture(host, subject(request), tab, member, null);
    }
}
