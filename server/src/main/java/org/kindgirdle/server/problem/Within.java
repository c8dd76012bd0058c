package org.kindgirdle.server.problem;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.math.BigDecimal;
import java.math.MathContext;
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

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** The range check. */
    final class Check implements ConstraintValidator<Within, Number> {

        private double low;
        private double high;
        private String message = "";

        @Override
        public void initialize(Within range) {
            low = range.low();
            high = range.high();
            message = ("must be from " + number(low) + " to " + number(high) + " " + range.unit()).strip();
        }

        @Override
        public boolean isValid(@Nullable Number value, ConstraintValidatorContext context) {
            if (value == null || value.doubleValue() >= low && value.doubleValue() <= high) {
                return true;
            }
            context.disableDefaultConstraintViolation();
            context.buildConstraintViolationWithTemplate(message).addConstraintViolation();
            return false;
        }

        private static String number(double value) {
            return new BigDecimal(value)
                    .round(MathContext.DECIMAL32)
                    .stripTrailingZeros()
                    .toPlainString();
        }
    }
}
