package gastfreund.app;

import gastfreund.app.checkout.OrderIntake;
import gastfreund.app.lookedfor.Counted;
import gastfreund.app.lookedfor.InVain;
import gastfreund.app.lookedfor.LookedFor;
import gastfreund.app.orders.Contact;
import gastfreund.app.sources.Sightings;
import gastfreund.app.sources.Source;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Weeks of the demo that are long over, so that its figures have something to tell: the two that are written, again and again,
 * with fewer guests the longer ago they are.
 */
@Component
class DemoPast {

    private static final int PAIR = 2;
    private static final int SEED = 20270113;

    /** From where guests come; the house's own pages more often than others. */
    private static final List<String> SOURCES =
            List.of(Source.NONE, Source.NONE, Source.NONE, "gift-ideas", "gift-ideas", "found-by-search", "telephone");

    private final OrderIntake intake;
    private final Sightings sightings;
    private final LookedFor lookedFor;

    DemoPast(OrderIntake intake, Sightings sightings, LookedFor lookedFor) {
        this.intake = intake;
        this.sightings = sightings;
        this.lookedFor = lookedFor;
    }

    /**
     * Takes in so many weeks before those that are written.
     *
     * @param written all that is
     * @param now what is over then is repeated
     */
    @Transactional
    void take(List<Booking> written, List<Contact> guests, int weeks, HouseZone zone, Instant now) {
        List<Booking> over = written.stream()
                .filter(b -> b.status() == BookingStatus.COMPLETED)
                .filter(b -> zone.dateOf(b.start()).isBefore(zone.dateOf(now).minusDays(2)))
                .toList();
        Random random = new Random(SEED);
        for (int back = PAIR; back <= weeks; back += PAIR) {
            double busy = 1 - 0.55 * back / Math.max(weeks, 1);
            for (Booking one : over) {
                if (random.nextDouble() < busy) {
                    take(one, back, guests, zone, random);
                }
            }
            look(zone.dateOf(now).minusWeeks(back), busy, random);
        }
        if (weeks > 0) {
            look(zone.dateOf(now), 1, random);
            inVain(zone.dateOf(now), zone);
        }
    }

    /** What guests wanted on the last Saturdays and elsewhere, and could not have. */
    private void inVain(LocalDate today, HouseZone zone) {
        LocalDate saturday = today.with(TemporalAdjusters.previous(DayOfWeek.SATURDAY));
        for (int week = 0; week < 8; week++) {
            LocalDate wanted = saturday.minusWeeks(week);
            inVain("private-lesson", "mira", 2, wanted, wanted.minusDays(4), 4, "hours:staff:mira", zone);
            inVain("private-lesson", "", 1, wanted.plusDays(1), wanted, 2, "hours:staff:jonte", zone);
            inVain("private-lesson", "", 1, wanted.plusDays(3), wanted.plusDays(3), 2, "notice", zone);
        }
    }

    private void inVain(
            String offer,
            String person,
            int party,
            LocalDate wanted,
            LocalDate on,
            int guests,
            String why,
            HouseZone zone) {
        lookedFor.takeIn(new Counted(
                new InVain(
                        new OfferId(offer),
                        new LengthId("60"),
                        1,
                        party,
                        Map.of(),
                        person.isEmpty() ? null : new StaffId(person),
                        new PlaceId("mill-yard"),
                        wanted,
                        List.of(why),
                        Instant.ofEpochSecond(zone.minuteOf(on.atTime(11, 0)) * 60)),
                on,
                guests));
    }

    private void take(Booking one, int back, List<Contact> guests, HouseZone zone, Random random) {
        long start = zone.minuteOf(zone.localOf(one.start()).minusWeeks(back));
        Booking before = new Booking(
                new BookingId("w" + back + one.id().value()),
                one.offer(),
                start,
                one.minutes(),
                one.staff(),
                one.place(),
                one.party(),
                random.nextInt(30) == 0 ? BookingStatus.NO_SHOW : BookingStatus.COMPLETED,
                null,
                one.addOns());
        long days = random.nextInt(3) == 0 ? random.nextInt(2) : 1 + random.nextInt(24);
        Instant placed = Interval.instantOf(start).minus(days, ChronoUnit.DAYS).minus(5, ChronoUnit.HOURS);
        String source = SOURCES.get(random.nextInt(SOURCES.size()));
        intake.takeOver(before, guests.get(random.nextInt(guests.size())), placed, source);
    }

    /** Two weeks of those who looked, up to a date. */
    private void look(LocalDate last, double busy, Random random) {
        List<String> seen = new ArrayList<>(SOURCES);
        seen.remove("telephone");
        for (int day = 0; day < PAIR * 7; day++) {
            for (String source : seen) {
                int looked = (int) (random.nextInt(9) * busy) + 1;
                sightings.takeIn(last.minusDays(day), source, looked, random.nextInt(looked / 2 + 1));
            }
        }
    }
}
