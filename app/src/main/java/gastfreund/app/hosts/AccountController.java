package gastfreund.app.hosts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
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
    private final Clock clock;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    AccountController(HostService hosts, Passwords passwords, SignInJournal journal, Clock clock) {
        this.hosts = hosts;
        this.passwords = passwords;
        this.journal = journal;
        this.clock = clock;
    }

    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/desk/account")
    String account(Host host, Model model) {
        model.addAttribute("host", host);
        return "hosts/account";
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/desk/account/password")
    String changePassword(
            Host host,
            @RequestParam(defaultValue = "") String old,
            @RequestParam(defaultValue = "") String fresh,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        String problem = passwords.problem(fresh, host.email(), host.name());
        if (!problem.isEmpty()) {
            model.addAttribute("freshProblem", problem);
            return account(host, model);
        }
        Optional<Host> changed =
                old.length() > Passwords.MOST ? Optional.empty() : hosts.changePassword(host, old, fresh);
        if (changed.isEmpty()) {
            journal.note(host.email(), SignIn.What.FAILED, request.getRemoteAddr());
            model.addAttribute("oldProblem", "password.old.wrong");
            return account(host, model);
        }
        goOnAs(changed.get(), request, response);
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
        goOnAs(hosts.endSessions(host), request, response);
        journal.note(host.email(), SignIn.What.ENDED, request.getRemoteAddr());
        return "redirect:/desk/account?said=ended";
    }

    /** All sessions have ended; this one goes on under another id. */
    private void goOnAs(Host host, HttpServletRequest request, HttpServletResponse response) {
        SignedIn again = new SignedIn(host, clock.instant());
        again.eraseCredentials();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(again, null, again.getAuthorities()));
        SecurityContextHolder.setContext(context);
        request.changeSessionId();
        sessions.saveContext(context, request, response);
    }

    @Needs(Right.SIGN_INS)
    @GetMapping("/desk/sign-ins")
    String signIns(Model model) {
        model.addAttribute("signIns", hosts.signIns(MOST));
        return "hosts/sign-ins";
    }
}
