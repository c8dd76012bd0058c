package org.kindgirdle.server.rules;

import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * The house rules as they are read.
 *
 * @param number of this version; 0 for what was shipped
 * @param rules every one, in the order of the shipped table
 */
public record RulesView(int number, List<RuleView> rules) {

    /**
     * @param value in force
     * @param shipped the planning default
     * @param low the least that may be set
     * @param high the greatest
     */
    public record RuleView(
            String code,
            String name,
            String unit,
            double value,
            double shipped,
            double low,
            double high,
            boolean whole,
            String reason) {}

    static RulesView of(int number, HouseRules rules) {
        return new RulesView(
                number,
                Rule.all().stream()
                        .map(rule -> new RuleView(
                                rule.code(),
                                rule.name(),
                                rule.unit(),
                                rules.of(rule),
                                rule.shipped(),
                                rule.low(),
                                rule.high(),
                                rule.isWhole(),
                                rule.reason()))
                        .toList());
    }
}
