package org.kindgirdle.core.growth;

import java.util.ArrayList;
import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * The chance that a look finds each stage, by the time to a full ball that the layer has, and by how looks may err.
 *
 * <p>A layer that is full after {@code exp(x)} thermal days and deviates by e in when its first signs show has reached
 * a stage at g thermal days with the chance {@code Phi((ln g - ln share - x - e) / eye spread)}; without e for a full
 * ball and a mature one, made monotone from the top. A layer that never roots shows what such layers show.
 */
final class StageChances {

    private static final int STAGES = RootStage.values().length;
    private static final int FILLED = RootStage.FILLED.ordinal();

    /** Gauss and Hermite's seven points for a standard normal, and their weights. */
    private static final double[] POINTS = {
        -3.7504397177257425,
        -2.3667594107345415,
        -1.1544053947399682,
        0,
        1.1544053947399682,
        2.3667594107345415,
        3.7504397177257425
    };

    private static final double[] WEIGHTS = {
        5.482688559722179e-4,
        3.075712396758651e-2,
        .2401231786050127,
        .4571428571428571,
        .2401231786050127,
        3.075712396758651e-2,
        5.482688559722179e-4
    };

    private static final Rule[] NEVER = {
        Rule.of("never.NONE"), Rule.of("never.CALLUS"), Rule.of("never.INITIALS"), Rule.of("never.ROOTED")
    };

    private final double[] lnShare = new double[STAGES];
    private final double[] never = new double[STAGES];
    private final LookNoise noise;

    StageChances(HouseRules rules, LookNoise noise) {
        this.noise = noise;
        for (int stage = 1; stage < STAGES; stage++) {
            lnShare[stage] = Math.log(RootStage.values()[stage].beginsAt(rules));
        }
        double sum = 0;
        for (Rule rule : NEVER) {
            sum += rules.of(rule);
        }
        for (int stage = 0; stage < NEVER.length; stage++) {
            never[stage] = rules.of(NEVER[stage]) / sum;
        }
    }

    /** All figures of the house that the chances rest on: what is worked out by others is known by them. */
    List<Double> figures() {
        List<Double> all = new ArrayList<>(List.of(noise.layerSpread(), noise.eyeSpread(), noise.slip()));
        for (double share : lnShare) {
            all.add(share);
        }
        for (double shown : never) {
            all.add(shown);
        }
        return all;
    }

    static int deviations() {
        return POINTS.length;
    }

    static double weight(int deviation) {
        return WEIGHTS[deviation];
    }

    /** How far a full and a mature ball have been reached by one that is full at x; the same for every deviation. */
    void full(double lnG, double x, double[] reached) {
        double above = 0;
        for (int stage = STAGES - 1; stage >= FILLED; stage--) {
            above = Math.max(above, NormalTable.upTo((lnG - lnShare[stage] - x) / noise.eyeSpread()));
            reached[stage] = above;
        }
    }

    /**
     * Chances of a layer that will be full at x; into {@code chances}, one a stage.
     *
     * @param reached what {@link #full} made of it
     */
    void rooting(double lnG, double x, int deviation, double[] reached, double[] chances) {
        double e = noise.layerSpread() * POINTS[deviation];
        chances[STAGES - 1] = reached[STAGES - 1];
        double above = reached[STAGES - 1];
        for (int stage = STAGES - 2; stage > 0; stage--) {
            double here = stage >= FILLED
                    ? reached[stage]
                    : Math.max(above, NormalTable.upTo((lnG - lnShare[stage] - x - e) / noise.eyeSpread()));
            chances[stage] = here - above;
            above = here;
        }
        chances[0] = 1 - above;
    }

    /** Chance that a stage is shown by a layer that never roots. */
    double never(int stage) {
        return never[stage];
    }

    /** The chance that a stage is named where these are the chances of what there is. */
    double named(int stage, double[] chances) {
        double half = noise.slip() / 2;
        double stays = chances[stage] * (stage == 0 || stage == STAGES - 1 ? 1 - half : 1 - 2 * half);
        double below = stage > 0 ? chances[stage - 1] * half : 0;
        double above = stage < STAGES - 1 ? chances[stage + 1] * half : 0;
        return stays + below + above;
    }

    /** The same for a layer that never roots. */
    double neverNamed(int stage) {
        return named(stage, never);
    }
}
