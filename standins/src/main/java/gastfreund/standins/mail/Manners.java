package gastfreund.standins.mail;

import java.util.Locale;
import org.springframework.stereotype.Component;

/** How the mail server behaves: to everybody, or by the name before the {@code @} to some. */
@Component
class Manners {

    /** What becomes of a mail. */
    enum Manner {
        /** It is taken. */
        TAKES,
        /** It is refused for now. */
        NOT_NOW,
        /** It is refused for good. */
        NEVER,
        /** It is taken, and comes back. */
        COMES_BACK,
        /** It is taken after a while. */
        SLOWLY;

        String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    private volatile Manner all = Manner.TAKES;

    Manner toAll() {
        return all;
    }

    void toAll(Manner manner) {
        all = manner;
    }

    /** {@code nobody@…} is refused for good, {@code later@…} for now, {@code gone@…} comes back, {@code slow@…} takes long. */
    Manner to(String recipient) {
        Manner usual = all;
        if (usual != Manner.TAKES) {
            return usual;
        }
        int at = recipient.indexOf('@');
        return switch (at < 0 ? recipient : recipient.substring(0, at)) {
            case "nobody" -> Manner.NEVER;
            case "later" -> Manner.NOT_NOW;
            case "gone" -> Manner.COMES_BACK;
            case "slow" -> Manner.SLOWLY;
            default -> Manner.TAKES;
        };
    }
}
