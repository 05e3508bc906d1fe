package gastfreund.app.checkout;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.extras.Question;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Contact;
import gastfreund.app.pages.Field;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.Errors;

/**
 * The fields in which guests say who they are, what they are asked, and what they agree to.
 *
 * @param questions for each booking that asks something
 * @param agree one for each text
 */
public record GuestFields(List<Field> contact, List<Asked> questions, Field notes, List<Field> agree) {

    /** What a booking asks. */
    public record Asked(String title, String when, List<Field> fields) {}

    /** @param errors what is wrong with the contact; null: it was not sent */
    public static GuestFields of(Contact contact, @Nullable Errors errors, CheckoutForm form, Formats f) {
        List<Asked> questions = new ArrayList<>();
        for (Questionnaire.Group group : form.questionnaire().groups()) {
            questions.add(new Asked(
                    group.offer().title(),
                    f.dayAndTimes(group.time()),
                    group.fields().stream()
                            .map(q -> question(q, group.party(), f))
                            .toList()));
        }
        Field notes = Field.text("notes", f.text("checkout.notes"), 2000)
                .aside(f.text("checkout.optional"))
                .help(f.text("checkout.notesHelp"))
                .value(contact.notes())
                .wrong(errors, f.words());
        return new GuestFields(
                contact(contact, errors, form.rules(), form.texts(), f),
                List.copyOf(questions),
                notes,
                form.rules().toAgree().stream().map(t -> agree(t, form, f)).toList());
    }

    /** The same with the mail address of an account, which is not to be written here. */
    GuestFields withMailOfAccount() {
        return new GuestFields(
                contact.stream()
                        .map(f -> f.name().equals("email")
                                ? f.with("readonly", "readonly").help("")
                                : f)
                        .toList(),
                questions,
                notes,
                agree);
    }

    private static List<Field> contact(
            Contact contact, @Nullable Errors errors, CheckoutRules rules, boolean texts, Formats f) {
        List<Field> fields = new ArrayList<>();
        fields.add(Field.line("name", f.text("checkout.name"), 120)
                .with("autocomplete", "name")
                .required()
                .value(contact.name()));
        fields.add(Field.email("email", f.text("checkout.email"))
                .with("autocomplete", "email")
                .required()
                .help(f.text("checkout.emailHelp"))
                .value(contact.email()));
        fields.add(Field.line("phone", f.text("checkout.phone"), 60)
                .with("type", "tel")
                .with("autocomplete", "tel")
                .required()
                .help(f.text("checkout.phoneHelp"))
                .value(contact.phone()));
        if (texts) {
            fields.add(Field.tick("texts", f.text("checkout.texts"), contact.wantsTexts())
                    .help(f.text("checkout.textsHelp")));
        }
        if (rules.company() != CheckoutRules.Ask.NO) {
            fields.add(asked(Field.line("company", f.text("checkout.company"), 160), rules.company(), f)
                    .with("autocomplete", "organization")
                    .value(contact.company()));
        }
        if (rules.address() != CheckoutRules.Ask.NO) {
            fields.add(asked(Field.text("address", f.text("checkout.address"), 400), rules.address(), f)
                    .with("autocomplete", "street-address")
                    .help(f.text("checkout.addressHelp"))
                    .value(contact.address()));
        }
        return fields.stream().map(field -> field.wrong(errors, f.words())).toList();
    }

    private static Field asked(Field field, CheckoutRules.Ask ask, Formats f) {
        return ask == CheckoutRules.Ask.OPTIONAL ? field.aside(f.text("checkout.optional")) : field.required();
    }

    private static Field question(Questionnaire.Field asked, int party, Formats f) {
        Question question = asked.question();
        boolean each = asked.person() > 0 && party > 1;
        String label = question.label() + (each ? " · " + f.text("question.person", asked.person()) : "");
        Field field = field(asked, question, label)
                .given(asked.given())
                .help(question.help())
                .wrong(asked.isWrong() ? f.text(asked.error()) : "");
        boolean optional = !question.required() && question.kind() != Question.Kind.TICK;
        return optional ? field.aside(f.text("checkout.optional")) : field;
    }

    private static Field field(Questionnaire.Field asked, Question question, String label) {
        List<Field.Option> options =
                question.options().stream().map(o -> Field.Option.of(o, o)).toList();
        return switch (question.kind()) {
            case TEXT -> Field.line(asked.name(), label, Questionnaire.MOST_TEXT);
            case LONG -> Field.text(asked.name(), label, Questionnaire.MOST_LONG);
            case CHOICE -> Field.choice(asked.name(), label, options);
            case CHOICES -> Field.choices(asked.name(), label, options);
            case TICK -> Field.tick(asked.name(), label, false).with("value", Questionnaire.TICKED);
        };
    }

    private static Field agree(CheckoutRules.Text text, CheckoutForm form, Formats f) {
        return Field.tick("agree", f.text("checkout.agree", text.title()), form.isAgreed(text))
                .id("agree-" + text.id())
                .with("value", text.id())
                .with("href", "/texts/" + text.id())
                .aside(f.text("checkout.read", text.title()))
                .required()
                .wrong(form.isMissing(text) ? f.text("checkout.agree.missing") : "");
    }
}
