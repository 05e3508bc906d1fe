package gastfreund.app.letterdesk;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Keeping;
import gastfreund.app.hosts.Host;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.app.wording.Wording;
import gastfreund.core.hours.OfferId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Keeps letters in the document of the house, or of the offer that has its own version, at once. */
@Component
class LetterEdits {

    private static final String LETTERS = "letters";
    private static final long DAY = 24 * 60;
    private static final long THREE_HOURS = 3 * 60;

    private final Editing editing;
    private final Rehearsal rehearsal;

    LetterEdits(Editing editing, Rehearsal rehearsal) {
        this.editing = editing;
        this.rehearsal = rehearsal;
    }

    /** Keeps what was typed of a letter; what is as it would be without it is not kept. */
    Keeping keep(Host host, Typed typed, OwnLetter letter, Wording words, Locale language, Catalogue catalogue) {
        Optional<OwnLetter> house = typed.offer().isEmpty() ? Optional.empty() : ofHouse(letter, catalogue);
        Wording otherwise =
                house.flatMap(l -> l.in(language)).orElseGet(() -> rehearsal.ours(letter.occasion(), language));
        Map<Locale, Wording> wordings = new HashMap<>(own(typed, letter, catalogue));
        Wording ours = rehearsal.ours(letter.occasion(), language);
        // What says the same as ours is ours, and follows when ours is changed.
        Wording said =
                words.message().equals(ours.message()) && otherwise.message().isEmpty()
                        ? new Wording(words.subject(), words.text(), "")
                        : words;
        if (said.equals(otherwise) || words.equals(otherwise)) {
            wordings.remove(language);
        } else {
            wordings.put(language, said);
        }
        OwnLetter kept = new OwnLetter(
                letter.id(),
                letter.occasion(),
                letter.minutes(),
                letter.off(),
                letter.texts(),
                letter.people(),
                Map.copyOf(wordings));
        boolean same = wordings.isEmpty()
                && (house.isPresent()
                        ? house.get().minutes() == kept.minutes()
                                && house.get().off() == kept.off()
                                && house.get().texts() == kept.texts()
                                && house.get().people() == kept.people()
                        : !kept.occasion().isTimed() && !kept.off() && !kept.texts());
        return edit(host, typed, same ? remove(letter.id()) : put(kept));
    }

    private static Optional<OwnLetter> ofHouse(OwnLetter letter, Catalogue catalogue) {
        return catalogue.extras().letters().house().stream()
                .filter(l -> l.id().equals(letter.id()))
                .findFirst();
    }

    /** What is written of it where it is looked at, without what it has from the house. */
    private static Map<Locale, Wording> own(Typed typed, OwnLetter letter, Catalogue catalogue) {
        List<OwnLetter> here = typed.offer().isEmpty()
                ? catalogue.extras().letters().house()
                : catalogue.extras().letters().offers().getOrDefault(new OfferId(typed.offer()), List.of());
        return here.stream()
                .filter(l -> l.id().equals(letter.id()))
                .findFirst()
                .map(OwnLetter::wordings)
                .orElse(Map.of());
    }

    /** Another letter before or after bookings; its id. */
    String add(Host host, Typed typed, Occasion occasion, Catalogue catalogue) {
        List<OwnLetter> all = LetterPages.letters(typed, catalogue);
        int number = 1;
        String id = occasion.code();
        while (taken(all, id)) {
            number++;
            id = occasion.code() + "-" + number;
        }
        edit(
                host,
                typed,
                put(new OwnLetter(
                        id, occasion, occasion == Occasion.BEFORE ? DAY : THREE_HOURS, false, false, false, Map.of())));
        return id;
    }

    private static boolean taken(List<OwnLetter> all, String id) {
        return all.stream().anyMatch(l -> l.id().equals(id));
    }

    /** Back to our own words, or to the house's for an offer; one before or after bookings of the house itself stays, in ours. */
    void reset(Host host, Typed typed, OwnLetter letter) {
        boolean stays = typed.offer().isEmpty() && letter.occasion().isTimed();
        edit(
                host,
                typed,
                stays
                        ? put(new OwnLetter(
                                letter.id(),
                                letter.occasion(),
                                letter.minutes(),
                                letter.off(),
                                letter.texts(),
                                letter.people(),
                                Map.of()))
                        : remove(letter.id()));
    }

    void remove(Host host, Typed typed, OwnLetter letter) {
        edit(host, typed, remove(letter.id()));
    }

    private Keeping edit(Host host, Typed typed, Consumer<ArrayNode> edit) {
        DocumentRef ref =
                typed.offer().isEmpty() ? DocumentRef.HOUSE : new DocumentRef(DocumentRef.Kind.OFFERS, typed.offer());
        return editing.atOnce(host, Map.of(ref, json -> {
            ObjectNode extra = json.path("extra") instanceof ObjectNode there ? there : json.putObject("extra");
            ArrayNode letters = extra.path(LETTERS) instanceof ArrayNode there ? there : extra.putArray(LETTERS);
            edit.accept(letters);
            if (letters.isEmpty()) {
                extra.remove(LETTERS);
            }
        }));
    }

    private static Consumer<ArrayNode> put(OwnLetter letter) {
        return letters -> {
            int at = at(letters, letter.id());
            if (at < 0) {
                letters.add(LetterPages.json(letter));
            } else {
                letters.set(at, LetterPages.json(letter));
            }
        };
    }

    private static Consumer<ArrayNode> remove(String id) {
        return letters -> {
            int at = at(letters, id);
            if (at >= 0) {
                letters.remove(at);
            }
        };
    }

    private static int at(ArrayNode letters, String id) {
        for (int i = 0; i < letters.size(); i++) {
            if (letters.get(i).path("id").stringValue("").equals(id)) {
                return i;
            }
        }
        return -1;
    }
}
