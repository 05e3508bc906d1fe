package gastfreund.app.storage;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.transaction.TransactionStatus;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.AsyncHandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A page that is asked for is put together from one {@link Reading}, which ends before anything is sent: no slow visitor
 * holds a connection to the file. Handlers that do more than read say {@link DoesMore}.
 */
@Configuration
class PagesReadOnce implements WebMvcConfigurer, AsyncHandlerInterceptor {

    private static final String BEGUN = PagesReadOnce.class.getName();

    private final Reading reading;

    PagesReadOnce(Reading reading) {
        this.reading = reading;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method && isPage(request, method)) {
            request.setAttribute(BEGUN, reading.begin());
        }
        return true;
    }

    private static boolean isPage(HttpServletRequest request, HandlerMethod method) {
        return HttpMethod.GET.matches(request.getMethod())
                && method.getReturnType().getParameterType() == String.class
                && !method.hasMethodAnnotation(DoesMore.class);
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView view) {
        end(request);
    }

    @Override
    public void afterConcurrentHandlingStarted(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        end(request);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception thrown) {
        end(request);
    }

    private void end(HttpServletRequest request) {
        if (request.getAttribute(BEGUN) instanceof TransactionStatus begun) {
            request.removeAttribute(BEGUN);
            reading.end(begun);
        }
    }
}
