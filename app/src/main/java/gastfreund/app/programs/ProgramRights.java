package gastfreund.app.programs;

import gastfreund.app.strangers.Guard;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Lets no program into a handler that its key does not open, and tells handlers which program asks. */
@Configuration
class ProgramRights implements WebMvcConfigurer {

    @Bean
    @Order(0)
    static SecurityFilterChain programs(HttpSecurity http, Guard guard, Keys keys, Problems problems) throws Exception {
        guard.guard(http)
                .securityMatcher(Problems.PATH + "**")
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .addFilterBefore(new KeyGate(keys, problems), AuthorizationFilter.class);
        return http.build();
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Gate()).addPathPatterns(Problems.PATH + "**");
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new Who());
    }

    private static final class Gate implements HandlerInterceptor {

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
            if (!(handler instanceof HandlerMethod method) || method.hasMethodAnnotation(ForAll.class)) {
                return true;
            }
            if (!(request.getAttribute(KeyGate.PROGRAM) instanceof Program program)) {
                throw Refused.because(Refused.Why.NO_KEY);
            }
            WithKey needs = method.getMethodAnnotation(WithKey.class);
            if (needs == null || !program.may(needs.value())) {
                throw Refused.because(Refused.Why.NOT_ALLOWED);
            }
            return true;
        }
    }

    private static final class Who implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Program.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                @Nullable ModelAndViewContainer container,
                NativeWebRequest request,
                @Nullable WebDataBinderFactory binders) {
            HttpServletRequest asked = Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class));
            return Objects.requireNonNull(asked.getAttribute(KeyGate.PROGRAM), "a key was asked for before");
        }
    }
}
