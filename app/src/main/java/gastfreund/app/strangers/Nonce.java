package gastfreund.app.strangers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.function.Supplier;
import org.springframework.web.filter.OncePerRequestFilter;

/** Gives every answer its own nonce, and the policy that lets run and load only what carries it. */
final class Nonce extends OncePerRequestFilter {

    private final SecureRandom random = new SecureRandom();
    private final Supplier<String> gateways;

    /** @param gateways the origins to which a checkout may lead */
    Nonce(Supplier<String> gateways) {
        this.gateways = gateways;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        String nonce = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        request.setAttribute("nonce", nonce);
        response.setHeader(
                Framing.POLICY,
                "default-src 'none'; script-src 'nonce-" + nonce + "'; style-src 'nonce-" + nonce + "'; "
                        + "img-src 'self' data:; font-src 'self'; connect-src 'self'; worker-src 'self'; "
                        + "form-action 'self' " + gateways.get() + "; base-uri 'none'; frame-ancestors "
                        + Framing.of(request));
        if (Framing.isForbidden(request)) {
            response.setHeader("X-Frame-Options", "DENY");
        }
        chain.doFilter(request, response);
    }
}
