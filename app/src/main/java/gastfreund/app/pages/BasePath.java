package gastfreund.app.pages;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Mounts the application under the path of its own address, where that has one ({@code https://shop.example/book}). The proxy
 * before it may hand the path on or take it away.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BasePath extends OncePerRequestFilter {

    private final String path;

    BasePath(Address address) {
        this.path = address.path();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(path.isEmpty() ? request : Mounted.under(request, path), response);
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
