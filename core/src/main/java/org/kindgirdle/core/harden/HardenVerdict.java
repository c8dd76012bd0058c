package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.verdict.Verdict;

/**
 * What to do with a young plant, and what still stands in the way of the next rung or of release.
 *
 * @param verdict the step with every rule's entry
 * @param to the rung to move to; null if it stays
 * @param from the first day on which the next step up is to be looked at
 */
public record HardenVerdict(
        Verdict<PlantStep, HardenRule> verdict, @Nullable Rung to, LocalDate from) {

    /** What to do. */
    public PlantStep step() {
        return verdict.step();
    }

    /** What is not fulfilled yet, in the order of the rules; empty where another rule decided. */
    public List<HardenRule> lacking() {
        return verdict.entries().stream()
                .filter(entry -> entry.applied() && !entry.rule().decides())
                .map(Verdict.Entry::rule)
                .toList();
    }
}
