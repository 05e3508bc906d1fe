package gastfreund.bench;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.WeeklyWindow;
import gastfreund.core.hours.Window;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Use;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;

/** The house that is measured: 20 staff, 5 resources, 10 offers with five people each. */
final class BigHouse {

    static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    static final OfferId ASKED = new OfferId("offer-0");
    static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final PlaceId PLACE = new PlaceId("place");

    private BigHouse() {}

    static House house() {
        List<StaffId> staff =
                IntStream.range(0, 20).mapToObj(i -> new StaffId("staff-" + i)).toList();
        List<ResourceId> resources = IntStream.range(0, 5)
                .mapToObj(i -> new ResourceId("resource-" + i))
                .toList();
        return House.of(
                "Big house",
                ZONE,
                Currency.getInstance("EUR"),
                hours(480, 1260),
                List.of(new Place(PLACE, "Place", Place.Kind.ONSITE, Schedule.always())),
                staff.stream()
                        .map(s -> new Staff(s, s.value(), shifts(), OptionalInt.of(12)))
                        .toList(),
                resources.stream()
                        .map(r -> new Resource(r, r.value(), 12, Schedule.always()))
                        .toList(),
                IntStream.range(0, 10).mapToObj(i -> offer(i, staff, resources)).toList());
    }

    static Schedule hours(int from, int to) {
        return Schedule.of(
                List.of(new WeeklyWindow(EnumSet.allOf(DayOfWeek.class), Window.of(from, to))),
                List.of(new HoursException(LocalDate.of(2027, 12, 24), LocalDate.of(2027, 12, 26), List.of())));
    }

    private static Schedule shifts() {
        EnumSet<DayOfWeek> days = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.SATURDAY);
        return Schedule.of(
                List.of(new WeeklyWindow(days, Window.of(540, 780)), new WeeklyWindow(days, Window.of(840, 1140))),
                List.of());
    }

    private static Offer offer(int number, List<StaffId> staff, List<ResourceId> resources) {
        List<StaffId> five = IntStream.range(0, 5)
                .mapToObj(i -> staff.get((number * 2 + i) % 20))
                .toList();
        return new Offer(
                new OfferId("offer-" + number),
                "Offer",
                List.of(Length.of("60", 60, 5000)),
                Offer.Basis.BOOKING,
                Starts.usual(),
                null,
                Minutes.of(10),
                Minutes.of(15),
                Sharing.none(),
                new Party(1, 2),
                new Serving(Serving.Pick.ANY, five, Map.of()),
                List.of(new Use(resources.get(number % 5), 1, Use.Per.PERSON)),
                List.of(PLACE),
                null,
                Bounds.none(),
                Offer.Confirm.INSTANT,
                false,
                List.of(),
                List.of(),
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
    }

    /** So many bookings spread over so many days. */
    static List<Booking> bookings(int count, int days) {
        Random random = new Random(1);
        List<Offer> offers = List.copyOf(house().offers());
        List<Booking> bookings = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            Offer offer = offers.get(random.nextInt(offers.size()));
            long start = ZONE.minuteOf(
                    FIRST.plusDays(random.nextInt(days)).atTime(9 + random.nextInt(9), random.nextInt(2) * 30));
            StaffId person = offer.serving().of().get(random.nextInt(5));
            bookings.add(new Booking(
                    new BookingId("b" + i),
                    offer.id(),
                    start,
                    Minutes.of(60),
                    List.of(person),
                    PLACE,
                    1,
                    BookingStatus.CONFIRMED,
                    null,
                    Map.of()));
        }
        return bookings;
    }
}
