package gastfreund.app.start;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Presence;
import gastfreund.app.hosts.Right;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Keeps guests out of a shop that is not open, and leads the first host to the four answers. */
@Configuration
class FrontGate implements WebMvcConfigurer {

    static final String CLOSED = "/closed";

    private final CatalogueService catalogues;
    private final Presence presence;
    private final Starting starting;

    FrontGate(CatalogueService catalogues, Presence presence, Starting starting) {
        this.catalogues = catalogues;
        this.presence = presence;
        this.starting = starting;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Front())
                .addPathPatterns("/", "/offers/**", "/vouchers/**", "/goods/**", "/basket", "/basket/**");
        registry.addInterceptor(new Desk()).addPathPatterns("/desk");
    }

    private final class Front implements HandlerInterceptor {

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
                throws IOException {
            Optional<Catalogue> house = catalogues.find();
            boolean open = house.isEmpty()
                    || house.get().opening().isForEverybody()
                    || presence.host(request).isPresent();
            if (!open) {
                response.sendRedirect(request.getContextPath() + CLOSED);
            }
            return open;
        }
    }

    private final class Desk implements HandlerInterceptor {

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
                throws IOException {
            boolean begins =
                    Presence.atTheDesk(request).filter(h -> h.may(Right.SET_UP)).isPresent() && starting.isBare();
            if (begins) {
                response.sendRedirect(request.getContextPath() + "/desk/start");
            }
            return !begins;
        }
    }
}
