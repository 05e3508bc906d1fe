package gastfreund.app.hosts;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.InteractiveAuthenticationSuccessEvent;
import org.springframework.stereotype.Component;

/**
 * Makes sign-ins slower after several failures at one account, wherever they come from. Nobody is locked out by it: each
 * try is judged, only later. A try that waits takes no thread.
 */
@Component
class Slowing implements DisposableBean {

    private record Failures(int count, Instant last) {}

    private static final int FREE = 3;
    private static final int MOST_DOUBLINGS = 4;
    private static final int MOST_ACCOUNTS = 10_000;
    private static final int MOST_EMAIL = 254;
    private static final Duration REMEMBERED = Duration.ofHours(1);
    private static final String WAITED = Slowing.class.getName() + ".waited";

    private final Duration base;
    private final Clock clock;
    private final ScheduledExecutorService later = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "slowed sign-ins");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<String, Failures> accounts = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failures> eldest) {
            return size() > MOST_ACCOUNTS;
        }
    };

    Slowing(SignInSettings settings, Clock clock) {
        this.base = settings.slower();
        this.clock = clock;
    }

    /** Lets a sign-in on, at once or after its pause. */
    void filter(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String email = request.getParameter("email");
        Duration pause = email == null || request.getAttribute(WAITED) != null ? Duration.ZERO : pause(email);
        if (pause.isZero()) {
            chain.doFilter(request, response);
            return;
        }
        request.setAttribute(WAITED, true);
        AsyncContext waiting = request.startAsync();
        waiting.setTimeout(pause.toMillis() * 4 + 10_000);
        later.schedule((Runnable) waiting::dispatch, pause.toMillis(), TimeUnit.MILLISECONDS);
    }

    /** How long a try at an account waits now. */
    Duration pause(String email) {
        synchronized (accounts) {
            Failures failures = accounts.get(key(email));
            if (failures == null
                    || failures.last().plus(REMEMBERED).isBefore(clock.instant())
                    || failures.count() <= FREE) {
                return Duration.ZERO;
            }
            return base.multipliedBy(1L << Math.min(failures.count() - FREE - 1, MOST_DOUBLINGS));
        }
    }

    @EventListener
    void failed(AbstractAuthenticationFailureEvent event) {
        synchronized (accounts) {
            accounts.merge(
                    key(event.getAuthentication().getName()),
                    new Failures(1, clock.instant()),
                    (before, one) -> new Failures(before.count() + 1, one.last()));
        }
    }

    @EventListener
    void succeeded(InteractiveAuthenticationSuccessEvent event) {
        synchronized (accounts) {
            accounts.remove(key(event.getAuthentication().getName()));
        }
    }

    private static String key(String email) {
        String plain = email.strip().toLowerCase(Locale.ROOT);
        return plain.substring(0, Math.min(MOST_EMAIL, plain.length()));
    }

    @Override
    public void destroy() {
        later.shutdownNow();
    }
}
