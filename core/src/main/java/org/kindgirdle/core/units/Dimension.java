package org.kindgirdle.core.units;

/** What a quantity measures, with the SI unit that the application keeps it in. */
public enum Dimension {
    /** kept in millimetres */
    LENGTH("mm"),
    /** kept in millilitres */
    VOLUME("mL"),
    /** kept in grams */
    MASS("g"),
    /** kept in degrees Celsius */
    TEMPERATURE("C"),
    /** a difference of temperatures, kept in degrees Celsius: 9 F of it are 5 C */
    TEMPERATURE_DIFFERENCE("C"),
    /** of a solution, kept in parts per million: 1 % is 10 000 ppm */
    CONCENTRATION("ppm");

    private final String keptIn;

    Dimension(String keptIn) {
        this.keptIn = keptIn;
    }

    /** The symbol of the unit in which the number is stored. */
    public String keptIn() {
        return keptIn;
    }
}
