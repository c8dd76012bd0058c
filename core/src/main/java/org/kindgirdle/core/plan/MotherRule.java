package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.kindgirdle.core.growth.OwnRoots;

/**
 * May these layers be set on this mother? Every rule is asked, in order; their names are their stable ids. A warning
 * wants a reason from the grower, a block wants the fact to change first.
 */
public enum MotherRule {
    SICK(facts -> facts.sick() ? Level.BLOCK : Level.FINE),
    RIGHTS(facts -> facts.rightsMissing() ? Level.BLOCK : Level.FINE),
    /** The plant starves and the pit drowns it. */
    EVERY_SHOOT_BURIED(facts -> facts.method().buriesTheBase() && facts.everyShootBuried() ? Level.BLOCK : Level.FINE),
    /** Whole tops are layered on purpose where the species resprouts from a bare trunk. */
    NO_SHOOT_BELOW(facts ->
            facts.liveShootBelow() ? Level.FINE : facts.species().resproutsFromBareTrunk() ? Level.WARN : Level.BLOCK),
    TOO_MANY(facts -> facts.capacity().isExceeded() ? Level.WARN : Level.FINE),
    OWN_ROOTS(facts -> facts.species().ownRoots() == OwnRoots.GOOD ? Level.FINE : Level.WARN),
    REGULATED(facts -> facts.species().regulated().isBlank() ? Level.FINE : Level.WARN),
    HAZARDS(facts -> facts.species().hazards().isBlank() ? Level.FINE : Level.CAUTION);

    private final Function<MotherFacts, Level> rule;

    MotherRule(Function<MotherFacts, Level> rule) {
        this.rule = rule;
    }

    /**
     * What a rule says.
     *
     * @param rule its stable id
     */
    public record Entry(MotherRule rule, Level level) {}

    /** Every rule's entry, in rule order, those with nothing to say included. */
    public static List<Entry> check(MotherFacts facts) {
        return Arrays.stream(values())
                .map(one -> new Entry(one, one.rule.apply(facts)))
                .toList();
    }
}
