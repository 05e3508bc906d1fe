package gastfreund.app.baskets;

import gastfreund.app.house.Links;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.HandlerMapping;

/** Gives every guest's page its links, and the note about the basket in its head. */
@ControllerAdvice
class BasketAdvice {

    /**
     * What the head of a page says of the basket.
     *
     * @param places how many places are kept
     * @param until when the first of them goes back; null where none is kept
     */
    record Note(int places, Instant until) {}

    private final BasketService baskets;
    private final Clock clock;

    BasketAdvice(BasketService baskets, Clock clock) {
        this.baskets = baskets;
        this.clock = clock;
    }

    @ModelAttribute
    void addBasket(Model model, HttpServletRequest request) {
        Instant now = clock.instant();
        model.addAttribute("now", now);
        Optional<String> basket = token(request).filter(baskets::exists);
        model.addAttribute("links", new Links(basket.orElse(null)));
        basket.map(b -> baskets.lines(b).stream().filter(l -> l.isHeld(now)).toList())
                .ifPresent(held -> model.addAttribute("basketNote", note(held)));
    }

    private static Note note(List<BasketLine> held) {
        Instant until = held.stream().map(BasketLine::expires).min(Instant::compareTo).orElse(null);
        return new Note(held.size(), until);
    }

    private static Optional<String> token(HttpServletRequest request) {
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        Object inPath = variables instanceof Map<?, ?> map ? map.get("basket") : null;
        return Optional.ofNullable(inPath == null ? request.getParameter("basket") : inPath.toString());
    }
}
