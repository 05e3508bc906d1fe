package gastfreund.app.payments;

import gastfreund.app.pages.Code;
import gastfreund.app.typed.Written;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a banking program reads from a picture, so that a transfer is not typed (EPC069-12, version 002); for euro alone. */
public final class TransferCode {

    private static final Pattern IBAN = Pattern.compile("[A-Z]{2}\\d{2}[A-Z0-9]{11,30}");
    private static final int MOST_NAME = 70;
    private static final int MOST_REFERENCE = 140;
    private static final int MOST_BYTES = 331;

    private TransferCode() {}

    /** The code's text; empty where it cannot be written: in another currency, or without a proper account. */
    public static Optional<String> text(String currency, String holder, String iban, String amount, String reference) {
        String account = iban.replace(" ", "").toUpperCase(Locale.ROOT);
        if (!currency.equals("EUR")
                || holder.isBlank()
                || !IBAN.matcher(account).matches()) {
            return Optional.empty();
        }
        String text = String.join(
                "\n",
                "BCD",
                "002",
                "1",
                "SCT",
                "",
                Written.line(holder, MOST_NAME),
                account,
                "EUR" + amount,
                "",
                "",
                Written.line(reference, MOST_REFERENCE));
        return text.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES ? Optional.empty() : Optional.of(text);
    }

    /** The same as a picture. */
    public static Optional<String> svg(String currency, String holder, String iban, String amount, String reference) {
        return text(currency, holder, iban, amount, reference)
                .map(t -> Code.of(t).svg());
    }
}
