package gastfreund.app.strangers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Optional;
import org.springframework.web.filter.OncePerRequestFilter;

/** Where the house's own address is set, answers to no other name. */
final class OwnHost extends OncePerRequestFilter {

    private final Optional<URI> own;

    OwnHost(Optional<String> address) {
        this.own = address.map(URI::create);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean health = request.getServletPath().equals("/up");
        if (health || own.isEmpty() || isOwn(request, own.get())) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_BAD_REQUEST);
        }
    }

    private static boolean isOwn(HttpServletRequest request, URI own) {
        int usual = "https".equals(own.getScheme()) ? 443 : 80;
        int port = own.getPort() < 0 ? usual : own.getPort();
        return request.getServerName().equalsIgnoreCase(own.getHost()) && request.getServerPort() == port;
    }
}
