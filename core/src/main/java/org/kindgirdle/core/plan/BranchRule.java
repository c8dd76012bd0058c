package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Level;

/** What is to be said of one branch before it is ringed; the names are stable ids. */
public enum BranchRule {
    /** The blade can go through. */
    THIN {
        @Override
        Entry check(HouseRules rules, Limb limb) {
            boolean thin = limb.diameterMm() < RingAndBall.thinMm(rules);
            return entry(thin, new Fact(PlanFact.DIAMETER_MM, limb.diameterMm()));
        }
    },
    FEW_LEAVES {
        @Override
        Entry check(HouseRules rules, Limb limb) {
            boolean few = !LimbScore.hasLeavesWanted(rules, limb);
            return entry(few, new Fact(PlanFact.LEAVES_BEYOND, limb.leavesBeyond()));
        }
    };

    abstract Entry check(HouseRules rules, Limb limb);

    Entry entry(boolean warns, Fact fact) {
        return new Entry(this, warns ? Level.WARN : Level.FINE, List.of(fact));
    }

    /**
     * What a rule says.
     *
     * @param rule its stable id
     * @param facts what it read
     */
    public record Entry(BranchRule rule, Level level, List<Fact> facts) {

        public Entry {
            facts = List.copyOf(facts);
        }
    }

    /** Every rule's entry, in rule order, those with nothing to say included. */
    public static List<Entry> checkAll(HouseRules rules, Limb limb) {
        return Arrays.stream(values()).map(rule -> rule.check(rules, limb)).toList();
    }
}
