package org.kindgirdle.core.growth;

import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** Whether a layer stands the winter on its mother: the top by its species, the roots by their age. */
public final class Hardiness {

    private static final Rule YOUNG_ROOT_KILL_C = Rule.of("next.young-root-kill");
    private static final Rule MATURE_ROOT_KILL_C = Rule.of("next.mature-root-kill");

    private Hardiness() {}

    /** @param stage of the roots at the onset of winter */
    public static boolean isHardy(HouseRules rules, PlaceClimate climate, SpeciesProfile species, RootStage stage) {
        double lowC = climate.winterLowC();
        double rootKillC = rules.of(stage == RootStage.MATURE ? MATURE_ROOT_KILL_C : YOUNG_ROOT_KILL_C);
        return species.frostHardyToC() <= lowC && rootKillC <= lowC;
    }
}
