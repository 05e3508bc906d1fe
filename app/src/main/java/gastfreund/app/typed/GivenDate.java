package gastfreund.app.typed;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A date as addresses and forms say it, {@code 2027-01-31}. */
public final class GivenDate {

    private GivenDate() {}

    /** Empty where nothing is said, or what is said is no date. */
    public static Optional<LocalDate> of(@Nullable String text) {
        try {
            return text == null || text.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(text));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
