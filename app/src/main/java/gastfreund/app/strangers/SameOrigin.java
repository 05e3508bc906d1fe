package gastfreund.app.strangers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses what another website makes a browser send. Guests' pages keep no cookie but that of an account, which
 * other sites' forms do not carry; this keeps them from pressing our buttons all the same. Callers that are no browser say
 * neither where they come from nor what they are, and pass.
 */
final class SameOrigin extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (READING.contains(request.getMethod()) || isOurs(request)) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    private static boolean isOurs(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        if (site != null) {
            return site.equals("same-origin") || site.equals("none");
        }
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return true;
        }
        try {
            return request.getHeader("Host") != null
                    && request.getHeader("Host").equals(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
