package gastfreund.app.lists;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Sight;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Staff;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who comes on a day, by who serves them, or to one session: to be printed, with a place to tick. */
@Controller
class DayController {

    private static final Set<BookingStatus> COME =
            Set.of(BookingStatus.CONFIRMED, BookingStatus.COMPLETED, BookingStatus.NO_SHOW, BookingStatus.REQUESTED);

    private final BookingLists lists;
    private final CatalogueService catalogues;
    private final Sight sight;

    DayController(BookingLists lists, CatalogueService catalogues, Sight sight) {
        this.lists = lists;
        this.catalogues = catalogues;
        this.sight = sight;
    }

    /** @param groups those of each person, then those that nobody serves */
    public record DayPage(String title, String earlier, String later, List<Group> groups) {}

    /** Who comes to somebody. */
    public record Group(String name, String sum, List<Comes> rows) {}

    /**
     * Somebody who comes.
     *
     * @param said what they answered and want the house to know, each in a line
     * @param open what is to be paid; empty: nothing
     * @param asks whether it waits for an answer
     */
    public record Comes(
            String address,
            String times,
            String guest,
            String phone,
            String what,
            List<String> said,
            String open,
            boolean asks) {}

    /**
     * @param offer an id, where only one session is wanted
     * @param at its start, in minutes since the epoch
     */
    @Needs(Right.SEE)
    @GetMapping("/desk/bookings/day")
    String day(
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(defaultValue = "") String offer,
            @RequestParam(defaultValue = "") String at,
            Host host,
            Model model) {
        Formats f = Formats.of(model);
        Catalogue catalogue = catalogues.catalogue();
        LocalDate date = BookingFilter.given(day).orElseGet(lists::today);
        List<ListedBooking> come = lists.all(BookingFilter.of(date)).stream()
                .filter(b -> COME.contains(b.status()))
                .filter(b -> sight.sees(host, b.offer(), b.staff()))
                .filter(b -> offer.isEmpty()
                        || b.offer().value().equals(offer)
                                && Long.toString(b.time().start()).equals(at))
                .toList();
        List<Group> groups = new ArrayList<>();
        if (offer.isEmpty()) {
            for (Staff person : catalogue.house().staff()) {
                add(groups, person.name(), come.stream().filter(b -> b.staff().contains(person.id())), f);
            }
            add(
                    groups,
                    f.text("lists.nobody"),
                    come.stream().filter(b -> b.staff().isEmpty()),
                    f);
        } else {
            String title = catalogue.offer(offer).map(Offer::title).orElse("");
            add(groups, title, come.stream(), f);
        }
        model.addAttribute(
                "page",
                new DayPage(
                        f.day(date),
                        "/desk/bookings/day?day=" + date.minusDays(1),
                        "/desk/bookings/day?day=" + date.plusDays(1),
                        groups));
        return "lists/day";
    }

    private void add(List<Group> groups, String name, Stream<ListedBooking> bookings, Formats f) {
        List<ListedBooking> all = bookings.toList();
        if (!all.isEmpty()) {
            int people = all.stream().mapToInt(ListedBooking::party).sum();
            groups.add(new Group(
                    name,
                    f.text("offer.people", people),
                    all.stream().map(b -> row(b, f)).toList()));
        }
    }

    private Comes row(ListedBooking booking, Formats f) {
        Offer offer = catalogues.catalogue().offer(booking.offer());
        String added = Quantities.named(offer.addOns(), booking.addOns());
        List<String> said = new ArrayList<>();
        lists.answers(booking).forEach(a -> said.add(a.label() + ": " + a.value()));
        if (!booking.notes().isBlank()) {
            said.add(booking.notes());
        }
        return new Comes(
                "/desk/orders/" + booking.order(),
                f.times(booking.time()),
                booking.guest(),
                booking.phone(),
                offer.title() + " · " + f.text("offer.people", booking.party())
                        + (added.isEmpty() ? "" : " · " + added),
                said,
                booking.open().isPositive() ? f.text("lists.toPay", f.money(booking.open())) : "",
                booking.status() == BookingStatus.REQUESTED);
    }
}
