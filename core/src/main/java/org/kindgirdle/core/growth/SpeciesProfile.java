package org.kindgirdle.core.growth;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What is known of a species before the nursery's own records overrule it.
 *
 * @param code short code, six capitals
 * @param botanical scientific name
 * @param common the name growers use
 * @param difficulty how hard it roots
 * @param d50ThermalDays median thermal days from ring to full ball, above 0
 * @param sigma spread of their logarithm, 0.01 to 2
 * @param cardinals temperatures of root growth
 * @param opensAtMeanC mean temperature from which it may be set, C
 * @param leafCm2 area of one leaf, cm2
 * @param habit whether it drops its leaves
 * @param frostHardyToC what its top bears, C
 * @param bridgesReadily whether bark heals over the ring easily
 * @param preformedRoots whether root initials wait under the bark
 * @param resproutsFromBareTrunk whether it comes again from a trunk without leaves
 * @param buryNodesOk whether its stem may be buried
 * @param ownRoots how it does on its own roots
 * @param twoSeasons whether it needs a second growing season
 * @param regulated a caution on law, or empty
 * @param hazards a caution on handling, or empty
 * @param note a remark, or empty
 * @param needsWinter whether it grows and roots poorly for years where no winter comes; of a profile that does not say so,
 *     what drops its leaves and bears hard frost
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
public record SpeciesProfile(
        String code,
        String botanical,
        String common,
        Difficulty difficulty,
        double d50ThermalDays,
        double sigma,
        CardinalTemperatures cardinals,
        double opensAtMeanC,
        double leafCm2,
        Habit habit,
        double frostHardyToC,
        boolean bridgesReadily,
        boolean preformedRoots,
        boolean resproutsFromBareTrunk,
        boolean buryNodesOk,
        OwnRoots ownRoots,
        boolean twoSeasons,
        String regulated,
        String hazards,
        String note,
        @Nullable Boolean needsWinter) {

    /** A deciduous plant whose top bears this is one of cold winters. */
    private static final double HARD_FROST_C = -15;

    private static final Pattern LATEX = Pattern.compile("latex|milky", Pattern.CASE_INSENSITIVE);

    /** Whether it bleeds milky sap where it is cut, by the caution on its handling. */
    public boolean bleedsLatex() {
        return LATEX.matcher(hazards).find();
    }

    /**
     * @throws OutOfRangeException if a value is outside the range that is given for it
     * @throws MissingValueException if there is no code, botanical, common, difficulty, cardinals, habit, ownRoots,
     *     regulated, hazards or note
     */
    public SpeciesProfile {
        Require.present("code", code);
        Require.present("botanical", botanical);
        Require.present("common", common);
        Require.present("difficulty", difficulty);
        Require.present("cardinals", cardinals);
        Require.present("habit", habit);
        Require.present("ownRoots", ownRoots);
        Require.present("regulated", regulated);
        Require.present("hazards", hazards);
        Require.present("note", note);
        needsWinter = needsWinter == null ? habit == Habit.DECIDUOUS && frostHardyToC <= HARD_FROST_C : needsWinter;
        Require.within("d50ThermalDays", d50ThermalDays, 1, 2000);
        Require.within("sigma", sigma, 0.01, 2);
        Require.within("opensAtMeanC", opensAtMeanC, -10, 40);
        Require.within("leafCm2", leafCm2, 0.1, 10_000);
        Require.within("frostHardyToC", frostHardyToC, -60, 30);
    }
}
