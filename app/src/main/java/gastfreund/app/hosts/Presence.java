package gastfreund.app.hosts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Whether whoever looks at a guest's page is signed in at the desk in the same browser. They may do nothing more there. */
@Component
public class Presence {

    private final HostService hosts;
    private final Clock clock;

    Presence(HostService hosts, Clock clock) {
        this.hosts = hosts;
        this.clock = clock;
    }

    public Optional<Host> host(HttpServletRequest request) {
        @Nullable HttpSession session = request.getSession(false);
        Object context = session == null
                ? null
                : session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        return context instanceof SecurityContext of
                        && of.getAuthentication() != null
                        && of.getAuthentication().getPrincipal() instanceof SignedIn signedIn
                ? hosts.byEmail(signedIn.getUsername()).filter(h -> DeskGate.isLive(signedIn, h, clock.instant()))
                : Optional.empty();
    }
}
