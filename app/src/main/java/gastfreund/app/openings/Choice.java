package gastfreund.app.openings;

import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What a guest has chosen on an offer's page. Whatever an address says that the offer does not have, its default stands
 * in for, so that an old link still shows something.
 *
 * @param staff null: anyone
 * @param place null where the offer has none
 * @param day the date whose openings are shown; null: the first with one
 * @param from the first date of the ribbon; null: the week of the first opening
 */
public record Choice(
        Offer offer, int party, Length length, StaffId staff, PlaceId place, LocalDate day, LocalDate from) {

    /** What an address says, unchecked; all but the party may be null. */
    public record Asked(Integer party, String length, String staff, String place, String day, String from) {}

    public static Choice of(Offer offer, Asked asked) {
        int party = asked.party() == null ? offer.party().min() : asked.party();
        return new Choice(
                offer,
                Math.max(offer.party().min(), Math.min(offer.party().max(), party)),
                id(asked.length())
                        .flatMap(l -> offer.length(new LengthId(l)))
                        .orElse(offer.lengths().get(0)),
                id(asked.staff()).map(StaffId::new).filter(offer.serving().of()::contains).orElse(null),
                id(asked.place())
                        .map(PlaceId::new)
                        .filter(offer.places()::contains)
                        .or(offer::firstPlace)
                        .orElse(null),
                date(asked.day()),
                date(asked.from()));
    }

    private static Optional<String> id(String text) {
        return Optional.ofNullable(text).filter(t -> !t.isBlank());
    }

    private static LocalDate date(String text) {
        try {
            return text == null || text.isBlank() ? null : LocalDate.parse(text);
        } catch (DateTimeException e) {
            return null;
        }
    }

    public Query query(LocalDate first, LocalDate last, Instant now) {
        return Query.of(offer.id(), first, last, now)
                .withLength(length.id(), length.minUnits())
                .withParty(party)
                .withStaff(staff)
                .withPlace(place);
    }

    public boolean choosesStaff() {
        return offer.serving().pick() == Serving.Pick.ANY && offer.serving().of().size() > 1;
    }

    public Choice withParty(int persons) {
        return new Choice(offer, persons, length, staff, place, day, from);
    }

    public Choice withLength(Length wanted) {
        return new Choice(offer, party, wanted, staff, place, day, from);
    }

    public Choice withStaff(StaffId person) {
        return new Choice(offer, party, length, person, place, day, from);
    }

    public Choice withPlace(PlaceId wanted) {
        return new Choice(offer, party, length, staff, wanted, day, from);
    }

    public Choice withDay(LocalDate date) {
        return new Choice(offer, party, length, staff, place, date, from);
    }

    public Choice startingFrom(LocalDate first) {
        return new Choice(offer, party, length, staff, place, null, first);
    }

    /** The choice that leads to such a booking again, whoever serves. */
    public static Choice again(Offer offer, int party, LengthId length, PlaceId place) {
        Length wanted = offer.length(length).orElse(offer.lengths().get(0));
        return new Choice(offer, party, wanted, null, place, null, null);
    }

    /** The page's address with this choice. */
    public String address(String basket) {
        return address("", basket);
    }

    /** Where a wish to keep a place with this choice is sent. */
    public String keepAddress(String basket) {
        return address("/keep", basket);
    }

    private String address(String under, String basket) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath("/offers/" + offer.id() + under);
        uri.queryParam("party", party).queryParam("length", length.id());
        if (staff != null) {
            uri.queryParam("staff", staff);
        }
        if (place != null) {
            uri.queryParam("place", place);
        }
        if (day != null) {
            uri.queryParam("day", day);
        }
        if (from != null) {
            uri.queryParam("from", from);
        }
        if (basket != null) {
            uri.queryParam("basket", basket);
        }
        return uri.build().toUriString();
    }
}
