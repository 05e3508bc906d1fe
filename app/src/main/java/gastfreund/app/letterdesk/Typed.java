package gastfreund.app.letterdesk;

import gastfreund.app.typed.Written;
import org.jspecify.annotations.Nullable;

/**
 * What a host looks at and types; null: nothing was typed, so that what is kept stands.
 *
 * @param offer its id; empty: all offers
 * @param letter its id; empty: the first
 * @param booking the id of the one that a letter is shown about; empty: the newest
 * @param view how it is shown: {@code narrow}, {@code dark}; anything else: wide and by day
 */
public record Typed(
        String offer,
        String letter,
        String language,
        String booking,
        String view,
        @Nullable String goes,
        @Nullable String to,
        @Nullable String minutes,
        @Nullable String subject,
        @Nullable String text,
        @Nullable String message) {

    static final int MOST_SUBJECT = 200;
    static final int MOST_TEXT = 8000;
    static final int MOST_MESSAGE = 1000;

    public Typed {
        offer = Written.line(offer, 120);
        letter = Written.line(letter, 120);
        language = Written.line(language, 10);
        booking = Written.line(booking, 60);
        view = Written.line(view, 10);
        subject = subject == null ? null : Written.line(subject, MOST_SUBJECT);
        text = text == null ? null : Written.text(text, MOST_TEXT).replace("\r\n", "\n");
        message = message == null ? null : Written.text(message, MOST_MESSAGE).replace("\r\n", "\n");
    }

    /** The same without what was typed. */
    Typed plain() {
        return new Typed(offer, letter, language, booking, view, null, null, null, null, null, null);
    }

    Typed withLetter(String id) {
        return new Typed(offer, id, language, booking, view, null, null, null, null, null, null);
    }

    Typed withOffer(String id) {
        return new Typed(id, letter, language, booking, view, null, null, null, null, null, null);
    }

    Typed in(String tag) {
        return new Typed(offer, letter, tag, booking, view, null, null, null, null, null, null);
    }
}
