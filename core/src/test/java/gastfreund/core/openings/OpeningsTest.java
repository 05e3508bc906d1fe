package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.WeeklyWindow;
import gastfreund.core.hours.Window;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
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
import gastfreund.core.sessions.Commitment;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Currency;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The rules of docs/openings.md, one by one, on a small house. */
class OpeningsTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final StaffId MIRA = new StaffId("mira");
    private static final StaffId JONTE = new StaffId("jonte");
    private static final PlaceId YARD = new PlaceId("yard");
    private static final ResourceId WHEEL = new ResourceId("wheel");
    private static final OfferId LESSON = new OfferId("lesson");
    private static final OfferId HIRE = new OfferId("hire");
    private static final OfferId TABLE = new OfferId("table");
    private static final LocalDate DAY = LocalDate.of(2027, 1, 14);
    private static final Instant NOW = Instant.parse("2027-01-12T08:00:00Z");

    private final House house = house(Schedule.of(List.of(daily(9, 18)), List.of()), Bounds.none());

    private static WeeklyWindow daily(int from, int to) {
        return new WeeklyWindow(EnumSet.allOf(DayOfWeek.class), Window.of(from * 60, to * 60));
    }

    private static House house(Schedule hours, Bounds bounds) {
        Offer lesson = offer(
                LESSON,
                60,
                Sharing.none(),
                2,
                Serving.anyOf(MIRA, JONTE),
                List.of(new Use(WHEEL, 1, Use.Per.PERSON)),
                bounds);
        Offer hire = offer(
                HIRE, 60, Sharing.none(), 4, Serving.nobody(), List.of(new Use(WHEEL, 1, Use.Per.PERSON)), bounds);
        Offer table =
                offer(TABLE, 120, Sharing.of(8, Sharing.Fill.FIRST), 8, Serving.anyOf(MIRA, JONTE), List.of(), bounds);
        Schedule afternoons = Schedule.of(List.of(daily(12, 18)), List.of());
        return House.of(
                "House",
                ZONE,
                Currency.getInstance("EUR"),
                hours,
                List.of(new Place(YARD, "Yard", Place.Kind.ONSITE, Schedule.always())),
                List.of(
                        new Staff(MIRA, "Mira", Schedule.always(), OptionalInt.of(2)),
                        new Staff(JONTE, "Jonte", afternoons, OptionalInt.empty())),
                List.of(new Resource(WHEEL, "Wheel", 3, Schedule.always())),
                List.of(lesson, hire, table));
    }

    private static Offer offer(
            OfferId id, int minutes, Sharing sharing, int party, Serving serving, List<Use> uses, Bounds bounds) {
        return new Offer(
                id,
                id.value(),
                List.of(Length.of("only", minutes, 5000)),
                Offer.Basis.BOOKING,
                new Starts.Clock(60, 0),
                null,
                Minutes.of(10),
                Minutes.of(20),
                sharing,
                new Party(1, party),
                serving,
                uses,
                List.of(YARD),
                null,
                bounds,
                Offer.Confirm.INSTANT,
                false,
                List.of(),
                List.of(),
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
    }

    private static long at(int hour) {
        return ZONE.minuteOf(LocalDateTime.of(DAY, LocalTime.of(hour, 0)));
    }

    private static Booking booking(String id, OfferId offer, int hour, int minutes, StaffId staff, int party) {
        return booking(id, offer, hour, minutes, staff, party, BookingStatus.CONFIRMED, null);
    }

    private static Booking booking(
            String id,
            OfferId offer,
            int hour,
            int minutes,
            StaffId staff,
            int party,
            BookingStatus status,
            Instant expires) {
        List<StaffId> serving = staff == null ? List.of() : List.of(staff);
        return new Booking(
                new BookingId(id),
                offer,
                at(hour),
                Minutes.of(minutes),
                serving,
                YARD,
                party,
                status,
                expires,
                Map.of());
    }

    private static Query ask(OfferId offer) {
        return Query.of(offer, DAY, DAY, NOW);
    }

    private Answer.Entry explained(Query query, int hour, Booking... bookings) {
        return explained(house, query, hour, bookings);
    }

    private static Answer.Entry explained(House house, Query query, int hour, Booking... bookings) {
        Answer answer = Openings.explain(house, Booked.of(List.of(bookings), List.of()), query);
        return answer.entries().stream()
                .filter(e -> e.time().start() == at(hour))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> codes(Answer.Entry entry, int option) {
        return entry.options().get(option).reasons().stream().map(Reason::code).toList();
    }

    @Test
    void prepAndResetTakeStaffButNeedNotBeWithinHours() {
        assertThat(codes(explained(ask(LESSON), 9), 0)).isEmpty();
        assertThat(codes(explained(ask(LESSON), 17), 0)).isEmpty();
        Booking eleven = booking("b", LESSON, 11, 60, MIRA, 1);
        assertThat(codes(explained(ask(LESSON), 10, eleven), 0)).containsExactly("busy:staff:mira");
        assertThat(codes(explained(ask(LESSON), 12, eleven), 0)).containsExactly("busy:staff:mira");
        assertThat(codes(explained(ask(LESSON), 13, eleven), 0)).isEmpty();
    }

    @Test
    void theSameTimeAgainIsNotHadWhereTheClockSkipsIt() {
        House nightly = house(Schedule.always(), Bounds.none());
        LocalDate before = LocalDate.of(2027, 3, 21);
        long start = ZONE.minuteOf(before.atTime(2, 0));
        Series.Found found = Series.of(
                nightly,
                Booked.of(List.of(), List.of()),
                Series.Wish.of(Query.of(LESSON, before, before, NOW), start, 3, 1));
        long moved = ZONE.minuteOf(before.plusWeeks(1).atTime(3, 0));
        assertThat(found.dates()).extracting(Series.Date::isFree).containsExactly(true, false, true);
        assertThat(found.dates().get(1).nearest()).containsExactly(moved, moved - 60, moved + 60);
    }

    @Test
    void aReasonSaysWhatCausedIt() {
        Booking eleven = booking("b", LESSON, 11, 60, MIRA, 1);
        Reason reason =
                explained(ask(LESSON), 11, eleven).options().get(0).reasons().get(0);
        assertThat(reason).isInstanceOfSatisfying(Reason.StaffBusy.class, busy -> {
            assertThat(busy.staff()).isEqualTo(MIRA);
            assertThat(busy.commitments())
                    .singleElement()
                    .isInstanceOfSatisfying(
                            Commitment.OfSession.class,
                            c -> assertThat(c.session().bookings()).containsExactly(eleven));
        });
    }

    @Test
    void reasonsComeInTheOrderOfTheDefinition() {
        Bounds bounds = new Bounds(
                Minutes.of(5000),
                OptionalInt.of(1),
                LocalDate.of(2027, 2, 1),
                null,
                OptionalInt.of(1),
                OptionalInt.of(70));
        House strict =
                house(Schedule.of(List.of(daily(9, 11)), List.of(new HoursException(DAY, DAY, List.of()))), bounds);
        Booking[] taken = {
            booking("a", LESSON, 10, 60, JONTE, 2),
            booking("b", HIRE, 10, 60, null, 1),
            booking("c", TABLE, 14, 120, MIRA, 1),
            booking("d", LESSON, 17, 60, MIRA, 1)
        };
        assertThat(codes(explained(strict, ask(LESSON), 10, taken), 1))
                .containsExactly(
                        "notice",
                        "horizon",
                        "season",
                        "closed",
                        "hours:house",
                        "hours:staff:jonte",
                        "busy:staff:jonte",
                        "full:resource:wheel",
                        "day-limit",
                        "day-minutes");
        assertThat(codes(explained(strict, ask(LESSON), 10, taken), 0)).contains("staff-day-limit:mira");
    }

    @Test
    void theDeskIsNotBoundByNoticeHorizonSeasonAndDayLimits() {
        Bounds bounds = new Bounds(
                Minutes.of(5000),
                OptionalInt.of(1),
                LocalDate.of(2027, 2, 1),
                null,
                OptionalInt.of(0),
                OptionalInt.empty());
        House strict = house(Schedule.always(), bounds);
        Query desk = ask(LESSON).askedBy(Audience.DESK);
        assertThat(codes(explained(strict, desk, 10), 0)).isEmpty();
        assertThat(codes(explained(strict, ask(LESSON), 10), 0))
                .containsExactly("notice", "horizon", "season", "day-limit");
    }

    @Test
    void aPoolCountsPersonsAndSaysWhatIsLeft() {
        Booking two = booking("b", HIRE, 10, 60, null, 2);
        Answer.Entry entry = explained(ask(HIRE), 10, two);
        assertThat(entry.open().get(0).opening().left()).isEqualTo(1);
        assertThat(codes(explained(ask(HIRE).withParty(2), 10, two), 0)).containsExactly("full:resource:wheel");
        assertThat(explained(ask(HIRE).withParty(3), 12, two)
                        .open()
                        .get(0)
                        .opening()
                        .left())
                .isEqualTo(1);
    }

    @Test
    void aHoldTakesItsPlaceUntilItExpires() {
        Booking hold = booking("h", HIRE, 10, 60, null, 3, BookingStatus.HELD, NOW.plusSeconds(1));
        assertThat(codes(explained(ask(HIRE), 10, hold), 0)).containsExactly("full:resource:wheel");
        Booking over = booking("h", HIRE, 10, 60, null, 3, BookingStatus.HELD, NOW);
        assertThat(codes(explained(ask(HIRE), 10, over), 0)).isEmpty();
    }

    @Test
    void whatWasCancelledTakesNothing() {
        Booking cancelled = booking("c", HIRE, 10, 60, null, 3, BookingStatus.CANCELLED, null);
        assertThat(codes(explained(ask(HIRE), 10, cancelled), 0)).isEmpty();
    }

    @Test
    void aStartedSessionIsJoinedAndFilledFirst() {
        Booking five = booking("b", TABLE, 13, 120, MIRA, 5);
        Answer.Entry entry = explained(ask(TABLE).withParty(3), 13, five);
        assertThat(entry.options().get(0).opening().left()).isEqualTo(3);
        assertThat(codes(entry, 1)).containsExactly("fill");
        Answer.Entry four = explained(ask(TABLE).withParty(4), 13, five);
        assertThat(codes(four, 0)).containsExactly("seats");
        assertThat(codes(four, 1)).isEmpty();
    }

    @Test
    void aBookingLeftOutDoesNotStandInItsOwnWay() {
        Booking eleven = booking("b", LESSON, 11, 60, MIRA, 1);
        Query without = ask(LESSON).without(Set.of(eleven.id()));
        assertThat(codes(explained(without, 11, eleven), 0)).isEmpty();
    }

    @Test
    void whatDoesNotFitTheOfferIsRefusedInOrder() {
        assertThat(refusal(ask(LESSON).withParty(3).withLength(new LengthId("no"), 2)))
                .isEqualTo(Refusal.PARTY);
        assertThat(refusal(ask(LESSON).withLength(new LengthId("no"), 2))).isEqualTo(Refusal.LENGTH);
        assertThat(refusal(ask(LESSON).withLength(new LengthId("only"), 2))).isEqualTo(Refusal.UNITS);
        assertThat(refusal(ask(LESSON).withStaff(new StaffId("no")).withPlace(new PlaceId("no"))))
                .isEqualTo(Refusal.STAFF);
        assertThat(refusal(ask(LESSON).withPlace(new PlaceId("no")))).isEqualTo(Refusal.PLACE);
    }

    private Refusal refusal(Query query) {
        return Openings.openings(house, Booked.nothing(), query).refusal();
    }

    @Test
    void openingsAreTheExplainedCandidatesWithoutReason() {
        Booked booked = Booked.of(
                List.of(booking("a", LESSON, 11, 60, MIRA, 2), booking("b", TABLE, 14, 120, JONTE, 3)),
                List.of(new Busy(MIRA, Interval.between(at(16), at(17)))));
        for (OfferId offer : List.of(LESSON, HIRE, TABLE)) {
            List<Answer.Judged> open = Openings.openings(house, booked, ask(offer)).entries().stream()
                    .flatMap(e -> e.options().stream())
                    .toList();
            List<Answer.Judged> explained = Openings.explain(house, booked, ask(offer)).entries().stream()
                    .flatMap(e -> e.open().stream())
                    .toList();
            assertThat(open).isNotEmpty().isEqualTo(explained);
        }
    }

    @Test
    void centuriesAreRefused() {
        assertThatThrownBy(() -> Query.of(LESSON, DAY, DAY.plusYears(300), NOW))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("400");
    }
}
