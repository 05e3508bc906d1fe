package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.validation.Validation;
import jakarta.validation.Validator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What counts as a way to reach a guest. */
class ContactTest {

    private static final Validator VALIDATOR =
            Validation.buildDefaultValidatorFactory().getValidator();

    private static List<String> wrong(String name, String email) {
        return VALIDATOR.validate(Contact.of(name, email, "030 5550 100")).stream()
                .map(v -> v.getPropertyPath().toString())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "lene@post.example",
                " lene.d+clay@mail.post.example ",
                "o'neil_2@xn--pst-sna.example",
                "anka@t\u00f6pferei.example",
                "x@a-b.co"
            })
    void theseAreMailAddresses(String email) {
        assertThat(wrong("Lene", email)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "lene",
                "lene@post",
                "lene@@post.example",
                "lene@post..example",
                "a,b@post.example",
                "Lene <lene@post.example>",
                "lene@post.example, x@post.example",
                "a..b@post.example",
                ".a@post.example",
                "lene@post.example\nBcc: x@post.example",
                "l ene@post.example",
                "lene@post.e"
            })
    void theseAreNone(String email) {
        assertThat(wrong("Lene", email)).isNotEmpty().containsOnly("email");
    }

    @Test
    void aVeryLongOneIsRefusedWithoutMuchWork() {
        assertThat(wrong("Lene", "a@" + "a.".repeat(30_000) + "example")).contains("email");
        assertThat(wrong("Lene", "a.".repeat(30_000) + "@post.example")).contains("email");
    }

    @Test
    void whatIsOneLineStaysOneAndADomainIsWrittenForMailServers() {
        Contact contact = Contact.of(" Lene\r\nBcc: x@post.example ", " Lene@T\u00f6pferei.example ", "030")
                .trimmed();
        assertThat(contact.name()).isEqualTo("Lene Bcc: x@post.example");
        assertThat(contact.email()).isEqualTo("Lene@xn--tpferei-90a.example");
    }
}
