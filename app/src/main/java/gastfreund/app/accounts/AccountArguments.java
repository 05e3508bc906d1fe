package gastfreund.app.accounts;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Gives handlers the account of whoever asks. One that takes an {@link Account} is for those who are in, and for nobody else;
 * one that takes an {@code Optional} of it is for everybody.
 */
@Configuration
class AccountArguments implements WebMvcConfigurer {

    private final Entrance entrance;

    AccountArguments(Entrance entrance) {
        this.entrance = entrance;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new Resolver(entrance));
    }

    private record Resolver(Entrance entrance) implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Account.class || isPerhaps(parameter);
        }

        private static boolean isPerhaps(MethodParameter parameter) {
            return parameter.getParameterType() == Optional.class
                    && ResolvableType.forMethodParameter(parameter)
                                    .getGeneric(0)
                                    .resolve()
                            == Account.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                @Nullable ModelAndViewContainer container,
                NativeWebRequest request,
                @Nullable WebDataBinderFactory binders) {
            HttpServletRequest asked = Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class));
            Optional<Account> account = entrance.account(asked);
            return isPerhaps(parameter) ? account : account.orElseThrow(NotInException::new);
        }
    }
}
