package org.kindgirdle.core.look;

import java.util.ArrayList;
import java.util.HashSet;
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
     * @param facts what it read, with the values, in the order of their names; empty if it was not evaluated
     */
    public record Entry(NextStepRules rule, Outcome outcome, List<Fact> facts) {

        public Entry {
            facts = List.copyOf(facts);
        }
    }

    /**
     * What is otherwise in another verdict: every rule whose outcome or facts differ, in rule order.
     *
     * @param later a verdict by the same rules
     */
    public List<Difference> diff(Verdict later) {
        List<Difference> differences = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            Entry before = entries.get(i);
            Entry after = later.entries.get(i);
            if (!before.equals(after)) {
                differences.add(new Difference(before, after));
            }
        }
        return differences;
    }

    /**
     * One rule in two verdicts.
     *
     * @param before its entry in the first
     * @param after its entry in the second
     */
    public record Difference(Entry before, Entry after) {

        /** Inputs that both read with another value, as they were. */
        public Set<Fact> changedFacts() {
            Set<Fact> changed = new HashSet<>(before.facts());
            after.facts().forEach(changed::remove);
            return after.facts().isEmpty() ? Set.of() : changed;
        }
    }

    /** The facts that the deciding rule read. */
    public List<Fact> facts() {
        return entries.stream()
                .filter(entry -> entry.outcome() == Outcome.APPLIED)
                .findFirst()
                .orElseThrow()
                .facts();
    }
}
