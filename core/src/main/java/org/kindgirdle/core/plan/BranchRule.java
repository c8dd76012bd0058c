package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.List;
import org.kindgirdle.core.set.RingAndBall;

/** What is to be said of one branch before it is ringed; the names are stable ids. */
public enum BranchRule {
    /** The blade can go through. */
    THIN {
        @Override
        Level level(Limb limb) {
            return limb.diameterMm() < RingAndBall.THIN_MM ? Level.WARN : Level.FINE;
        }
    },
    FEW_LEAVES {
        @Override
        Level level(Limb limb) {
            return limb.leavesBeyond() < LimbScore.LEAVES_WANTED ? Level.WARN : Level.FINE;
        }
    };

    abstract Level level(Limb limb);

    /**
     * What a rule says.
     *
     * @param rule its stable id
     */
    public record Entry(BranchRule rule, Level level) {}

    /** Every rule's entry, in rule order, those with nothing to say included. */
    public static List<Entry> check(Limb limb) {
        return Arrays.stream(values())
                .map(rule -> new Entry(rule, rule.level(limb)))
                .toList();
    }
}
