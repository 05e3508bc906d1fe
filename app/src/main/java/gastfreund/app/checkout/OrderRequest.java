package gastfreund.app.checkout;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.journal.Actor;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.payments.Elsewhere;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A wish to order a basket.
 *
 * @param answers to the offers' questions
 * @param agreed the house's texts that the guest agreed to
 * @param gateway where they want to pay; null: where the house proposes
 * @param visitor the mark of whoever orders
 * @param seal of the page; it serves once
 * @param known whether they have shown that they read the mail of their address
 * @param shown what they were shown that it costs ({@link gastfreund.app.baskets.Bill#mark}); empty: nothing
 * @param who orders: a guest, or a program for one
 * @param elsewhere what was paid for it elsewhere: what is due with the order, or all of it; null: nothing was
 */
public record OrderRequest(
        Contact contact,
        Locale locale,
        List<GivenAnswer> answers,
        List<CheckoutRules.Text> agreed,
        @Nullable String gateway,
        String visitor,
        String seal,
        boolean known,
        String shown,
        Actor who,
        @Nullable Elsewhere elsewhere) {

    /** What a guest wishes. */
    OrderRequest(
            Contact contact,
            Locale locale,
            List<GivenAnswer> answers,
            List<CheckoutRules.Text> agreed,
            @Nullable String gateway,
            String visitor,
            String seal,
            boolean known,
            String shown) {
        this(contact, locale, answers, agreed, gateway, visitor, seal, known, shown, Actor.GUEST, null);
    }
}
