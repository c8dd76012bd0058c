package org.kindgirdle.core.verdict;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What was decided, with the whole way to it: one entry a rule, in rule order.
 *
 * @param step what to do
 * @param decidedBy the first rule that applied; null where none did and the step is what is then left
 * @param entries every rule: those passed over, those that applied, and those that were not evaluated
 * @param <S> the steps that may be decided
 * @param <R> the rules; their names are their stable ids
 */
public record Verdict<S extends Enum<S>, R extends Enum<R>>(
        S step, @Nullable R decidedBy, List<Entry<R>> entries) {

    public Verdict {
        entries = List.copyOf(entries);
    }

    /** What became of a rule. */
    public enum RuleOutcome {
        PASSED_OVER,
        APPLIED,
        NOT_EVALUATED
    }

    /**
     * @param rule its stable id
     * @param outcome what became of it
     * @param facts what it read, with the values, in the order of their names; empty if it was not evaluated
     */
    public record Entry<R extends Enum<R>>(R rule, RuleOutcome outcome, List<Fact> facts) {

        public Entry {
            facts = List.copyOf(facts);
        }

        /** Whether the rule had its say. */
        public boolean applied() {
            return outcome == RuleOutcome.APPLIED;
        }
    }

    /**
     * What is otherwise in another verdict: every rule whose outcome or facts differ, in rule order.
     *
     * @param later a verdict by the same rules
     */
    public List<Difference<R>> diff(Verdict<S, R> later) {
        List<Difference<R>> differences = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            Entry<R> before = entries.get(i);
            Entry<R> after = later.entries.get(i);
            if (!before.equals(after)) {
                differences.add(new Difference<>(before, after));
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
    public record Difference<R extends Enum<R>>(Entry<R> before, Entry<R> after) {

        /** Inputs that both read with another value, as they were. */
        public Set<Fact> changedFacts() {
            Set<Fact> changed = new HashSet<>(before.facts());
            after.facts().forEach(changed::remove);
            return after.facts().isEmpty() ? Set.of() : changed;
        }
    }

    /** The facts that the deciding rule read; empty if none decided. */
    public List<Fact> facts() {
        return entries.stream()
                .filter(Entry::applied)
                .findFirst()
                .map(Entry::facts)
                .orElse(List.of());
    }
}
