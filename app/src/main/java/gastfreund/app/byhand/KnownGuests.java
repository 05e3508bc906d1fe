package gastfreund.app.byhand;

import gastfreund.app.orders.GuestWords;
import java.util.List;
import org.springframework.stereotype.Component;

/** Finds guests by the beginnings of words, as somebody types. */
@Component
class KnownGuests {

    private static final int MOST = 8;
    private static final int LEAST_LETTERS = 2;

    private final KnownGuestStore store;

    KnownGuests(KnownGuestStore store) {
        this.store = store;
    }

    /** @param typed words of a name, an address or a number, in any order */
    List<KnownGuest> find(String typed) {
        return typed.codePoints().filter(Character::isLetterOrDigit).count() < LEAST_LETTERS
                ? List.of()
                : store.find(GuestWords.match(typed), MOST);
    }
}
