package gastfreund.app.access;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.BeforeSignIn;
import gastfreund.app.hosts.Passwords;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Words;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Names;
import gastfreund.app.typed.Written;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page behind the link of an invitation: whoever has it chooses a password. */
@Controller
@RequestMapping("/desk/invitation/{token}")
class InvitationController {

    private static final int MOST_NAME = 120;

    private final Invitations invitations;
    private final Passwords passwords;
    private final CatalogueService catalogues;
    private final MessageSource messages;

    InvitationController(
            Invitations invitations, Passwords passwords, CatalogueService catalogues, MessageSource messages) {
        this.invitations = invitations;
        this.passwords = passwords;
        this.catalogues = catalogues;
        this.messages = messages;
    }

    /**
     * What the page shows.
     *
     * @param good whether the invitation still is
     * @param email whose it is; empty where it is good no more
     */
    public record InvitationPage(
            List<Note> notes, boolean good, String address, String house, String email, List<Field> fields) {}

    @BeforeSignIn
    @GetMapping
    String page(@PathVariable String token, Locale locale, Model model) {
        return show(token, "", "", "", words(locale), model);
    }

    @BeforeSignIn
    @PostMapping
    String accept(
            @PathVariable String token,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            Locale locale,
            Model model) {
        Words words = words(locale);
        Optional<Invitation> invitation = invitations.of(token);
        String called = Written.line(name, MOST_NAME);
        String wrongName = called.isEmpty() || Names.leadsAway(called) ? words.text("welcome.name.missing") : "";
        String problem = passwords.problem(
                password, called, invitation.map(Invitation::email).orElse(""));
        String wrongPassword = problem.isEmpty() ? "" : words.text(problem);
        if (invitation.isEmpty() || !wrongName.isEmpty() || !wrongPassword.isEmpty()) {
            return show(token, called, wrongName, wrongPassword, words, model);
        }
        return invitations.accept(token, called, password)
                ? "redirect:/desk/sign-in?invited"
                : show(token, called, "", "", words, model);
    }

    private String show(String token, String name, String wrongName, String wrongPassword, Words words, Model model) {
        Optional<Invitation> invitation = invitations.of(token);
        List<Field> fields = List.of(
                Field.line("name", words.text("welcome.name"), MOST_NAME)
                        .with("autocomplete", "name")
                        .value(name)
                        .wrong(wrongName),
                Field.password("password", words.text("signIn.password"), Passwords.MOST)
                        .with("autocomplete", "new-password")
                        .help(words.text("welcome.passwordHelp"))
                        .wrong(wrongPassword));
        List<Note> notes = wrongName.isEmpty() && wrongPassword.isEmpty()
                ? List.of()
                : List.of(Note.bad(words.text("checkout.wrong")));
        model.addAttribute(
                "page",
                new InvitationPage(
                        notes,
                        invitation.isPresent(),
                        "/desk/invitation/" + token,
                        catalogues.catalogue().house().name(),
                        invitation.map(Invitation::email).orElse(""),
                        fields));
        return "access/invitation";
    }

    private Words words(Locale locale) {
        return new Words(messages, Languages.spoken(locale));
    }
}
