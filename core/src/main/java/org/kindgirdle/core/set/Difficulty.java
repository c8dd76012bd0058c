package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** How hard a species is to root, with the rooted and failed layers that are believed before any is counted. */
public enum Difficulty {
    EASY,
    MODERATE,
    DIFFICULT;

    private final Rule rooted;
    private final Rule failed;

    Difficulty() {
        this.rooted = Rule.of("prior." + name() + ".rooted");
        this.failed = Rule.of("prior." + name() + ".failed");
    }

    /** The first parameter of the Beta prior. */
    public double priorRooted(HouseRules rules) {
        return rules.of(rooted);
    }

    /** The second parameter of the Beta prior. */
    public double priorFailed(HouseRules rules) {
        return rules.of(failed);
    }
}
