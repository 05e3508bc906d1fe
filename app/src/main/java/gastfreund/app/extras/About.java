package gastfreund.app.extras;

import gastfreund.app.pictures.PictureName;
import gastfreund.app.typed.MailAddress;
import gastfreund.housefile.Node;
import java.util.List;
import java.util.stream.Stream;

/**
 * Who a house is, beside its name; empty: nothing is said.
 *
 * @param shortName where there is little room
 * @param text formatted, as Markdown
 * @param logo a file name among the house's pictures
 * @param address in lines
 */
public record About(String shortName, String text, String logo, String email, String phone, String address) {

    static About of(Node extra) {
        String email = extra.textOrBlank("email");
        if (!email.isEmpty() && !MailAddress.isOne(email)) {
            extra.at("email").problem("must be a mail address");
        }
        return new About(
                extra.textOrBlank("shortName"),
                extra.textOrBlank("about"),
                PictureName.in(extra, "logo"),
                email,
                extra.textOrBlank("phone"),
                extra.textOrBlank("address"));
    }

    /** How the house is reached, each in one line. */
    public List<String> contact() {
        return Stream.of(address.replace("\n", ", "), phone, email)
                .filter(line -> !line.isEmpty())
                .toList();
    }
}
