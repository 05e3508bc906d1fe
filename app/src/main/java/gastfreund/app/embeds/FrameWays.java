package gastfreund.app.embeds;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.pages.Address;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The ways out of a frame and back. Gateways refuse frames: whoever is led to one gets a page that sends the whole window there.
 * Whoever comes back from one comes to the page on which they were, if the house knows its site, or else to their booking.
 */
@Configuration(proxyBeanMethods = false)
class FrameWays implements WebMvcConfigurer, HandlerInterceptor {

    private static final String REDIRECT = "redirect:";
    private static final Pattern BACK = Pattern.compile("\\A/bookings/([A-Za-z0-9_-]{1,60}+)/paid\\z");

    private final CatalogueService catalogues;
    private final Tickets tickets;
    private final Address address;

    FrameWays(CatalogueService catalogues, Tickets tickets, Address address) {
        this.catalogues = catalogues;
        this.tickets = tickets;
        this.address = address;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (!(request.getAttribute(Embed.ATTRIBUTE) instanceof Embed embed)
                || page == null
                || page.getViewName() == null
                || !page.getViewName().startsWith(REDIRECT)) {
            return;
        }
        String to = page.getViewName().substring(REDIRECT.length());
        Matcher back = BACK.matcher(request.getServletPath());
        if (back.matches()) {
            page.setViewName(REDIRECT + back(embed, back.group(1)));
        } else if (!Embed.origin(to).isEmpty()) {
            page.setViewName("embeds/onward");
            page.addObject("page", to);
        }
    }

    private String back(Embed embed, String booking) {
        boolean known = !embed.page().isEmpty()
                && catalogues.catalogue().extras().sharing().mayStandOn(Embed.origin(embed.page()));
        String page = embed.page();
        int mark = page.indexOf('#');
        return known
                ? (mark < 0 ? page : page.substring(0, mark)) + "#gastfreund=" + tickets.issue(booking)
                : address.of("/bookings/" + booking);
    }
}
