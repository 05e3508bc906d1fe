package gastfreund.app.board;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What of the board is looked for; each may be null: everything.
 *
 * @param offer an id, as the others
 */
public record BoardFilter(
        @Nullable String offer, @Nullable String person, @Nullable String place, @Nullable State state) {

    /** What becomes of a booking. */
    public enum State {
        REQUESTED,
        HELD,
        UNPAID,
        CLASHING;

        /** The name in addresses. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    static BoardFilter of(
            @Nullable String offer, @Nullable String person, @Nullable String place, @Nullable String state) {
        return new BoardFilter(
                given(offer),
                given(person),
                given(place),
                Arrays.stream(State.values())
                        .filter(s -> s.code().equals(state))
                        .findFirst()
                        .orElse(null));
    }

    private static @Nullable String given(@Nullable String text) {
        return text == null || text.isBlank() ? null : text;
    }

    /** Whether a booking is looked for. */
    boolean wants(BoardBooking booking, boolean clashing) {
        return (offer == null || booking.offer().value().equals(offer))
                && (person == null
                        || booking.staff().stream().anyMatch(s -> s.value().equals(person)))
                && (place == null
                        || booking.place() != null && booking.place().value().equals(place))
                && (state == null || isSo(booking, clashing));
    }

    private boolean isSo(BoardBooking booking, boolean clashing) {
        return switch (Objects.requireNonNull(state)) {
            case REQUESTED -> booking.status() == BookingStatus.REQUESTED;
            case HELD -> booking.status() == BookingStatus.HELD;
            case UNPAID -> booking.status() != BookingStatus.HELD
                    && booking.paid().compareTo(booking.total()) < 0;
            case CLASHING -> clashing;
        };
    }

    /** Whether the lane of a person is shown: theirs alone, or those of the people who serve an offer. */
    boolean showsPerson(String id, House house) {
        if (person != null) {
            return person.equals(id);
        }
        return offer == null
                || house.offers().stream()
                        .filter(o -> o.id().value().equals(offer))
                        .anyMatch(o -> serves(o, id));
    }

    private static boolean serves(Offer offer, String id) {
        return offer.serving().of().stream().anyMatch(s -> s.value().equals(id))
                || offer.entries().stream().anyMatch(e -> e.staff().stream()
                        .anyMatch(s -> s.value().equals(id)));
    }

    /** Whether the lane of an offer is shown. */
    boolean showsOffer(Offer lane) {
        return person == null && (offer == null || lane.id().value().equals(offer));
    }

    /** Whether lanes of things are shown: where one person is looked for, they are not. */
    boolean showsThings() {
        return person == null;
    }
}
