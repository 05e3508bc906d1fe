package gastfreund.app.tracing;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.slf4j.MDC;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Gives each request its id, before anything else sees it and until its answer is written, the page of a fault and the
 * server's own lines in the log included; and notes faults.
 */
@Configuration
class Tracing implements WebMvcConfigurer {

    private static final String PATTERN = "gastfreund.pattern";

    @Bean
    static WebServerFactoryCustomizer<TomcatServletWebServerFactory> requestIds(RecentFaults faults, Clock clock) {
        return factory -> factory.addEngineValves(new Named(faults, clock));
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Patterns());
    }

    private static final class Named extends ValveBase {

        private final RecentFaults faults;
        private final Clock clock;

        Named(RecentFaults faults, Clock clock) {
            super(true);
            this.faults = faults;
            this.clock = clock;
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            String id = RequestId.next();
            RequestId.name(request, id);
            response.setHeader(RequestId.HEADER, id);
            MDC.put(RequestId.LOGGED, id);
            try {
                getNext().invoke(request, response);
                if (response.getStatus() >= HttpServletResponse.SC_INTERNAL_SERVER_ERROR) {
                    note(id, request);
                }
            } finally {
                MDC.remove(RequestId.LOGGED);
            }
        }

        private void note(String id, Request request) {
            Object pattern = request.getAttribute(PATTERN);
            String where = pattern == null ? request.getMethod() : request.getMethod() + " " + pattern;
            String what = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof Throwable thrown
                    ? root(thrown).getClass().getSimpleName()
                    : "";
            faults.add(new RecentFaults.Fault(id, clock.instant(), where, what));
        }

        private static Throwable root(Throwable thrown) {
            Throwable root = thrown;
            while (root.getCause() != null && root.getCause() != root) {
                root = root.getCause();
            }
            return root;
        }
    }

    /** The page of a fault has a pattern of its own, which takes the place of the one that failed. */
    private static final class Patterns implements HandlerInterceptor {

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
            if (request.getDispatcherType() == DispatcherType.REQUEST) {
                request.setAttribute(PATTERN, request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
            }
            return true;
        }
    }
}
