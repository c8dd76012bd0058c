package org.kindgirdle.core.look;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** Minutes that a job takes: house figures. */
public final class RoundMinutes {

    private static final Rule LOOK = Rule.of("minutes.look");
    private static final Rule TOP_UP = Rule.of("minutes.top-up");
    private static final Rule SEVER = Rule.of("minutes.sever");
    private static final Rule SET_RING = Rule.of("minutes.set-ring");
    private static final Rule REWRAP = Rule.of("minutes.rewrap");
    private static final Rule OTHER = Rule.of("minutes.other");

    private RoundMinutes() {}

    /** @param job LOOK, TOP_UP, or the name of a step */
    public static double of(HouseRules rules, String job) {
        return rules.of(
                switch (job) {
                    case "LOOK", "LOOK_NOW" -> LOOK;
                    case "TOP_UP" -> TOP_UP;
                    case "SEVER",
                            "SEVER_SOON",
                            "SEVER_TO_COVER",
                            "SEVER_DORMANT",
                            "SEVER_NOW",
                            "GAMBLE",
                            "RESCUE",
                            "POT_UP" -> SEVER;
                    case "RERING" -> SET_RING;
                    case "REWRAP", "RESCORE", "CLEAN_OUT", "UPSIZE" -> REWRAP;
                    default -> OTHER;
                });
    }
}
