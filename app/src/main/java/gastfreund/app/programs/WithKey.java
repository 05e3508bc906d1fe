package gastfreund.app.programs;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a key must allow whoever asks a handler for programs. One that names neither this nor {@link ForAll} is closed. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface WithKey {

    Scope value();
}
