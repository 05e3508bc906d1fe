package gastfreund.app.hosts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** Signing in, and the page that makes the first sign-in. */
@Controller
class SignInController {

    private final HostService hosts;
    private final Passwords passwords;
    private final FirstWord first;

    SignInController(HostService hosts, Passwords passwords, FirstWord first) {
        this.hosts = hosts;
        this.passwords = passwords;
        this.first = first;
    }

    @BeforeSignIn
    @GetMapping("/desk/sign-in")
    String signIn(HttpServletRequest request, Model model) {
        if (hosts.nobodyYet()) {
            return "redirect:/desk/welcome";
        }
        model.addAttribute("wrong", request.getParameter("wrong") != null);
        model.addAttribute("ended", request.getParameter("ended") != null);
        model.addAttribute("signedOut", request.getParameter("signed-out") != null);
        return "hosts/sign-in";
    }

    @BeforeSignIn
    @GetMapping("/desk/welcome")
    String welcome(Model model) {
        if (!hosts.nobodyYet()) {
            return "redirect:/desk";
        }
        model.addAttribute("form", WelcomeForm.empty());
        return page(model);
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
            return page(model);
        }
        hosts.makeFirst(form, locale);
        return "redirect:/desk/sign-in";
    }

    private static String page(Model model) {
        List<String> zones = ZoneId.getAvailableZoneIds().stream()
                .filter(z -> z.contains("/") && !z.startsWith("Etc/") && !z.startsWith("SystemV/"))
                .sorted()
                .toList();
        model.addAttribute("zones", zones);
        model.addAttribute(
                "currencies",
                Currency.getAvailableCurrencies().stream()
                        .map(Currency::getCurrencyCode)
                        .sorted()
                        .toList());
        return "hosts/welcome";
    }
}
