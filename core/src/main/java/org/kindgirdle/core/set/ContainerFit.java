package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** How a pod, bag or pot that the house keeps compares with the ball that the branch asks for. */
public enum ContainerFit {
    /** narrower than the limb: it can't be closed round it */
    NARROWER_THAN_LIMB,
    /** holds much less than the ball: it dries sooner and fills sooner */
    TOO_SMALL,
    FITS,
    /** holds much more: it stays wet, and weighs more than it must */
    TOO_LARGE;

    private static final Rule LEAST = Rule.of("container.least");
    private static final Rule MAX = Rule.of("container.most");

    /**
     * @param containerMl above 0 to 100 000 mL
     * @param ballMl above 0 to 100 000 mL
     * @throws OutOfRangeException if containerMl is outside 0 to 100 000 or ballMl is outside 0 to 100 000
     */
    public static ContainerFit of(HouseRules rules, double containerMl, double ballMl) {
        Require.positive("containerMl", containerMl);
        Require.within("containerMl", containerMl, 0, 100_000);
        Require.positive("ballMl", ballMl);
        Require.within("ballMl", ballMl, 0, 100_000);
        double share = containerMl / ballMl;
        return share < rules.of(LEAST) ? TOO_SMALL : share > rules.of(MAX) ? TOO_LARGE : FITS;
    }

    /** How one of the house's containers does. */
    public static ContainerFit of(HouseRules rules, HouseContainer container, RingAndBall asked) {
        return container.acrossMm() <= asked.diameterMm()
                ? NARROWER_THAN_LIMB
                : of(rules, container.mediumMl(asked.diameterMm()), asked.mediumMl());
    }
}
