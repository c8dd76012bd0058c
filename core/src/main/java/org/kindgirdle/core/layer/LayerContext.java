package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Hardiness;
import org.kindgirdle.core.growth.LookNoise;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.Standing;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.learn.Odds;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.Require;

/**
 * Everything beside its journal that a layer's projection depends on.
 *
 * @param climate of the mother's place
 * @param before the recipe that the same ring went by until it went on by this one; null if it always did by this one
 * @param time to a full ball that dates are worked out from: the profile's, or learned
 * @param rules the figures of the house
 * @param coverAtHand whether the nursery has a frost-free place
 * @param sums the shared thermal sums of this place and species under a cover
 * @param plantClimate of the place where it stands once it is severed
 * @param openAir of the nursery outside all its places
 * @param seasons of the species at the place
 * @param kept the time to a full ball as it was last worked out for this layer; null if it never was
 */
public record LayerContext(
        PlaceClimate climate,
        Exposure exposure,
        SpeciesProfile species,
        RootingTime time,
        Recipe recipe,
        @Nullable Recipe before,
        Vigour vigour,
        RootRun rootRun,
        HouseRules rules,
        boolean coverAtHand,
        Function<Cover, ThermalSums> sums,
        PlaceClimate plantClimate,
        PlaceClimate openAir,
        Seasons seasons,
        @Nullable TimeToReady kept) {

    private static final Share NOTHING_SEEN = new Share(0, 0);

    /** The same with the plant at another place once it is severed. */
    public LayerContext standingIn(PlaceClimate other) {
        return copy(recipe, before, other, kept);
    }

    /** The same for a ring that went by another recipe before: what it has gathered until then it has by that one. */
    public LayerContext goneOnFrom(Recipe other) {
        return copy(recipe, other, plantClimate, kept);
    }

    /** The same for a layer of which this was worked out before; it is used where nothing that it rests on has changed. */
    public LayerContext keeping(@Nullable TimeToReady ready) {
        return copy(recipe, before, plantClimate, ready);
    }

    private LayerContext copy(Recipe by, @Nullable Recipe earlier, PlaceClimate where, @Nullable TimeToReady ready) {
        return new LayerContext(
                climate,
                exposure,
                species,
                time,
                by,
                earlier,
                vigour,
                rootRun,
                rules,
                coverAtHand,
                sums,
                where,
                openAir,
                seasons,
                ready);
    }

    /**
     * The same for a layer that was ringed again otherwise than its recipe says: what was said of that ring counts from
     * then on.
     *
     * @throws MissingValueException if it went on by another recipe since and this does not say by which before
     */
    public LayerContext asRerung(LayerState state) {
        LayerRecord.Rerung again = state.rerung();
        if (again == null || again.wound() == null && again.hormonePpm() == null && again.ballMedium() == null) {
            return this;
        }
        boolean wentOnSince = before != null && wrappedBy(state) == before;
        Recipe made = (wentOnSince ? Require.present("before", before) : recipe)
                .with(again.wound(), again.hormonePpm(), again.ballMedium());
        return wentOnSince ? copy(recipe, made, plantClimate, kept) : copy(made, before, plantClimate, kept);
    }

    /** The cuts and the ball of a layer on its branch, as they were really made. */
    RingAndBall ball(LayerState state) {
        return recipe.ballAsMade(
                rules, state.set().diameterMm(), species.bridgesReadily(), ringMm(state), state.wrapped());
    }

    /**
     * Width of its ring, mm, 0 where none was cut: as it was cut, or, where nobody measured it, as it was asked for.
     */
    public double ringMm(LayerState state) {
        double ring = state.ringMm() != null
                ? state.ringMm()
                : RingAndBall.of(rules, state.set().diameterMm(), species.bridgesReadily(), false)
                        .ringMm();
        for (int again = 0; again < state.ringsSince(); again++) {
            ring = RingAndBall.againMm(rules, ring);
        }
        return ring;
    }

    /** Days of the year without leaves where it grew up; null if it keeps them. */
    public @Nullable DaysOfYear leafless() {
        return seasons.leafless();
    }

    /** Where it stands once it is severed. Its leaves keep to the seasons that it grew up in. */
    public Standing standing() {
        return new Standing(
                plantClimate,
                openAir,
                seasons.leafless(),
                Phenology.growthBegins(rules, climate, species).orElse(null));
    }

    /** Whether it is without leaves on a day. */
    public boolean isLeafless(LocalDate day) {
        return seasons.isLeafless(day);
    }

    /** Whether a layer with roots of this stage stands the winter here. */
    public boolean isHardy(RootStage stage) {
        return Hardiness.isHardy(climate, species, rootKillC(stage));
    }

    /** Whether a ball has stood its winter on the mother, full: then nobody waits for another. */
    public boolean hasWintered(LayerState state, LocalDate day) {
        LocalDate full = state.fullOn();
        return full != null && seasons.hasWintered(state.ringedOn(), full, day);
    }

    /** What roots of this stage bear, C. */
    public double rootKillC(RootStage stage) {
        return Hardiness.rootKillC(rules, recipe.method(), stage);
    }

    /** The chance that it roots at all, before any look: by the difficulty of the species and the recipe. */
    public double rootsBefore(RecipeFactors factors) {
        return Odds.rooting(rules, species.difficulty(), factors.odds(), NOTHING_SEEN)
                .chances()
                .mean();
    }

    /** The time to a full ball and the chance that it roots, after looks. */
    public TimeToReady ready(RecipeFactors factors, List<StageSeen> looks) {
        LookNoise noise = LookNoise.of(rules);
        double d50 = time.d50ThermalDays();
        double spread = time.spread(rules);
        double roots = rootsBefore(factors);
        return kept != null && kept.isAfter(rules, noise, d50, spread, roots, looks)
                ? kept
                : TimeToReady.after(rules, noise, d50, spread, roots, looks);
    }

    /** The factors of the recipe on this mother and on wood of this age. */
    public RecipeFactors factors(Wood wood) {
        return factors(recipe, wood);
    }

    /** The recipe that its ball was wrapped by: what is stood in water keeps the ball that it has. */
    public Recipe wrappedBy(LayerState state) {
        LayerState.MadeBy madeBy = state.madeBy();
        return before != null && madeBy != null && madeBy.since().isAfter(state.ringedOn()) ? before : recipe;
    }

    /** On the speed of the ring before it went on by another recipe. */
    double speedBefore(Wood wood) {
        return factors(before == null ? recipe : before, wood).speed();
    }

    private RecipeFactors factors(Recipe by, Wood wood) {
        return RecipeFactors.of(
                rules,
                species.difficulty(),
                by.method(),
                by.wound(),
                wood,
                rootRun,
                vigour,
                by.medium(),
                by.hormonePpm(),
                species.preformedRoots());
    }

    /**
     * The windows of start dates for a ring made here.
     *
     * @param cover over the ball
     * @param factors of the recipe on its wood
     * @param stage of the roots that a winter would meet
     */
    public SettingWindows windows(Cover cover, RecipeFactors factors, School school, RootStage stage) {
        return new SettingWindows(
                rules,
                climate,
                species,
                seasons,
                time,
                sums.apply(cover),
                factors.speed(),
                rootsBefore(factors),
                school,
                isHardy(stage));
    }
}
