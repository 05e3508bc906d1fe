package gastfreund.app.payments;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The ways in which guests can pay, and the house's keys for them. */
@Controller
@RequestMapping("/desk/ways")
class WayDeskController {

    private final Gateways gateways;

    WayDeskController(Gateways gateways) {
        this.gateways = gateways;
    }

    @Needs(Right.WAYS)
    @GetMapping
    String page(Model model) {
        return show(null, model);
    }

    /** @param form what was sent and is wrong; null: nothing was */
    private String show(@Nullable AccountForm form, Model model) {
        List<AccountForm> forms = new ArrayList<>();
        for (GatewayAccount account : gateways.accounts()) {
            boolean sent = form != null && form.account().name().equals(account.name());
            forms.add(sent ? form : new AccountForm(account, Map.of()));
        }
        model.addAttribute("forms", forms);
        model.addAttribute("noWay", gateways.offered().isEmpty());
        return "payments/ways";
    }

    @Needs(Right.WAYS)
    @PostMapping("/{kind}/{mode}")
    String keep(
            @PathVariable String kind,
            @PathVariable String mode,
            @RequestParam(defaultValue = "false") boolean enabled,
            @RequestParam Map<String, String> written,
            Model model) {
        AccountForm form = AccountForm.of(account(kind, mode), enabled, written);
        if (form.errors().isEmpty() && gateways.of(form.account()) instanceof CardGateway gateway) {
            form = tried(form, gateway);
        }
        if (!form.errors().isEmpty()) {
            return show(form, model);
        }
        gateways.keep(form.account());
        return "redirect:/desk/ways?kept=" + form.account().name() + "#"
                + form.account().name();
    }

    /** Keys are tried before they are kept, so that no guest finds out first. */
    private static AccountForm tried(AccountForm form, CardGateway gateway) {
        try {
            return gateway.knowsUs() ? form : form.with("key", "way.unknown");
        } catch (GatewayException e) {
            return form.with("url", "way.unreachable");
        }
    }

    private GatewayAccount account(String kind, String mode) {
        try {
            return gateways.account(
                    GatewayAccount.Kind.valueOf(kind.toUpperCase(Locale.ROOT)),
                    GatewayAccount.Mode.valueOf(mode.toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException e) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }
}
