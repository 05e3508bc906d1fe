package gastfreund.housefile;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.time.Minutes;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes OFFER but for its money, which {@link TermsWriter} writes. */
final class OfferWriter {

    private final Offer offer;
    private final ObjectNode node = HouseWriter.object();

    OfferWriter(Offer offer) {
        this.offer = offer;
    }

    ObjectNode written() {
        node.put("id", offer.id().value()).put("title", offer.title());
        if (offer.hasTimetable()) {
            node.put("mode", "timetable");
        }
        HouseWriter.putAll(node, "lengths", offer.lengths(), OfferWriter::length);
        if (offer.basis() == Offer.Basis.PERSON) {
            node.put("basis", "person");
        }
        starts();
        minutes("prep", offer.prep());
        minutes("reset", offer.reset());
        sharing();
        ObjectNode party = node.putObject("party");
        party.put("min", offer.party().min()).put("max", offer.party().max());
        staff();
        HouseWriter.putAll(node, "uses", offer.uses(), OfferWriter::use);
        HouseWriter.putNames(node, "places", offer.places());
        if (offer.hours() != null) {
            node.set("hours", ScheduleWriter.written(offer.hours()));
        }
        if (offer.hasTimetable()) {
            HouseWriter.putAll(node, "timetable", offer.entries(), OfferWriter::entry);
        }
        bounds(offer.bounds());
        putConfirm(offer.confirm(), node);
        if (offer.contested()) {
            node.put("contested", true);
        }
        HouseWriter.putAll(node, "addOns", offer.addOns(), OfferWriter::addOn);
        HouseWriter.putAll(node, "priceRules", offer.priceRules(), TermsWriter::priceRule);
        TermsWriter.put(offer.payment(), offer.terms(), offer.taxRate(), node);
        return node;
    }

    static void putConfirm(Offer.Confirm confirm, ObjectNode owner) {
        if (confirm != Offer.Confirm.INSTANT) {
            owner.put("confirm", confirm == Offer.Confirm.BY_HAND ? "byHand" : "onPayment");
        }
    }

    private void minutes(String name, Minutes minutes) {
        if (minutes.count() > 0) {
            node.put(name, minutes.count());
        }
    }

    static JsonNode length(Length length) {
        ObjectNode node = HouseWriter.object().put("id", length.id().value());
        node.put("minutes", length.minutes().count())
                .put("price", length.price().minor());
        if (length.maxUnits() != 1) {
            node.putObject("units").put("min", length.minUnits()).put("max", length.maxUnits());
        }
        return node;
    }

    private void starts() {
        ObjectNode starts = node.putObject("starts");
        if (offer.starts() instanceof Starts.At at) {
            starts.putArray("at");
            HouseWriter.putNames(
                    starts,
                    "at",
                    at.minutesOfDay().stream().map(ScheduleWriter::time).toList());
        } else if (offer.starts() instanceof Starts.Clock clock) {
            starts.put("every", clock.every()).put("anchor", "clock").put("offset", clock.offset());
        } else {
            starts.put("every", ((Starts.FromWindow) offer.starts()).every()).put("anchor", "window");
        }
    }

    private void sharing() {
        Sharing sharing = offer.sharing();
        if (sharing.shared()) {
            node.put("sharing", "shared");
        }
        if (sharing.seats() > 0) {
            node.put("seats", sharing.seats());
        }
        if (sharing.fill() == Sharing.Fill.SPREAD) {
            node.put("fill", "spread");
        }
    }

    private void staff() {
        Serving serving = offer.serving();
        if (serving.pick() == Serving.Pick.NOBODY) {
            return;
        }
        ObjectNode staff = node.putObject("staff");
        staff.put("pick", serving.pick().name().toLowerCase(Locale.ROOT));
        HouseWriter.putNames(staff, "of", serving.of());
        if (serving.assign() == Serving.Assign.ORDER) {
            staff.put("assign", "order");
        }
        if (!serving.prices().isEmpty()) {
            ObjectNode prices = staff.putObject("prices");
            for (StaffId person : serving.of()) {
                Map<LengthId, Money> own = serving.prices().get(person);
                if (own != null) {
                    ObjectNode lengths = prices.putObject(person.value());
                    own.entrySet().stream()
                            .sorted(Comparator.comparing(e -> e.getKey().value()))
                            .forEach(e ->
                                    lengths.put(e.getKey().value(), e.getValue().minor()));
                }
            }
        }
    }

    private static JsonNode use(Use use) {
        ObjectNode node = HouseWriter.object().put("resource", use.resource().value());
        return node.put("units", use.units()).put("per", use.per().name().toLowerCase(Locale.ROOT));
    }

    private static JsonNode entry(Timetable.Entry entry) {
        ObjectNode node =
                HouseWriter.object().put("start", entry.times().start().toString());
        entry.times().rule().ifPresent(rule -> node.put("rrule", rule));
        HouseWriter.putNames(node, "exdates", entry.times().without());
        node.put("length", entry.length().id().value());
        HouseWriter.putNames(node, "staff", entry.staff());
        if (entry.place() != null) {
            node.put("place", entry.place().value());
        }
        entry.seats().ifPresent(seats -> node.put("seats", seats));
        return node;
    }

    private void bounds(Bounds bounds) {
        minutes("notice", bounds.notice());
        bounds.horizonDays().ifPresent(days -> node.put("horizonDays", days));
        if (bounds.seasonFrom() != null || bounds.seasonTo() != null) {
            putDates("season", bounds.seasonFrom(), bounds.seasonTo(), node);
        }
        if (bounds.perDay().isPresent() || bounds.minutesPerDay().isPresent()) {
            ObjectNode limits = node.putObject("limits");
            bounds.perDay().ifPresent(n -> limits.put("perDay", n));
            bounds.minutesPerDay().ifPresent(n -> limits.put("minutesPerDay", n));
        }
    }

    /** A stretch of dates; an end that is null is left out. */
    static void putDates(String name, @Nullable LocalDate from, @Nullable LocalDate to, ObjectNode owner) {
        ObjectNode dates = owner.putObject(name);
        if (from != null) {
            dates.put("from", from.toString());
        }
        if (to != null) {
            dates.put("to", to.toString());
        }
    }

    static JsonNode addOn(AddOn addOn) {
        ObjectNode node = HouseWriter.object().put("id", addOn.id().value()).put("title", addOn.title());
        node.put("price", addOn.price().minor()).put("per", addOn.per().name().toLowerCase(Locale.ROOT));
        node.put("max", addOn.max());
        if (addOn.minutes().count() > 0) {
            node.put("minutes", addOn.minutes().count());
        }
        return node;
    }

    /** A whole number where it is one, else a decimal text. */
    static void putPercent(ObjectNode owner, String name, Percent percent) {
        boolean whole = percent.value().stripTrailingZeros().scale() <= 0;
        owner.set(
                name,
                whole
                        ? JsonNodeFactory.instance.numberNode(percent.value().longValueExact())
                        : JsonNodeFactory.instance.stringNode(percent.toString()));
    }
}
