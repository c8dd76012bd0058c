package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Level;

/**
 * May these layers be set on this mother? Every rule is asked, in order; their names are their stable ids. A warning
 * wants a reason from the grower, a block wants the fact to change first.
 */
public enum MotherRule {
    RETIRED(facts -> facts.retired() ? Level.BLOCK : Level.FINE, PlanFact.RETIRED),
    SICK(facts -> facts.sick() ? Level.BLOCK : Level.FINE, PlanFact.SICK),
    RIGHTS(facts -> facts.rightsMissing() ? Level.BLOCK : Level.FINE, PlanFact.RIGHTS_MISSING),
    /** The plant starves and the pit drowns it. */
    EVERY_SHOOT_BURIED(
            facts -> facts.method().buriesTheBase() && facts.everyShootBuried() ? Level.BLOCK : Level.FINE,
            PlanFact.METHOD,
            PlanFact.EVERY_SHOOT_BURIED),
    /** Whole tops are layered on purpose where the species resprouts from a bare trunk. */
    NO_SHOOT_BELOW(
            facts -> facts.liveShootBelow()
                    ? Level.FINE
                    : facts.species().resproutsFromBareTrunk() ? Level.WARN : Level.BLOCK,
            PlanFact.LIVE_SHOOT_BELOW,
            PlanFact.RESPROUTS),
    TOO_MANY(
            facts -> facts.capacity().isExceeded() ? Level.WARN : Level.FINE,
            PlanFact.SHOOTS_UNDER_RINGS,
            PlanFact.MOST_SHOOTS),
    OWN_ROOTS(facts -> facts.species().ownRoots() == OwnRoots.GOOD ? Level.FINE : Level.WARN, PlanFact.OWN_ROOTS),
    REGULATED(facts -> facts.species().regulated().isBlank() ? Level.FINE : Level.WARN, PlanFact.REGULATED),
    HAZARDS(facts -> facts.species().hazards().isBlank() ? Level.FINE : Level.CAUTION, PlanFact.HAZARDS);

    private final Function<MotherFacts, Level> rule;
    private final PlanFact[] reads;

    MotherRule(Function<MotherFacts, Level> rule, PlanFact... reads) {
        this.rule = rule;
        this.reads = reads;
    }

    /**
     * What a rule says.
     *
     * @param rule its stable id
     * @param facts what it read: what must become otherwise before it says something else
     */
    public record Entry(MotherRule rule, Level level, List<Fact> facts) {

        public Entry {
            facts = List.copyOf(facts);
        }
    }

    /** Every rule's entry, in rule order, those with nothing to say included. */
    public static List<Entry> check(MotherFacts facts) {
        return Arrays.stream(values())
                .map(one -> new Entry(
                        one,
                        one.rule.apply(facts),
                        Stream.of(one.reads)
                                .map(name -> new Fact(name, value(name, facts)))
                                .toList()))
                .toList();
    }

    private static @Nullable Object value(PlanFact name, MotherFacts facts) {
        return switch (name) {
            case RETIRED -> facts.retired();
            case SICK -> facts.sick();
            case RIGHTS_MISSING -> facts.rightsMissing();
            case METHOD -> facts.method();
            case EVERY_SHOOT_BURIED -> facts.everyShootBuried();
            case LIVE_SHOOT_BELOW -> facts.liveShootBelow();
            case RESPROUTS -> facts.species().resproutsFromBareTrunk();
            case SHOOTS_UNDER_RINGS -> facts.capacity().underRings();
            case MOST_SHOOTS -> facts.capacity().most();
            case OWN_ROOTS -> facts.species().ownRoots();
            case REGULATED -> facts.species().regulated();
            case HAZARDS -> facts.species().hazards();
            default -> throw new IllegalArgumentException(name + " is not read of a mother");
        };
    }
}
