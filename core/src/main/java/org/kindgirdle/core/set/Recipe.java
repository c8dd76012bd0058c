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
 */
public record Recipe(
        Method method,
        Wound wound,
        double hormonePpm,
        Medium medium,
        Wrap wrap,
        Cover cover,
        double containerG,
        double containerMl) {

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
            double containerMl) {
        this.method = Objects.requireNonNullElse(method, Method.AIR);
        this.wound = Require.oneOf("wound", Require.present("wound", wound), this.method.wounds());
        this.medium = Require.present("medium", medium);
        this.wrap = Require.oneOf("wrap", Require.present("wrap", wrap), this.method.wraps());
        this.cover = Require.present("cover", cover);
        this.hormonePpm = Require.within("hormonePpm", hormonePpm, 0, 100_000);
        this.containerG = Require.within("containerG", containerG, 0, 5000);
        this.containerMl = Require.within("containerMl", containerMl, 0, MAX_CONTAINER_ML);
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
