package org.kindgirdle.core.growth;

import java.util.function.ToDoubleFunction;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** How far the roots have come. */
public enum RootStage {
    NONE(rules -> 0),
    CALLUS,
    INITIALS,
    ROOTED,
    /** A full ball, which ends the rooting time: by definition. */
    FILLED(rules -> 1),
    MATURE;

    private static final double MAX_SHARE = 1e6;

    private final ToDoubleFunction<HouseRules> begins;
    private final Rule drinks;
    private final Rule maturity;
    private final Rule fill;

    RootStage(ToDoubleFunction<HouseRules> begins) {
        this.begins = begins;
        this.drinks = Rule.of("stage." + name() + ".drinks");
        this.maturity = Rule.of("stage." + name() + ".maturity");
        this.fill = Rule.of("stage." + name() + ".fill");
    }

    RootStage() {
        Rule rule = Rule.of("stage." + name() + ".begins");
        this.begins = rules -> rules.of(rule);
        this.drinks = Rule.of("stage." + name() + ".drinks");
        this.maturity = Rule.of("stage." + name() + ".maturity");
        this.fill = Rule.of("stage." + name() + ".fill");
    }

    /** Share of the time to a full ball at which it begins. */
    public double beginsAt(HouseRules rules) {
        return begins.applyAsDouble(rules);
    }

    /** Share at which the next stage begins; infinite for the last. */
    public double endsAt(HouseRules rules) {
        return this == MATURE ? Double.POSITIVE_INFINITY : values()[ordinal() + 1].beginsAt(rules);
    }

    /** Share of the water in the ball that its roots drink in a day. */
    public double drinks(HouseRules rules) {
        return rules.of(drinks);
    }

    /** How far its roots supply what their volume could, 0 to 1. */
    public double maturity(HouseRules rules) {
        return rules.of(maturity);
    }

    /** How much of the ball is taken as rooted where a look says nothing of it, 0 to 100 %. */
    public double fillTakenPercent(HouseRules rules) {
        return rules.of(fill);
    }

    /** Whether roots have come as far as another stage, or farther. */
    public boolean isAtLeast(RootStage other) {
        return ordinal() >= other.ordinal();
    }

    /**
     * The stage of a layer that has had this share of its time.
     *
     * @param share 0 to 1e6
     * @throws OutOfRangeException if share is outside 0 to 1e6
     */
    public static RootStage at(HouseRules rules, double share) {
        Require.within("share", share, 0, MAX_SHARE);
        RootStage reached = NONE;
        for (RootStage stage : values()) {
            if (share >= stage.beginsAt(rules)) {
                reached = stage;
            }
        }
        return reached;
    }
}
