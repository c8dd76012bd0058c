package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.snapshot.NurserySnapshot;

/**
 * A verdict as it was given when something was recorded, with all that it rested on.
 *
 * @param step a next step or a step of the young plant; null when the layer's life was over
 * @param rule that decided; null when none did
 * @param facts every input that a rule read, by name
 * @param profileNumber of the species profile
 * @param recipeNumber of the recipe
 * @param rulesNumber of the house rules
 * @param timeNumber of the decision whether dates rest on own records; 0 where none was made
 */
record GivenVerdict(
        @Nullable String step,
        @Nullable String rule,
        Map<String, @Nullable Object> facts,
        List<String> alsoDo,
        LocalDate asOf,
        int profileNumber,
        int recipeNumber,
        int rulesNumber,
        long timeNumber) {

    static GivenVerdict of(LayerProjection projection, Layer layer, NurserySnapshot nursery) {
        Map<String, @Nullable Object> facts = new TreeMap<>();
        Verdict<?, ?> verdict = projection.decision();
        if (verdict != null) {
            verdict.entries().stream()
                    .flatMap(entry -> entry.facts().stream())
                    .forEach((Fact fact) -> facts.put(fact.name().name(), fact.value()));
        }
        return new GivenVerdict(
                verdict == null ? null : verdict.step().name(),
                verdict == null || verdict.decidedBy() == null
                        ? null
                        : verdict.decidedBy().name(),
                facts,
                projection.alsoDo().stream().sorted().map(Enum::name).toList(),
                nursery.today(),
                nursery.species(nursery.mother(layer.motherId()).speciesCode()).profileNumber(),
                layer.recipeNumber(),
                nursery.rulesNumber(),
                nursery.timeNumber(nursery.mother(layer.motherId()).speciesCode()));
    }
}
