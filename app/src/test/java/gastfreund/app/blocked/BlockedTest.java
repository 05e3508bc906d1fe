package gastfreund.app.blocked;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Times that are kept free take what guests would find, on each of their dates, until they are given free. */
class BlockedTest extends OrdersTest {

    private static final StaffId MIRA = new StaffId("mira");
    private static final LocalTime TEN = LocalTime.of(10, 0);

    @Autowired
    private Blocking blocking;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private HostService hosts;

    private Host okka() {
        return hosts.byEmail("okka@quillmere.example").orElseThrow();
    }

    private HouseZone zone() {
        return catalogues.catalogue().zone();
    }

    private List<BlockedTime> on(LocalDate day) {
        return blocking.between(Interval.between(zone().startOf(day), zone().startOf(day.plusDays(1))));
    }

    @Test
    void oneDateTakesTheTimeAndGivesItBack() {
        LocalDate day = today().plusDays(33);
        blocking.block(new Blocking.Wish(MIRA, day, TEN, LocalTime.of(11, 30), day, "dentist"), okka());
        BlockedTime kept = on(day).get(0);
        assertThat(kept.word()).isEqualTo("dentist");
        assertThat(kept.weekly()).isFalse();
        assertThat(kept.time().length().count()).isEqualTo(90);
        assertThat(blocking.free(kept.id(), false, okka())).isTrue();
        assertThat(on(day)).isEmpty();
        assertThat(blocking.free(kept.id(), false, okka())).isFalse();
    }

    @Test
    void everyWeekItIsTheSameTimeOfDayAlsoWhereTheClocksChange() {
        LocalDate day = today().plusDays(35);
        blocking.block(new Blocking.Wish(MIRA, day, TEN, LocalTime.of(11, 0), day.plusWeeks(30), "school"), okka());
        for (int week = 0; week <= 30; week++) {
            List<BlockedTime> times = on(day.plusWeeks(week));
            assertThat(times).hasSize(1);
            assertThat(zone().localOf(times.get(0).time().start()).toLocalTime())
                    .isEqualTo(TEN);
        }
        assertThat(blocking.free(on(day.plusWeeks(3)).get(0).id(), false, okka()))
                .isTrue();
        assertThat(on(day.plusWeeks(3))).isEmpty();
        assertThat(on(day.plusWeeks(4))).hasSize(1);
        assertThat(blocking.free(on(day).get(0).id(), true, okka())).isTrue();
        assertThat(on(day.plusWeeks(4))).isEmpty();
    }

    @Test
    void overMidnightItEndsOnTheNextDay() {
        LocalDate day = today().plusDays(36);
        blocking.block(
                new Blocking.Wish(MIRA, day, LocalTime.of(22, 0), LocalTime.of(1, 0), day, "kiln watch"), okka());
        assertThat(on(day.plusDays(1)).get(0).time().length().count()).isEqualTo(180);
        blocking.free(on(day).get(0).id(), false, okka());
    }

    @Test
    void guestsFindNothingThen() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 37);
        LocalDate day = zone().dateOf(entry.time().start());
        List<StaffId> people =
                catalogues.catalogue().house().staff().stream().map(s -> s.id()).toList();
        people.forEach(p -> blocking.block(
                new Blocking.Wish(p, day, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, day, "closed"), okka()));
        assertThat(zone().dateOf(opening("private-lesson", "60", 1, 37).time().start()))
                .isNotEqualTo(day);
        on(day).forEach(t -> blocking.free(t.id(), false, okka()));
        assertThat(opening("private-lesson", "60", 1, 37).time()).isEqualTo(entry.time());
    }
}
