package gastfreund.app.pages;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page of whatever went wrong; whoever asks for it by its address finds nothing there. */
@Controller
class ErrorPages implements ErrorController {

    private static final Set<Integer> KNOWN = Set.of(400, 403, 404, 405, 413, 429);

    @RequestMapping("/error")
    String page(HttpServletRequest request, HttpServletResponse response, Model model) {
        boolean failed = request.getDispatcherType() == DispatcherType.ERROR;
        int status = failed && request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? code
                : HttpServletResponse.SC_NOT_FOUND;
        response.setStatus(status);
        model.addAttribute("said", KNOWN.contains(status) ? Integer.toString(status) : "other");
        return "error";
    }
}
