package gastfreund.app.hosts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks up at each request whom a session belongs to, so that somebody who was removed, who may do less by now, or whose
 * sessions were ended, is so at once.
 */
final class DeskGate extends OncePerRequestFilter {

    /** The request's attribute with the {@link Host} who is signed in. */
    static final String HOST = "gastfreund.host";

    private final HostService hosts;

    DeskGate(HostService hosts) {
        this.hosts = hosts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || !(authentication.getPrincipal() instanceof SignedIn signedIn)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<Host> host = hosts.of(signedIn);
        if (host.isPresent()) {
            if (!hosts.isSeenLately(signedIn)) {
                hosts.seen(signedIn);
            }
            request.setAttribute(HOST, host.get());
            chain.doFilter(request, response);
        } else {
            end(request);
            response.sendRedirect(request.getContextPath() + "/desk/sign-in?ended");
        }
    }

    private static void end(HttpServletRequest request) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }
}
