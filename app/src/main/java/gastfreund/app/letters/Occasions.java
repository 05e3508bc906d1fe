package gastfreund.app.letters;

import gastfreund.app.wording.HouseLetters;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.core.hours.OfferId;
import java.util.Map;
import java.util.Optional;

/** For which letters to guests a house can have its own words; the others concern money and identity, and are always ours. */
final class Occasions {

    private static final Map<String, Occasion> OF = Map.ofEntries(
            Map.entry("confirmation", Occasion.CONFIRMED),
            Map.entry("request", Occasion.REQUESTED),
            Map.entry("declined", Occasion.ANSWERED),
            Map.entry("unanswered", Occasion.ANSWERED),
            Map.entry("balance", Occasion.BALANCE),
            Map.entry("unpaid", Occasion.BALANCE),
            Map.entry("balance-again", Occasion.BALANCE_AGAIN),
            Map.entry("unpaid-again", Occasion.BALANCE_AGAIN),
            Map.entry("before", Occasion.BEFORE),
            Map.entry("after", Occasion.AFTER),
            Map.entry("missed", Occasion.MISSED),
            Map.entry("moved", Occasion.MOVED),
            Map.entry("moved-by-host", Occasion.MOVED),
            Map.entry("cancelled", Occasion.CANCELLED),
            Map.entry("cancelled-by-host", Occasion.CANCELLED),
            Map.entry("place-free", Occasion.PLACE_FREE),
            Map.entry("issued", Occasion.ISSUED));

    private Occasions() {}

    /** @param kind of a letter */
    static Optional<Occasion> of(String kind) {
        return Optional.ofNullable(OF.get(kind));
    }

    /** The kind of letter in which an occasion is told of usually. */
    static String kind(Occasion occasion) {
        return switch (occasion) {
            case CONFIRMED -> "confirmation";
            case REQUESTED -> "request";
            case ANSWERED -> "declined";
            default -> occasion.code();
        };
    }

    /** The house's letter, in the version of the offer that it is about first; empty: nothing was said of it. */
    static Optional<OwnLetter> letter(HouseLetters own, Occasion occasion, Facts facts) {
        String offer = facts.rows().isEmpty() ? null : facts.rows().get(0).offer();
        OfferId id = new OfferId(offer == null || offer.isEmpty() ? "-" : offer);
        return occasion.isTimed()
                ? own.of(id).stream().filter(l -> l.id().equals(facts.letter())).findFirst()
                : own.on(occasion, id);
    }
}
