package gastfreund.app.figures;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.Endings;
import gastfreund.app.journal.Actor;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.sources.Sightings;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.figures.Track.Kind;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Figures beside a plain recount of all orders. */
class FiguresTest extends DemoHouseTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final FigureFilter ALL = new FigureFilter(13, true, "", "");

    @Autowired
    private Figures figures;

    @Autowired
    private Orders orders;

    @Autowired
    private Endings endings;

    @Autowired
    private Attendance attendance;

    @Autowired
    private Sightings sightings;

    @Autowired
    private TransactionTemplate transaction;

    /** A line with the order it is of. */
    private record Of(Order order, OrderLine line) {

        boolean stood() {
            return switch (line.status()) {
                case CONFIRMED, COMPLETED, NO_SHOW -> true;
                default -> false;
            };
        }
    }

    /** Somebody cancels, somebody is cancelled, somebody does not come; and then five weeks are over. */
    @BeforeEach
    void somethingFallsThrough() {
        List<Of> ahead = lines().stream()
                .filter(l -> l.line().status() == BookingStatus.CONFIRMED
                        && l.line().time().startInstant().isAfter(clock.instant()))
                .toList();
        Order one = ahead.get(0).order();
        OrderLine line = ahead.get(0).line();
        Money back = endings.proposal(line, Terms.By.GUEST).refund();
        endings.cancelByGuest(one, line.reserved().id(), back, "");
        Of other = ahead.get(ahead.size() - 1);
        endings.cancelByHost(
                other.order(), other.line().reserved().id(), other.line().paid(), "", false, Actor.host("Okka"));
        lines().stream()
                .filter(l -> attendance.canBeMissed(l.line()))
                .findFirst()
                .ifPresent(l -> attendance.missed(l.order(), l.line().reserved().id(), Actor.host("Okka")));
        transaction.executeWithoutResult(status -> jdbc.sql(
                        "UPDATE bookings SET add_ons = '{\"clay\":2}' WHERE offer = 'wheel-hire' AND party > 1")
                .update());
        clock.moveAhead(Duration.ofDays(35));
    }

    private List<Of> lines() {
        List<Of> lines = new ArrayList<>();
        orders.newest(100_000).forEach(o -> o.lines().forEach(l -> lines.add(new Of(o, l))));
        return lines;
    }

    /** What is over of the last thirteen weeks. */
    private List<Of> over() {
        LocalDate last = monday(clock.instant().atZone(ZONE.id()).toLocalDate());
        return lines().stream()
                .filter(l -> l.line().status() != BookingStatus.HELD)
                .filter(l -> !l.line().time().endInstant().isAfter(clock.instant()))
                .filter(l -> {
                    LocalDate monday = monday(ZONE.dateOf(l.line().time().start()));
                    return !monday.isBefore(last.minusWeeks(12)) && !monday.isAfter(last);
                })
                .toList();
    }

    private static LocalDate monday(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /** By the words of docs/figures.md, and the order's own arithmetic. */
    private Money earned(Of of) {
        OrderLine line = of.line();
        return switch (line.status()) {
            case CONFIRMED, COMPLETED -> line.asked().plus(line.covered());
            case NO_SHOW, CANCELLED -> line.paid();
            default -> Money.ZERO;
        };
    }

    private Money owed(Of of) {
        return of.line().status() == BookingStatus.CONFIRMED || of.line().status() == BookingStatus.COMPLETED
                ? of.line().unpaid()
                : Money.ZERO;
    }

    private Money givenBack(Of of) {
        return Money.ofMinor(jdbc.sql("SELECT coalesce(sum(refunded), 0) FROM payment_parts WHERE subject = ?")
                .param(of.line().reserved().id().value())
                .query(Long.class)
                .single());
    }

    private static Money sum(List<Of> lines, Function<Of, Money> of) {
        return Money.sum(lines.stream().map(of).toList());
    }

    @Test
    void moneyIsEarnedInTheWeekOfTheServiceAndAddsUp() {
        List<Of> over = over();
        Report report = figures.of(ALL);
        assertThat(over).hasSizeGreaterThan(100);
        for (Report.Week week : report.money().weeks()) {
            List<Of> own = over.stream()
                    .filter(l -> monday(ZONE.dateOf(l.line().time().start())).equals(week.monday()))
                    .toList();
            assertThat(week.sum())
                    .as(week.monday().toString())
                    .isEqualTo(new Earned(
                            own.size(), sum(own, this::earned), sum(own, this::givenBack), sum(own, this::owed)));
            List<Row> rows = rows(Slice.Kind.WEEK, week.monday().toString());
            assertThat(rows.stream().map(Row::money).reduce(Earned.NOTHING, Earned::plus))
                    .isEqualTo(week.sum());
        }
        assertThat(report.money().sum().givenBack().isPositive())
                .as("somebody got something back")
                .isTrue();
        assertThat(report.money().sum().owed().isPositive()).as("somebody owes").isTrue();
        assertThat(report.before().weeks()).hasSize(13);
        assertThat(report.before().weeks().get(12).monday())
                .isEqualTo(report.money().weeks().get(0).monday().minusWeeks(1));
    }

    private List<Row> rows(Slice.Kind kind, String value) {
        return figures.rows(ALL, Optional.of(new Slice(kind, value)));
    }

    private static <K> Map<K, Integer> counted(List<Of> lines, Function<Of, K> by) {
        Map<K, Integer> counts = new HashMap<>();
        lines.forEach(l -> counts.merge(by.apply(l), 1, Integer::sum));
        return counts;
    }

    @Test
    void whatWasBookedIsCountedAndEachCountLeadsToItsBookings() {
        List<Of> over = over();
        List<Of> stood = over.stream().filter(Of::stood).toList();
        Report.Booked booked = figures.of(ALL).booked();
        assertThat(booked.stood()).isEqualTo(stood.size());
        assertThat(booked.statuses()).isEqualTo(counted(over, l -> l.line().status()));
        assertThat(booked.parties())
                .isEqualTo(counted(stood, l -> l.line().reserved().party()));
        booked.parties().forEach((party, n) -> assertThat(rows(Slice.Kind.PARTY, party.toString()))
                .hasSize(n));
        Map<String, Integer> lengths = counted(
                stood,
                l -> l.line().reserved().offer().value() + "/"
                        + l.line().reserved().length().value());
        assertThat(booked.lengths().stream()
                        .collect(Collectors.toMap(l -> l.offer().value() + "/" + l.length(), l -> l.bookings())))
                .isEqualTo(lengths);
        lengths.forEach(
                (length, n) -> assertThat(rows(Slice.Kind.LENGTH, length)).hasSize(n));
        int[] lead = new int[6];
        for (Of l : stood) {
            double days = Duration.between(l.order().placed(), l.line().time().startInstant())
                            .toSeconds()
                    / 86400.0;
            lead[days < 1 ? 0 : days < 3 ? 1 : days < 7 ? 2 : days < 14 ? 3 : days < 30 ? 4 : 5]++;
        }
        assertThat(booked.lead()).isEqualTo(lead);
        for (int i = 0; i < lead.length; i++) {
            assertThat(rows(Slice.Kind.LEAD, Integer.toString(i))).hasSize(lead[i]);
        }
        int withAddOns = (int) stood.stream()
                .filter(l -> !l.line().reserved().addOns().isEmpty())
                .count();
        assertThat(booked.addOns().stream().mapToInt(a -> a.bookings()).sum())
                .isEqualTo(withAddOns)
                .isPositive();
        assertThat(rows(Slice.Kind.ADD_ON, "wheel-hire/clay")).hasSize(withAddOns);
    }

    @Test
    void whatFellThroughIsToldByTheTermsAndWhoComesAgainByTheAddress() {
        List<Of> over = over();
        Report.Booked booked = figures.of(ALL).booked();
        assertThat(booked.tiers()).isNotEmpty();
        assertThat(booked.tiers().stream()
                        .mapToInt(tier -> tier.bookings().size())
                        .sum())
                .isEqualTo((int) over.stream()
                                .filter(l -> l.line().status() == BookingStatus.CANCELLED)
                                .count()
                        - booked.byHouse().size());
        assertThat(booked.byHouse()).isNotEmpty();
        for (Report.Tier tier : booked.tiers()) {
            assertThat(rows(Slice.Kind.TIER, Slice.tier(tier.tier())))
                    .extracting(Row::id)
                    .containsExactlyInAnyOrderElementsOf(tier.bookings());
        }
        assertThat(rows(Slice.Kind.TIER, Slice.BY_HOUSE))
                .extracting(Row::id)
                .containsExactlyInAnyOrderElementsOf(booked.byHouse());
        List<Of> stood = over.stream().filter(Of::stood).toList();
        Predicate<Of> before = l -> lines().stream()
                .anyMatch(o -> o.order()
                                .contact()
                                .email()
                                .equalsIgnoreCase(l.order().contact().email())
                        && o.line().time().start() < l.line().time().start()
                        && (o.line().status() == BookingStatus.COMPLETED
                                || o.line().status() == BookingStatus.CONFIRMED));
        assertThat(booked.again().guests()).isEqualTo((int) stood.stream()
                .map(l -> l.order().contact().email().toLowerCase())
                .distinct()
                .count());
        List<Of> again = stood.stream().filter(before).toList();
        assertThat(booked.again().again()).isEqualTo((int) again.stream()
                .map(l -> l.order().contact().email().toLowerCase())
                .distinct()
                .count());
        assertThat(rows(Slice.Kind.AGAIN, "yes")).hasSize(again.size());
    }

    @Test
    void onlyOneOfferOrPersonIsAskedOf() {
        FigureFilter lessons = new FigureFilter(13, false, "private-lesson", "mira");
        List<Of> own = over().stream()
                .filter(l -> l.line().reserved().offer().value().equals("private-lesson"))
                .filter(l -> l.line().reserved().staff().stream()
                        .anyMatch(s -> s.value().equals("mira")))
                .toList();
        assertThat(own).isNotEmpty();
        assertThat(figures.of(lessons).money().sum().earned()).isEqualTo(sum(own, this::earned));
        assertThat(figures.rows(lessons, Optional.empty())).hasSize(own.size());
        assertThat(figures.of(lessons).time().whole())
                .isEqualTo(figures.of(ALL).time().each().stream()
                        .filter(s -> s.kind() == Kind.STAFF && s.id().equals("mira"))
                        .findFirst()
                        .orElseThrow()
                        .share());
    }

    @Test
    void theWholeTimeIsThatOfPeopleAndOfWhatNeedsNone() {
        Report.TimeOf time = figures.of(ALL).time();
        long people = time.each().stream()
                .filter(s -> s.kind() == Kind.STAFF)
                .mapToLong(s -> s.share().could())
                .sum();
        assertThat(time.whole().could()).isGreaterThan(people);
        assertThat(time.whole().sold()).isPositive().isLessThan(time.whole().could());
        long hours = 0;
        for (var day : time.week()) {
            for (var hour : day) {
                hours += hour.sold();
            }
        }
        assertThat(hours).isEqualTo(time.whole().sold());
    }

    @Test
    void whereGuestsCameFromIsCountedWithThoseOfNoSource() {
        sightings.looked("", "somebody");
        sightings.looked("", "somebody");
        sightings.looked("gift-ideas", "somebody");
        sightings.kept("gift-ideas");
        sightings.write();
        Report report = figures.of(ALL);
        assertThat(report.sources())
                .anyMatch(c -> c.source().isEmpty() && c.looked() >= 1)
                .anyMatch(c -> c.source().equals("gift-ideas") && c.looked() >= 1 && c.kept() >= 1);
        int booked = (int) lines().stream()
                .filter(l -> l.order().source().isEmpty())
                .filter(l -> !l.order().placed().isBefore(report.span().from(ZONE)))
                .filter(l -> l.stood() || l.line().status() == BookingStatus.REQUESTED)
                .count();
        assertThat(report.sources().stream()
                        .filter(c -> c.source().isEmpty())
                        .findFirst()
                        .map(c -> c.booked()))
                .contains(booked);
    }

    @Test
    void thePageShowsThemAndItsLinksLeadToRowsAndFiles() throws Exception {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String page = host.get("/desk/figures").body();
        assertThat(page)
                .contains("Money, by the week it was earned", "How much of the time was sold", "From looking to coming")
                .contains("As a table", "/desk/figures/rows?weeks=13&amp;of=week%3A");
        assertThat(host.get("/desk/figures?weeks=4&beside=false&offer=private-lesson")
                        .body())
                .contains("4 weeks")
                .doesNotContain("before:");
        assertThat(host.get("/desk/figures/rows?of=status:no-show").body()).contains("nobody came");
        assertThat(host.get("/desk/figures.csv?of=party:1").body())
                .startsWith("order,start,end,offer,length")
                .contains("private-lesson");
        assertThat(host.get("/desk/figures/prepaid.csv").body()).startsWith("kind,title");
        assertThat(host.get("/desk/figures?weeks=abc&beside=x").body()).contains("13 weeks");
    }
}
