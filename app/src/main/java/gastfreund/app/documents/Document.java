package gastfreund.app.documents;

import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/**
 * A receipt or a credit note, as it was issued.
 *
 * @param number without gaps over both kinds
 * @param order the number of the order
 * @param issuer what the law wants to stand on it of whoever issues it, in lines; empty: nothing was said
 * @param guest name, company and address, in lines
 * @param paid what was paid when a receipt was issued; what goes back with a credit note
 */
public record Document(
        long number,
        Kind kind,
        long order,
        Instant issued,
        Locale locale,
        String house,
        String issuer,
        String guest,
        List<Item> items,
        List<Tax> taxes,
        Money total,
        Money paid) {

    /** What a document is. */
    public enum Kind {
        RECEIPT,
        CREDIT_NOTE;

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        static Kind ofCode(String code) {
            return valueOf(code.toUpperCase(Locale.ROOT).replace('-', '_'));
        }
    }

    /**
     * One booking on it.
     *
     * @param rate at which tax is contained, in percent; empty: it was issued before that was kept
     */
    public record Item(String title, String when, Money amount, String rate) {}

    /** The tax contained at one rate. */
    public record Tax(String rate, Money net, Money tax) {}

    public Document {
        items = List.copyOf(items);
        taxes = List.copyOf(taxes);
    }

    /** Whether it can be had as an electronic invoice. */
    public boolean hasInvoice() {
        return Invoice.of(this).isPresent();
    }
}
