package gastfreund.app.messages;

import jakarta.mail.MessagingException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.springframework.mail.MailSendException;

/** Tells a mail server's no for good (RFC 5321, 4.2.1: a code from 500 on) from one that may be a yes later. */
final class Refusals {

    private static final int FOR_GOOD = 500;

    private Refusals() {}

    /** What a server said when it refused a recipient or a message for good; empty: it may still take it. */
    static Optional<String> forGood(Throwable thrown) {
        Deque<Throwable> open = new ArrayDeque<>(List.of(thrown));
        Set<Throwable> seen = new HashSet<>();
        while (!open.isEmpty()) {
            Throwable one = open.pop();
            if (!seen.add(one)) {
                continue;
            }
            int code = one instanceof SMTPAddressFailedException address
                    ? address.getReturnCode()
                    : one instanceof SMTPSendFailedException send ? send.getReturnCode() : 0;
            if (code >= FOR_GOOD) {
                return Optional.of(String.valueOf(one.getMessage()).strip());
            }
            next(one).forEach(open::push);
        }
        return Optional.empty();
    }

    private static List<Throwable> next(Throwable one) {
        List<Throwable> next = new ArrayList<>();
        if (one.getCause() != null) {
            next.add(one.getCause());
        }
        if (one instanceof MessagingException messaging && messaging.getNextException() != null) {
            next.add(messaging.getNextException());
        }
        if (one instanceof MailSendException send) {
            next.addAll(List.of(send.getMessageExceptions()));
        }
        return next;
    }
}
