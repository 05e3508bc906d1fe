package gastfreund.housefile;

import gastfreund.core.money.Percent;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.PriceRule;
import gastfreund.core.offers.StaffId;
import gastfreund.core.terms.Keep;
import gastfreund.core.terms.Terms;
import java.util.Locale;
import java.util.OptionalInt;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes what an offer says about money: price rules, payment, terms and tax. */
public final class TermsWriter {

    private TermsWriter() {}

    /** What differs from the defaults. */
    static void put(Payment payment, Terms terms, Percent taxRate, ObjectNode owner) {
        if (!payment.equals(Payment.full())) {
            owner.set("payment", payment(payment));
        }
        if (!terms.equals(Terms.none())) {
            owner.set("terms", terms(terms));
        }
        if (!taxRate.equals(Percent.ZERO)) {
            owner.put("taxPercent", taxRate.toString());
        }
    }

    static JsonNode priceRule(PriceRule rule) {
        ObjectNode node = HouseWriter.object();
        if (rule.change() instanceof PriceRule.Change.Share share) {
            OfferWriter.putPercent(node, "percent", share.percent());
        } else if (rule.change() instanceof PriceRule.Change.Add add) {
            node.put("add", add.amount().minor());
        } else {
            node.put("set", ((PriceRule.Change.Set) rule.change()).amount().minor());
        }
        rule.from().ifPresent(m -> node.put("from", ScheduleWriter.time(m)));
        rule.to().ifPresent(m -> node.put("to", ScheduleWriter.time(m)));
        HouseWriter.putNames(node, "days", ScheduleWriter.names(rule.days()));
        if (rule.firstDate() != null || rule.lastDate() != null) {
            OfferWriter.putDates("dates", rule.firstDate(), rule.lastDate(), node);
        }
        range(node, "hoursBefore", rule.hoursAhead());
        range(node, "party", rule.party());
        HouseWriter.putNames(
                node,
                "staff",
                rule.staff().stream().map(StaffId::value).sorted().toList());
        HouseWriter.putNames(
                node,
                "places",
                rule.places().stream().map(PlaceId::value).sorted().toList());
        HouseWriter.putNames(
                node,
                "lengths",
                rule.lengths().stream().map(LengthId::value).sorted().toList());
        return node;
    }

    private static void range(ObjectNode node, String name, PriceRule.Range range) {
        put(node, name + "AtLeast", range.atLeast());
        put(node, name + "LessThan", range.lessThan());
    }

    private static void put(ObjectNode node, String name, OptionalInt number) {
        number.ifPresent(n -> node.put(name, n));
    }

    /** When an offer is paid, as {@code docs/house-format.md} says it. */
    public static JsonNode payment(Payment payment) {
        ObjectNode node = HouseWriter.object().put("when", payment.when().name().toLowerCase(Locale.ROOT));
        if (payment.deposit() instanceof Payment.Deposit.Share share) {
            OfferWriter.putPercent(node.putObject("deposit"), "percent", share.percent());
        } else if (payment.deposit() instanceof Payment.Deposit.Amount amount) {
            node.putObject("deposit").put("amount", amount.amount().minor());
        }
        if (payment.balanceDaysBefore().isPresent()) {
            put(node.putObject("balance"), "daysBefore", payment.balanceDaysBefore());
        }
        return node;
    }

    /** What cancelling costs and until when can be moved, as {@code docs/house-format.md} says it. */
    public static JsonNode terms(Terms terms) {
        ObjectNode node = HouseWriter.object();
        HouseWriter.putAll(node, "cancel", terms.tiers(), tier -> {
            ObjectNode written = HouseWriter.object().put("hoursBefore", tier.hoursBefore());
            written.set("keep", keep(tier.keep()));
            return written;
        });
        if (terms.moveHoursBefore().isPresent()) {
            put(node.putObject("move"), "hoursBefore", terms.moveHoursBefore());
        }
        return node;
    }

    private static JsonNode keep(Keep keep) {
        ObjectNode node = HouseWriter.object();
        if (keep instanceof Keep.Share share) {
            OfferWriter.putPercent(node, "percent", share.percent());
        } else if (keep instanceof Keep.Amount amount) {
            node.put("amount", amount.amount().minor());
        } else {
            node.put(keep instanceof Keep.Deposit ? "deposit" : "all", true);
        }
        return node;
    }
}
