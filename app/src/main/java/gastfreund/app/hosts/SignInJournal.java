package gastfreund.app.hosts;

import java.time.Clock;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.InteractiveAuthenticationSuccessEvent;
import org.springframework.security.authentication.event.LogoutSuccessEvent;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Notes who signs in and out, and who tries. What was typed that is no host's address is not kept: it may be a password. */
@Component
public class SignInJournal {

    private final HostStore store;
    private final HostService hosts;
    private final TransactionTemplate transaction;
    private final Clock clock;

    SignInJournal(HostStore store, HostService hosts, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.hosts = hosts;
        this.transaction = transaction;
        this.clock = clock;
    }

    @EventListener
    void in(InteractiveAuthenticationSuccessEvent event) {
        note(event.getAuthentication(), SignIn.What.IN);
        if (event.getAuthentication().getPrincipal() instanceof SignedIn signedIn
                && event.getAuthentication().getDetails() instanceof Security.Typed typed) {
            hosts.begin(signedIn, typed.getRemoteAddress(), typed.agent());
        }
    }

    @EventListener
    void failed(AbstractAuthenticationFailureEvent event) {
        note(event.getAuthentication(), SignIn.What.FAILED);
    }

    @EventListener
    void out(LogoutSuccessEvent event) {
        note(event.getAuthentication(), SignIn.What.OUT);
        if (event.getAuthentication().getPrincipal() instanceof SignedIn signedIn) {
            hosts.endSession(signedIn.id());
        }
    }

    private void note(Authentication authentication, SignIn.What what) {
        String address =
                authentication.getDetails() instanceof WebAuthenticationDetails web ? web.getRemoteAddress() : "";
        note(authentication.getName(), what, address);
    }

    /** Notes what somebody did, or tried. */
    public void note(String email, SignIn.What what, String address) {
        String host = store.byEmail(email).map(Host::email).orElse("");
        transaction.executeWithoutResult(s -> store.note(new SignIn(clock.instant(), host, what, address)));
    }
}
