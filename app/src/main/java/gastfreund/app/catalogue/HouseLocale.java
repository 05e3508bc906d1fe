package gastfreund.app.catalogue;

import gastfreund.app.languages.Languages;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.WebUtils;

/**
 * In which language a visitor is spoken to: the one for which the address asks, else the one they chose last, else the first
 * of those that their browser asks for and the house speaks, else the house's first. At the desk all are spoken.
 */
final class HouseLocale implements LocaleResolver, HandlerInterceptor {

    private static final String LANGUAGE = "language";
    private static final Duration KEPT = Duration.ofDays(365);

    private final CatalogueService catalogues;

    HouseLocale(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** The address of a page with another language. */
    static String asking(String page, Locale language) {
        return UriComponentsBuilder.fromUriString(page)
                .replaceQueryParam(LANGUAGE, language.toLanguageTag())
                .build()
                .toUriString();
    }

    @Override
    public Locale resolveLocale(HttpServletRequest request) {
        List<Locale> spoken = spoken(request);
        Cookie chosen = WebUtils.getCookie(request, LANGUAGE);
        return find(spoken, asked(request))
                .or(() -> find(spoken, (String) request.getAttribute(Languages.ASKED)))
                .or(() -> find(spoken, chosen == null ? null : chosen.getValue()))
                .or(() -> wanted(spoken, request))
                .orElse(spoken.get(0));
    }

    private List<Locale> spoken(HttpServletRequest request) {
        boolean desk = request.getServletPath().startsWith("/desk");
        return desk
                ? Languages.all()
                : catalogues
                        .findPlain()
                        .map(c -> c.extras().manners().languages())
                        .orElse(Languages.all());
    }

    /** What the address asks for; a form says nothing of it. null: nothing. */
    private static @Nullable String asked(HttpServletRequest request) {
        String query = request.getQueryString();
        return query == null
                ? null
                : Arrays.stream(query.split("&"))
                        .filter(part -> part.startsWith(LANGUAGE + "="))
                        .map(part -> part.substring(LANGUAGE.length() + 1))
                        .findFirst()
                        .orElse(null);
    }

    private static Optional<Locale> find(List<Locale> spoken, @Nullable String tag) {
        return spoken.stream().filter(l -> l.toLanguageTag().equals(tag)).findFirst();
    }

    private static Optional<Locale> wanted(List<Locale> spoken, HttpServletRequest request) {
        return request.getHeader(HttpHeaders.ACCEPT_LANGUAGE) == null
                ? Optional.empty()
                : Collections.list(request.getLocales()).stream()
                        .flatMap(
                                w -> spoken.stream().filter(l -> l.getLanguage().equals(w.getLanguage())))
                        .findFirst();
    }

    @Override
    public void setLocale(HttpServletRequest request, @Nullable HttpServletResponse response, @Nullable Locale locale) {
        throw new UnsupportedOperationException("a visitor chooses by the address");
    }

    /** Remembers what a visitor chose. */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean inFrame = request.getAttribute(Languages.ASKED) != null;
        find(spoken(request), inFrame ? null : asked(request))
                .ifPresent(language -> response.addHeader(
                        HttpHeaders.SET_COOKIE,
                        ResponseCookie.from(LANGUAGE, language.toLanguageTag())
                                .path("/")
                                .maxAge(KEPT)
                                .sameSite("Lax")
                                .secure(request.isSecure())
                                .httpOnly(true)
                                .build()
                                .toString()));
        return true;
    }

    /** Puts it where the framework looks for it. */
    @Configuration
    static class InPlace implements WebMvcConfigurer {

        private final HouseLocale locale;

        InPlace(CatalogueService catalogues) {
            this.locale = new HouseLocale(catalogues);
        }

        @Bean
        LocaleResolver localeResolver() {
            return locale;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(locale);
        }
    }
}
