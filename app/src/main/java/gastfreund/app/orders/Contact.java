package gastfreund.app.orders;

import gastfreund.app.typed.MailAddress;
import gastfreund.app.typed.Named;
import gastfreund.app.typed.Written;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.net.IDN;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How a guest can be reached, and what they say of themselves.
 *
 * @param company empty where there is none, or the house does not ask
 * @param address in lines, for the receipt; empty where the house does not ask
 * @param notes what the guest wants the house to know
 * @param texts whether they want text messages about their bookings; null: they do not
 */
public record Contact(
        @NotBlank(message = "{checkout.name.missing}") @Size(max = 120, message = "{checkout.name.long}") @Named
                String name,
        @NotBlank(message = "{checkout.email.wrong}")
                @Pattern(regexp = MailAddress.REGEX, message = "{checkout.email.wrong}")
                @Size(max = 254, message = "{checkout.email.wrong}")
                String email,
        @NotBlank(message = "{checkout.phone.wrong}")
                @Pattern(regexp = "\\s*+\\+?+[0-9 ()/.-]{6,30}+\\s*+", message = "{checkout.phone.wrong}")
                @Size(max = 60, message = "{checkout.phone.wrong}")
                String phone,
        @Size(max = 160, message = "{checkout.company.long}") @Named String company,
        @Size(max = 400, message = "{checkout.address.long}") String address,
        @Size(max = 2000, message = "{checkout.notes.long}") String notes,
        @Nullable Boolean texts) {

    /** Fields that a form did not have are empty. */
    public Contact {
        name = name == null ? "" : name;
        email = email == null ? "" : email;
        phone = phone == null ? "" : phone;
        company = company == null ? "" : company;
        address = address == null ? "" : address;
        notes = notes == null ? "" : notes;
    }

    public boolean wantsTexts() {
        return texts != null && texts;
    }

    /** A contact that says no more than how to reach them. */
    public static Contact of(String name, String email, String phone) {
        return new Contact(name, email, phone, "", "", "", false);
    }

    public static Contact empty() {
        return of("", "", "");
    }

    /** The same, reached at another mail address. */
    public Contact at(String another) {
        return new Contact(name, another, phone, company, address, notes, texts);
    }

    /** What of it is asked for again at another order: not what was said for one, nor a consent. */
    public Contact again() {
        return new Contact(name, email, phone, company, address, "", false);
    }

    /** As it stands on a receipt: name, company and address, as far as there are any. */
    public String inLines() {
        return Stream.of(name, company, address).filter(s -> !s.isBlank()).collect(Collectors.joining("\n"));
    }

    /** Without blanks at the ends, on one line where it is one, and with a domain that every mail server understands. */
    public Contact trimmed() {
        return new Contact(
                Written.line(name, 120),
                ascii(email.strip()),
                Written.line(phone, 60),
                Written.line(company, 160),
                Written.text(address, 400),
                Written.text(notes, 2000),
                wantsTexts());
    }

    /** The address for a link that opens a mail program: nothing in it can begin anything else than an address;
     * empty where there is none. */
    public String mailto() {
        int at = email.lastIndexOf('@');
        if (at < 0) {
            return "";
        }
        return "mailto:" + encoded(email.substring(0, at)) + "@" + encoded(email.substring(at + 1));
    }

    /** The telephone for a link that calls it. */
    public String tel() {
        StringBuilder digits = new StringBuilder("tel:");
        phone.chars().filter(c -> c >= '0' && c <= '9' || c == '+').forEach(c -> digits.append((char) c));
        return digits.toString();
    }

    private static String encoded(String part) {
        return URLEncoder.encode(part, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private static String ascii(String email) {
        int at = email.lastIndexOf('@') + 1;
        try {
            return email.substring(0, at) + IDN.toASCII(email.substring(at));
        } catch (IllegalArgumentException e) {
            return email;
        }
    }
}
