package org.kindgirdle.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number with its dimension, in the dimension's SI unit. Typed text is read exactly: {@code "3/4 in"} is 19.05 mm,
 * not a rounding of it.
 *
 * @param dimension what is measured
 * @param si the value in {@link Dimension#keptIn()}
 */
public record Quantity(Dimension dimension, BigDecimal si) {

    // sign, then "1 1/2", "3/4", "1.5" or ".5", then the unit
    private static final Pattern TYPED =
            Pattern.compile("([-+−]?)\\s*(?:(\\d{1,6})\\s+)?(\\d{1,6}/\\d{1,6}|\\d{0,9}\\.?\\d{1,9})\\s*(\\D*)");

    /** More digits than a stored value has, so that printing loses none. */
    private static final MathContext PRINTED = new MathContext(20);

    /**
     * Reads typed text. A unit must be given: a bare number is refused, for nobody can tell 3 mm from 3 inches.
     *
     * @throws QuantityFormatException with the text, and with what can be typed instead
     */
    public static Quantity parse(Dimension dimension, String text) {
        if (text.isBlank()) {
            throw new QuantityFormatException(text.strip(), dimension, "is empty");
        }
        Matcher typed = TYPED.matcher(text.strip().replaceAll("\\s+", " "));
        if (!typed.matches() || (typed.group(2) != null && !typed.group(3).contains("/"))) {
            throw new QuantityFormatException(text, dimension, "is not a number with a unit");
        }
        String word = typed.group(4).strip();
        if (word.isEmpty()) {
            throw new QuantityFormatException(text, dimension, "has no unit");
        }
        Unit unit = Unit.find(dimension, word)
                .orElseThrow(() -> new QuantityFormatException(text, dimension, "has the unknown unit '" + word + "'"));
        BigDecimal number = number(text, dimension, typed.group(3));
        if (typed.group(2) != null) {
            number = number.add(new BigDecimal(typed.group(2)));
        }
        if (!typed.group(1).isEmpty() && !typed.group(1).equals("+")) {
            number = number.negate();
        }
        return new Quantity(dimension, unit.toSi(number).stripTrailingZeros());
    }

    /**
     * The number in a unit, with its symbol: text that {@link #parse} reads back as the same quantity.
     *
     * @throws IllegalArgumentException if the unit measures something else
     */
    public String format(Unit unit) {
        if (unit.dimension() != dimension) {
            throw new IllegalArgumentException(
                    unit + " measures " + unit.dimension() + "; this quantity is a " + dimension);
        }
        BigDecimal number = unit.fromSi(si).round(PRINTED).stripTrailingZeros();
        return number.toPlainString() + " " + unit.symbol();
    }

    private static BigDecimal number(String text, Dimension dimension, String digits) {
        String[] parts = digits.split("/");
        BigDecimal number = new BigDecimal(parts[0]);
        if (parts.length == 1) {
            return number;
        }
        BigDecimal divisor = new BigDecimal(parts[1]);
        if (divisor.signum() == 0) {
            throw new QuantityFormatException(text, dimension, "divides by nothing");
        }
        return number.divide(divisor, MathContext.DECIMAL128);
    }

    /** The value in the dimension's SI unit, as near as a double comes. */
    public double doubleValue() {
        return si.doubleValue();
    }
}
