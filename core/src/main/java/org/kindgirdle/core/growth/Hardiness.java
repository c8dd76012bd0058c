package org.kindgirdle.core.growth;

import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.Method;

/** Whether a layer stands the winter on its mother: the top by its species, the roots by their age. */
public final class Hardiness {

    private static final Rule YOUNG_ROOT_KILL_C = Rule.of("next.young-root-kill");
    private static final Rule GROUND_ROOT_KILL_C = Rule.of("next.ground-root-kill");
    private static final Rule MATURE_ROOT_KILL_C = Rule.of("next.mature-root-kill");

    private Hardiness() {}

    /**
     * What the roots of a layer bear, C.
     *
     * @param stage of the roots at the onset of winter
     */
    public static double rootKillC(HouseRules rules, Method method, RootStage stage) {
        if (method.buriesTheBase()) {
            return rules.of(GROUND_ROOT_KILL_C);
        }
        return rules.of(stage == RootStage.MATURE ? MATURE_ROOT_KILL_C : YOUNG_ROOT_KILL_C);
    }

    /** Whether it stands the coldest night that one winter in ten brings to a place. */
    public static boolean isHardy(PlaceClimate climate, SpeciesProfile species, double rootKillC) {
        double lowC = climate.winterLowC();
        return species.frostHardyToC() <= lowC && rootKillC <= lowC;
    }
}
