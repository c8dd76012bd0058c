package org.kindgirdle.server.problem;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;

/** A number from {@code low} to {@code high}; not a number is outside every range. Null is another constraint's. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT, ElementType.TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Within.Check.class)
public @interface Within {

    double low();

    double high();

    /** The unit, for the message. */
    String unit() default "";

    String message() default "must be from {low} to {high} {unit}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** The range check. */
    final class Check implements ConstraintValidator<Within, Number> {

        private double low;
        private double high;

        @Override
        public void initialize(Within range) {
            low = range.low();
            high = range.high();
        }

        @Override
        public boolean isValid(@Nullable Number value, ConstraintValidatorContext context) {
            return value == null || value.doubleValue() >= low && value.doubleValue() <= high;
        }
    }
}
