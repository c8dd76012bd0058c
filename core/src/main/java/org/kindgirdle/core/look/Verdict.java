package org.kindgirdle.core.look;

import java.util.List;
import java.util.Set;

/**
 * The next step with the whole way to it: one entry a rule, in rule order.
 *
 * @param step what to do
 * @param decidedBy the rule that said so
 * @param entries every rule: those passed over, the one that applied, and those after it that were not evaluated
 */
public record Verdict(NextStep step, NextStepRules decidedBy, List<Entry> entries) {

    public Verdict {
        entries = List.copyOf(entries);
    }

    /** What became of a rule. */
    public enum Outcome {
        PASSED_OVER,
        APPLIED,
        NOT_EVALUATED
    }

    /**
     * @param rule its stable id
     * @param outcome what became of it
     * @param facts what it read, with the values; empty if it was not evaluated
     */
    public record Entry(NextStepRules rule, Outcome outcome, Set<Fact> facts) {

        public Entry {
            facts = Set.copyOf(facts);
        }
    }

    /** The facts that the deciding rule read. */
    public Set<Fact> facts() {
        return entries.stream()
                .filter(entry -> entry.outcome() == Outcome.APPLIED)
                .findFirst()
                .orElseThrow()
                .facts();
    }
}
