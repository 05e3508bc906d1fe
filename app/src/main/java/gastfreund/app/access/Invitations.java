package gastfreund.app.access;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.Role;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.secrets.Secrets;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.MailAddress;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;

/** Invites hosts by a mailed link, which is good for three days and once. */
@Service
public class Invitations {

    static final Duration GOOD = Duration.ofHours(72);
    private static final String PURPOSE = "invitation";

    private final InvitationStore store;
    private final HostService hosts;
    private final Outbox outbox;
    private final Secrets secrets;
    private final Tokens tokens;
    private final Clock clock;

    Invitations(InvitationStore store, HostService hosts, Outbox outbox, Secrets secrets, Tokens tokens, Clock clock) {
        this.store = store;
        this.hosts = hosts;
        this.outbox = outbox;
        this.secrets = secrets;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** What came of inviting. */
    enum Invited {
        INVITED,
        /** That is no mail address. */
        NO_ADDRESS,
        /** Somebody with this address signs in already. */
        HOST_ALREADY
    }

    /** Invites somebody; an earlier invitation of the same address is good no more. */
    @Transactional
    public Invited invite(Host by, String email, Role role, String person, Locale language) {
        String address = email.strip();
        if (!MailAddress.isOne(address)) {
            return Invited.NO_ADDRESS;
        }
        if (hosts.byEmail(address).isPresent()) {
            return Invited.HOST_ALREADY;
        }
        String token = tokens.next();
        Instant now = clock.instant();
        Instant expires = now.plus(GOOD);
        store.put(
                new Invitation(secrets.mark(PURPOSE, token), address, role, person, language, expires),
                by.email(),
                now);
        String facts = JsonNodeFactory.instance
                .objectNode()
                .put("token", token)
                .put("by", by.name())
                .put("role", role.code())
                .put("expires", expires.getEpochSecond())
                .toString();
        outbox.put(new Letter(null, InvitationLetters.KIND, address, language, facts));
        return Invited.INVITED;
    }

    public List<Invitation> open() {
        return store.open(clock.instant());
    }

    /** The invitation of a link; empty where there is none, or it is good no more. */
    public Optional<Invitation> of(String token) {
        return store.find(secrets.mark(PURPOSE, token), clock.instant());
    }

    /**
     * Takes an invitation: from now on they sign in.
     *
     * @return whether it was still good
     */
    @Transactional
    public boolean accept(String token, String name, String password) {
        Optional<Invitation> invitation = of(token);
        if (invitation.isEmpty() || hosts.byEmail(invitation.get().email()).isPresent()) {
            return false;
        }
        Invitation taken = invitation.get();
        store.delete(taken.mark());
        hosts.add(taken.email(), name, password, taken.role(), taken.language(), taken.person());
        return true;
    }

    @Transactional
    public void withdraw(String mark) {
        store.delete(mark);
    }
}
