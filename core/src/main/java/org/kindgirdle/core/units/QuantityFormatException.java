package org.kindgirdle.core.units;

/** Typed text that is no quantity; the message says what is wrong, and {@link #whatToDo()} what would be right. */
public final class QuantityFormatException extends IllegalArgumentException {

    private final transient Dimension dimension;

    QuantityFormatException(String text, Dimension dimension, String wrong) {
        super("'" + text + "' " + wrong);
        this.dimension = dimension;
    }

    /** What can be typed instead, with an example. */
    public String whatToDo() {
        return "Type a number and one of: " + Unit.symbolsOf(dimension) + "; for example "
                + switch (dimension) {
                    case LENGTH -> "20 mm or 3/4 in";
                    case VOLUME -> "250 mL or 1.5 qt";
                    case MASS -> "300 g or 10 oz";
                    case TEMPERATURE -> "18 C or 64 F";
                    case TEMPERATURE_DIFFERENCE -> "5 C or 9 F";
                    case CONCENTRATION -> "3000 ppm or 0.3 %";
                }
                + ".";
    }
}
