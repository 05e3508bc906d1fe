package gastfreund.app.payments;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Words;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
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
    private final MessageSource messages;

    WayDeskController(Gateways gateways, MessageSource messages) {
        this.messages = messages;
        this.gateways = gateways;
    }

    /** What the page shows. */
    public record WaysPage(List<Note> notes, List<Way> ways) {}

    /**
     * A way to pay.
     *
     * @param id of its part of the page
     * @param state whether guests can choose it, in words
     * @param notes what is wrong with it
     * @param open whether its fields are seen at once
     */
    public record Way(
            String id,
            String title,
            boolean on,
            String state,
            List<Note> notes,
            boolean open,
            String action,
            List<Field> fields) {}

    @Needs(Right.WAYS)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String kept, Locale locale, Model model) {
        Words words = words(locale);
        return show(null, kept == null ? List.of() : List.of(Note.done(words.text("way.kept"))), words, model);
    }

    private Words words(Locale locale) {
        return new Words(messages, Languages.spoken(locale));
    }

    /** @param form what was sent and is wrong; null: nothing was */
    private String show(@Nullable AccountForm form, List<Note> said, Words words, Model model) {
        List<Way> ways = new ArrayList<>();
        for (GatewayAccount account : gateways.accounts()) {
            AccountForm shown = form != null && form.account().name().equals(account.name())
                    ? form
                    : new AccountForm(account, Map.of());
            ways.add(way(shown, words));
        }
        List<Note> notes = new ArrayList<>(said);
        if (gateways.offered().isEmpty()) {
            notes.add(Note.bad(words.text("way.none")));
        }
        model.addAttribute("page", new WaysPage(List.copyOf(notes), ways));
        return "payments/ways";
    }

    private static Way way(AccountForm form, Words words) {
        GatewayAccount account = form.account();
        String kind = account.kind().code();
        String mode = account.mode().code();
        List<Field> fields = new ArrayList<>();
        for (String key : account.kind().keys()) {
            fields.add(field(form, key, words));
        }
        fields.add(Field.tick("enabled", words.text("way.switch." + mode), account.enabled())
                .id(account.name() + "-on"));
        return new Way(
                account.name(),
                words.text("way." + kind) + " · " + words.text("way.mode." + mode),
                account.enabled(),
                words.text("way." + (account.enabled() ? "on" : "off") + "." + mode),
                account.readable() ? List.of() : List.of(Note.bad(words.text("way.unreadable"))),
                account.enabled() || !account.readable() || !form.errors().isEmpty(),
                "/desk/ways/" + kind + "/" + mode,
                List.copyOf(fields));
    }

    private static Field field(AccountForm form, String key, Words words) {
        GatewayAccount account = form.account();
        Field field = Field.line(key, words.text("way.key." + key), AccountForm.MOST)
                .id(account.name() + "-" + key)
                .with("autocomplete", "off")
                .help(words.text("way.help." + key));
        String error = form.errors().get(key);
        Field judged = error == null ? field : field.wrong(words.text(error));
        if (!form.secret(key)) {
            return (key.equals("days") ? judged.with("inputmode", "numeric") : judged).value(account.key(key));
        }
        Field secret = judged.with("type", "password");
        return account.key(key).isEmpty() ? secret : secret.with("placeholder", words.text("way.there"));
    }

    @Needs(Right.WAYS)
    @PostMapping("/{kind}/{mode}")
    String keep(
            @PathVariable String kind,
            @PathVariable String mode,
            @RequestParam(defaultValue = "false") boolean enabled,
            @RequestParam Map<String, String> written,
            Locale locale,
            Model model) {
        AccountForm form = AccountForm.of(account(kind, mode), enabled, written);
        if (form.errors().isEmpty()) {
            form = tried(form, gateways.of(form.account()));
        }
        if (!form.errors().isEmpty()) {
            return show(form, List.of(), words(locale), model);
        }
        gateways.keep(form.account());
        return "redirect:/desk/ways?kept=" + form.account().name() + "#"
                + form.account().name();
    }

    /** Keys are tried before they are kept, so that no guest finds out first. */
    private static AccountForm tried(AccountForm form, Gateway gateway) {
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
