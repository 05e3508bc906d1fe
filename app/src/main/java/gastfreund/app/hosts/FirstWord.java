package gastfreund.app.hosts;

import gastfreund.app.pages.Address;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * A word that only whoever started the application can read: the page that makes the first sign-in asks for it, so that no
 * stranger is quicker.
 */
@Component
class FirstWord {

    /** No letters and digits that are taken for one another. */
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int LENGTH = 10;

    private final HostService hosts;
    private final Address address;
    private final String word;

    FirstWord(HostService hosts, Address address) {
        this.hosts = hosts;
        this.address = address;
        SecureRandom random = new SecureRandom();
        StringBuilder made = new StringBuilder();
        random.ints(LENGTH, 0, LETTERS.length()).forEach(i -> made.append(LETTERS.charAt(i)));
        this.word = made.toString();
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        if (hosts.nobodyYet()) {
            System.out.printf(
                    "%n  The first sign-in is made at %s with the word  %s%n%n", address.of("/desk/welcome"), word);
        }
    }

    /** The word that the console printed. */
    String word() {
        return word;
    }

    boolean is(String typed) {
        byte[] given = typed.strip().toLowerCase(Locale.ROOT).getBytes(StandardCharsets.UTF_8);
        return MessageDigest.isEqual(given, word.getBytes(StandardCharsets.UTF_8));
    }
}
