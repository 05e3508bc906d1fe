package gastfreund.app.pages;

import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/** Forms are records: what is not one of their members is nobody's, whatever it is called. */
@ControllerAdvice
class Forms {

    @InitBinder
    void onlyMembers(WebDataBinder binder) {
        binder.setDeclarativeBinding(true);
    }
}
