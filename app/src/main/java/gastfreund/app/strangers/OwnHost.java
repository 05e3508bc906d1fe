package gastfreund.app.strangers;

import gastfreund.app.typed.WebAddress;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Optional;
import org.springframework.web.filter.OncePerRequestFilter;

/** Answers to no name of which no address can be made and, where the house's own address is set, to no other name. */
public final class OwnHost extends OncePerRequestFilter {

    private final Optional<URI> own;

    OwnHost(Optional<String> address) {
        this.own = address.map(URI::create);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean health = request.getServletPath().equals("/up");
        if (health
                || (own.isPresent()
                        ? isOwn(request, own.get())
                        : WebAddress.isOne("http://" + request.getServerName()))) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_BAD_REQUEST);
        }
    }

    private static boolean isOwn(HttpServletRequest request, URI own) {
        return request.getServerName().equalsIgnoreCase(own.getHost()) && request.getServerPort() == portOf(own);
    }

    /** The port that an address means, said or not. */
    public static int portOf(URI address) {
        int usual = "https".equals(address.getScheme()) ? 443 : 80;
        return address.getPort() < 0 ? usual : address.getPort();
    }
}
