package org.kindgirdle.server.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;

/**
 * The bulk of the season under way, beside the layers of {@link DemoPlan} that have something to show: mothers of their
 * own, set in turns as the bark slips, and slow ones that are carried over from the year before.
 */
final class DemoPresentPlan {

    private DemoPresentPlan() {}

    private static final int YEAR = 2026;
    private static final LocalDate FIRST_DAY = LocalDate.of(YEAR - 1, 6, 1);
    private static final long SEED = 20260407;

    /** So that there are full balls to choose a day for. */
    private static final int DAYS_WITHOUT_A_CUT = 9;

    static final List<DemoPlan.MotherPlan> MOTHERS = List.of(
            mother("KA-01", "CERJAP", "Tollen Rose", "Tunnel 1", 2012, 48),
            mother("KA-02", "CERJAP", "Tollen Rose", "Standing ground", 2016, 40),
            mother("SN-01", "STYJAP", "Low Bell", "Walled garden", 2011, 52),
            mother("SN-02", "STYJAP", "Low Bell", "Tunnel 1", 2018, 40),
            mother("WI-01", "WISSIN", "Carrow Veil", "Tunnel 1", 2010, 60),
            mother("WI-02", "WISSIN", "Carrow Veil", "Walled garden", 2008, 66),
            mother("PI-01", "PARPER", "Slow Ember", "Long field", 2007, 58),
            mother("PI-02", "PARPER", "Slow Ember", "Tunnel 1", 2015, 44),
            mother("DV-01", "DAVINV", "White Flag", "Walled garden", 2003, 50),
            mother("DV-02", "DAVINV", "White Flag", "Tunnel 1", 2014, 42),
            mother("WH-01", "HAMINT", "Marsh Lamp", "Standing ground", 2013, 46),
            mother("WH-02", "HAMINT", "Marsh Lamp", "Tunnel 1", 2017, 40),
            mother("QU-04", "CYDOBL", "Harrow Gold", "Tunnel 1", 2015, 56),
            mother("MU-03", "MORNIG", "Carrow Black", "Tunnel 1", 2012, 54),
            mother("LQ-03", "ERIJAP", "Amber Lantern", "Tunnel 2", 2014, 50),
            mother("FJ-03", "FEISEL", "Grey Skerry", "Tunnel 2", 2012, 54),
            mother("SM-02", "COTCOG", "Dusk Plume", "Tunnel 1", 2016, 46));

    private static final List<DemoHabit> THIS_YEAR = List.of(
            new DemoHabit("KA-01", "Moss and foil", 3, 14, 114, 14),
            new DemoHabit("KA-02", "Moss and foil", 3, 13, 121, 14),
            new DemoHabit("SN-01", "Moss and foil", 3, 12, 124, 17),
            new DemoHabit("SN-02", "Clear film", 3, 12, 110, 14),
            new DemoHabit("WI-01", "Moss and foil", 4, 18, 107, 14),
            new DemoHabit("WI-02", "Coir bag", 4, 19, 121, 21),
            new DemoHabit("PI-01", "Moss and foil", 3, 16, 128, 14),
            new DemoHabit("PI-02", "Coir bag", 3, 15, 114, 14),
            new DemoHabit("WH-02", "Moss and foil", 2, 14, 121, 14),
            new DemoHabit("QU-04", "Moss and foil", 4, 16, 110, 17),
            new DemoHabit("MU-03", "Moss and foil", 4, 19, 110, 17),
            new DemoHabit("LQ-03", "Coir bag", 4, 17, 89, 21),
            new DemoHabit("FJ-03", "Hinged pod", 3, 13, 89, 24),
            new DemoHabit("SM-02", "Moss and foil", 3, 12, 121, 14));

    private static final List<DemoHabit> LAST_YEAR = List.of(
            new DemoHabit("DV-01", "Moss and foil", 2, 18, 154, 10),
            new DemoHabit("DV-02", "Moss and foil", 2, 17, 154, 14),
            new DemoHabit("WH-01", "Moss and foil", 2, 15, 154, 14));

    static DemoLives.Season season(LocalDate today) {
        List<DemoLives.Batch> all = new ArrayList<>();
        LAST_YEAR.forEach(habit -> all.addAll(habit.in(YEAR - 1)));
        THIS_YEAR.forEach(habit -> all.addAll(habit.in(YEAR)));
        return new DemoLives.Season(
                all,
                List.of(),
                FIRST_DAY,
                today,
                Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY),
                today.minusDays(DAYS_WITHOUT_A_CUT),
                false,
                SEED);
    }

    private static DemoPlan.MotherPlan mother(
            String code, String species, String variety, String place, int planted, int shoots) {
        return new DemoPlan.MotherPlan(
                code, species, variety, place, RootRun.GROUND, Vigour.NORMAL, planted, shoots, false, "");
    }
}
