package gastfreund.app.hosts;

import gastfreund.app.journal.Actor;
import gastfreund.app.strangers.Visitor;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Lets nobody into a handler of the desk but hosts with the right that it names, and tells handlers who is there. */
@Configuration
class DeskRights implements WebMvcConfigurer {

    private static final Logger LOG = LoggerFactory.getLogger(DeskRights.class);

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Gate()).addPathPatterns("/desk", "/desk/**");
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new Who());
    }

    private static final class Gate implements HandlerInterceptor {

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
                throws IOException {
            if (!(handler instanceof HandlerMethod method) || method.hasMethodAnnotation(BeforeSignIn.class)) {
                return true;
            }
            Needs needs = method.getMethodAnnotation(Needs.class);
            boolean may = needs != null
                    && request.getAttribute(DeskGate.HOST) instanceof Host host
                    && host.may(needs.value());
            if (!may) {
                LOG.info(
                        "403 at {} {}",
                        request.getMethod(),
                        request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
                response.sendError(HttpServletResponse.SC_FORBIDDEN);
            }
            return may;
        }
    }

    /** Handlers are given the host, the host as an actor, or the visitor. */
    private static final class Who implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            Class<?> type = parameter.getParameterType();
            return type == Host.class || type == Actor.class || type == Visitor.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                @Nullable ModelAndViewContainer container,
                NativeWebRequest request,
                @Nullable WebDataBinderFactory binders) {
            HttpServletRequest asked = Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class));
            if (parameter.getParameterType() == Visitor.class) {
                return Visitor.of(asked);
            }
            Host host = (Host) asked.getAttribute(DeskGate.HOST);
            return parameter.getParameterType() == Host.class ? host : host.actor();
        }
    }
}
