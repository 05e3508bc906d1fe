package gastfreund.app.strangers;

import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.filter.OncePerRequestFilter;

/** Bounds how often one visitor may sign in, check out, hold places, try codes, tell of payments or have a program ask. */
final class Limits extends OncePerRequestFilter {

    private record Limit(String what, int perMinute) {}

    private static final int MOST_VISITORS = 20_000;
    private static final List<String> HOLDING =
            List.of("/bookings/", "/offers/", "/agenda/", "/wishes/", "/basket/", "/vouchers/");

    private final StrangerSettings.Limits limits;
    private final Map<String, Bucket> buckets = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > MOST_VISITORS;
        }
    };

    Limits(StrangerSettings.Limits limits) {
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Limit> limit = limitFor(request);
        if (limit.isEmpty() || bucket(request, limit.get()).tryConsume(1)) {
            chain.doFilter(request, response);
        } else {
            response.setHeader("Retry-After", "60");
            response.sendError(429);
        }
    }

    /** What counts: the path as it is understood, since the one that was sent may spell a letter in another way. */
    private Optional<Limit> limitFor(HttpServletRequest request) {
        String path = request.getServletPath();
        if (path.startsWith("/api/")) {
            return Optional.of(new Limit("programs", limits.programs()));
        }
        if (path.startsWith("/codes/")) {
            return Optional.of(new Limit("codes", limits.codes()));
        }
        if (!request.getMethod().equals("POST")) {
            return Optional.empty();
        }
        if (path.startsWith("/basket/") && path.endsWith("/code")) {
            return Optional.of(new Limit("codes", limits.codes()));
        }
        if (path.startsWith("/payments/") && path.contains("/tokens/")) {
            return Optional.of(new Limit("codes", limits.codes()));
        }
        if (path.startsWith("/payments/")) {
            return Optional.of(new Limit("notifications", limits.notifications()));
        }
        if (path.equals("/account/enter")
                || path.startsWith("/account/link")
                || path.startsWith("/account/passkey")
                || path.startsWith("/account/ways")) {
            return Optional.of(new Limit("accounts", limits.signIns()));
        }
        if (path.equals("/desk/sign-in") || path.equals("/desk/welcome") || path.equals("/desk/account/password")) {
            return Optional.of(new Limit("sign-ins", limits.signIns()));
        }
        if (path.startsWith("/desk/") && path.endsWith("/picture")) {
            return Optional.of(new Limit("pictures", limits.pictures()));
        }
        if (path.endsWith("/checkout") || path.endsWith("/pay") || path.equals("/mine")) {
            return Optional.of(new Limit("checkouts", limits.checkouts()));
        }
        return HOLDING.stream().anyMatch(path::startsWith)
                ? Optional.of(new Limit("holds", limits.holds()))
                : Optional.empty();
    }

    private Bucket bucket(HttpServletRequest request, Limit limit) {
        String key = limit.what() + " " + Visitor.of(request).network();
        synchronized (buckets) {
            return buckets.computeIfAbsent(key, k -> Bucket.builder()
                    .addLimit(b -> b.capacity(limit.perMinute()).refillGreedy(limit.perMinute(), Duration.ofMinutes(1)))
                    .build());
        }
    }
}
