package org.kindgirdle.core;

import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.SpeciesProfileBuilder;
import org.kindgirdle.core.set.Difficulty;

/** A quince, of which a test says only what it wants otherwise. */
public final class ProfileBuilder {

    private double d50 = 38;
    private double sigma = .25;
    private CardinalTemperatures cardinals = new CardinalTemperatures(5, 22, 36);
    private double opensAtMeanC = 9;
    private double leafCm2 = 30;
    private Habit habit = Habit.DECIDUOUS;
    private double hardyToC = -25;
    private boolean resprouts = true;
    private OwnRoots ownRoots = OwnRoots.GOOD;
    private boolean twoSeasons;
    private boolean buryNodes = true;
    private String regulated = "";
    private String hazards = "";

    private ProfileBuilder() {}

    public static ProfileBuilder quince() {
        return new ProfileBuilder();
    }

    public ProfileBuilder time(double medianThermalDays, double spread) {
        d50 = medianThermalDays;
        sigma = spread;
        return this;
    }

    public ProfileBuilder time(double medianThermalDays) {
        return time(medianThermalDays, sigma);
    }

    public ProfileBuilder cardinals(double baseC, double optimumC, double ceilingC) {
        cardinals = new CardinalTemperatures(baseC, optimumC, ceilingC);
        return this;
    }

    public ProfileBuilder opensAt(double meanC) {
        opensAtMeanC = meanC;
        return this;
    }

    public ProfileBuilder leaf(double cm2) {
        leafCm2 = cm2;
        return this;
    }

    public ProfileBuilder habit(Habit one) {
        habit = one;
        return this;
    }

    public ProfileBuilder hardyTo(double celsius) {
        hardyToC = celsius;
        return this;
    }

    public ProfileBuilder resprouts(boolean from) {
        resprouts = from;
        return this;
    }

    public ProfileBuilder ownRoots(OwnRoots one) {
        ownRoots = one;
        return this;
    }

    public ProfileBuilder twoSeasons(boolean two) {
        twoSeasons = two;
        return this;
    }

    public ProfileBuilder buryNodes(boolean takesIt) {
        buryNodes = takesIt;
        return this;
    }

    public ProfileBuilder cautions(String law, String handling) {
        regulated = law;
        hazards = handling;
        return this;
    }

    public SpeciesProfile build() {
        return SpeciesProfileBuilder.builder()
                .code("CYDOBL")
                .botanical("Cydonia oblonga")
                .common("quince")
                .difficulty(Difficulty.EASY)
                .d50ThermalDays(d50)
                .sigma(sigma)
                .cardinals(cardinals)
                .opensAtMeanC(opensAtMeanC)
                .leafCm2(leafCm2)
                .habit(habit)
                .frostHardyToC(hardyToC)
                .bridgesReadily(true)
                .preformedRoots(false)
                .resproutsFromBareTrunk(resprouts)
                .buryNodesOk(buryNodes)
                .ownRoots(ownRoots)
                .twoSeasons(twoSeasons)
                .regulated(regulated)
                .hazards(hazards)
                .note("")
                .needsWinter(null)
                .build();
    }
}
