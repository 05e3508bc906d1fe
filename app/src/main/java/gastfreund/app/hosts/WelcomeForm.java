package gastfreund.app.hosts;

import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Locale;

/** What the first page asks for. */
public record WelcomeForm(
        @NotBlank(message = "{welcome.houseName.missing}") @Size(max = 120) String houseName,
        @NotNull @Size(max = 60) String zone,
        @NotNull @Size(max = 3) String currency,
        @NotBlank(message = "{welcome.name.missing}") @Size(max = 120) String name,
        @NotBlank(message = "{welcome.email.wrong}")
                @Email(message = "{welcome.email.wrong}")
                @Size(max = 254, message = "{welcome.email.wrong}")
                String email,
        @NotNull @Size(max = Passwords.MOST, message = "{password.length}") String password,
        @NotNull @Size(max = 60, message = "{welcome.word.wrong}") String word) {

    /** What is proposed to somebody who is used to a language of a country. */
    static WelcomeForm empty(Locale locale) {
        return new WelcomeForm("", "Europe/Berlin", currency(locale), "", "", "", "");
    }

    private static String currency(Locale locale) {
        try {
            Currency own = locale.getCountry().isEmpty() ? null : Currency.getInstance(locale);
            return own == null ? "EUR" : own.getCurrencyCode();
        } catch (IllegalArgumentException e) {
            // No country that there is.
            return "EUR";
        }
    }

    /** Fields that a form did not have are empty. */
    public WelcomeForm {
        houseName = houseName == null ? "" : houseName;
        zone = zone == null ? "" : zone;
        currency = currency == null ? "" : currency;
        name = name == null ? "" : name;
        email = email == null ? "" : email;
        password = password == null ? "" : password;
        word = word == null ? "" : word;
    }

    @AssertTrue(message = "{welcome.zone.unknown}")
    public boolean isZoneKnown() {
        return ZoneId.getAvailableZoneIds().contains(zone);
    }

    @AssertTrue(message = "{welcome.currency.unknown}")
    public boolean isCurrencyKnown() {
        return Currency.getAvailableCurrencies().stream()
                .anyMatch(c -> c.getCurrencyCode().equals(currency));
    }
}
