package org.kindgirdle.core.look;

/** Minutes that a job takes, house figures. */
public final class RoundMinutes {

    private RoundMinutes() {}

    /** @param job LOOK, TOP_UP, or the name of a step */
    public static double of(String job) {
        return switch (job) {
            case "TOP_UP" -> .5;
            case "SEVER_SOON", "SEVER_TO_COVER", "SEVER_DORMANT", "SEVER_NOW", "GAMBLE", "RESCUE", "POT_UP" -> 6;
            case "RERING" -> 4;
            case "REWRAP", "RESCORE", "CLEAN_OUT", "UPSIZE" -> 3;
            default -> 1;
        };
    }
}
