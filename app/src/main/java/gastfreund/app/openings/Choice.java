package gastfreund.app.openings;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.lookedfor.InVain;
import gastfreund.app.typed.GivenDate;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What a guest has chosen on an offer's page. Whatever an address says that the offer does not have, its default stands
 * in for, so that an old link still shows something.
 *
 * @param staff null: anyone
 * @param place null where the offer has none
 * @param day the date whose openings are shown; null: the first with one
 * @param since the first date of the ribbon; null: the week of the first opening
 * @param source from where its guest came, for addresses; empty: nobody knows
 * @param moving null where something is booked anew
 */
public record Choice(
        Offer offer,
        int party,
        Length length,
        int units,
        Map<AddOnId, Integer> addOns,
        @Nullable StaffId staff,
        @Nullable PlaceId place,
        @Nullable LocalDate day,
        @Nullable LocalDate since,
        String source,
        @Nullable Moving moving) {

    /**
     * A booking that is to be moved or changed: its place counts as free, and the choice's addresses are those of the
     * change.
     *
     * @param onlyTime whether nothing but the time can be chosen
     * @param by who changes it; the desk is bound by fewer rules
     * @param along others that are moved with it: their places count as free, too
     */
    public record Moving(String address, BookingId booking, boolean onlyTime, Audience by, Set<BookingId> along) {

        public Moving {
            along = Set.copyOf(along);
        }

        public Moving(String address, BookingId booking, boolean onlyTime, Audience by) {
            this(address, booking, onlyTime, by, Set.of());
        }

        private Set<BookingId> all() {
            Set<BookingId> all = new HashSet<>(along);
            all.add(booking);
            return all;
        }
    }

    private static final Pattern NUMBER = Pattern.compile("\\A-?\\d{1,9}+\\z");

    /** What an address says, unchecked; each may be null. */
    public record Asked(
            @Nullable String party,
            @Nullable String length,
            @Nullable String units,
            @Nullable List<String> add,
            @Nullable String staff,
            @Nullable String place,
            @Nullable String day,
            @Nullable String since) {

        /** Nothing: every default stands. */
        public static Asked nothing() {
            return new Asked(null, null, null, null, null, null, null, null);
        }
    }

    /** @param house what is retired there cannot be chosen */
    public static Choice of(House house, Offer offer, Asked asked) {
        int party = number(asked.party()).orElse(offer.party().min());
        Length length = id(asked.length())
                .flatMap(l -> offer.length(new LengthId(l)))
                .orElse(offer.lengths().get(0));
        return new Choice(
                offer,
                Math.max(offer.party().min(), Math.min(offer.party().max(), party)),
                length,
                unitsOf(length, number(asked.units()).orElse(1)),
                Quantities.asked(offer, asked.add() == null ? List.of() : asked.add()),
                id(asked.staff())
                        .map(StaffId::new)
                        .filter(offer.serving().of()::contains)
                        .filter(person -> !house.retired().staff().contains(person))
                        .orElse(null),
                id(asked.place())
                        .map(PlaceId::new)
                        .filter(house.placesOf(offer)::contains)
                        .or(() -> house.placesOf(offer).stream().findFirst())
                        .orElse(null),
                date(asked.day()),
                date(asked.since()),
                "",
                null);
    }

    /** The names of what was asked and cannot be had, so that something else stands in for it. */
    public List<String> otherThan(Asked asked) {
        List<String> other = new ArrayList<>();
        if (id(asked.party()).filter(p -> !p.equals(Integer.toString(party))).isPresent()) {
            other.add("party");
        }
        if (id(asked.length()).filter(l -> !l.equals(length.id().value())).isPresent()) {
            other.add("length");
        }
        if (id(asked.staff())
                .filter(s -> staff == null || !s.equals(staff.value()))
                .isPresent()) {
            other.add("staff");
        }
        if (id(asked.place())
                .filter(p -> place == null || !p.equals(place.value()))
                .isPresent()) {
            other.add("place");
        }
        return other;
    }

    private static int unitsOf(Length length, int wanted) {
        return Math.max(length.minUnits(), Math.min(length.maxUnits(), wanted));
    }

    private static OptionalInt number(@Nullable String text) {
        return text != null && NUMBER.matcher(text).matches()
                ? OptionalInt.of(Integer.parseInt(text))
                : OptionalInt.empty();
    }

    private static Optional<String> id(@Nullable String text) {
        return Optional.ofNullable(text).filter(t -> !t.isBlank());
    }

    private static @Nullable LocalDate date(@Nullable String text) {
        return GivenDate.of(text).orElse(null);
    }

    /**
     * The house in which openings are looked for: with the offer as it was chosen, which need not be that of now. What was
     * booked can be moved, though nothing of its offer is sold any more.
     */
    public House within(House house) {
        House whole = house.offer(offer.id()).filter(offer::equals).isPresent() ? house : house.with(offer);
        boolean booked = moving != null && moving.onlyTime();
        return booked && house.retired().offers().contains(offer.id())
                ? whole.retiring(house.retired().without(offer.id()))
                : whole;
    }

    public Query query(LocalDate first, LocalDate last, Instant now) {
        return Query.of(offer.id(), first, last, now)
                .withLength(length.id(), units)
                .withParty(party)
                .withAddOns(addOns)
                .withStaff(staff)
                .withPlace(place)
                .without(moving == null ? Set.of() : moving.all())
                .askedBy(moving == null ? Audience.GUEST : moving.by());
    }

    /**
     * The same as something that was asked for in vain.
     *
     * @param shown the date whose openings were shown; where the guest did not choose it, none of all that were shown had one
     */
    InVain inVain(LocalDate shown, List<String> against, Instant now) {
        return new InVain(
                offer.id(),
                length.id(),
                units,
                party,
                addOns,
                staff,
                place,
                shown.equals(day) ? shown : null,
                against,
                now);
    }

    /** What it would be sold as at a start, with whom and where an option has it. */
    public Line line(long start, Answer.Judged option, Instant now, HouseZone zone) {
        return new Line(offer, length, units, party, addOns, start, option.staff(), option.place(), now, zone);
    }

    /** What a booking of it takes. */
    public Reserved reserved(BookingId id, Interval time, Answer.Judged option) {
        return new Reserved(id, offer.id(), time, option.place(), length.id(), units, party, addOns, option.staff());
    }

    /** The choice of another time for a booking. */
    public static Choice moving(
            Offer offer,
            int party,
            LengthId length,
            int units,
            Map<AddOnId, Integer> addOns,
            @Nullable PlaceId place,
            Moving moving) {
        Choice again = again(offer, party, length, units, addOns, place);
        return new Choice(offer, party, again.length, again.units, addOns, null, place, null, null, "", moving);
    }

    /** The same where others are moved along with a booking, under an address of its own. */
    public Choice along(String address, Set<BookingId> others) {
        Moving one = Objects.requireNonNull(moving);
        return changing(new Moving(address, one.booking(), one.onlyTime(), one.by(), others));
    }

    /** The same choice for a booking that is to be changed by it. */
    public Choice changing(Moving booking) {
        return new Choice(offer, party, length, units, addOns, staff, place, day, since, source, booking);
    }

    /** The same choice of somebody who came from a source. */
    public Choice comingFrom(String where) {
        return new Choice(offer, party, length, units, addOns, staff, place, day, since, where, moving);
    }

    /** The same choice with the day and the first date of the ribbon that an address says. */
    public Choice shown(@Nullable String wantedDay, @Nullable String wantedSince) {
        return new Choice(
                offer, party, length, units, addOns, staff, place, date(wantedDay), date(wantedSince), source, moving);
    }

    public Choice withParty(int persons) {
        return new Choice(offer, persons, length, units, addOns, staff, place, day, since, source, moving);
    }

    public Choice withLength(Length wanted) {
        return new Choice(
                offer, party, wanted, unitsOf(wanted, units), addOns, staff, place, day, since, source, moving);
    }

    public Choice withUnits(int wanted) {
        return new Choice(offer, party, length, wanted, addOns, staff, place, day, since, source, moving);
    }

    /** The choice with so many of an add-on. */
    public Choice withAddOn(AddOnId id, int quantity) {
        Map<AddOnId, Integer> quantities = new LinkedHashMap<>(addOns);
        quantities.put(id, quantity);
        quantities.values().removeIf(n -> n == 0);
        return withAddOns(quantities);
    }

    private Choice withAddOns(Map<AddOnId, Integer> quantities) {
        return new Choice(offer, party, length, units, quantities, staff, place, day, since, source, moving);
    }

    public Choice withStaff(@Nullable StaffId person) {
        return new Choice(offer, party, length, units, addOns, person, place, day, since, source, moving);
    }

    public Choice withPlace(@Nullable PlaceId wanted) {
        return new Choice(offer, party, length, units, addOns, staff, wanted, day, since, source, moving);
    }

    public Choice withDay(LocalDate date) {
        return new Choice(offer, party, length, units, addOns, staff, place, date, since, source, moving);
    }

    public Choice startingFrom(LocalDate first) {
        return new Choice(offer, party, length, units, addOns, staff, place, null, first, source, moving);
    }

    /** The choice that leads to such a booking again, whoever serves. */
    public static Choice again(
            Offer offer, int party, LengthId length, int units, Map<AddOnId, Integer> addOns, @Nullable PlaceId place) {
        Length wanted = offer.length(length).orElse(offer.lengths().get(0));
        return new Choice(offer, party, wanted, unitsOf(wanted, units), addOns, null, place, null, null, "", null);
    }

    /** The page's address with this choice. */
    public String address(@Nullable String basket) {
        return address("", basket);
    }

    /** Where a wish to keep a place with this choice is sent. */
    public String keepAddress(@Nullable String basket) {
        return address("/keep", basket);
    }

    /** Where a series of this choice is looked at. */
    public String seriesAddress(String under, @Nullable String basket) {
        return address("/series" + under, basket);
    }

    /** Where the dates of a timetable are looked at as one list. */
    public String datesAddress(String under, @Nullable String basket) {
        return address("/dates" + under, basket);
    }

    /** The page's address with this choice and the months of a year. */
    public String monthsAddress(@Nullable String basket) {
        return address(basket) + "&months";
    }

    /** Where a guest asks whether the house comes to them, and what the way costs. */
    public String wayAddress(@Nullable String basket) {
        return address("/way", basket);
    }

    /** Where a guest says that they wait for this choice. */
    public String wishAddress(@Nullable String basket) {
        return address("/wish", basket);
    }

    private String address(String under, @Nullable String basket) {
        if (moving != null && moving.onlyTime()) {
            UriComponentsBuilder uri = UriComponentsBuilder.fromPath(moving.address());
            return withDates(uri).build().toUriString();
        }
        UriComponentsBuilder uri =
                UriComponentsBuilder.fromPath(moving == null ? "/offers/" + offer.id() + under : moving.address());
        uri.queryParam("party", party).queryParam("length", length.id());
        if (length.maxUnits() > 1) {
            uri.queryParam("units", units);
        }
        Quantities.said(addOns).forEach(said -> uri.queryParam("add", said));
        if (staff != null) {
            uri.queryParam("staff", staff);
        }
        if (place != null) {
            uri.queryParam("place", place);
        }
        withDates(uri);
        if (basket != null && moving == null) {
            uri.queryParam("basket", basket);
        } else if (!source.isEmpty() && moving == null) {
            uri.queryParam("from", source);
        }
        return uri.build().toUriString();
    }

    private UriComponentsBuilder withDates(UriComponentsBuilder uri) {
        if (day != null) {
            uri.queryParam("day", day);
        }
        if (since != null) {
            uri.queryParam("since", since);
        }
        return uri;
    }
}
