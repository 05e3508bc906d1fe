package gastfreund.app.hosts;

import gastfreund.app.languages.Words;
import gastfreund.app.pages.Field;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.Errors;

/** The fields of the first page. */
final class WelcomeFields {

    private WelcomeFields() {}

    static List<Field> house(WelcomeForm form, @Nullable Errors errors, Words words) {
        return List.of(
                Field.line("houseName", words.text("welcome.houseName"), 120)
                        .value(form.houseName())
                        .wrong(errors, words),
                Field.select("zone", words.text("welcome.zone"), zones())
                        .value(form.zone())
                        .wrong(errors, "zoneKnown", words),
                Field.select("currency", words.text("welcome.currency"), currencies())
                        .value(form.currency())
                        .wrong(errors, "currencyKnown", words));
    }

    static List<Field> host(WelcomeForm form, @Nullable Errors errors, Words words) {
        return List.of(
                Field.line("name", words.text("welcome.name"), 120)
                        .with("autocomplete", "name")
                        .value(form.name())
                        .wrong(errors, words),
                Field.email("email", words.text("checkout.email"))
                        .with("autocomplete", "username")
                        .value(form.email())
                        .wrong(errors, words),
                Field.password("password", words.text("signIn.password"), Passwords.MOST)
                        .with("autocomplete", "new-password")
                        .help(words.text("welcome.passwordHelp"))
                        .wrong(errors, words),
                Field.line("word", words.text("welcome.word"), 60)
                        .with("autocomplete", "off")
                        .with("autocapitalize", "none")
                        .help(words.text("welcome.wordHelp"))
                        .value(form.word())
                        .wrong(errors, words));
    }

    private static List<Field.Option> zones() {
        return ZoneId.getAvailableZoneIds().stream()
                .filter(z -> z.contains("/") && !z.startsWith("Etc/") && !z.startsWith("SystemV/"))
                .sorted()
                .map(z -> Field.Option.of(z, z.replace('_', ' ')))
                .toList();
    }

    private static List<Field.Option> currencies() {
        return Currency.getAvailableCurrencies().stream()
                .map(Currency::getCurrencyCode)
                .sorted()
                .map(c -> Field.Option.of(c, c))
                .toList();
    }
}
