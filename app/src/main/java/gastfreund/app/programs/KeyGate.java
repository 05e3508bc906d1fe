package gastfreund.app.programs;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.web.filter.OncePerRequestFilter;

/** Looks up at each request whose key it has, so that one that was withdrawn is refused at once. */
final class KeyGate extends OncePerRequestFilter {

    /** The request's attribute with the {@link Program} that asks. */
    static final String PROGRAM = "gastfreund.program";

    private static final String BEARER = "Bearer ";

    private final Keys keys;
    private final Problems problems;

    KeyGate(Keys keys, Problems problems) {
        this.keys = keys;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String said = request.getHeader(HttpHeaders.AUTHORIZATION);
        if (said == null) {
            chain.doFilter(request, response);
            return;
        }
        boolean bearer = said.regionMatches(true, 0, BEARER, 0, BEARER.length());
        Optional<Program> program =
                bearer ? keys.of(said.substring(BEARER.length()).strip()) : Optional.empty();
        if (program.isEmpty()) {
            problems.write(Refused.because(Refused.Why.WRONG_KEY), request.getLocale(), response);
            return;
        }
        if (!keys.isNoted(program.get())) {
            keys.noteUse(program.get());
        }
        request.setAttribute(PROGRAM, program.get());
        chain.doFilter(request, response);
    }
}
