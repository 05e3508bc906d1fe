package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
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
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import gastfreund.core.time.Recurrence;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Mode timetable, rule by rule (docs/openings.md, "Mode timetable" and "Commitments"). */
class TimetableTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final Instant NOW = Instant.parse("2027-01-04T08:00:00Z");
    private static final StaffId JONTE = new StaffId("jonte");
    private static final PlaceId YARD = new PlaceId("yard");
    private static final ResourceId WHEEL = new ResourceId("wheel");
    private static final OfferId COURSE = new OfferId("course");
    private static final OfferId LESSON = new OfferId("lesson");
    private static final LocalDate FIRST = LocalDate.parse("2027-01-06");
    private static final Length LONG = Length.of("150", 150, 4200);

    private final House house = house(Schedule.always(), "2027-01-06T18:00");

    private static House house(Schedule jonte, String... starts) {
        List<Timetable.Entry> entries = java.util.Arrays.stream(starts)
                .map(s -> new Timetable.Entry(
                        Recurrence.of(LocalDateTime.parse(s), "FREQ=WEEKLY;COUNT=3", Set.of()),
                        LONG,
                        List.of(JONTE),
                        YARD,
                        OptionalInt.empty()))
                .toList();
        Use wheel = new Use(WHEEL, 1, Use.Per.PERSON);
        Offer course =
                offer(COURSE, LONG, new Timetable(entries), Sharing.of(5, Sharing.Fill.FIRST), Serving.nobody(), wheel);
        Offer lesson = offer(LESSON, Length.of("60", 60, 5000), null, Sharing.none(), Serving.anyOf(JONTE), wheel);
        return House.of(
                "House",
                ZONE,
                Currency.getInstance("EUR"),
                Schedule.of(List.of(), List.of()),
                List.of(new Place(YARD, "Yard", Place.Kind.ONSITE, Schedule.always())),
                List.of(new Staff(JONTE, "Jonte", jonte, OptionalInt.empty())),
                List.of(new Resource(WHEEL, "Wheel", 4, Schedule.always())),
                List.of(course, lesson));
    }

    private static Offer offer(
            OfferId id, Length length, Timetable timetable, Sharing sharing, Serving serving, Use use) {
        return new Offer(
                id,
                id.value(),
                List.of(length),
                Offer.Basis.PERSON,
                Starts.usual(),
                timetable,
                Minutes.ZERO,
                Minutes.ZERO,
                sharing,
                new Party(1, 5),
                serving,
                List.of(use),
                List.of(YARD),
                timetable == null ? Schedule.always() : null,
                Bounds.none(),
                Offer.Confirm.INSTANT,
                false,
                List.of(),
                List.of(),
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
    }

    private static Booking booking(
            String id, OfferId offer, String start, int minutes, List<StaffId> staff, int party) {
        return new Booking(
                new BookingId(id),
                offer,
                ZONE.minuteOf(LocalDateTime.parse(start)),
                Minutes.of(minutes),
                staff,
                YARD,
                party,
                BookingStatus.CONFIRMED,
                null,
                Map.of());
    }

    private List<String> answers(House house, Query query, Booking... bookings) {
        return Oracle.lines(Openings.explain(house, Booked.of(List.of(bookings), List.of()), query), false).stream()
                .map(line -> line.substring(line.indexOf('+')))
                .toList();
    }

    private static Query course(LocalDate from, LocalDate to) {
        return Query.of(COURSE, from, to, NOW);
    }

    @Test
    void occurrencesAreOfferedOutsideTheUsualHours() {
        assertThat(answers(house, course(FIRST, FIRST.plusDays(30))))
                .containsExactly("+150 [jonte] yard []", "+150 [jonte] yard []", "+150 [jonte] yard []");
    }

    @Test
    void aSessionThatNobodyBookedTakesItsStaff() {
        Query lesson = Query.of(LESSON, FIRST, FIRST, NOW);
        long busy = Openings.explain(house, Booked.nothing(), lesson).entries().stream()
                .filter(e -> !e.options().get(0).isOpen())
                .count();
        assertThat(busy).isEqualTo(6);
    }

    @Test
    void bookingsOfAnOccurrenceAreOneSessionWhateverTheySay() {
        Booking odd = booking("b1", COURSE, "2027-01-06T18:00", 45, List.of(), 3);
        Booking other = booking("b2", COURSE, "2027-01-06T18:00", 150, List.of(JONTE), 1);
        assertThat(answers(house, course(FIRST, FIRST).withParty(2), odd, other))
                .containsExactly("+150 [jonte] yard [full:resource:wheel, seats]");
        assertThat(answers(house, course(FIRST, FIRST).withParty(1), odd)).containsExactly("+150 [jonte] yard []");
    }

    @Test
    void onlyAClosureOfItsPeopleStandsAgainstIt() {
        Schedule away = Schedule.allDayBut(List.of(new HoursException(FIRST, FIRST, List.of())));
        assertThat(answers(house(away, "2027-01-06T18:00"), course(FIRST, FIRST.plusDays(7))))
                .containsExactly("+150 [jonte] yard [hours:staff:jonte]", "+150 [jonte] yard []");
    }

    @Test
    void itNarrowsByPersonAndRefusesStrangers() {
        assertThat(answers(house, course(FIRST, FIRST).withStaff(JONTE))).hasSize(1);
        Answer stranger =
                Openings.openings(house, Booked.nothing(), course(FIRST, FIRST).withStaff(new StaffId("mira")));
        assertThat(stranger.refusal()).isEqualTo(Refusal.STAFF);
    }

    @Test
    void aReasonTellsWhatCausedIt() {
        Booking full = booking("b1", COURSE, "2027-01-06T18:00", 150, List.of(JONTE), 4);
        Answer answer = Openings.explain(house, Booked.of(List.of(full), List.of()), course(FIRST, FIRST));
        Reason.Full reason =
                (Reason.Full) answer.entries().get(0).options().get(0).reasons().get(0);
        assertThat(reason.taken()).isEqualTo(4);
        assertThat(reason.commitments())
                .singleElement()
                .isInstanceOfSatisfying(
                        Commitment.OfSession.class,
                        c -> assertThat(c.session().bookings()).containsExactly(full));
    }

    @Test
    void twoSessionsAtOneStartAndPlaceAreAnError() {
        assertThatThrownBy(() -> house(Schedule.always(), "2027-01-06T18:00", "2027-01-13T18:00"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two sessions");
    }
}
