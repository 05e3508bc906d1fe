package gastfreund.housefile;

import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** Reads OFFER. */
final class OfferReader {

    private static final int MOST_MINUTES = 10_080;
    private static final int MOST = 1_000_000;

    private final References references;
    private final ScheduleReader schedules;

    private final HouseZone zone;

    OfferReader(References references, ScheduleReader schedules, HouseZone zone) {
        this.references = references;
        this.schedules = schedules;
        this.zone = zone;
    }

    Optional<Offer> offer(Node node) {
        node.object(
                "id",
                "title",
                "mode",
                "lengths",
                "basis",
                "starts",
                "prep",
                "reset",
                "sharing",
                "seats",
                "fill",
                "party",
                "staff",
                "uses",
                "places",
                "hours",
                "timetable",
                "notice",
                "horizonDays",
                "season",
                "limits",
                "confirm",
                "contested",
                "addOns",
                "priceRules",
                "payment",
                "terms",
                "taxPercent",
                "retired",
                "extra");
        boolean timetabled =
                node.word("mode", new String[] {"open", "timetable"}, "open").equals("timetable");
        PaymentReader payments = new PaymentReader(references);
        List<Length> lengths = lengths(node.required("lengths"));
        List<PlaceId> places = node.elements("places").stream()
                .map(p -> new PlaceId(references.place(p)))
                .toList();
        Timetable timetable = timetabled
                ? new TimetableReader(references, lengths, places)
                        .timetable(node)
                        .orElse(null)
                : null;
        if (!timetabled) {
            node.member("timetable").ifPresent(t -> t.problem("goes with \"mode\": \"timetable\" only"));
        }
        Sharing sharing = sharing(node, timetable);
        if (timetabled && timetable == null) {
            return Optional.empty();
        }
        if (timetable != null && timetable.clashes(zone)) {
            node.at("timetable").problem("has two sessions at one start and place");
        }
        Offer.Confirm confirm = confirm(node);
        Schedule hours = node.member("hours").map(schedules::schedule).orElse(null);
        return node.made(() -> new Offer(
                new OfferId(node.required("id").text()),
                node.required("title").text(),
                lengths,
                node.word("basis", new String[] {"booking", "person"}, "booking")
                                .equals("person")
                        ? Offer.Basis.PERSON
                        : Offer.Basis.BOOKING,
                node.member("starts").map(this::starts).orElse(Starts.usual()),
                timetable,
                Minutes.of(node.integer("prep", 0, MOST_MINUTES, 0)),
                Minutes.of(node.integer("reset", 0, MOST_MINUTES, 0)),
                sharing,
                party(node, sharing, timetable),
                serving(node, lengths),
                node.elements("uses").stream().map(this::use).toList(),
                places,
                hours,
                bounds(node),
                confirm,
                node.member("contested").map(Node::truth).orElse(false),
                addOns(node),
                node.elements("priceRules").stream()
                        .map(r -> payments.priceRule(r, lengths))
                        .toList(),
                PaymentReader.payment(node),
                PaymentReader.terms(node),
                node.member("taxPercent").map(t -> t.percent(0, 100)).orElse(Percent.ZERO)));
    }

    static List<Length> lengths(Node node) {
        List<Length> lengths = new ArrayList<>();
        for (Node length : node.elements()) {
            length.object("id", "minutes", "price", "units");
            int least = 1;
            int most = 1;
            Optional<Node> units = length.member("units");
            if (units.isPresent()) {
                Node u = units.get().object("min", "max");
                least = u.integer("min", 1, MOST, 1);
                most = u.required("max").integer(1, MOST);
            }
            int min = least;
            int max = most;
            length.made(() -> new Length(
                            new LengthId(length.required("id").text()),
                            Minutes.of(length.required("minutes").integer(1, MOST_MINUTES)),
                            length.required("price").amount(),
                            min,
                            max))
                    .ifPresent(lengths::add);
        }
        distinct(node, lengths.stream().map(Length::id).toList());
        return lengths;
    }

    private static void distinct(Node node, List<?> ids) {
        if (ids.stream().distinct().count() != ids.size()) {
            node.problem("has two with the same id");
        }
    }

    private Starts starts(Node node) {
        if (node.has("at")) {
            node.object("at");
            return new Starts.At(
                    node.elements("at").stream().map(t -> t.timeOfDay(false)).toList());
        }
        node.object("every", "anchor", "offset");
        int every = node.integer("every", 1, MOST, 30);
        if (node.word("anchor", new String[] {"clock", "window"}, "clock").equals("window")) {
            return new Starts.FromWindow(every);
        }
        return new Starts.Clock(every, node.integer("offset", -MOST, MOST, 0));
    }

    private static Sharing sharing(Node node, @Nullable Timetable timetable) {
        boolean shared = node.word("sharing", new String[] {"private", "shared"}, "private")
                .equals("shared");
        Sharing.Fill fill =
                node.word("fill", new String[] {"first", "spread"}, "first").equals("first")
                        ? Sharing.Fill.FIRST
                        : Sharing.Fill.SPREAD;
        OptionalInt seats = node.integer("seats", 1, MOST);
        if (timetable != null) {
            boolean everyEntry =
                    timetable.entries().stream().allMatch(e -> e.seats().isPresent());
            return Sharing.of((everyEntry ? seats : node.requiredInteger("seats", 1, MOST)).orElse(1), fill);
        }
        return shared
                ? Sharing.of(node.requiredInteger("seats", 1, MOST).orElse(1), fill)
                : new Sharing(false, seats.orElse(0), fill);
    }

    private static Party party(Node node, Sharing sharing, @Nullable Timetable timetable) {
        int most = sharing.shared() ? sharing.seats() : 1;
        if (timetable != null) {
            most = Math.max(most, timetable.mostSeats());
        }
        int usual = most;
        Optional<Node> party = node.member("party").map(p -> p.object("min", "max"));
        int min = party.map(p -> p.integer("min", 1, MOST, 1)).orElse(1);
        int max =
                party.map(p -> p.integer("max", 1, MOST, Math.max(min, usual))).orElse(usual);
        return party.flatMap(p -> p.made(() -> new Party(min, max))).orElse(new Party(1, usual));
    }

    private Serving serving(Node node, List<Length> lengths) {
        Optional<Node> member = node.member("staff");
        if (member.isEmpty()) {
            return Serving.nobody();
        }
        Node staff = member.get().object("pick", "of", "prices", "assign");
        boolean all = staff.required("pick").word("any", "all").equals("all");
        Serving.Assign assign =
                staff.word("assign", new String[] {"least", "order"}, "least").equals("order")
                        ? Serving.Assign.ORDER
                        : Serving.Assign.LEAST;
        if (all) {
            staff.member("assign").ifPresent(a -> a.problem("goes with \"pick\": \"any\" only"));
        }
        List<StaffId> of = staff.required("of").elements().stream()
                .map(s -> new StaffId(references.staff(s)))
                .toList();
        if (of.isEmpty()) {
            staff.required("of").problem("must name somebody");
            return Serving.nobody();
        }
        Map<StaffId, Map<LengthId, Money>> prices = new HashMap<>();
        staff.member("prices").ifPresent(p -> {
            for (Map.Entry<String, Node> person : p.members()) {
                if (of.stream().noneMatch(s -> s.value().equals(person.getKey()))) {
                    person.getValue().problem("is not among those who serve");
                }
                Map<LengthId, Money> byLength = new HashMap<>();
                for (Map.Entry<String, Node> price : person.getValue().members()) {
                    if (lengths.stream().noneMatch(l -> l.id().value().equals(price.getKey()))) {
                        price.getValue().problem("is no length of the offer");
                    }
                    byLength.put(new LengthId(price.getKey()), price.getValue().amount());
                }
                prices.put(new StaffId(person.getKey()), byLength);
            }
        });
        return new Serving(all ? Serving.Pick.ALL : Serving.Pick.ANY, of, prices, assign);
    }

    private Use use(Node node) {
        node.object("resource", "units", "per");
        Use.Per per = Use.Per.valueOf(node.word("per", new String[] {"session", "booking", "person"}, "session")
                .toUpperCase(Locale.ROOT));
        return new Use(
                new ResourceId(references.resource(node.required("resource"))), node.integer("units", 1, MOST, 1), per);
    }

    private static Bounds bounds(Node node) {
        Optional<Node> season = node.member("season").map(s -> s.object("from", "to"));
        Optional<Node> limits = node.member("limits").map(l -> l.object("perDay", "minutesPerDay"));
        return new Bounds(
                Minutes.of(node.integer("notice", 0, MOST, 0)),
                node.integer("horizonDays", 0, MOST),
                season.flatMap(s -> s.member("from")).map(Node::date).orElse(null),
                season.flatMap(s -> s.member("to")).map(Node::date).orElse(null),
                limits.map(l -> l.integer("perDay", 0, MOST)).orElse(OptionalInt.empty()),
                limits.map(l -> l.integer("minutesPerDay", 0, MOST)).orElse(OptionalInt.empty()));
    }

    static Offer.Confirm confirm(Node node) {
        return switch (node.word("confirm", new String[] {"instant", "byHand", "onPayment"}, "instant")) {
            case "byHand" -> Offer.Confirm.BY_HAND;
            case "onPayment" -> Offer.Confirm.ON_PAYMENT;
            default -> Offer.Confirm.INSTANT;
        };
    }

    static List<AddOn> addOns(Node node) {
        List<AddOn> addOns = new ArrayList<>();
        for (Node addOn : node.elements("addOns")) {
            addOn.object("id", "title", "price", "per", "max", "minutes");
            AddOn.Per per = AddOn.Per.valueOf(addOn.word("per", new String[] {"unit", "booking", "person"}, "unit")
                    .toUpperCase(Locale.ROOT));
            addOn.made(() -> new AddOn(
                            new AddOnId(addOn.required("id").text()),
                            addOn.required("title").text(),
                            addOn.required("price").amount(),
                            per,
                            addOn.integer("max", 1, MOST, 1),
                            Minutes.of(addOn.integer("minutes", 0, MOST_MINUTES, 0))))
                    .ifPresent(addOns::add);
        }
        distinct(node.at("addOns"), addOns.stream().map(AddOn::id).toList());
        return addOns;
    }
}
