package gastfreund.app.byhand;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
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
    List<KnownGuestStore.KnownGuest> find(String typed) {
        List<String> words = Arrays.stream(typed.split("[^\\p{L}\\p{N}]+"))
                .filter(w -> !w.isEmpty())
                .toList();
        if (words.stream().mapToInt(String::length).sum() < LEAST_LETTERS) {
            return List.of();
        }
        return store.find(words.stream().map(w -> "\"" + w + "\"*").collect(Collectors.joining(" ")), MOST);
    }
}
