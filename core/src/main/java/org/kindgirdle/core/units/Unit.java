package org.kindgirdle.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A unit that may be typed. The stored value is {@code (typed - offset) * numerator / denominator}; the factors are
 * exact by definition (international inch and pound, US gallon of 231 cubic inches, NIST SP 811).
 */
public enum Unit {
    MILLIMETRE(Dimension.LENGTH, "1", "0", "mm", "millimetre", "millimetres"),
    CENTIMETRE(Dimension.LENGTH, "10", "0", "cm", "centimetre", "centimetres"),
    METRE(Dimension.LENGTH, "1000", "0", "m", "metre", "metres"),
    INCH(Dimension.LENGTH, "25.4", "0", "in", "\"", "inch", "inches"),
    FOOT(Dimension.LENGTH, "304.8", "0", "ft", "'", "foot", "feet"),
    MILLILITRE(Dimension.VOLUME, "1", "0", "mL", "millilitre", "millilitres"),
    LITRE(Dimension.VOLUME, "1000", "0", "L", "litre", "litres"),
    FLUID_OUNCE(Dimension.VOLUME, "29.5735295625", "0", "fl oz", "floz"),
    QUART(Dimension.VOLUME, "946.352946", "0", "qt", "quart", "quarts"),
    GALLON(Dimension.VOLUME, "3785.411784", "0", "gal", "gallon", "gallons"),
    GRAM(Dimension.MASS, "1", "0", "g", "gram", "grams"),
    KILOGRAM(Dimension.MASS, "1000", "0", "kg", "kilogram", "kilograms"),
    OUNCE(Dimension.MASS, "28.349523125", "0", "oz", "ounce", "ounces"),
    POUND(Dimension.MASS, "453.59237", "0", "lb", "pound", "pounds"),
    CELSIUS(Dimension.TEMPERATURE, "1", "0", "C", "°C", "celsius"),
    FAHRENHEIT(Dimension.TEMPERATURE, "5/9", "32", "F", "°F", "fahrenheit"),
    CELSIUS_DEGREE(Dimension.TEMPERATURE_DIFFERENCE, "1", "0", "C", "°C", "celsius", "K"),
    FAHRENHEIT_DEGREE(Dimension.TEMPERATURE_DIFFERENCE, "5/9", "0", "F", "°F", "fahrenheit"),
    PPM(Dimension.CONCENTRATION, "1", "0", "ppm"),
    PERCENT(Dimension.CONCENTRATION, "10000", "0", "%", "percent");

    private final Dimension dimension;
    private final BigDecimal numerator;
    private final BigDecimal denominator;
    private final BigDecimal offset;
    private final List<String> symbols;

    Unit(Dimension dimension, String factor, String offset, String... symbols) {
        this.dimension = dimension;
        String[] parts = factor.split("/");
        this.numerator = new BigDecimal(parts[0]);
        this.denominator = parts.length > 1 ? new BigDecimal(parts[1]) : BigDecimal.ONE;
        this.offset = new BigDecimal(offset);
        this.symbols = List.of(symbols);
    }

    /** What it measures. */
    public Dimension dimension() {
        return dimension;
    }

    /** The symbol that is shown to the user. */
    public String symbol() {
        return symbols.get(0);
    }

    /** What one more of this unit is in the dimension's SI unit: 25.4 for an inch, 5/9 for a degree Fahrenheit. */
    public double perUnit() {
        return numerator.divide(denominator, MathContext.DECIMAL128).doubleValue();
    }

    /** How much of this unit a value in the dimension's SI unit is, as near as a double comes. */
    public double fromSi(double si) {
        return fromSi(BigDecimal.valueOf(si)).doubleValue();
    }

    BigDecimal toSi(BigDecimal typed) {
        return typed.subtract(offset).multiply(numerator).divide(denominator, MathContext.DECIMAL128);
    }

    /** How much of this unit a stored value is: the inverse of {@link #toSi}. */
    BigDecimal fromSi(BigDecimal si) {
        return si.multiply(denominator)
                .divide(numerator, MathContext.DECIMAL128)
                .add(offset);
    }

    /** The unit of a dimension that a word or sign stands for, upper and lower case alike. */
    static Optional<Unit> find(Dimension dimension, String word) {
        return Arrays.stream(values())
                .filter(unit ->
                        unit.dimension == dimension && unit.symbols.stream().anyMatch(word::equalsIgnoreCase))
                .findFirst();
    }

    static String symbolsOf(Dimension dimension) {
        return String.join(
                ", ",
                Arrays.stream(values())
                        .filter(unit -> unit.dimension == dimension)
                        .map(Unit::symbol)
                        .toList());
    }
}
