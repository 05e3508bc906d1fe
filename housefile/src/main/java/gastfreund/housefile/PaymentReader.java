package gastfreund.housefile;

import gastfreund.core.money.Money;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.PriceRule;
import gastfreund.core.offers.StaffId;
import gastfreund.core.terms.Keep;
import gastfreund.core.terms.Terms;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;

/** Reads what an offer says about money: price rules, payment, terms and percentages. */
final class PaymentReader {

    private static final int MOST_HOURS = 100_000;

    private final References references;

    PaymentReader(References references) {
        this.references = references;
    }

    /** @param lengths of the offer, which a rule may name */
    PriceRule priceRule(Node node, List<Length> lengths) {
        node.object(
                "percent",
                "add",
                "set",
                "from",
                "to",
                "days",
                "dates",
                "hoursBeforeAtLeast",
                "hoursBeforeLessThan",
                "partyAtLeast",
                "partyLessThan",
                "staff",
                "places",
                "lengths");
        Optional<Node> dates = node.member("dates").map(d -> d.object("from", "to"));
        return new PriceRule(
                change(node),
                timeOfDay(node, "from", false),
                timeOfDay(node, "to", true),
                node.member("days").map(ScheduleReader::days).orElse(Set.of()),
                dates.flatMap(d -> d.member("from")).map(Node::date).orElse(null),
                dates.flatMap(d -> d.member("to")).map(Node::date).orElse(null),
                new PriceRule.Range(
                        node.integer("hoursBeforeAtLeast", 0, MOST_HOURS),
                        node.integer("hoursBeforeLessThan", 0, MOST_HOURS)),
                new PriceRule.Range(
                        node.integer("partyAtLeast", 0, MOST_HOURS), node.integer("partyLessThan", 0, MOST_HOURS)),
                ids(node, "staff", n -> new StaffId(references.staff(n))),
                ids(node, "places", n -> new PlaceId(references.place(n))),
                ids(node, "lengths", n -> lengthOf(n, lengths)));
    }

    private static LengthId lengthOf(Node node, List<Length> lengths) {
        LengthId id = new LengthId(node.text());
        if (lengths.stream().noneMatch(l -> l.id().equals(id))) {
            node.problem("is no length of the offer");
        }
        return id;
    }

    private static OptionalInt timeOfDay(Node node, String name, boolean endOfDayToo) {
        return node.member(name)
                .map(n -> OptionalInt.of(n.timeOfDay(endOfDayToo)))
                .orElse(OptionalInt.empty());
    }

    private static <T> Set<T> ids(Node node, String name, Function<Node, T> read) {
        Set<T> ids = new HashSet<>();
        node.elements(name).forEach(n -> ids.add(read.apply(n)));
        return ids;
    }

    private static PriceRule.Change change(Node node) {
        long kinds = List.of("percent", "add", "set").stream().filter(node::has).count();
        if (kinds != 1) {
            node.problem("must have exactly one of percent, add, set");
            return new PriceRule.Change.Add(Money.ZERO);
        }
        if (node.has("percent")) {
            return new PriceRule.Change.Share(node.required("percent").percent(-Node.MOST_PERCENT, Node.MOST_PERCENT));
        }
        return node.has("add")
                ? new PriceRule.Change.Add(
                        Money.ofMinor(node.required("add").number(-Node.MOST_MONEY, Node.MOST_MONEY)))
                : new PriceRule.Change.Set(node.required("set").amount());
    }

    static Payment payment(Node offer) {
        Optional<Node> member = offer.member("payment");
        if (member.isEmpty()) {
            return Payment.full();
        }
        Node node = member.get().object("when", "deposit", "balance");
        Payment.When when =
                Payment.When.valueOf(node.word("when", new String[] {"full", "deposit", "venue", "choice"}, "full")
                        .toUpperCase(Locale.ROOT));
        if (when != Payment.When.DEPOSIT) {
            for (String only : List.of("deposit", "balance")) {
                node.member(only).ifPresent(n -> n.problem("goes with \"when\": \"deposit\" only"));
            }
            return new Payment(when, null, OptionalInt.empty());
        }
        Node deposit = node.required("deposit").object("percent", "amount");
        Payment.Deposit asked = deposit.has("amount")
                ? new Payment.Deposit.Amount(deposit.required("amount").amount())
                : new Payment.Deposit.Share(deposit.required("percent").percent(0, 100));
        OptionalInt daysBefore = node.member("balance")
                .map(b -> b.object("daysBefore").integer("daysBefore", 0, MOST_HOURS))
                .orElse(OptionalInt.empty());
        return new Payment(when, asked, daysBefore);
    }

    static Terms terms(Node offer) {
        Optional<Node> member = offer.member("terms");
        if (member.isEmpty()) {
            return Terms.none();
        }
        Node node = member.get().object("cancel", "move");
        List<Terms.Tier> tiers = node.elements("cancel").stream()
                .map(t -> new Terms.Tier(
                        t.object("hoursBefore", "keep").required("hoursBefore").integer(0, MOST_HOURS),
                        keep(t.required("keep"))))
                .toList();
        OptionalInt move = node.member("move")
                .map(m -> OptionalInt.of(
                        m.object("hoursBefore").required("hoursBefore").integer(0, MOST_HOURS)))
                .orElse(OptionalInt.empty());
        return node.made(() -> new Terms(tiers, move)).orElse(Terms.none());
    }

    private static Keep keep(Node node) {
        node.object("percent", "deposit", "amount", "all");
        if (node.json().size() != 1) {
            node.problem("must have exactly one of percent, deposit, amount, all");
            return new Keep.All();
        }
        if (node.has("percent")) {
            return new Keep.Share(node.required("percent").percent(0, 100));
        }
        if (node.has("amount")) {
            return new Keep.Amount(node.required("amount").amount());
        }
        String which = node.has("deposit") ? "deposit" : "all";
        if (!node.required(which).truth()) {
            node.required(which).problem("must be true");
        }
        return which.equals("deposit") ? new Keep.Deposit() : new Keep.All();
    }
}
