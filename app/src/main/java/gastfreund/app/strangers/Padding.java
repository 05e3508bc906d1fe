package gastfreund.app.strangers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives every page some characters of chance, as many as chance will have it. Pages are compressed, and some of them carry
 * a secret beside what somebody typed: without these, whether a guess is like the secret could be told from the length.
 */
final class Padding extends OncePerRequestFilter {

    private static final int MOST_BYTES = 192;

    private final SecureRandom random = new SecureRandom();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // At least one: an attribute without a value is left out of the page, which is no HTML then.
        byte[] bytes = new byte[1 + random.nextInt(MOST_BYTES)];
        random.nextBytes(bytes);
        request.setAttribute("padding", Base64.getUrlEncoder().withoutPadding().encodeToString(bytes));
        chain.doFilter(request, response);
    }
}
