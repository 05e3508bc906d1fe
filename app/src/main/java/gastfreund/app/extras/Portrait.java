package gastfreund.app.extras;

import gastfreund.app.pictures.PictureName;
import gastfreund.app.typed.MailAddress;
import gastfreund.housefile.Node;

/**
 * What guests see of a person, and how the house writes to them.
 *
 * @param words empty: none
 * @param picture a file name in the data folder's pictures; empty: none
 * @param email empty: no letters
 */
public record Portrait(String words, String picture, String email) {

    static Portrait of(Node extra) {
        String email = extra.textOrBlank("email");
        if (!email.isEmpty() && !MailAddress.isOne(email)) {
            extra.at("email").problem("must be a mail address");
        }
        return new Portrait(extra.textOrBlank("words"), PictureName.in(extra, "picture"), email);
    }
}
