package gastfreund.app.programs;

import gastfreund.app.pages.Address;
import gastfreund.app.pages.ErrorPages;
import gastfreund.app.tracing.RequestId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Says to programs what was wrong, as problems (RFC 9457), whoever turned them away. */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
public class Problems implements ErrorPages.Instead {

    /** Where what programs ask for lies. */
    static final String PATH = "/api/";

    private static final String TOLD = "/api/problems/";
    private static final List<Integer> KNOWN = List.of(400, 403, 404, 405, 406, 413, 415, 429);

    private final MessageSource texts;
    private final Address address;

    Problems(MessageSource texts, Address address) {
        this.texts = texts;
        this.address = address;
    }

    @ExceptionHandler
    void refused(Refused refused, Locale language, HttpServletResponse response) throws IOException {
        write(refused, language, response);
    }

    void write(Refused refused, Locale language, HttpServletResponse response) throws IOException {
        Refused.Why why = refused.why();
        int status = why.status().value();
        if (status == HttpServletResponse.SC_UNAUTHORIZED) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
        }
        ObjectNode problem = JsonNodeFactory.instance
                .objectNode()
                .put("type", address(why))
                .put("title", title(why, language))
                .put("status", status)
                .put("detail", detail(why, language));
        problem.setAll(refused.more());
        write(problem, status, response);
    }

    /** Where a kind of problem is told of. */
    public String address(Refused.Why why) {
        return address.of(TOLD + why.code());
    }

    /** What a kind of problem is called. */
    public String title(Refused.Why why, Locale language) {
        return texts.getMessage("problem.title." + why.code(), null, language);
    }

    /** What can be done about it. */
    public String detail(Refused.Why why, Locale language) {
        return texts.getMessage("problem.help." + why.code(), null, language);
    }

    @Override
    public boolean isFor(String path) {
        return path.startsWith(PATH);
    }

    /** Whatever turned a request away before a handler, or could not do what it was to do. */
    @Override
    public void write(int status, HttpServletRequest request, Locale language, HttpServletResponse response)
            throws IOException {
        String said = KNOWN.contains(status) ? Integer.toString(status) : "other";
        ObjectNode problem = JsonNodeFactory.instance
                .objectNode()
                .put("type", "about:blank")
                .put("title", texts.getMessage("problem.status." + said, null, language))
                .put("status", status);
        if (status >= HttpServletResponse.SC_INTERNAL_SERVER_ERROR) {
            problem.put("request", RequestId.of(request));
        }
        write(problem, status, response);
    }

    private static void write(ObjectNode problem, int status, HttpServletResponse response) throws IOException {
        response.setStatus(status);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.getWriter().write(problem.toString());
    }
}
