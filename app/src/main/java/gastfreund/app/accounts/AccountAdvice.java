package gastfreund.app.accounts;

import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Leads those who are in no account to where they get in. */
@ControllerAdvice
class AccountAdvice {

    @ExceptionHandler(NotInException.class)
    String notIn() {
        return "redirect:" + EnterController.PATH;
    }
}
