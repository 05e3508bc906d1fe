package gastfreund.app.accounts;

import gastfreund.app.hosts.Passwords;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The ways into one's own account: its password, its passkeys, and where it is open. */
@Controller
@RequestMapping("/account/ways")
public class WaysInController {

    private static final String PATH = "/account/ways";
    private static final int MOST_LABEL = 60;

    /**
     * What the page shows.
     *
     * @param password whether there is one
     * @param more whether another passkey can be made
     * @param elsewhere in how many other browsers the account is open
     */
    public record WaysPage(
            List<Note> notes,
            String email,
            Field fresh,
            boolean password,
            List<Key> keys,
            Field label,
            boolean more,
            int elsewhere) {

        /** A passkey. */
        public record Key(String id, String label, String used) {}
    }

    private final Accounts accounts;
    private final Passkeys passkeys;
    private final Passwords passwords;

    WaysInController(Accounts accounts, Passkeys passkeys, Passwords passwords) {
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.passwords = passwords;
    }

    @GetMapping
    String page(Account account, @RequestParam(defaultValue = "") String said, Model model) {
        return show(account, Note.said(said, Formats.of(model).words()).stream().toList(), "", model);
    }

    private String show(Account account, List<Note> notes, String wrong, Model model) {
        Formats f = Formats.of(model);
        List<WaysPage.Key> keys = passkeys.of(account).stream()
                .map(k -> new WaysPage.Key(k.id(), k.label(), f.moment(k.used())))
                .toList();
        model.addAttribute(
                "page",
                new WaysPage(
                        notes,
                        account.email(),
                        Field.password("fresh", f.text("ways.fresh"), Passwords.MOST)
                                .with("autocomplete", "new-password")
                                .help(f.text("ways.freshHelp"))
                                .wrong(wrong),
                        account.hasPassword(),
                        keys,
                        Field.line("label", f.text("ways.label"), MOST_LABEL).help(f.text("ways.labelHelp")),
                        keys.size() < Passkeys.MOST,
                        accounts.countVisits(account) - 1));
        return "accounts/ways";
    }

    private static String visit(HttpServletRequest request) {
        return Entrance.visit(request).orElseThrow(NotInException::new);
    }

    @PostMapping("/password")
    String password(
            Account account,
            @RequestParam(defaultValue = "") String fresh,
            HttpServletRequest request,
            Locale locale,
            Model model) {
        String problem = passwords.problem(fresh, account.email());
        if (!problem.isEmpty()) {
            return show(account, List.of(), Formats.of(model).text(problem), model);
        }
        accounts.setPassword(account, fresh, visit(request), Languages.spoken(locale));
        return "redirect:" + PATH + "?said=password-set";
    }

    @PostMapping("/password/remove")
    String noPassword(Account account, HttpServletRequest request, Locale locale) {
        accounts.setPassword(account, "", visit(request), Languages.spoken(locale));
        return "redirect:" + PATH + "?said=password-gone";
    }

    @PostMapping("/others")
    String endOthers(Account account, HttpServletRequest request) {
        accounts.endOthers(account, visit(request));
        return "redirect:" + PATH + "?said=others-ended";
    }

    /** What the browser is asked to make a passkey from. */
    @PostMapping("/passkeys/ask")
    ResponseEntity<String> ask(Account account) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(passkeys.askToMake(account));
    }

    @PostMapping("/passkeys")
    ResponseEntity<Void> make(
            Account account, @RequestBody String answer, @RequestParam(defaultValue = "") String label, Locale locale) {
        boolean made = passkeys.make(account, answer, Written.line(label, MOST_LABEL), Languages.spoken(locale));
        return ResponseEntity.status(made ? HttpStatus.NO_CONTENT : HttpStatus.BAD_REQUEST)
                .build();
    }

    @PostMapping("/passkeys/{id}/remove")
    String remove(Account account, @PathVariable String id, Locale locale) {
        passkeys.remove(account, id, Languages.spoken(locale));
        return "redirect:" + PATH + "?said=passkey-gone";
    }
}
