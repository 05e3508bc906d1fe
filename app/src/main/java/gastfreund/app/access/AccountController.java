package gastfreund.app.access;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.HostSession;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Passwords;
import gastfreund.app.hosts.Presence;
import gastfreund.app.hosts.Right;
import gastfreund.app.hosts.SignIn;
import gastfreund.app.hosts.SignInJournal;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Words;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.secondfactor.SecondFactors;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A host's own password and sessions; and, for the owner, who signed in and who tried. */
@Controller
class AccountController {

    private static final int MOST = 300;

    private final HostService hosts;
    private final Passwords passwords;
    private final SignInJournal journal;
    private final Presence presence;
    private final SecondFactors factors;
    private final MessageSource messages;

    AccountController(
            HostService hosts,
            Passwords passwords,
            SignInJournal journal,
            Presence presence,
            SecondFactors factors,
            MessageSource messages) {
        this.messages = messages;
        this.hosts = hosts;
        this.passwords = passwords;
        this.journal = journal;
        this.presence = presence;
        this.factors = factors;
    }

    /**
     * What the page shows.
     *
     * @param role what the host is here
     * @param seesSignIns whether the host may see who signed in
     */
    public record AccountPage(
            List<Note> notes,
            String name,
            String email,
            String role,
            List<Field> password,
            Field language,
            boolean secondFactor,
            List<SessionRow> sessions,
            boolean seesSignIns) {}

    /** @param id what is sent to end it */
    public record SessionRow(String id, String since, String seen, String from, String agent) {

        static SessionRow of(HostSession session, Formats f) {
            return new SessionRow(
                    session.id(),
                    f.moment(session.since()),
                    f.moment(session.seen()),
                    session.address(),
                    session.agent());
        }
    }

    /** @param address where it came from */
    public record SignInRow(String when, String who, String what, boolean failed, String address) {}

    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/desk/account")
    String account(Host host, @RequestParam(required = false) @Nullable String said, Locale locale, Model model) {
        Words words = words(locale);
        return show(host, Note.said(said, words).stream().toList(), "", "", words, model);
    }

    /** The languages in which hosts can be written to. */
    static List<Field.Option> languages() {
        return Languages.all().stream()
                .map(l -> Field.Option.of(l.getLanguage(), l.getDisplayLanguage(l)))
                .toList();
    }

    private Words words(Locale locale) {
        return new Words(messages, Languages.spoken(locale));
    }

    /**
     * @param old what is wrong with the old password; empty: nothing
     * @param fresh what is wrong with the new one; empty: nothing
     */
    private String show(Host host, List<Note> notes, String old, String fresh, Words words, Model model) {
        Field oldOne = Field.password("old", words.text("account.old"), Passwords.MOST)
                .with("autocomplete", "current-password")
                .wrong(old);
        Field freshOne = Field.password("fresh", words.text("account.fresh"), Passwords.MOST)
                .with("autocomplete", "new-password")
                .help(words.text("account.freshHelp"))
                .wrong(fresh);
        Field language = Field.select("language", words.text("account.languageOf"), languages())
                .value(host.language().getLanguage());
        model.addAttribute(
                "page",
                new AccountPage(
                        notes,
                        host.name(),
                        host.email(),
                        words.text("role." + host.role().code()),
                        List.of(oldOne, freshOne),
                        language,
                        factors.isOn(host.id()),
                        hosts.sessions(host).stream()
                                .map(one -> SessionRow.of(one, Formats.of(model)))
                                .toList(),
                        host.may(Right.SIGN_INS)));
        return "access/account";
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/desk/account/password")
    String changePassword(
            Host host,
            @RequestParam(defaultValue = "") String old,
            @RequestParam(defaultValue = "") String fresh,
            Locale locale,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Words words = words(locale);
        String problem = passwords.problem(fresh, host.email(), host.name());
        if (!problem.isEmpty()) {
            return show(host, List.of(), "", words.text(problem), words, model);
        }
        Optional<Host> changed =
                old.length() > Passwords.MOST ? Optional.empty() : hosts.changePassword(host, old, fresh);
        if (changed.isEmpty()) {
            journal.note(host.email(), SignIn.What.FAILED, request.getRemoteAddr());
            return show(host, List.of(), words.text("password.old.wrong"), "", words, model);
        }
        presence.goOnAs(changed.get(), request, response);
        journal.note(host.email(), SignIn.What.PASSWORD, request.getRemoteAddr());
        return "redirect:/desk/account?said=password";
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/desk/account/language")
    String chooseLanguage(Host host, @RequestParam(defaultValue = "en") String language) {
        hosts.setLanguage(host, Locale.forLanguageTag(language));
        return "redirect:/desk/account?said=language";
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/desk/account/end-others")
    String endOthers(Host host, HttpServletRequest request, HttpServletResponse response) {
        presence.goOnAs(hosts.endSessions(host), request, response);
        journal.note(host.email(), SignIn.What.ENDED, request.getRemoteAddr());
        return "redirect:/desk/account?said=ended";
    }

    @Needs(Right.SIGN_INS)
    @GetMapping("/desk/sign-ins")
    String signIns(Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                hosts.signIns(MOST).stream()
                        .map(one -> new SignInRow(
                                f.moment(one.at()),
                                one.host().isEmpty() ? f.text("signIns.unknown") : one.host(),
                                f.text("signIns." + one.what().code()),
                                one.what() == SignIn.What.FAILED,
                                one.address()))
                        .toList());
        return "access/sign-ins";
    }
}
