package gastfreund.app.pages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.InvalidPropertyException;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.HandlerMapping;

/**
 * The one place that answers what a stranger got wrong: with a page that helps, and one line in the log that says nothing
 * of what they wrote. Whatever is not named here is a fault of ours.
 */
@ControllerAdvice
class Faults {

    private static final Logger LOG = LoggerFactory.getLogger(Faults.class);

    @ExceptionHandler({
        TypeMismatchException.class,
        InvalidPropertyException.class,
        BindException.class,
        MethodArgumentNotValidException.class,
        HandlerMethodValidationException.class,
        ServletRequestBindingException.class,
        MultipartException.class
    })
    void wrong(Exception e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        boolean inPath = e instanceof MethodArgumentTypeMismatchException mismatch
                && mismatch.getParameter().hasParameterAnnotation(PathVariable.class);
        answer(inPath ? HttpStatus.NOT_FOUND : HttpStatus.BAD_REQUEST, e, request, response);
    }

    @ExceptionHandler
    void unreadable(HttpMessageNotReadableException e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        boolean tooLong = e.getMostSpecificCause() instanceof TooLongException;
        answer(tooLong ? HttpStatus.CONTENT_TOO_LARGE : HttpStatus.BAD_REQUEST, e, request, response);
    }

    /** What says of itself how it is to be answered. */
    @ExceptionHandler({ResponseStatusException.class, ErrorResponseException.class})
    void said(Exception e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        int status = ((ErrorResponse) e).getStatusCode().value();
        answer(HttpStatus.valueOf(status), e, request, response);
    }

    private static void answer(HttpStatus status, Exception e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        Object handler = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        LOG.info(
                "{} at {} {}: {}",
                status.value(),
                request.getMethod(),
                handler,
                e.getClass().getSimpleName());
        if (!response.isCommitted()) {
            response.sendError(status.value());
        }
    }
}
