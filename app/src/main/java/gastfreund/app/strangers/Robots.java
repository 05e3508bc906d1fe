package gastfreund.app.strangers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.web.filter.OncePerRequestFilter;

/** Asks search engines to keep out of whatever has a token in its address, and of the desk. */
final class Robots extends OncePerRequestFilter {

    private static final List<String> PRIVATE =
            List.of("/basket/", "/bookings/", "/payments/", "/wishes/", "/codes/", "/account", "/desk");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String query = request.getQueryString();
        if (PRIVATE.stream().anyMatch(request.getServletPath()::startsWith)
                || !request.getContextPath().isEmpty() && !Framing.isForbidden(request)
                || query != null && query.contains("basket=")) {
            response.setHeader("X-Robots-Tag", "noindex, nofollow");
        }
        chain.doFilter(request, response);
    }
}
