package gastfreund.app.pages;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/**
 * Gives every page the addresses of styles, scripts and fonts with a mark of their content in them, so that browsers keep
 * them for a year. Only these are asked for: a filter that looks up every link of every page costs more than the page.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class Assets extends OncePerRequestFilter {

    /**
     * Where they lie, as {@code assets} in a page; the desk has scripts of its own.
     *
     * @param base what all their addresses begin with; a page in a frame, whose own address says how it looks, has the same
     */
    public record Addresses(
            String base, String styles, String scripts, String desk, String proof, String frame, String font) {}

    private final ResourceUrlProvider urls;
    private final Address address;
    private volatile @Nullable Addresses known;

    Assets(ResourceUrlProvider urls, Address address) {
        this.address = address;
        this.urls = urls;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        request.setAttribute("assets", addresses());
        chain.doFilter(request, response);
    }

    /** What is refused before any filter is answered with a page, too. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private Addresses addresses() {
        Addresses addresses = known;
        if (addresses == null) {
            addresses = new Addresses(
                    address.path(),
                    of("/app/app.css"),
                    of("/app/app.js"),
                    of("/app/desk.js"),
                    of("/app/proof.js"),
                    of("/app/frame.js"),
                    of("/vendor/figtree-latin.woff2"));
            known = addresses;
        }
        return addresses;
    }

    private String of(String path) {
        String found = urls.getForLookupPath(path);
        return found == null ? path : found;
    }

    @Configuration
    static class NoFilter {

        @Bean
        FilterRegistrationBean<ResourceUrlEncodingFilter> resourceUrlEncodingFilter() {
            FilterRegistrationBean<ResourceUrlEncodingFilter> none =
                    new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
            none.setEnabled(false);
            return none;
        }
    }
}
