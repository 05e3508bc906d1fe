package gastfreund.app.accountpage;

import gastfreund.app.accounts.Account;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.guests.GuestService;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Makes what the page of an account shows. */
@Component
class AccountPages {

    private static final int MOST_ORDERS = 200;
    private static final int MOST_PAST = 30;

    private final Orders orders;
    private final AccountPageStore store;
    private final GuestService guests;
    private final CatalogueService catalogues;
    private final Clock clock;

    AccountPages(Orders orders, AccountPageStore store, GuestService guests, CatalogueService catalogues, Clock clock) {
        this.orders = orders;
        this.store = store;
        this.guests = guests;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    private record Booked(Order order, OrderLine line) {

        Instant start() {
            return line.time().startInstant();
        }
    }

    AccountPage page(Account account, List<Note> notes, Formats f) {
        Instant now = clock.instant();
        Catalogue catalogue = catalogues.catalogue();
        List<Order> all = orders.ofGuest(account.email(), MOST_ORDERS);
        List<Booked> booked = all.stream()
                .filter(o -> o.status() == OrderStatus.PLACED || o.status() == OrderStatus.WAITING)
                .flatMap(o -> o.lines().stream().map(l -> new Booked(o, l)))
                .toList();
        List<Booked> coming = booked.stream()
                .filter(b -> isComing(b, now))
                .sorted(Comparator.comparing(Booked::start))
                .toList();
        List<Booked> past = booked.stream()
                .filter(b -> !isComing(b, now))
                .sorted(Comparator.comparing(Booked::start).reversed())
                .toList();
        LocalDate today = catalogue.zone().dateOf(now);
        boolean open = !all.isEmpty() && guests.isOpen(account.email());
        return new AccountPage(
                notes,
                account.email(),
                all.isEmpty() ? "" : all.get(0).contact().name(),
                coming.stream().map(b -> row(b, catalogue, f)).toList(),
                past.stream().limit(MOST_PAST).map(b -> row(b, catalogue, f)).toList(),
                past.size() > MOST_PAST,
                store.papers(account.email()).stream()
                        .map(p -> new AccountPage.Paper(
                                f.text("document." + p.kind(), Long.toString(p.number())),
                                f.shortDay(catalogue.zone().dateOf(p.issued())),
                                "/bookings/" + p.token() + "/documents/" + p.number() + ".pdf"))
                        .toList(),
                store.bought(account.email()).stream()
                        .map(p -> left(p, today, f))
                        .toList(),
                known(orders.contactOf(account.email())),
                open,
                all.isEmpty() || open
                        ? null
                        : Field.tick("forget", f.text("own.forget"), false).help(f.text("own.forgetHelp")));
    }

    private static boolean isComing(Booked booked, Instant now) {
        return booked.line().stands() && booked.line().time().endInstant().isAfter(now);
    }

    private static List<String> known(Contact contact) {
        return Stream.concat(
                        Stream.of(contact.name(), contact.phone(), contact.company()),
                        contact.address().lines())
                .filter(s -> !s.isBlank())
                .toList();
    }

    private static AccountPage.Row row(Booked booked, Catalogue catalogue, Formats f) {
        OrderLine line = booked.line();
        String own = "/bookings/" + booked.order().token();
        return new AccountPage.Row(
                line.sold().title(),
                f.dayAndTimes(line.time()),
                catalogue.elsewhere(line.place(), line.time()),
                f.text("offer.people", line.party()),
                line.status().code(),
                f.text("status." + line.status().code()),
                own,
                own + "/lines/" + line.booking() + "/again");
    }

    private static AccountPage.Left left(AccountPageStore.Bought bought, LocalDate today, Formats f) {
        boolean usable = bought.rest() > 0 && !today.isAfter(bought.lastDay());
        String left = bought.kind() == Prepaid.Kind.VOUCHER
                ? f.text("own.leftMoney", f.money(Money.ofMinor(bought.rest())))
                : f.text("own.leftVisits", bought.rest());
        return new AccountPage.Left(
                bought.title(),
                left,
                f.text("prepaid.until", f.fullDate(bought.lastDay())),
                "/codes/" + bought.code(),
                usable);
    }
}
