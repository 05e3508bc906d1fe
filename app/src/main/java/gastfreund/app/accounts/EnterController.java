package gastfreund.app.accounts;

import gastfreund.app.hosts.Passwords;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.MailAddress;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** How guests get into their account and out of it: by a link in a mail, a password or a passkey. */
@Controller
@RequestMapping("/account")
public class EnterController {

    static final String PATH = "/account/enter";
    private static final String OWN = "/account";
    private static final int MOST_MAIL = 254;

    /** Where somebody goes on who has got in: nowhere but where one is asked to. */
    private static final Pattern LEADS_TO = Pattern.compile("/basket/[\\w-]{1,40}/checkout");

    private final Accounts accounts;
    private final Passkeys passkeys;
    private final Entrance entrance;

    EnterController(Accounts accounts, Passkeys passkeys, Entrance entrance) {
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.entrance = entrance;
    }

    /** The address of the page on which somebody gets in who goes on at a path then. */
    public static String address(String leadsTo) {
        return PATH + "?to=" + leadsTo;
    }

    @ModelAttribute
    void offered() {
        if (!accounts.areOffered()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }

    private static String own(String path) {
        return LEADS_TO.matcher(path).matches() ? path : OWN;
    }

    @GetMapping("/enter")
    String page(
            Optional<Account> account,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String said,
            Model model) {
        if (account.isPresent()) {
            return "redirect:" + own(to);
        }
        Formats f = Formats.of(model);
        List<Note> notes =
                switch (said) {
                    case "sent" -> List.of(Note.done(f.text("enter.sent", f.duration(Accounts.LINK))));
                    case "out" -> List.of(Note.done(f.text("enter.out")));
                    case "deleted" -> List.of(Note.done(f.text("enter.deleted")));
                    case "forgotten" -> List.of(Note.done(f.text("enter.forgotten")));
                    default -> List.of();
                };
        return show(notes, "", Map.of(), false, own(to), model);
    }

    private static String show(
            List<Note> notes, String email, Map<String, String> wrong, boolean open, String to, Model model) {
        Formats f = Formats.of(model);
        Field link = Field.email("email", f.text("enter.email"))
                .id("link-email")
                .with("autocomplete", "email")
                .required()
                .value(email)
                .wrong(open ? "" : wrong.getOrDefault("email", ""));
        List<Field> password = List.of(
                Field.email("email", f.text("enter.email"))
                        .with("autocomplete", "username")
                        .required()
                        .value(email)
                        .wrong(open ? wrong.getOrDefault("email", "") : ""),
                Field.password("password", f.text("enter.password"), Passwords.MOST)
                        .with("autocomplete", "current-password")
                        .required()
                        .wrong(wrong.getOrDefault("password", "")));
        String why = to.equals(OWN) ? f.text("enter.help") : f.text("enter.toBook");
        model.addAttribute("page", new EnterPage(notes, why, link, password, open, to));
        return "accounts/enter";
    }

    private static boolean isMail(String typed) {
        return typed.length() <= MOST_MAIL && MailAddress.isOne(typed);
    }

    @PostMapping("/link")
    String link(
            @RequestParam(defaultValue = "") String email,
            @RequestParam(defaultValue = "") String to,
            Locale locale,
            Model model) {
        String typed = email.strip();
        if (!isMail(typed)) {
            Map<String, String> wrong = Map.of("email", Formats.of(model).text("enter.email.wrong"));
            return show(List.of(), typed, wrong, false, own(to), model);
        }
        accounts.sendLink(typed, own(to), Languages.spoken(locale));
        return "redirect:" + PATH + "?said=sent" + (own(to).equals(OWN) ? "" : "&to=" + to);
    }

    /** What a mailed link shows: a button, since programs that look at mails follow links too. */
    public record OpenPage(String email, String token) {}

    @GetMapping("/link/{token}")
    String linked(@PathVariable String token, Model model) {
        Optional<String> email = accounts.linkedTo(token);
        if (email.isEmpty()) {
            Note note = Note.warn(Formats.of(model).text("enter.stale"));
            return show(List.of(note), "", Map.of(), false, OWN, model);
        }
        model.addAttribute("page", new OpenPage(email.get(), token));
        return "accounts/open";
    }

    @PostMapping("/link/{token}")
    String open(@PathVariable String token, HttpServletRequest request, HttpServletResponse response) {
        Optional<Accounts.Visit> visit = accounts.open(token);
        visit.ifPresent(v -> entrance.let(v.token(), request, response));
        return "redirect:" + visit.map(Accounts.Visit::leadsTo).orElse("/account/link/" + token);
    }

    @PostMapping("/enter")
    String enter(
            @RequestParam(defaultValue = "") String email,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") String to,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Formats f = Formats.of(model);
        String typed = email.strip();
        if (!isMail(typed)) {
            return show(List.of(), typed, Map.of("email", f.text("enter.email.wrong")), true, own(to), model);
        }
        Optional<String> visit =
                password.length() > Passwords.MOST ? Optional.empty() : accounts.enter(typed, password);
        if (visit.isEmpty()) {
            Map<String, String> wrong = Map.of("password", f.text("enter.password.wrong"));
            return show(List.of(), typed, wrong, true, own(to), model);
        }
        entrance.let(visit.get(), request, response);
        return "redirect:" + own(to);
    }

    /** What a browser is asked to sign. */
    @PostMapping("/passkey/ask")
    ResponseEntity<String> ask() {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(passkeys.askToEnter());
    }

    /** Lets somebody in by a passkey. */
    @PostMapping("/passkey")
    ResponseEntity<Void> enter(@RequestBody String answer, HttpServletRequest request, HttpServletResponse response) {
        Optional<String> visit = passkeys.enter(answer);
        visit.ifPresent(v -> entrance.let(v, request, response));
        return ResponseEntity.status(visit.isPresent() ? HttpStatus.NO_CONTENT : HttpStatus.FORBIDDEN)
                .build();
    }

    @PostMapping("/leave")
    String leave(HttpServletRequest request, HttpServletResponse response) {
        Entrance.visit(request).ifPresent(accounts::leave);
        entrance.forget(request, response);
        return "redirect:" + PATH + "?said=out";
    }
}
