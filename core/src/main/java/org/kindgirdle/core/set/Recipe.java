package org.kindgirdle.core.set;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.NotOneOfException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A house combination of method, wound, hormone, medium, wrap and cover.
 *
 * @param method AIR where none is given, as in recipes older than the other ways
 * @param hormonePpm IBA, 0 for none
 * @param containerG mass of a pod, pot or bag that holds the ball, g
 * @param containerMl medium that it holds in place of what the branch would ask for, mL; 0 for what the branch asks
 * @param watering how its balls are kept moist; by the sum where none is given
 */
public record Recipe(
        Method method,
        Wound wound,
        double hormonePpm,
        Medium medium,
        Wrap wrap,
        Cover cover,
        double containerG,
        double containerMl,
        @Nullable Watering watering) {

    private static final double MAX_CONTAINER_ML = 100_000;

    /**
     * @throws OutOfRangeException if hormonePpm is outside 0 to 100 000, containerG is outside 0 to 5000 or
     *     containerMl is outside 0 to 100 000
     * @throws MissingValueException if there is no wound, medium, wrap or cover
     * @throws NotOneOfException if wound or wrap is none of those that are allowed
     */
    public Recipe(
            @Nullable Method method,
            Wound wound,
            double hormonePpm,
            Medium medium,
            Wrap wrap,
            Cover cover,
            double containerG,
            double containerMl,
            @Nullable Watering watering) {
        this.method = Objects.requireNonNullElse(method, Method.AIR);
        this.wound = Require.oneOf("wound", Require.present("wound", wound), this.method.wounds());
        this.medium = Require.present("medium", medium);
        this.wrap = Require.oneOf("wrap", Require.present("wrap", wrap), this.method.wraps());
        this.cover = Require.present("cover", cover);
        this.hormonePpm = Require.within("hormonePpm", hormonePpm, 0, 100_000);
        this.containerG = Require.within("containerG", containerG, 0, 5000);
        this.containerMl = Require.within("containerMl", containerMl, 0, MAX_CONTAINER_ML);
        this.watering = Objects.requireNonNullElse(watering, Watering.BY_THE_SUM);
    }

    /** Watered by the sum. */
    public Recipe(
            @Nullable Method method,
            Wound wound,
            double hormonePpm,
            Medium medium,
            Wrap wrap,
            Cover cover,
            double containerG,
            double containerMl) {
        this(method, wound, hormonePpm, medium, wrap, cover, containerG, containerMl, Watering.BY_THE_SUM);
    }

    /** As {@link Wound#isScraped}. */
    public boolean isScraped() {
        return wound.isScraped();
    }

    /** Whether it is pushed on ready filled, with nothing cut: the quickest way. */
    public boolean isReadyBag() {
        return !wound.isRing() && wrap == Wrap.SLIT_BAG;
    }

    /**
     * The cuts and the ball on a branch: what a container holds in place of what the branch asks for, and no medium
     * under foil alone. See {@link RingAndBall#of} for the ranges.
     */
    public RingAndBall ball(HouseRules rules, double diameterMm, boolean bridgesReadily, boolean bridgedBefore) {
        if (!method.hasMedium()) {
            return RingAndBall.foilAlone(rules, diameterMm);
        }
        RingAndBall asked = RingAndBall.of(rules, diameterMm, bridgesReadily, bridgedBefore);
        return containerMl > 0 ? asked.withMediumMl(containerMl) : asked;
    }

    /**
     * The cuts and the ball as they were really made.
     *
     * @param cutMm width of the ring, 0 where none was cut; null if nobody measured it, and it is the one that was asked for
     * @param wrapped null if nobody measured the ball
     * @throws OutOfRangeException as {@link #ball} and {@link RingAndBall#asWrapped}
     */
    public RingAndBall ballAsMade(
            HouseRules rules,
            double diameterMm,
            boolean bridgesReadily,
            @Nullable Double cutMm,
            @Nullable BallAsWrapped wrapped) {
        RingAndBall asked = ball(rules, diameterMm, bridgesReadily, false);
        if (!method.hasMedium()) {
            return asked;
        }
        RingAndBall cut = cutMm == null || cutMm == 0 ? asked : asked.asCut(rules, cutMm);
        RingAndBall filled = containerMl > 0 ? cut.withMediumMl(containerMl) : cut;
        return wrapped == null || !wrapped.isMeasured() ? filled : filled.asWrapped(rules, wrapped);
    }

    /** The same with another wound, strength of hormone or medium; null for those that stay. */
    public Recipe with(@Nullable Wound otherWound, @Nullable Double otherPpm, @Nullable Medium otherMedium) {
        return new Recipe(
                method,
                otherWound == null ? wound : otherWound,
                otherPpm == null ? hormonePpm : otherPpm,
                otherMedium == null ? medium : otherMedium,
                wrap,
                cover,
                containerG,
                containerMl,
                watering);
    }

    /** How its container compares with what the branch asks for; null where it has none of a fixed size. */
    public @Nullable ContainerFit containerFit(HouseRules rules, double diameterMm, boolean bridgesReadily) {
        return containerMl > 0
                ? ContainerFit.of(
                        rules,
                        containerMl,
                        RingAndBall.of(rules, diameterMm, bridgesReadily, false).mediumMl())
                : null;
    }

    /** Medium to have ready for a ball, mL: the ground has its own. */
    public double mediumToMixMl(RingAndBall ball) {
        return wrap == Wrap.IN_GROUND ? 0 : ball.mediumMl();
    }

    /** Whether foil is cut for it. */
    public boolean usesFoil() {
        return cover == Cover.FOIL && wrap.isTied() || wrap == Wrap.FOIL_ONLY;
    }
}
