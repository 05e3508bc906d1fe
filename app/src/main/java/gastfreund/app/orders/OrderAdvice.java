package gastfreund.app.orders;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** Looks an order up by the token of its page, before anything else of a request is looked at. */
@ControllerAdvice(annotations = OfItsGuest.class)
class OrderAdvice {

    private final Orders orders;

    OrderAdvice(Orders orders) {
        this.orders = orders;
    }

    @ModelAttribute("order")
    Order order(@PathVariable String token) {
        return orders.byToken(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
