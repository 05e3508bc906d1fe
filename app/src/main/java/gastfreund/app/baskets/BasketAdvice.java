package gastfreund.app.baskets;

import gastfreund.app.pages.Links;
import gastfreund.app.sources.Source;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Gives every guest's page its links, and the note about the basket in its head. A basket that a path names is looked up
 * before anything else of the request is looked at.
 */
@ControllerAdvice
class BasketAdvice {

    private static final int MOST_TOKEN = 40;

    /**
     * What the head of a page says of the basket.
     *
     * @param places how many places are kept
     * @param until when the first of them goes back; null where none is kept
     */
    record Note(int places, @Nullable Instant until) {}

    /**
     * What a form that keeps one more place carries.
     *
     * @param bits how many zero bits its proof begins with
     */
    public record Door(String seal, int bits) {}

    private final BasketService baskets;
    private final Holds holds;
    private final Doorkeeper doorkeeper;
    private final VisitorMarks marks;
    private final Clock clock;

    BasketAdvice(BasketService baskets, Holds holds, Doorkeeper doorkeeper, VisitorMarks marks, Clock clock) {
        this.baskets = baskets;
        this.holds = holds;
        this.doorkeeper = doorkeeper;
        this.marks = marks;
        this.clock = clock;
    }

    @ModelAttribute
    void addBasket(Model model, HttpServletRequest request) {
        Instant now = clock.instant();
        model.addAttribute("now", now);
        Optional<String> inPath = inPath(request);
        if (inPath.isPresent() && !isBasket(inPath.get())) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        Optional<String> basket =
                inPath.or(() -> Optional.ofNullable(field(request, "basket")).filter(this::isBasket));
        model.addAttribute("links", basket.map(Links::new).orElseGet(() -> new Links(null, source(request))));
        basket.map(b -> baskets.lines(b).stream().filter(l -> l.isHeld(now)).toList())
                .ifPresent(held -> model.addAttribute("basketNote", note(held)));
        door(request).ifPresent(door -> model.addAttribute("keepDoor", door));
    }

    /** Whoever keeps a place already, or is asked for a moment, gets what a form for one more carries. */
    private Optional<Door> door(HttpServletRequest request) {
        if (!request.getMethod().equals("GET")) {
            return Optional.empty();
        }
        String visitor = marks.of(Visitor.of(request));
        int kept = holds.countKept(visitor);
        if (kept == 0 && !"moment".equals(field(request, "why"))) {
            return Optional.empty();
        }
        return Optional.of(door(request, visitor, kept));
    }

    /** What a form carries that keeps so many more places. */
    Door door(HttpServletRequest request, int more) {
        String visitor = marks.of(Visitor.of(request));
        return door(request, visitor, holds.countKept(visitor) + more - 1);
    }

    /** @param beside how many places the next one is kept beside */
    private Door door(HttpServletRequest request, String visitor, int beside) {
        String sealed = field(request, "sealed");
        String seal = sealed != null && sealed.length() <= Doorkeeper.MOST_SEAL && !sealed.isBlank()
                ? sealed
                : doorkeeper.seal(Doorkeeper.Purpose.KEEP, visitor);
        return new Door(seal, doorkeeper.bitsBeside(beside));
    }

    /** A field of the address; null where there is none, or the page of an error is shown because fields cannot be read. */
    private static @Nullable String field(HttpServletRequest request, String name) {
        try {
            return request.getParameter(name);
        } catch (IllegalStateException e) {
            return null;
        }
    }

    /** From where a guest came, who has no basket yet. */
    private static String source(HttpServletRequest request) {
        try {
            return Source.of(request);
        } catch (IllegalStateException e) {
            return Source.NONE;
        }
    }

    private boolean isBasket(String token) {
        return token.length() <= MOST_TOKEN && baskets.exists(token);
    }

    private static Note note(List<BasketLine> held) {
        Instant until =
                held.stream().map(BasketLine::expires).min(Instant::compareTo).orElse(null);
        return new Note(held.size(), until);
    }

    private static Optional<String> inPath(HttpServletRequest request) {
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        Object basket = variables instanceof Map<?, ?> map ? map.get("basket") : null;
        return Optional.ofNullable(basket).map(Object::toString);
    }
}
