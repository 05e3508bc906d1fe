package gastfreund.app.api;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.orders.Order;
import gastfreund.app.programs.Answers;
import gastfreund.app.programs.Program;
import gastfreund.app.programs.Refused;
import gastfreund.app.programs.Scope;
import gastfreund.app.programs.WithKey;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.BookingId;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Holding places and ordering them, with a key. */
@RestController
@RequestMapping("/api")
class SellingController {

    private static final int CREATED = 201;

    private final Selling selling;
    private final BasketService baskets;
    private final OrderJson json;
    private final Answers answers;
    private final Reading reading;

    SellingController(Selling selling, BasketService baskets, OrderJson json, Answers answers, Reading reading) {
        this.selling = selling;
        this.baskets = baskets;
        this.json = json;
        this.answers = answers;
        this.reading = reading;
    }

    @WithKey(Scope.ORDER)
    @PostMapping(path = "/holds", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> hold(
            Program program, HttpServletRequest request, @RequestBody(required = false) @Nullable String body) {
        return answers.done(program, request, body, CREATED, Wishes::hold, wish -> basket(selling.hold(wish, program)));
    }

    @WithKey(Scope.ORDER)
    @GetMapping("/baskets/{basket}")
    ResponseEntity<String> held(@PathVariable String basket) {
        return Answers.closed(reading.of(() -> {
            if (!baskets.exists(basket)) {
                throw Refused.because(Refused.Why.NOT_THERE);
            }
            return basket(basket);
        }));
    }

    /** Gives a place back. */
    @WithKey(Scope.ORDER)
    @DeleteMapping("/baskets/{basket}/lines/{line}")
    ResponseEntity<Void> release(@PathVariable String basket, @PathVariable BookingId line) {
        selling.release(basket, line);
        return ResponseEntity.noContent().build();
    }

    private JsonNode basket(String basket) {
        List<BasketLine> lines = baskets.lines(basket);
        return json.basket(basket, lines, baskets.bill(basket, lines));
    }

    /** Orders a basket: paid elsewhere, or to be paid on the page that the answer names. */
    @WithKey(Scope.ORDER)
    @PostMapping(path = "/orders", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> order(
            Program program,
            HttpServletRequest request,
            Locale language,
            @RequestBody(required = false) @Nullable String body) {
        return answers.done(program, request, body, CREATED, Wishes::order, wish -> {
            Order order = selling.order(wish, program, language);
            return json.order(order);
        });
    }
}
