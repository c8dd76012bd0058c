package org.kindgirdle.server.rules;

import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.sentences.Refusals;

/**
 * House rules as they are to be.
 *
 * @param number of the version that was edited
 * @param values that change, by code; the others stay
 */
public record RulesEdit(
        @NotNull @Within(low = 0, high = 1e6) Integer number,
        @NotEmpty @Size(max = 1000) Map<String, @NotNull Double> values) {

    /** The rules with these values, or every violation at once. */
    public HouseRules on(HouseRules rules) {
        List<Violation> violations = new ArrayList<>();
        values.forEach((code, value) -> {
            try {
                Rule.of(code).check(value);
            } catch (IllegalArgumentException refused) {
                violations.add(new Violation("values." + code, value, allowed(code), refused.getMessage()));
            }
        });
        if (!violations.isEmpty()) {
            throw ProblemException.invalid(violations);
        }
        Map<String, Double> all = new LinkedHashMap<>(rules.values());
        all.putAll(values);
        try {
            return HouseRules.of(all);
        } catch (IllegalArgumentException refused) {
            throw ProblemException.invalid(
                    "values", values, Refusals.say("rule.together.allowed"), refused.getMessage());
        }
    }

    private static String allowed(String code) {
        return Rule.all().stream()
                .filter(rule -> rule.code().equals(code))
                .findFirst()
                .map(rule -> "from " + rule.low() + " to " + rule.high() + (rule.isWhole() ? ", whole" : ""))
                .orElse("the code of a house rule");
    }
}
