package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.time.HouseZone;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Makes the booking panel of an offer for a choice. */
@Service
public class PanelService {

    /** The width of a day in the ribbon's picture, and of the gap before each week. */
    private static final int DAY_WIDTH = 18;

    private static final int WEEK_GAP = 4;

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final AddOnStock stock;
    private final Alternatives alternatives;
    private final Clock clock;

    PanelService(
            CatalogueService catalogues,
            OpeningsService openings,
            AddOnStock stock,
            Alternatives alternatives,
            Clock clock) {
        this.alternatives = alternatives;
        this.stock = stock;
        this.catalogues = catalogues;
        this.openings = openings;
        this.clock = clock;
    }

    /** @param basket null where there is none */
    public Panel panel(Choice choice, @Nullable String basket) {
        return panel(
                catalogues.catalogue().house(),
                choice,
                basket,
                catalogues.catalogue().isAgreed(choice.offer().id()));
    }

    /**
     * The panel in a form of the house.
     *
     * @param agreed whether the price is agreed with each guest
     */
    public Panel panel(House house, Choice choice, @Nullable String basket, boolean agreed) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        LocalDate today = catalogue.zone().dateOf(now);
        Shown shown = shown(house, choice, today, now);
        LocalDate first = shown.first();
        Ribbon ribbon = Ribbon.of(
                shown.answer(),
                first,
                choice.day(),
                house,
                choice.offer().hasTimetable(),
                catalogues.catalogue().extras().manners().week());
        boolean past = !first.isAfter(today);
        return new Panel(
                chips(house, choice, basket, agreed, next(house, choice, shown, now)),
                ribbon,
                dayLinks(choice, ribbon, basket),
                parts(ribbon.selected(), catalogue.zone()),
                past ? null : choice.startingFrom(earlier(first, today)).address(basket),
                choice.startingFrom(first.plusDays(Ribbon.DAYS)).address(basket),
                ribbon.selected().why() == Ribbon.Why.CLOSED
                        ? catalogue.whyClosed(ribbon.selected().date())
                        : "",
                choice.place() != null && catalogue.isElsewhere(choice.place()),
                cheapest(ribbon.selected()),
                alternatives.of(house, choice, ribbon, now, basket),
                choice.moving() == null ? choice.monthsAddress(basket) : null,
                null,
                catalogue.wishMinutes() == 0
                                || choice.moving() != null
                                || ribbon.selected().date().isBefore(today)
                        ? null
                        : choice.withDay(ribbon.selected().date()).wishAddress(basket),
                choice.moving() == null && catalogue.isMeasured(choice.place()) ? choice.wayAddress(basket) : null,
                choice.offer().confirm() == Offer.Confirm.BY_HAND ? catalogue.answerHours() : 0);
    }

    /** What can be chosen before the time. */
    public Panel.Chips chips(Choice choice, @Nullable String basket) {
        Catalogue catalogue = catalogues.catalogue();
        return chips(
                catalogue.house(),
                choice,
                basket,
                catalogue.isAgreed(choice.offer().id()),
                Map.of());
    }

    /** The panel with the months of a year instead of the days. */
    public Panel months(Choice choice, @Nullable String basket) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        LocalDate today = catalogue.zone().dateOf(now);
        House house = catalogue.house();
        Map<LocalDate, Months.Open> open = new HashMap<>();
        LocalDate last = today.withDayOfMonth(1).plusMonths(Months.SHOWN).minusDays(1);
        openings.openings(choice.within(house), choice.query(today, last, now))
                .entries()
                .forEach(e -> open.merge(
                        house.zone().dateOf(e.time().start()),
                        new Months.Open(1, Slot.of(e, house).price()),
                        (a, b) -> new Months.Open(
                                a.starts() + b.starts(), a.lowest().atMost(b.lowest()))));
        return panel(choice, basket)
                .with(Months.of(today, today, open, catalogue.extras().manners().week(), choice, basket));
    }

    /** When each of those who could serve can be had next, as far as the ribbon goes. */
    private Map<StaffId, Long> next(House house, Choice choice, Shown shown, Instant now) {
        if (!choosesStaff(house, choice.offer())) {
            return Map.of();
        }
        Answer all = choice.staff() == null
                ? shown.answer()
                : openings.openings(
                        choice.within(house),
                        choice.withStaff(null)
                                .query(shown.first(), shown.first().plusDays(Ribbon.DAYS - 1L), now));
        Map<StaffId, Long> next = new HashMap<>();
        for (Answer.Entry entry : all.entries()) {
            for (Answer.Judged option : entry.open()) {
                option.staff()
                        .forEach(person -> next.putIfAbsent(person, entry.time().start()));
            }
        }
        return next;
    }

    /** The lowest price of a date, where it has several. */
    private static @Nullable Money cheapest(Ribbon.Day day) {
        boolean same = day.slots().stream().map(Slot::price).distinct().count() < 2;
        return same ? null : day.lowest();
    }

    private Panel.Chips chips(
            House house, Choice choice, @Nullable String basket, boolean agreed, Map<StaffId, Long> next) {
        Offer offer = choice.offer();
        return new Panel.Chips(
                choice,
                offer.party().allows(choice.party() - 1)
                        ? choice.withParty(choice.party() - 1).address(basket)
                        : null,
                offer.party().allows(choice.party() + 1)
                        ? choice.withParty(choice.party() + 1).address(basket)
                        : null,
                offer.lengths().stream()
                        .map(l -> lengthChip(choice, house, l, basket))
                        .toList(),
                units(choice, basket),
                offer.addOns().stream().map(a -> addOnChip(choice, a, basket)).toList(),
                choosesStaff(house, offer) ? staffChips(choice, house, basket, next) : List.of(),
                house.placesOf(offer).size() > 1 ? placeChips(choice, house, basket) : List.of(),
                agreed);
    }

    /** The ribbon's first date, and what is to be said about its days. */
    private record Shown(LocalDate first, Answer answer) {}

    /** The dates that were asked for, or those from the week of the first opening on; this week is looked at first. */
    private Shown shown(House house, Choice choice, LocalDate today, Instant now) {
        if (choice.since() != null && inReach(choice.since(), today)) {
            return new Shown(choice.since(), explained(house, choice, choice.since(), now));
        }
        LocalDate wanted = choice.day() != null && inReach(choice.day(), today) ? choice.day() : null;
        LocalDate thisWeek = week(today);
        Answer near = explained(house, choice, thisWeek, now);
        LocalDate later = thisWeek.plusDays(Ribbon.DAYS);
        LocalDate opens = near.entries().stream()
                .filter(Answer.Entry::isOpen)
                .findFirst()
                .or(() -> openings.next(choice.within(house), choice.query(later, later, now)))
                .map(e -> house.zone().dateOf(e.time().start()))
                .orElse(today);
        LocalDate first = week(opens);
        boolean shows = wanted == null || !wanted.isBefore(first) && wanted.isBefore(first.plusDays(Ribbon.DAYS));
        LocalDate shown = wanted == null || shows ? first : week(wanted);
        return new Shown(shown, shown.equals(thisWeek) ? near : explained(house, choice, shown, now));
    }

    /** What stands against an opening on a date that has none, as the engine says it. */
    public List<String> against(Choice choice, LocalDate date) {
        House house = catalogues.catalogue().house();
        return openings.against(choice.within(house), choice.query(date, date, clock.instant()));
    }

    private Answer explained(House house, Choice choice, LocalDate first, Instant now) {
        return openings.openingsOrReasons(
                choice.within(house), choice.query(first, first.plusDays(Ribbon.DAYS - 1L), now));
    }

    /** Keeps dates that somebody wrote into an address within what makes sense to compute. */
    private static boolean inReach(LocalDate date, LocalDate today) {
        return date.isAfter(today.minusDays(7)) && date.isBefore(today.plusYears(3));
    }

    private LocalDate week(LocalDate date) {
        return catalogues.catalogue().extras().manners().weekOf(date);
    }

    private LocalDate earlier(LocalDate first, LocalDate today) {
        LocalDate before = first.minusDays(Ribbon.DAYS);
        return before.isBefore(week(today)) ? week(today) : before;
    }

    private static Panel.LengthChip lengthChip(Choice choice, House house, Length length, @Nullable String basket) {
        Offer offer = choice.offer();
        Money from = choice.staff() == null
                ? house.fromPrice(offer, length)
                : offer.serving().priceOf(List.of(choice.staff()), length.id()).orElse(length.price());
        Money whole = offer.basis() == Offer.Basis.PERSON ? from.times(choice.party()) : from;
        boolean chosen = length.id().equals(choice.length().id());
        return new Panel.LengthChip(length, whole, choice.withLength(length).address(basket), chosen);
    }

    private static Panel.@Nullable Stepper units(Choice choice, @Nullable String basket) {
        Length length = choice.length();
        if (length.maxUnits() == 1) {
            return null;
        }
        return stepper(choice.units(), length.minUnits(), length.maxUnits(), n -> choice.withUnits(n)
                .address(basket));
    }

    private Panel.AddOnChip addOnChip(Choice choice, AddOn addOn, @Nullable String basket) {
        int most = stock.atOnce(
                choice.offer(),
                addOn,
                choice.party(),
                choice.moving() == null ? null : choice.moving().booking(),
                clock.instant());
        Integer left = most < addOn.max() ? most : null;
        int quantity = choice.addOns().getOrDefault(addOn.id(), 0);
        IntFunction<String> address = n -> choice.withAddOn(addOn.id(), n).address(basket);
        if (most == 0 && quantity == 0) {
            return new Panel.AddOnChip(addOn, null, false, null, left);
        }
        return addOn.max() == 1
                ? new Panel.AddOnChip(addOn, address.apply(1 - quantity), quantity == 1, null, left)
                : new Panel.AddOnChip(addOn, null, quantity > 0, stepper(quantity, 0, most, address), left);
    }

    private static Panel.Stepper stepper(int number, int least, int most, IntFunction<String> address) {
        return new Panel.Stepper(
                number,
                number > least ? address.apply(number - 1) : null,
                number < most ? address.apply(number + 1) : null);
    }

    private static boolean choosesStaff(House house, Offer offer) {
        return offer.serving().pick() == Serving.Pick.ANY
                && house.options(offer).size() > 1;
    }

    private List<Panel.StaffChip> staffChips(
            Choice choice, House house, @Nullable String basket, Map<StaffId, Long> next) {
        List<Panel.StaffChip> chips = new ArrayList<>();
        chips.add(new Panel.StaffChip(
                null, null, "", "", choice.withStaff(null).address(basket), choice.staff() == null, null));
        for (StaffId id :
                house.options(choice.offer()).stream().flatMap(List::stream).toList()) {
            Money price = choice.offer()
                    .serving()
                    .priceOf(List.of(id), choice.length().id())
                    .orElse(choice.length().price());
            boolean chosen = id.equals(choice.staff());
            chips.add(new Panel.StaffChip(
                    house.staff(id),
                    price,
                    catalogues.catalogue().wordsOf(id),
                    catalogues.catalogue().pictureOf(id),
                    choice.withStaff(id).address(basket),
                    chosen,
                    next.get(id)));
        }
        return chips;
    }

    private static List<Panel.PlaceChip> placeChips(Choice choice, House house, @Nullable String basket) {
        List<Panel.PlaceChip> chips = new ArrayList<>();
        for (PlaceId id : house.placesOf(choice.offer())) {
            boolean chosen = id.equals(choice.place());
            chips.add(new Panel.PlaceChip(house.place(id), choice.withPlace(id).address(basket), chosen));
        }
        return chips;
    }

    private static List<Panel.DayLink> dayLinks(Choice choice, Ribbon ribbon, @Nullable String basket) {
        List<Panel.DayLink> links = new ArrayList<>();
        LocalDate first = ribbon.days().get(0).date();
        int x = 0;
        for (Ribbon.Day day : ribbon.days()) {
            if (day.startsWeek() && x > 0) {
                x += WEEK_GAP;
            }
            boolean chosen = day == ribbon.selected();
            Choice there = choice.withDay(day.date());
            Choice kept =
                    choice.since() == null ? there : there.startingFrom(first).withDay(day.date());
            links.add(new Panel.DayLink(day, x, kept.address(basket), chosen));
            x += DAY_WIDTH;
        }
        return links;
    }

    private static List<Panel.Part> parts(Ribbon.Day day, HouseZone zone) {
        Map<PartOfDay, List<Slot>> parts = new EnumMap<>(PartOfDay.class);
        for (Slot slot : day.slots()) {
            LocalTime time = zone.localOf(slot.time().start()).toLocalTime();
            parts.computeIfAbsent(PartOfDay.of(time), p -> new ArrayList<>()).add(slot);
        }
        return parts.entrySet().stream()
                .map(e -> new Panel.Part(e.getKey().word(), e.getValue()))
                .toList();
    }

    /** The openings nearest to one that could not be had. */
    List<Slot> nearest(Choice choice, long minute) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        LocalDate today = catalogue.zone().dateOf(now);
        return openings.nearest(choice.query(today, today, now), minute, 3).stream()
                .map(e -> Slot.of(e, catalogue.house()))
                .toList();
    }
}
