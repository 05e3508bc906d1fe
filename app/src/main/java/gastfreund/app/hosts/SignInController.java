package gastfreund.app.hosts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Words;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.Errors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, and the page that makes the first sign-in. */
@Controller
class SignInController {

    /** What the page of signing in shows. */
    public record SignInPage(List<Note> notes, List<Field> fields) {}

    /**
     * What the first page shows.
     *
     * @param house about the house; empty where there is one already
     * @param host about the first host
     */
    public record WelcomePage(List<Note> notes, List<Field> house, List<Field> host) {}

    private final HostService hosts;
    private final Passwords passwords;
    private final FirstWord first;
    private final CatalogueService catalogues;
    private final MessageSource messages;

    SignInController(
            HostService hosts,
            Passwords passwords,
            FirstWord first,
            CatalogueService catalogues,
            MessageSource messages) {
        this.catalogues = catalogues;
        this.messages = messages;
        this.hosts = hosts;
        this.passwords = passwords;
        this.first = first;
    }

    @BeforeSignIn
    @GetMapping("/desk/sign-in")
    String signIn(@RequestParam Map<String, String> said, Locale locale, Model model) {
        if (hosts.nobodyYet()) {
            return "redirect:/desk/welcome";
        }
        Words words = words(locale);
        Field email = Field.email("email", words.text("checkout.email"))
                .with("autocomplete", "username")
                .with("autofocus", "autofocus")
                .required();
        Field password = Field.password("password", words.text("signIn.password"), Passwords.MOST)
                .with("autocomplete", "current-password")
                .required();
        Field code = Field.line("code", words.text("signIn.code"), 20)
                .aside(words.text("signIn.codeAside"))
                .with("autocomplete", "one-time-code")
                .with("inputmode", "text");
        model.addAttribute("page", new SignInPage(notes(said.keySet(), words), List.of(email, password, code)));
        return "hosts/sign-in";
    }

    @BeforeSignIn
    @GetMapping("/desk/welcome")
    String welcome(Locale locale, Model model) {
        if (!hosts.nobodyYet()) {
            return "redirect:/desk";
        }
        return show(WelcomeForm.empty(locale), null, words(locale), model);
    }

    @BeforeSignIn
    @PostMapping("/desk/welcome")
    String makeFirst(
            @Valid @ModelAttribute("form") WelcomeForm form, BindingResult errors, Locale locale, Model model) {
        if (!hosts.nobodyYet()) {
            return "redirect:/desk";
        }
        String problem = passwords.problem(form.password(), form.name(), form.email(), form.houseName());
        if (!problem.isEmpty() && !errors.hasFieldErrors("password")) {
            errors.rejectValue("password", problem);
        }
        if (!first.is(form.word())) {
            errors.rejectValue("word", "welcome.word.wrong");
        }
        if (errors.hasErrors()) {
            return show(form, errors, words(locale), model);
        }
        hosts.makeFirst(form, locale);
        return "redirect:/desk/sign-in";
    }

    private static List<Note> notes(Set<String> said, Words words) {
        List<Note> notes = new ArrayList<>();
        if (said.contains("wrong")) {
            notes.add(Note.bad(words.text("signIn.wrong")));
        }
        if (said.contains("ended")) {
            notes.add(Note.done(words.text("signIn.ended")));
        }
        if (said.contains("invited")) {
            notes.add(Note.done(words.text("signIn.invited")));
        }
        if (said.contains("signed-out")) {
            notes.add(Note.done(words.text("signIn.out")));
        }
        return List.copyOf(notes);
    }

    private Words words(Locale locale) {
        return new Words(messages, Languages.spoken(locale));
    }

    /** @param errors null: nothing was sent */
    private String show(WelcomeForm form, @Nullable Errors errors, Words words, Model model) {
        List<Note> notes = errors == null ? List.of() : List.of(Note.bad(words.text("checkout.wrong")));
        boolean houseToo = catalogues.find().isEmpty();
        model.addAttribute(
                "page",
                new WelcomePage(
                        notes,
                        houseToo ? WelcomeFields.house(form, errors, words) : List.of(),
                        WelcomeFields.host(form, errors, words)));
        return "hosts/welcome";
    }
}
