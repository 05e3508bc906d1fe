package gastfreund.app.embeds;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Mounted;
import gastfreund.app.sources.Source;
import gastfreund.app.strangers.Framing;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Guests' pages once more, under {@code /embed}: only there may they stand in a frame, and only of the sites that the house
 * names. How they look is part of the path, so that every link and every form in the frame keeps it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class EmbedMount extends OncePerRequestFilter {

    private static final String UNDER = "/embed";
    private static final char SAID = '~';

    /** What a guest needs; the desk is never in a frame. */
    private static final List<String> PAGES = List.of(
            "/offers/",
            "/vouchers/",
            "/goods/",
            "/basket/",
            "/bookings/",
            "/wishes/",
            "/texts/",
            "/codes/",
            "/pictures/",
            "/back/",
            "/neighbour",
            "/mine",
            "/agenda",
            "/closed");

    /** And how they ask for the link into their account, which opens the house's own page. */
    private static final Set<String> SINGLE = Set.of("/account/enter", "/account/link");

    private final CatalogueService catalogues;

    EmbedMount(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = Mounted.pathOf(request);
        if (request.getAttribute(Embed.ATTRIBUTE) instanceof Embed embed) {
            // The page of an error, in the frame in which it went wrong.
            chain.doFilter(Mounted.under(request, UNDER + segment(embed)), response);
            return;
        }
        if (!path.equals(UNDER) && !path.startsWith(UNDER + "/")) {
            chain.doFilter(request, response);
            return;
        }
        String written = written(path);
        // A form says nothing of looks: its body is nobody's business yet.
        boolean looks = "GET".equals(request.getMethod());
        Embed said = written.isEmpty() ? asked(looks ? request::getParameter : name -> null) : Embed.read(written);
        String language = looks ? request.getParameter("language") : null;
        Embed embed = language == null ? said : said.in(language);
        HttpServletRequest inner = Mounted.under(
                Mounted.under(request, UNDER), written.isEmpty() ? "" : "/" + SAID + written, segment(embed));
        String page = inner.getServletPath();
        request.setAttribute(Embed.ATTRIBUTE, embed);
        request.setAttribute(Framing.ATTRIBUTE, ancestors());
        request.setAttribute(Languages.ASKED, embed.lang());
        if (!embed.from().isEmpty()) {
            request.setAttribute(Source.ATTRIBUTE, embed.from());
        }
        if (page.equals("/") || SINGLE.contains(page) || PAGES.stream().anyMatch(page::startsWith)) {
            chain.doFilter(inner, response);
        } else {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
        }
    }

    private Embed asked(Function<String, @Nullable String> field) {
        return Embed.of(
                field,
                name -> catalogues.findPlain().flatMap(c -> c.extras().sharing().look(name)));
    }

    /** How it looks, as its pages' paths begin; empty where nothing is asked of it. */
    private static String segment(Embed embed) {
        String written = embed.written();
        return written.isEmpty() ? "" : "/" + SAID + written;
    }

    /** How it looks, as the path says it; empty where it says nothing. */
    private static String written(String path) {
        int from = UNDER.length() + 1;
        if (path.length() <= from || path.charAt(from) != SAID) {
            return "";
        }
        int end = path.indexOf('/', from);
        return path.substring(from + 1, end < 0 ? path.length() : end);
    }

    /** Who may have it in a frame, as the policy of a page names them; the desk itself, which shows how it looks. */
    private String ancestors() {
        List<String> sites =
                catalogues.findPlain().map(c -> c.extras().sharing().sites()).orElse(List.of());
        return Stream.concat(Stream.of("'self'"), sites.stream()).collect(Collectors.joining(" "));
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
