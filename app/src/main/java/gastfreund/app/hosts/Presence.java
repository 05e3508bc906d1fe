package gastfreund.app.hosts;

import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.Written;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Who is signed in in a browser, on guests' pages too, where they may do nothing more; and that a session goes on. */
@Component
public class Presence {

    private static final int MOST_AGENT = 200;

    private final HostService hosts;
    private final Tokens tokens;
    private final Clock clock;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    Presence(HostService hosts, Tokens tokens, Clock clock) {
        this.hosts = hosts;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** The host whose request at the desk it is. */
    public static Optional<Host> atTheDesk(HttpServletRequest request) {
        return Optional.ofNullable(request.getAttribute(DeskGate.HOST)).map(Host.class::cast);
    }

    /** The host who is signed in in the browser of a guest's page. */
    public Optional<Host> host(HttpServletRequest request) {
        @Nullable HttpSession session = request.getSession(false);
        Object context = session == null
                ? null
                : session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        return context instanceof SecurityContext of
                        && of.getAuthentication() != null
                        && of.getAuthentication().getPrincipal() instanceof SignedIn signedIn
                ? hosts.of(signedIn)
                : Optional.empty();
    }

    /** All sessions of a host have ended; this one goes on under another id. */
    public void goOnAs(Host host, HttpServletRequest request, HttpServletResponse response) {
        SignedIn again = new SignedIn(tokens.next(), host, clock.instant());
        again.eraseCredentials();
        hosts.begin(again, request.getRemoteAddr(), Written.line(request.getHeader("User-Agent"), MOST_AGENT));
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(again, null, again.getAuthorities()));
        SecurityContextHolder.setContext(context);
        request.changeSessionId();
        sessions.saveContext(context, request, response);
    }
}
