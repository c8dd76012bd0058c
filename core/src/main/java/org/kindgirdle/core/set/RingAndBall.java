package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The cuts and the ball for a branch, all lengths in mm.
 *
 * @param diameterMm the branch under the ring
 * @param ringMm width of the band of bark that comes off; 0 under foil alone
 * @param ballLengthMm the ring, with the ball above the upper cut and below the lower
 * @param ballDiameterMm the branch with the wall of medium round it
 * @param mediumMl squeezed medium in the ball
 * @param filmCm2 film to wrap it, with its overlaps
 */
public record RingAndBall(
        double diameterMm, double ringMm, double ballLengthMm, double ballDiameterMm, double mediumMl, double filmCm2) {

    private static final Rule PER_DIAMETER = Rule.of("ring.per-diameter");
    private static final Rule LEAST_MM = Rule.of("ring.least");
    private static final Rule MAX_MM = Rule.of("ring.most");
    private static final Rule WIDER = Rule.of("ring.wider");
    private static final Rule WIDER_MOST_MM = Rule.of("ring.wider-most");
    private static final Rule ABOVE_MM = Rule.of("ball.above");
    private static final Rule BELOW_MM = Rule.of("ball.below");
    private static final Rule WALL_MORE_MM = Rule.of("ball.wall-more");
    private static final Rule WALL_LEAST_MM = Rule.of("ball.wall-least");
    private static final Rule WALL_MOST_MM = Rule.of("ball.wall-most");
    private static final Rule THIN_MM = Rule.of("ring.thin");
    private static final Rule FOIL_LENGTH_MM = Rule.of("foil-start.length");
    private static final Rule FILM_ROUND_MM = Rule.of("film.round");
    private static final Rule FILM_ALONG_MM = Rule.of("film.along");

    /** No ball is longer than this, mm. */
    private static final double MAX_LENGTH_MM = 1000;

    /** How exactly the size of a ball of a given volume is found, as a share of it. */
    private static final double SHAPE_TOLERANCE = 1e-12;

    /** The thinnest branch for which the sums hold, mm. */
    public static final double MIN_DIAMETER_MM = 1;

    /** The thickest branch for which they hold, mm. */
    public static final double MAX_DIAMETER_MM = 200;

    /**
     * @param diameterMm from 1 to 200
     * @param bridgesReadily whether the species heals over a ring easily
     * @param bridgedBefore whether this limb did, or is ringed again: a wider ring then
     * @throws OutOfRangeException if diameter, mm, is outside 1 to 200
     */
    public static RingAndBall of(HouseRules rules, double diameterMm, boolean bridgesReadily, boolean bridgedBefore) {
        double d = Require.within("diameter, mm,", diameterMm, MIN_DIAMETER_MM, MAX_DIAMETER_MM);
        double ring = clamp(rules.of(PER_DIAMETER) * d, rules.of(LEAST_MM), rules.of(MAX_MM));
        if (bridgesReadily || bridgedBefore) {
            ring = Math.min(rules.of(WIDER_MOST_MM), rules.of(WIDER) * ring);
        }
        double wall = clamp(rules.of(WALL_MORE_MM) + d, rules.of(WALL_LEAST_MM), rules.of(WALL_MOST_MM));
        return shaped(rules, d, ring, lengthMm(rules, ring), d + 2 * wall);
    }

    private static double lengthMm(HouseRules rules, double ring) {
        return ring + rules.of(ABOVE_MM) + rules.of(BELOW_MM);
    }

    private static RingAndBall shaped(HouseRules rules, double d, double ring, double length, double across) {
        double film = (Math.PI * across + rules.of(FILM_ROUND_MM)) * (length + rules.of(FILM_ALONG_MM)) / 100;
        return new RingAndBall(d, ring, length, across, roundMl(d, length, across), film);
    }

    /** Medium of an ellipsoid round its limb, mL; negative where it is hardly thicker than that. */
    private static double roundMl(double d, double length, double across) {
        return (Math.PI / 6 * across * across * length - Math.PI / 4 * d * d * length) / 1000;
    }

    /**
     * Foil wrapped round a shoot with nothing under it: no ring, no medium.
     *
     * @param diameterMm from 1 to 200
     * @throws OutOfRangeException if diameter, mm, is outside 1 to 200
     */
    public static RingAndBall foilAlone(HouseRules rules, double diameterMm) {
        double d = Require.within("diameter, mm,", diameterMm, MIN_DIAMETER_MM, MAX_DIAMETER_MM);
        double length = rules.of(FOIL_LENGTH_MM);
        double foil = (Math.PI * d + rules.of(FILM_ROUND_MM)) * length / 100;
        return new RingAndBall(d, 0, length, d, 0, foil);
    }

    /**
     * Width of the ring that is cut where one of so many mm failed: wider, for bark must not cross it again.
     *
     * @param failedMm 0 to 300; 0 where none was cut, and the narrowest is advised
     * @throws OutOfRangeException if ring, mm, is outside 0 to 300
     */
    public static double againMm(HouseRules rules, double failedMm) {
        Require.within("ring, mm,", failedMm, 0, 300);
        return Math.min(
                Math.max(failedMm, rules.of(WIDER_MOST_MM)), Math.max(rules.of(LEAST_MM), rules.of(WIDER) * failedMm));
    }

    /**
     * The same cuts with another volume of medium, for a container that holds more or less.
     *
     * @throws OutOfRangeException if mediumMl is outside 0 to 100 000
     */
    public RingAndBall withMediumMl(double mediumMl) {
        Require.within("mediumMl", mediumMl, 0, 100_000);
        return new RingAndBall(diameterMm, ringMm, ballLengthMm, ballDiameterMm, mediumMl, filmCm2);
    }

    /**
     * The same with the ring as it was cut, and the ball over it as long as that ring asks.
     *
     * @param cutMm above 0 to 300
     * @throws OutOfRangeException if ring, mm, is outside 0 to 300
     */
    public RingAndBall asCut(HouseRules rules, double cutMm) {
        Require.positive("ring, mm,", cutMm);
        Require.within("ring, mm,", cutMm, 0, 300);
        return shaped(rules, diameterMm, cutMm, lengthMm(rules, cutMm), ballDiameterMm);
    }

    /**
     * The same as it was wrapped. What of its shape nobody measured follows from what somebody did: of a volume alone, a
     * ball of the proportions that were asked for.
     *
     * @throws OutOfRangeException if it is thinner than its limb
     */
    public RingAndBall asWrapped(HouseRules rules, BallAsWrapped made) {
        made.checkAround(diameterMm);
        Double volume = made.volumeMl();
        Double length = made.lengthMm();
        Double across = made.acrossMm();
        if (volume == null) {
            RingAndBall shaped = shaped(
                    rules,
                    diameterMm,
                    ringMm,
                    length == null ? ballLengthMm : length,
                    across == null ? ballDiameterMm : across);
            return shaped.withMediumMl(Math.max(0, shaped.mediumMl()));
        }
        double larger = length == null && across == null ? timesLarger(volume) : 1;
        double along = length == null ? larger * ballLengthMm : length;
        double round = across == null ? larger * ballDiameterMm : across;
        if (length != null && across == null) {
            round = Math.sqrt((volume * 1000 / length + Math.PI / 4 * diameterMm * diameterMm) * 6 / Math.PI);
        } else if (length == null && across != null) {
            double perMm = roundMl(diameterMm, 1, across);
            along = perMm > 0 ? Math.min(MAX_LENGTH_MM, volume / perMm) : ballLengthMm;
        }
        return shaped(rules, diameterMm, ringMm, along, round).withMediumMl(volume);
    }

    /** How many times as long and wide a ball of these proportions is that holds so much, by halving. */
    private double timesLarger(double volumeMl) {
        double low = 0;
        double high = 1;
        while (roundMl(diameterMm, high * ballLengthMm, high * ballDiameterMm) < volumeMl) {
            high *= 2;
        }
        while (high - low > SHAPE_TOLERANCE * high) {
            double middle = (low + high) / 2;
            if (roundMl(diameterMm, middle * ballLengthMm, middle * ballDiameterMm) < volumeMl) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    /** How much of this ball lies on the tip side of the upper cut, mm, 0 or more: of a longer one more, of a shorter one less. */
    public double aboveCutMm(HouseRules rules) {
        return rules.of(ABOVE_MM) * beside(rules);
    }

    /** How much of this ball lies on the base side of the lower cut, mm, 0 or more. */
    public double belowCutMm(HouseRules rules) {
        return rules.of(BELOW_MM) * beside(rules);
    }

    /** Its length beside the ring, over that which is asked for. */
    private double beside(HouseRules rules) {
        return Math.max(0, ballLengthMm - ringMm) / (rules.of(ABOVE_MM) + rules.of(BELOW_MM));
    }

    /** Below this diameter, mm, the blade can go through the branch. */
    public static double thinMm(HouseRules rules) {
        return rules.of(THIN_MM);
    }

    /** Ball on the tip side of the upper cut, mm, where the roots come. */
    public static double aboveMm(HouseRules rules) {
        return rules.of(ABOVE_MM);
    }

    /** Ball on the base side of the lower cut, mm. */
    public static double belowMm(HouseRules rules) {
        return rules.of(BELOW_MM);
    }

    private static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }
}
