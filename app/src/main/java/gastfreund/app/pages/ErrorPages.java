package gastfreund.app.pages;

import gastfreund.app.tracing.RequestId;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page of whatever went wrong; whoever asks for it by its address finds nothing there. */
@Controller
public class ErrorPages implements ErrorController {

    /** Says what went wrong to those who do not read pages. */
    public interface Instead {

        /** @param path that was asked for */
        boolean isFor(String path);

        /** Writes the whole answer. */
        void write(int status, HttpServletRequest request, Locale language, HttpServletResponse response)
                throws IOException;
    }

    /**
     * @param said what went wrong, as a code
     * @param request what the request is called, where the fault is ours; empty: it is not
     */
    public record ErrorPage(String said, String request) {}

    private static final int SERVER = 500;
    private static final Set<Integer> KNOWN = Set.of(400, 403, 404, 405, 413, 429);

    private final List<Instead> others;

    ErrorPages(List<Instead> others) {
        this.others = others;
    }

    @RequestMapping("/error")
    @Nullable
    String page(HttpServletRequest request, HttpServletResponse response, Locale language, Model model)
            throws IOException {
        boolean failed = request.getDispatcherType() == DispatcherType.ERROR;
        int status = failed && request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? code
                : HttpServletResponse.SC_NOT_FOUND;
        if (failed && request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI) instanceof String uri) {
            String path = uri.substring(
                    Math.min(uri.length(), request.getContextPath().length()));
            Optional<Instead> other = others.stream().filter(o -> o.isFor(path)).findFirst();
            if (other.isPresent()) {
                other.get().write(status, request, language, response);
                return null;
            }
        }
        response.setStatus(status);
        model.addAttribute(
                "page",
                new ErrorPage(
                        KNOWN.contains(status) ? Integer.toString(status) : "other",
                        status >= SERVER ? RequestId.of(request) : ""));
        return "error";
    }
}
