package gastfreund.app.programs;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Why a program does not get what it asked for. It is answered as a problem (RFC 9457), and whatever the request did is
 * undone.
 */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** The kinds of problems, each with its status; what it says of itself stands in the texts. */
    public enum Why {
        NO_KEY(HttpStatus.UNAUTHORIZED),
        WRONG_KEY(HttpStatus.UNAUTHORIZED),
        NOT_ALLOWED(HttpStatus.FORBIDDEN),
        NOT_THERE(HttpStatus.NOT_FOUND),
        UNREADABLE(HttpStatus.BAD_REQUEST),
        NO_REPEAT_KEY(HttpStatus.BAD_REQUEST),
        WRONG_FIELDS(HttpStatus.UNPROCESSABLE_CONTENT),
        REPEATED_OTHERWISE(HttpStatus.UNPROCESSABLE_CONTENT),
        TAKEN(HttpStatus.CONFLICT),
        SOLD_OUT(HttpStatus.CONFLICT),
        DEARER(HttpStatus.CONFLICT),
        TOO_MUCH_HELD(HttpStatus.CONFLICT),
        BASKET_FULL(HttpStatus.CONFLICT),
        HOLD_OVER(HttpStatus.CONFLICT),
        NOTHING_HELD(HttpStatus.CONFLICT),
        COSTS_CHANGED(HttpStatus.CONFLICT),
        NO_ADDRESS(HttpStatus.CONFLICT),
        NO_WAY_TO_PAY(HttpStatus.CONFLICT),
        TERMS(HttpStatus.CONFLICT),
        CHANGED(HttpStatus.CONFLICT);

        private final HttpStatus status;

        Why(HttpStatus status) {
            this.status = status;
        }

        public HttpStatus status() {
            return status;
        }

        /** The name in the problem's address and in the texts. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** What is wrong with a field, by its path. */
    public record Wrong(String field, String detail) {}

    private final Why why;
    private final transient ObjectNode more;

    private Refused(Why why, ObjectNode more) {
        super(why.code());
        this.why = why;
        this.more = more;
    }

    public static Refused because(Why why) {
        return because(why, more -> {});
    }

    /** @param said further members of the problem */
    public static Refused because(Why why, Consumer<ObjectNode> said) {
        ObjectNode more = JsonNodeFactory.instance.objectNode();
        said.accept(more);
        return new Refused(why, more);
    }

    /** Fields with what is wrong in each. */
    public static Refused wrong(List<Wrong> fields) {
        return because(
                Why.WRONG_FIELDS,
                more -> fields.forEach(w -> more.withArray("errors")
                        .addObject()
                        .put("field", w.field())
                        .put("detail", w.detail())));
    }

    public static Refused wrong(String field, String detail) {
        return wrong(List.of(new Wrong(field, detail)));
    }

    Why why() {
        return why;
    }

    ObjectNode more() {
        return more;
    }
}
