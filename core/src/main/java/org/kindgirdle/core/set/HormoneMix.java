package org.kindgirdle.core.set;

import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** Sums for hormone solutions. Concentrations are ppm, that is mg of active substance per litre of solution. */
public final class HormoneMix {

    /** 1 percent is 10 000 ppm. */
    private static final double PPM_PER_PERCENT = 10_000;

    private static final double MAX_PPM = 1_000_000;
    private static final double MAX_ML = 1_000_000;
    private static final double ML_PER_L = 1000;

    private HormoneMix() {}

    /**
     * @param percent of weight in volume, 0 to 100
     * @throws OutOfRangeException if percent is outside 0 to 100
     */
    public static double ppm(double percent) {
        return Require.within("percent", percent, 0, 100) * PPM_PER_PERCENT;
    }

    /**
     * @param ppm 0 to 1 000 000
     * @throws OutOfRangeException if ppm is outside 0 to 1 000 000
     */
    public static double percent(double ppm) {
        return Require.within("ppm", ppm, 0, MAX_PPM) / PPM_PER_PERCENT;
    }

    /**
     * A liquid to be weakened.
     *
     * @param stockMl of the stock, measured first
     * @param diluentMl filled up with
     */
    public record Dilution(double stockMl, double diluentMl) {}

    /**
     * By conservation of the substance, {@code V_stock = ppm_target V / ppm_stock}.
     *
     * @param stockPpm strength at hand, above 0 to 1 000 000
     * @param targetPpm strength wanted, 0 to that of the stock: nothing is made stronger by thinning
     * @param volumeMl wanted in all, 0 to 1 000 000 mL
     * @throws OutOfRangeException if stockPpm is outside 0 to 1 000 000, targetPpm is outside 0 to stockPpm or
     *     volumeMl is outside 0 to 1 000 000
     */
    public static Dilution dilute(double stockPpm, double targetPpm, double volumeMl) {
        Require.positive("stockPpm", stockPpm);
        Require.within("stockPpm", stockPpm, 0, MAX_PPM);
        Require.within("targetPpm", targetPpm, 0, stockPpm);
        Require.within("volumeMl", volumeMl, 0, MAX_ML);
        double stockMl = targetPpm * volumeMl / stockPpm;
        return new Dilution(stockMl, volumeMl - stockMl);
    }

    /**
     * Mass of solid to dissolve, mg: {@code ppm V / 1000 / purity}.
     *
     * @param purity share of active substance in the solid, above 0 to 1
     * @throws OutOfRangeException if an argument is out of its range or NaN
     */
    public static double solidMg(double targetPpm, double volumeMl, double purity) {
        Require.within("targetPpm", targetPpm, 0, MAX_PPM);
        Require.within("volumeMl", volumeMl, 0, MAX_ML);
        Require.positive("purity", purity);
        Require.within("purity", purity, 0, 1);
        return targetPpm * volumeMl / ML_PER_L / purity;
    }
}
