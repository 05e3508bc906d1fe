package gastfreund.app.hosts;

import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import java.util.Currency;

/** What the first page asks for. */
public record WelcomeForm(
        @NotBlank(message = "{welcome.houseName.missing}") @Size(max = 120) String houseName,
        String zone,
        String currency,
        @NotBlank(message = "{welcome.name.missing}") @Size(max = 120) String name,
        @NotBlank(message = "{welcome.email.wrong}") @Email(message = "{welcome.email.wrong}") @Size(max = 254)
                String email,
        @NotBlank(message = "{welcome.password.short}") @Size(min = 12, max = 72, message = "{welcome.password.short}")
                String password) {

    static WelcomeForm empty() {
        return new WelcomeForm("", "Europe/Berlin", "EUR", "", "", "");
    }

    @AssertTrue(message = "{welcome.zone.unknown}")
    public boolean isZoneKnown() {
        return zone != null && ZoneId.getAvailableZoneIds().contains(zone);
    }

    @AssertTrue(message = "{welcome.currency.unknown}")
    public boolean isCurrencyKnown() {
        return Currency.getAvailableCurrencies().stream().anyMatch(c -> c.getCurrencyCode().equals(currency));
    }
}
