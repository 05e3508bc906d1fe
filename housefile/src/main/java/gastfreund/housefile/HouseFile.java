package gastfreund.housefile;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Retired;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A house as a file has it ({@code docs/house-format.md}).
 *
 * @param promoCodes by {@link PromoCode#normal}, in the order of the file
 * @param extras the members {@code extra}, by {@link #extraKey}; nothing here reads them
 */
public record HouseFile(
        House house,
        Map<String, PromoCode> promoCodes,
        List<Booking> bookings,
        List<Busy> busy,
        Map<String, JsonNode> extras) {

    static final String FORMAT = "gastfreund-house/1";
    private static final int MOST = 1_000_000;
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    /**
     * Parses JSON.
     *
     * @throws BadFileException where the text is none
     */
    public static JsonNode parse(String text) {
        try {
            return JSON.readTree(text);
        } catch (JacksonException e) {
            String where =
                    e.getLocation() == null ? "" : " (line " + e.getLocation().getLineNr() + ")";
            throw new BadFileException(List.of(new Problem("", "is no JSON: " + e.getOriginalMessage() + where)));
        }
    }

    /**
     * Reads a house.
     *
     * @throws BadFileException with every problem of the file
     */
    public static HouseFile read(JsonNode json) {
        return read(json, whole -> {});
    }

    /**
     * Reads a house, and lets somebody else read more of the same file, such as its {@code extra}.
     *
     * @param more is given the whole file; what it notes as problems counts as any other
     * @throws BadFileException with every problem of the file
     */
    public static HouseFile read(JsonNode json, Consumer<Node> more) {
        List<Problem> problems = new ArrayList<>();
        Node whole = Node.root(json, problems);
        @Nullable HouseFile file = new Reading(whole).file();
        more.accept(whole);
        BadFileException.throwIfAny(problems);
        return Objects.requireNonNull(file, "what is no house has problems");
    }

    /** The house as JSON; reading it gives an equal house. */
    public JsonNode written() {
        return new HouseWriter(this).written();
    }

    /** The key of an {@code extra}: that of the house, or of the thing of a kind with an id. */
    static String extraKey(String kind, String id) {
        return kind + "/" + id;
    }

    /** JSON as text, on lines that can be read. */
    public static String printed(JsonNode json) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(json);
    }

    /** One reading of one file. */
    private static final class Reading {

        private final Node root;
        private final References references;
        private final ScheduleReader schedules;

        Reading(Node root) {
            this.root = root.object(
                    "format", "house", "places", "staff", "resources", "offers", "promoCodes", "bookings", "busy");
            this.references = new References(root);
            this.schedules = new ScheduleReader(references::offer);
        }

        @Nullable
        HouseFile file() {
            root.required("format").word(FORMAT);
            Node house = root.required("house").object("name", "zone", "currency", "hours", "extra");
            String name = house.required("name").text();
            HouseZone zone =
                    house.required("zone").parsed("a zone of the tz database", HouseZone.of("UTC"), HouseZone::of);
            OfferReader offerReader = new OfferReader(references, schedules, zone);
            List<Offer> offers = root.elements("offers").stream()
                    .map(offerReader::offer)
                    .flatMap(Optional::stream)
                    .toList();
            Currency currency = house.required("currency")
                    .parsed("an ISO 4217 code", Currency.getInstance("EUR"), Currency::getInstance);
            Schedule hours = schedules.hoursOf(house);
            List<Place> places =
                    root.elements("places").stream().map(this::place).toList();
            List<Staff> staff = root.elements("staff").stream().map(this::staff).toList();
            List<Resource> resources =
                    root.elements("resources").stream().map(this::resource).toList();
            Retired retired = new Retired(
                    retired("places", PlaceId::new),
                    retired("staff", StaffId::new),
                    retired("resources", ResourceId::new),
                    retired("offers", OfferId::new));
            Map<String, PromoCode> codes = promoCodes();
            List<Booking> bookings = bookings(offers);
            List<Busy> busy = root.elements("busy").stream()
                    .map(this::busy)
                    .flatMap(Optional::stream)
                    .toList();
            try {
                House whole = House.of(name, zone, currency, hours, places, staff, resources, offers)
                        .retiring(retired);
                return new HouseFile(whole, codes, bookings, busy, extras());
            } catch (IllegalArgumentException told) {
                // a reference or an id, told with its path by References
                return null;
            }
        }

        private <K> Set<K> retired(String kind, Function<String, K> id) {
            return root.elements(kind).stream()
                    .filter(thing -> thing.truth("retired"))
                    .map(thing -> id.apply(thing.required("id").text()))
                    .collect(Collectors.toSet());
        }

        private Map<String, JsonNode> extras() {
            Map<String, JsonNode> extras = new LinkedHashMap<>();
            noteExtra(extras, extraKey("house", ""), root.required("house"));
            for (String kind : List.of("places", "staff", "resources", "offers")) {
                for (Node thing : root.elements(kind)) {
                    noteExtra(extras, extraKey(kind, thing.required("id").text()), thing);
                }
            }
            return extras;
        }

        private static void noteExtra(Map<String, JsonNode> extras, String key, Node owner) {
            owner.member("extra").ifPresent(extra -> extras.put(key, extra.json()));
        }

        private Place place(Node node) {
            node.object("id", "name", "kind", "hours", "retired", "extra");
            String kind = node.word("kind", new String[] {"onsite", "online", "phone", "guest"}, "onsite");
            return new Place(
                    new PlaceId(node.required("id").text()),
                    node.required("name").text(),
                    switch (kind) {
                        case "online" -> Place.Kind.ONLINE;
                        case "phone" -> Place.Kind.PHONE;
                        case "guest" -> Place.Kind.GUEST_ADDRESS;
                        default -> Place.Kind.ONSITE;
                    },
                    schedules.hoursOf(node));
        }

        private Staff staff(Node node) {
            node.object("id", "name", "hours", "maxPerDay", "retired", "extra");
            return new Staff(
                    new StaffId(node.required("id").text()),
                    node.required("name").text(),
                    schedules.hoursOf(node),
                    node.integer("maxPerDay", 0, MOST));
        }

        private Resource resource(Node node) {
            node.object("id", "name", "units", "hours", "retired", "extra");
            return new Resource(
                    new ResourceId(node.required("id").text()),
                    node.required("name").text(),
                    node.required("units").integer(1, MOST),
                    schedules.hoursOf(node));
        }

        private Map<String, PromoCode> promoCodes() {
            Map<String, PromoCode> codes = new LinkedHashMap<>();
            for (Node node : root.elements("promoCodes")) {
                node.object(
                        "code", "percent", "amount", "offers", "from", "to", "minSubtotal", "maxUses", "used", "extra");
                String code = node.required("code").text();
                if (node.has("percent") == node.has("amount")) {
                    node.problem("must have exactly one of percent, amount");
                    continue;
                }
                PromoCode.Worth worth = node.has("percent")
                        ? new PromoCode.Worth.Share(node.required("percent").percent(0, 100))
                        : new PromoCode.Worth.Amount(node.required("amount").amount());
                Set<OfferId> offers = new HashSet<>();
                node.elements("offers").forEach(o -> offers.add(new OfferId(references.offer(o))));
                PromoCode promo = new PromoCode(
                        code,
                        worth,
                        offers,
                        node.member("from").map(Node::instant).orElse(null),
                        node.member("to").map(Node::instant).orElse(null),
                        node.member("minSubtotal").map(Node::amount).orElse(Money.ZERO),
                        node.integer("maxUses", 0, MOST),
                        node.integer("used", 0, MOST, 0));
                if (codes.put(PromoCode.normal(code), promo) != null) {
                    node.problem("is equal to another code");
                }
            }
            return codes;
        }

        private List<Booking> bookings(List<Offer> offers) {
            List<Booking> bookings = new ArrayList<>();
            Set<String> ids = new HashSet<>();
            for (Node node : root.elements("bookings")) {
                node.object(
                        "id", "offer", "start", "minutes", "staff", "place", "party", "status", "expires", "addOns");
                String id = node.required("id").text();
                if (!ids.add(id)) {
                    node.problem("has the id of another booking");
                }
                OfferId offer = new OfferId(references.offer(node.required("offer")));
                BookingStatus status =
                        BookingStatus.ofCode(node.required("status").word(statuses()));
                Map<AddOnId, Integer> addOns = addOns(node, offers, offer);
                node.made(() -> new Booking(
                                new BookingId(id),
                                offer,
                                Interval.minuteOf(node.required("start").instant()),
                                Minutes.of(node.required("minutes").integer(1, MOST)),
                                node.elements("staff").stream()
                                        .map(s -> new StaffId(references.staff(s)))
                                        .toList(),
                                node.member("place")
                                        .map(p -> new PlaceId(references.place(p)))
                                        .orElse(null),
                                node.integer("party", 1, MOST, 1),
                                status,
                                node.member("expires").map(Node::instant).orElse(null),
                                addOns))
                        .ifPresent(bookings::add);
            }
            return bookings;
        }

        private static String[] statuses() {
            return Arrays.stream(BookingStatus.values())
                    .map(BookingStatus::code)
                    .toArray(String[]::new);
        }

        private static Map<AddOnId, Integer> addOns(Node booking, List<Offer> offers, OfferId id) {
            Map<AddOnId, Integer> quantities = new LinkedHashMap<>();
            booking.member("addOns").ifPresent(addOns -> {
                for (Map.Entry<String, Node> addOn : addOns.members()) {
                    quantities.put(new AddOnId(addOn.getKey()), addOn.getValue().integer(0, MOST));
                    boolean known = offers.stream()
                            .filter(o -> o.id().equals(id))
                            .flatMap(o -> o.addOns().stream())
                            .anyMatch(a -> a.id().value().equals(addOn.getKey()));
                    if (!known) {
                        addOn.getValue().problem("is no add-on of the offer");
                    }
                }
            });
            return quantities;
        }

        private Optional<Busy> busy(Node node) {
            node.object("staff", "from", "to");
            StaffId staff = new StaffId(references.staff(node.required("staff")));
            return node.made(() -> new Busy(
                    staff,
                    Interval.between(
                            node.required("from").instant(), node.required("to").instant())));
        }
    }
}
