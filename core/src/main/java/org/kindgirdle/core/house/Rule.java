package org.kindgirdle.core.house;

import java.util.List;
import java.util.Set;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * One figure that the sums turn on, with the planning default that ships and the range that a nursery may set it to.
 * All of them stand in {@code house-rules.tsv}; code that needs one holds it by its code, so that a figure that is not
 * in the data fails when the class is loaded.
 *
 * @param index its place in the table, from 0
 * @param code its stable id
 * @param name what a grower calls it
 * @param unit of its value; empty for a bare number
 * @param shipped the planning default
 * @param low the least value that may be set
 * @param high the greatest
 * @param reason why the default is what it is
 */
public record Rule(
        int index, String code, String name, String unit, double shipped, double low, double high, String reason) {

    private static final Set<String> COUNTED = Set.of("days", "times", "looks", "leaves", "nodes", "shoots");

    /** @throws OutOfRangeException if what is shipped lies outside low to high */
    public Rule {
        Require.within(code, shipped, low, high);
    }

    /**
     * The rule of that code.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Rule of(String code) {
        Rule rule = RuleTable.BY_CODE.get(code);
        if (rule == null) {
            throw new IllegalArgumentException("there is no house rule '" + code + "'");
        }
        return rule;
    }

    /** All rules, in the order of the table. */
    public static List<Rule> all() {
        return RuleTable.ALL;
    }

    /** Whether its value is a whole number. */
    public boolean isWhole() {
        return COUNTED.contains(unit);
    }

    /**
     * Returns the value if it may be set.
     *
     * @throws org.kindgirdle.core.units.OutOfRangeException if it is outside the range, or not a number
     * @throws IllegalArgumentException if it must be whole and is not
     */
    public double check(double value) {
        Require.within(code, value, low, high);
        if (isWhole() && value != Math.rint(value)) {
            throw new IllegalArgumentException(code + " is " + value + "; it must be a whole number of " + unit);
        }
        return value;
    }
}
