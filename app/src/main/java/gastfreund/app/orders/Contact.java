package gastfreund.app.orders;

import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** How a guest can be reached. */
public record Contact(
        @NotBlank(message = "{checkout.name.missing}") @Size(max = 120, message = "{checkout.name.long}") String name,
        @NotBlank(message = "{checkout.email.wrong}")
                @Email(regexp = "[^@\\s]+@[^@\\s]+\\.[^@\\s.]{2,}", message = "{checkout.email.wrong}")
                @Size(max = 254, message = "{checkout.email.wrong}")
                String email,
        @NotBlank(message = "{checkout.phone.wrong}")
                @Pattern(regexp = "\\s*\\+?[0-9 ()/.-]{6,30}\\s*", message = "{checkout.phone.wrong}")
                String phone) {

    static Contact empty() {
        return new Contact("", "", "");
    }

    /** Without blanks at the ends. */
    Contact trimmed() {
        return new Contact(name.trim(), email.trim(), phone.trim());
    }
}
