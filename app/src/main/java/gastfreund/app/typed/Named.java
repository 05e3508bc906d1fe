package gastfreund.app.typed;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Holds no address of a website or a mailbox: it is written into letters. */
@Constraint(validatedBy = Named.Check.class)
@Target({ElementType.FIELD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface Named {

    String message() default "{checkout.name.away}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Looks for one. */
    final class Check implements ConstraintValidator<Named, String> {

        /** Longer names are told to be too long, and not searched. */
        private static final int MOST = 400;

        @Override
        public boolean isValid(String name, ConstraintValidatorContext context) {
            return name == null || name.length() > MOST || !Names.leadsAway(name);
        }
    }
}
