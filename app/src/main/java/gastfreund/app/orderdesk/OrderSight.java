package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Presence;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Sight;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** An order that a host does not see is not there for them: neither its page nor anything that is done to it. */
@Configuration
class OrderSight implements WebMvcConfigurer, HandlerInterceptor {

    private static final Pattern NUMBER = Pattern.compile("\\d{1,18}+");

    private final Orders orders;
    private final Sight sight;

    OrderSight(Orders orders, Sight sight) {
        this.orders = orders;
        this.sight = sight;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/desk/orders/*", "/desk/orders/*/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<Host> host = Presence.atTheDesk(request);
        boolean hidden = host.isPresent()
                && number(request)
                        .flatMap(orders::byNumber)
                        .filter(order -> !sight.sees(host.get(), order))
                        .isPresent();
        if (hidden) {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
        }
        return !hidden;
    }

    private static Optional<Long> number(HttpServletRequest request) {
        Object named = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return named instanceof Map<?, ?> names
                        && names.get("number") instanceof String number
                        && NUMBER.matcher(number).matches()
                ? Optional.of(Long.parseLong(number))
                : Optional.empty();
    }
}
