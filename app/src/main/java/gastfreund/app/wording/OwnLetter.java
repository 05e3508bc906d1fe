package gastfreund.app.wording;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A letter of a house, or an offer's version of it.
 *
 * @param id by which an offer names it; of those that are not timed, that of its occasion
 * @param minutes before the start or after the end; 0 where it is not timed
 * @param off whether it does not go as a mail
 * @param texts whether it goes as a text message to guests who want that
 * @param people whether it goes to those who serve instead of the guest; before bookings only
 * @param wordings in the languages in which the house has written it; in others it is said in our own words
 */
public record OwnLetter(
        String id,
        Occasion occasion,
        long minutes,
        boolean off,
        boolean texts,
        boolean people,
        Map<Locale, Wording> wordings) {

    /** An offer's version of the house's letter: what it does not say in a language, the house's says. */
    OwnLetter over(OwnLetter before) {
        Map<Locale, Wording> all = new HashMap<>(before.wordings());
        all.putAll(wordings);
        return new OwnLetter(id, occasion, minutes, off, texts, people, Map.copyOf(all));
    }

    public Optional<Wording> in(Locale language) {
        return Optional.ofNullable(wordings.get(language));
    }
}
