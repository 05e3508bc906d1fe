package gastfreund.app.hosts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks up at each request whom a session belongs to, so that somebody who was removed, who may do less by now, or whose
 * sessions were ended, is so at once; and ends each session after some hours.
 */
final class DeskGate extends OncePerRequestFilter {

    /** The request's attribute with the {@link Host} who is signed in. */
    static final String HOST = "gastfreund.host";

    private static final Duration LONGEST = Duration.ofHours(12);

    private final HostService hosts;
    private final Clock clock;

    DeskGate(HostService hosts, Clock clock) {
        this.hosts = hosts;
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || !(authentication.getPrincipal() instanceof SignedIn signedIn)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<Host> host = hosts.byEmail(signedIn.getUsername()).filter(h -> isLive(signedIn, h, clock.instant()));
        if (host.isPresent()) {
            request.setAttribute(HOST, host.get());
            chain.doFilter(request, response);
        } else {
            end(request);
            response.sendRedirect("/desk/sign-in?ended");
        }
    }

    /** Whether a session still belongs to a host. */
    static boolean isLive(SignedIn signedIn, Host host, Instant now) {
        boolean fresh = Duration.between(signedIn.since(), now).compareTo(LONGEST) < 0;
        return fresh && host.epoch() == signedIn.epoch();
    }

    private static void end(HttpServletRequest request) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }
}
