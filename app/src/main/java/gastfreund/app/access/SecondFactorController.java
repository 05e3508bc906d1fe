package gastfreund.app.access;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Code;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.secondfactor.SecondFactors;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A host's own second factor. */
@Controller
@RequestMapping("/desk/account/second-factor")
class SecondFactorController {

    private final SecondFactors factors;
    private final CatalogueService catalogues;

    SecondFactorController(SecondFactors factors, CatalogueService catalogues) {
        this.factors = factors;
        this.catalogues = catalogues;
    }

    /**
     * What the page shows.
     *
     * @param left how many spare codes are left, in words; empty where it is off
     * @param secret what the app is told; empty where it is on
     * @param picture the same as a picture's address
     * @param fresh the spare codes, the one time that they are shown
     */
    public record SecondFactorPage(
            List<Note> notes,
            boolean on,
            String left,
            String secret,
            String picture,
            List<Field> fields,
            List<String> fresh) {}

    @Needs(Right.OWN_ACCOUNT)
    @GetMapping
    String page(Host host, @RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        return show(host, Note.said(said, f.words()).stream().toList(), factors.fresh(), "", List.of(), model);
    }

    private String show(Host host, List<Note> notes, String secret, String wrong, List<String> fresh, Model model) {
        Formats f = Formats.of(model);
        boolean on = factors.isOn(host.id());
        String house = catalogues.catalogue().house().name();
        String picture =
                Code.of(SecondFactors.address(secret, house, host.email())).svg();
        Field code = Field.line("code", f.text("factor.code"), 20)
                .with("autocomplete", "one-time-code")
                .wrong(wrong);
        model.addAttribute(
                "page",
                new SecondFactorPage(
                        notes,
                        on,
                        on ? f.text("factor.left", factors.spare(host.id())) : "",
                        on ? "" : secret,
                        on
                                ? ""
                                : "data:image/svg+xml;base64,"
                                        + Base64.getEncoder().encodeToString(picture.getBytes(StandardCharsets.UTF_8)),
                        on ? List.of(code) : List.of(Field.hidden("secret", secret), code),
                        fresh));
        return "access/second-factor";
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/on")
    String turnOn(
            Host host,
            @RequestParam(defaultValue = "") String secret,
            @RequestParam(defaultValue = "") String code,
            Model model) {
        Formats f = Formats.of(model);
        if (factors.isOn(host.id())) {
            return "redirect:/desk/account/second-factor";
        }
        Optional<List<String>> spare = factors.turnOn(host.id(), secret, code);
        if (spare.isEmpty()) {
            String again = SecondFactors.isSecret(secret) ? secret : factors.fresh();
            return show(host, List.of(), again, f.text("factor.wrong"), List.of(), model);
        }
        return show(host, List.of(Note.done(f.text("factor.isOn"))), "", "", spare.get(), model);
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/off")
    String turnOff(Host host, @RequestParam(defaultValue = "") String code, Model model) {
        Formats f = Formats.of(model);
        if (!factors.isRight(host.id(), code)) {
            return show(host, List.of(), "", f.text("factor.wrong"), List.of(), model);
        }
        factors.turnOff(host.id());
        return "redirect:/desk/account/second-factor?said=factor-off";
    }
}
