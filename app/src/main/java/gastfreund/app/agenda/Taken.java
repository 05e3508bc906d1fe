package gastfreund.app.agenda;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.openings.Choice;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * An opening that is taken in the agenda, as a form says it.
 *
 * @param place empty where the offer has none
 * @param start in minutes since the epoch
 * @param price what was shown, in minor units
 */
record Taken(String offer, String length, String place, long start, long price) {

    private static final Pattern WRITTEN =
            Pattern.compile("\\A([^ ]{1,60}) ([^ ]{1,60}) ([^ ]{0,60}) (\\d{1,10}) (\\d{1,12})\\z");

    static String written(Offer offer, Length length, Agenda.Opening opening) {
        return String.join(
                " ",
                offer.id().value(),
                length.id().value(),
                opening.place() == null ? "" : opening.place().value(),
                Long.toString(opening.slot().time().start()),
                Long.toString(opening.slot().price().minor()));
    }

    static Optional<Taken> read(@Nullable String written) {
        return Optional.ofNullable(written)
                .map(WRITTEN::matcher)
                .filter(Matcher::matches)
                .map(m -> new Taken(
                        m.group(1), m.group(2), m.group(3), Long.parseLong(m.group(4)), Long.parseLong(m.group(5))));
    }

    /** What is chosen with it; empty: the offer cannot be had. */
    Optional<Choice> choice(Catalogue catalogue, Sought sought) {
        Choice.Asked asked = new Choice.Asked(
                Integer.toString(sought.party()),
                length,
                null,
                null,
                sought.person() == null ? null : sought.person().value(),
                place,
                null,
                null);
        return catalogue.openOffer(offer).map(o -> Choice.of(catalogue.house(), o, asked));
    }
}
