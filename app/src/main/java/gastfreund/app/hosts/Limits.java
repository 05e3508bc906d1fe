package gastfreund.app.hosts;

import gastfreund.app.house.Settings;
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
import org.springframework.web.filter.OncePerRequestFilter;

/** Bounds how often one address may sign in, check out or hold places. */
final class Limits extends OncePerRequestFilter {

    private static final int MOST_ADDRESSES = 20_000;
    private static final List<String> HOLDING = List.of("/bookings/", "/offers/", "/basket/", "/vouchers/");

    private final Settings.Limits limits;
    private final Map<String, Bucket> buckets = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > MOST_ADDRESSES;
        }
    };

    Limits(Settings.Limits limits) {
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int perMinute = limitFor(request);
        if (perMinute == 0 || bucket(request, perMinute).tryConsume(1)) {
            chain.doFilter(request, response);
        } else {
            response.setHeader("Retry-After", "60");
            response.sendError(429);
        }
    }

    private int limitFor(HttpServletRequest request) {
        if (!request.getMethod().equals("POST")) {
            return 0;
        }
        String path = request.getRequestURI();
        if (path.equals("/desk/sign-in") || path.equals("/desk/welcome")) {
            return limits.signIns();
        }
        if (path.endsWith("/checkout") || path.endsWith("/pay")) {
            return limits.checkouts();
        }
        return HOLDING.stream().anyMatch(path::startsWith) ? limits.holds() : 0;
    }

    private Bucket bucket(HttpServletRequest request, int perMinute) {
        String key = perMinute + " " + request.getRemoteAddr();
        synchronized (buckets) {
            return buckets.computeIfAbsent(key, k -> Bucket.builder()
                    .addLimit(limit -> limit.capacity(perMinute).refillGreedy(perMinute, Duration.ofMinutes(1)))
                    .build());
        }
    }
}
