package gastfreund.app.letterdesk;

import gastfreund.app.wording.OwnLetter;
import java.util.Arrays;
import java.util.Locale;

/** How a letter goes. */
enum Goes {
    MAIL,
    BOTH,
    TEXT,
    NOT;

    String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    boolean isOff() {
        return this == TEXT || this == NOT;
    }

    boolean isText() {
        return this == BOTH || this == TEXT;
    }

    static Goes of(OwnLetter letter) {
        return letter.texts() ? letter.off() ? TEXT : BOTH : letter.off() ? NOT : MAIL;
    }

    /** Whatever is none of them is {@link #MAIL}. */
    static Goes read(String code) {
        return Arrays.stream(values())
                .filter(g -> g.code().equals(code))
                .findFirst()
                .orElse(MAIL);
    }
}
