package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What the house wants at checkout, as a house file keeps it in the house's {@code extra.checkout}.
 *
 * @param texts the house's texts, such as its terms and what it does with guests' data
 * @param straight whether a single booking goes to checkout without the basket's page between
 * @param confirmByMail whether an order of which nothing is paid now is booked only when its guest has opened a link from
 *     their mail
 * @param accounts whether guests can have an account
 */
public record CheckoutRules(
        Ask company, Ask address, List<Text> texts, boolean straight, boolean confirmByMail, Accounts accounts) {

    private static final String[] ASKS = {"no", "optional", "required"};
    private static final String[] ACCOUNTS = {"none", "offered", "required"};

    /** Whether something is asked for. */
    public enum Ask {
        NO,
        OPTIONAL,
        REQUIRED
    }

    /** Whether guests have accounts. */
    public enum Accounts {
        NONE,
        /** Whoever has ordered can have one. */
        OFFERED,
        /** Nothing is ordered without one. */
        REQUIRED
    }

    /**
     * A text of the house.
     *
     * @param agree whether a guest has to agree to it
     */
    public record Text(String id, String title, String wording, boolean agree) {

        private static final Pattern BETWEEN = Pattern.compile("\\R(?:[^\\S\\r\\n]*+\\R)++");

        /** The text, cut where a line is empty. */
        public List<String> paragraphs() {
            return List.of(BETWEEN.split(wording.strip()));
        }
    }

    static CheckoutRules of(Node extra) {
        return extra.member("checkout")
                .map(rules ->
                        read(rules.object("company", "address", "straight", "texts", "confirmByMail", "accounts")))
                .orElse(new CheckoutRules(Ask.NO, Ask.NO, List.of(), false, false, Accounts.NONE));
    }

    private static CheckoutRules read(Node rules) {
        Set<String> ids = new HashSet<>();
        List<Text> texts =
                rules.elements("texts").stream().map(t -> text(t, ids)).toList();
        return new CheckoutRules(
                ask(rules, "company"),
                ask(rules, "address"),
                texts,
                rules.truth("straight"),
                rules.truth("confirmByMail"),
                Accounts.valueOf(rules.word("accounts", ACCOUNTS, "none").toUpperCase(Locale.ROOT)));
    }

    private static Text text(Node node, Set<String> ids) {
        node.object("id", "title", "wording", "agree");
        String id = Extras.id(node, ids, "text");
        return new Text(
                id, node.required("title").text(), node.required("wording").text(), node.truth("agree"));
    }

    private static Ask ask(Node rules, String member) {
        return Ask.valueOf(rules.word(member, ASKS, "no").toUpperCase(Locale.ROOT));
    }

    /** The texts to which a guest has to agree. */
    public List<Text> toAgree() {
        return texts.stream().filter(Text::agree).toList();
    }

    public Optional<Text> text(String id) {
        return texts.stream().filter(t -> t.id().equals(id)).findFirst();
    }
}
