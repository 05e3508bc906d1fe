package gastfreund.app.pages;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page of which a script may ask for one part: with {@code fragment=} and the part's name in the address, only the
 * fragment of that name is answered. The handler does the same either way.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Partial {

    /** The name of the fragment in the page's template. */
    String value();
}
