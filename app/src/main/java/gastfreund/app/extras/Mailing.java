package gastfreund.app.extras;

import gastfreund.app.typed.MailAddress;
import gastfreund.housefile.Node;

/**
 * What a house says of itself in its mails.
 *
 * @param sender as whom it writes; empty: under its own name
 * @param reply the mail address to which answers go; empty: its own
 * @param foot what stands under every mail, above how the house is reached; empty: nothing
 */
public record Mailing(String sender, String reply, String foot) {

    static Mailing of(Node extra) {
        return extra.member("mails")
                .map(mails -> mails.object("sender", "reply", "foot"))
                .map(Mailing::read)
                .orElse(new Mailing("", "", ""));
    }

    private static Mailing read(Node mails) {
        String reply = mails.textOrBlank("reply");
        if (!reply.isEmpty() && !MailAddress.isOne(reply)) {
            mails.at("reply").problem("must be a mail address");
        }
        return new Mailing(
                mails.textOrBlank("sender").strip(),
                reply.strip(),
                mails.textOrBlank("foot").strip());
    }
}
