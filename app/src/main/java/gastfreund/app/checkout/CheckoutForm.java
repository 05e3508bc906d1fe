package gastfreund.app.checkout;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.orders.Contact;
import gastfreund.app.typed.Telephone;
import java.util.List;
import org.springframework.util.MultiValueMap;
import org.springframework.validation.BindingResult;

/**
 * What came with a checkout page beside the contact, as far as the house asks for it.
 *
 * @param agreed the ids of the texts that were ticked
 * @param texts whether text messages are offered
 * @param checked whether it was sent, so that what is missing is to be said
 */
public record CheckoutForm(
        CheckoutRules rules, Questionnaire questionnaire, List<String> agreed, boolean checked, boolean texts) {

    public static CheckoutForm fresh(CheckoutRules rules, Questionnaire questionnaire, boolean texts) {
        return new CheckoutForm(rules, questionnaire, List.of(), false, texts);
    }

    /** What was typed, before it is judged. */
    static CheckoutForm typed(
            CheckoutRules rules, Questionnaire questionnaire, MultiValueMap<String, String> form, boolean texts) {
        return new CheckoutForm(rules, questionnaire, form.getOrDefault("agree", List.of()), false, texts);
    }

    static CheckoutForm sent(
            CheckoutRules rules, Questionnaire questionnaire, MultiValueMap<String, String> form, boolean texts) {
        return new CheckoutForm(rules, questionnaire.checked(), form.getOrDefault("agree", List.of()), true, texts);
    }

    public boolean isAgreed(CheckoutRules.Text text) {
        return agreed.contains(text.id());
    }

    /** Whether a text has to be agreed to before the form can be taken. */
    public boolean isMissing(CheckoutRules.Text text) {
        return checked && !isAgreed(text);
    }

    boolean isRight() {
        return questionnaire.isRight() && rules.toAgree().stream().noneMatch(this::isMissing);
    }

    /**
     * Adds what the house requires of a contact to what every house requires.
     *
     * @param country of the house; empty: not said
     */
    public static void require(CheckoutRules rules, Contact contact, String country, BindingResult errors) {
        if (contact.wantsTexts()
                && !errors.hasFieldErrors("phone")
                && Telephone.forTexts(contact.phone(), country).isEmpty()) {
            errors.rejectValue("phone", "checkout.phone.noTexts");
        }
        if (rules.company() == CheckoutRules.Ask.REQUIRED && contact.company().isBlank()) {
            errors.rejectValue("company", "checkout.company.missing");
        }
        if (rules.address() == CheckoutRules.Ask.REQUIRED && contact.address().isBlank()) {
            errors.rejectValue("address", "checkout.address.missing");
        }
    }
}
