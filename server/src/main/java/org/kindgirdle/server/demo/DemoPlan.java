package org.kindgirdle.server.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.places.PlaceFrosts;

/** What stands where in the made-up nursery, and which layers are set when. Everything else follows from the core. */
final class DemoPlan {

    private DemoPlan() {}

    /** The nursery's season so far begins here. */
    static final LocalDate FIRST_DAY = LocalDate.of(2025, 6, 3);

    record PlacePlan(
            String name,
            int order,
            Exposure exposure,
            double minShiftC,
            double maxShiftC,
            double vpdFactor,
            PlaceFrosts frosts,
            double winterLowC,
            Stability.Stand stand) {}

    record MotherPlan(
            String code,
            String species,
            String variety,
            String place,
            RootRun rootRun,
            Vigour vigour,
            int plantedYear,
            int leafyShoots,
            boolean sick,
            String note) {}

    /** A limb that is on record. */
    record LimbPlan(
            String mother,
            String name,
            double diameterMm,
            Wood wood,
            double leanDeg,
            double lengthMm,
            int nodes,
            int leaves,
            boolean toBePruned,
            String note) {}

    /**
     * Layers set together.
     *
     * @param limb that they stand on, from its tip down; empty where it was not said
     * @param trouble found at the last look on the first of them, and not yet mended; empty for none
     * @param droops whether the first of them was found drooping on the ladder at the last visit
     */
    record BatchPlan(
            String mother,
            String limb,
            String recipe,
            LocalDate on,
            int count,
            double diameterMm,
            double leanDeg,
            Set<Condition> trouble,
            boolean droops) {

        BatchPlan drooping() {
            return new BatchPlan(mother, limb, recipe, on, count, diameterMm, leanDeg, trouble, true);
        }
    }

    static final List<PlacePlan> PLACES = List.of(
            new PlacePlan(
                    "Walled garden", 1, Exposure.PART, .8, 1.2, .9, PlaceFrosts.SITE, -3.5, Stability.Stand.SHELTERED),
            new PlacePlan(
                    "Standing ground", 2, Exposure.PART, 0, .3, 1, PlaceFrosts.SITE, -4.5, Stability.Stand.SHELTERED),
            new PlacePlan("Long field", 3, Exposure.FULL, 0, 0, 1.1, PlaceFrosts.SITE, -4.8, Stability.Stand.OPEN),
            new PlacePlan("Tunnel 1", 4, Exposure.PART, 1.5, 5, 1.2, PlaceFrosts.SITE, -2.5, Stability.Stand.COVERED),
            new PlacePlan("Tunnel 2", 5, Exposure.PART, 4, 6, 1.1, PlaceFrosts.NONE, 2, Stability.Stand.COVERED));

    static final List<MotherPlan> MOTHERS = List.of(
            new MotherPlan(
                    "QU-01",
                    "CYDOBL",
                    "Harrow Gold",
                    "Walled garden",
                    RootRun.GROUND,
                    Vigour.STRONG,
                    2014,
                    70,
                    false,
                    ""),
            new MotherPlan(
                    "QU-02", "CYDOBL", "Harrow Gold", "Long field", RootRun.GROUND, Vigour.NORMAL, 2017, 60, false, ""),
            new MotherPlan(
                    "QU-03",
                    "CYDOBL",
                    "Tollen Pear",
                    "Long field",
                    RootRun.GROUND,
                    Vigour.NORMAL,
                    2018,
                    45,
                    true,
                    "Leaf mottle seen in May: not to be cloned"),
            new MotherPlan(
                    "MD-01", "MESGER", "Old Carrow", "Long field", RootRun.GROUND, Vigour.NORMAL, 2009, 55, false, ""),
            new MotherPlan(
                    "MD-02", "MESGER", "Old Carrow", "Tunnel 1", RootRun.POT, Vigour.NORMAL, 2021, 24, false, ""),
            new MotherPlan(
                    "LQ-01", "ERIJAP", "Amber Lantern", "Tunnel 2", RootRun.GROUND, Vigour.STRONG, 2016, 40, false, ""),
            new MotherPlan(
                    "LQ-02",
                    "ERIJAP",
                    "Amber Lantern",
                    "Walled garden",
                    RootRun.GROUND,
                    Vigour.NORMAL,
                    2015,
                    36,
                    false,
                    "South wall"),
            new MotherPlan(
                    "FJ-01", "FEISEL", "Grey Skerry", "Tunnel 2", RootRun.GROUND, Vigour.NORMAL, 2013, 48, false, ""),
            new MotherPlan("FJ-02", "FEISEL", "Grey Skerry", "Tunnel 1", RootRun.POT, Vigour.WEAK, 2022, 18, false, ""),
            new MotherPlan(
                    "MU-01",
                    "MORNIG",
                    "Carrow Black",
                    "Walled garden",
                    RootRun.GROUND,
                    Vigour.STRONG,
                    2004,
                    64,
                    false,
                    ""),
            new MotherPlan(
                    "MU-02", "MORNIG", "Carrow Black", "Tunnel 1", RootRun.GROUND, Vigour.NORMAL, 2019, 30, false, ""),
            new MotherPlan(
                    "SM-01",
                    "COTCOG",
                    "Dusk Plume",
                    "Standing ground",
                    RootRun.POT,
                    Vigour.NORMAL,
                    2023,
                    26,
                    false,
                    ""));

    static final List<LimbPlan> LIMBS = List.of(
            new LimbPlan("QU-01", "East fork", 17, Wood.ONE_TWO, 20, 1400, 24, 46, true, "Crosses the path"),
            new LimbPlan("QU-01", "Water shoot", 15, Wood.ONE_TWO, 10, 1150, 22, 38, true, ""),
            new LimbPlan("QU-01", "Low sweep", 26, Wood.THREE_FOUR, 65, 1900, 26, 60, false, ""),
            new LimbPlan("MU-01", "Left leader", 19, Wood.ONE_TWO, 30, 1600, 26, 40, false, ""),
            new LimbPlan("MU-01", "Wall side", 18, Wood.ONE_TWO, 60, 1100, 18, 28, true, "To come off the wall"),
            new LimbPlan("LQ-02", "Middle", 16, Wood.ONE_TWO, 35, 1200, 18, 24, false, ""),
            new LimbPlan("FJ-01", "South limb", 13, Wood.ONE_TWO, 40, 1000, 22, 44, true, ""),
            new LimbPlan("FJ-01", "Old arm", 31, Wood.OLDER, 50, 1700, 30, 70, false, ""));

    /** @param countsFrom what was set since then counts */
    record TargetPlan(
            String name,
            String species,
            String variety,
            String place,
            int wanted,
            LocalDate by,
            LocalDate countsFrom) {}

    static final List<TargetPlan> TARGETS = List.of(
            new TargetPlan(
                    "Loquats for the glasshouse",
                    "ERIJAP",
                    "Amber Lantern",
                    "Tunnel 2",
                    3,
                    day(2026, 9, 20),
                    day(2026, 4, 1)),
            new TargetPlan(
                    "Quinces for the autumn fair",
                    "CYDOBL",
                    "Harrow Gold",
                    "Walled garden",
                    12,
                    day(2027, 9, 20),
                    day(2026, 4, 1)));

    private static LocalDate day(int year, int month, int day) {
        return LocalDate.of(year, month, day);
    }

    static final List<BatchPlan> BATCHES = List.of(
            batch("MD-01", "Moss and foil", day(2025, 6, 3), 3, 15, 30),
            batch("QU-01 / East fork", "Moss and foil", day(2026, 4, 21), 3, 17, 20)
                    .drooping(),
            batch("LQ-01", "Moss and foil", day(2026, 4, 7), 3, 18, 35),
            batch("FJ-01 / South limb", "Coir bag", day(2026, 4, 7), 3, 13, 40),
            batch("MU-02", "Moss and foil", day(2026, 4, 24), 3, 20, 25),
            batch("QU-02", "Coir bag", day(2026, 5, 8), 3, 16, 30),
            batch("MU-01 / Left leader", "Moss and foil", day(2026, 5, 12), 3, 19, 30, Condition.WRAP_OPEN),
            batch("SM-01", "Moss and foil", day(2026, 5, 15), 3, 11, 45, Condition.BRIDGED),
            batch("MD-02", "Moss and foil", day(2026, 5, 15), 2, 14, 30),
            batch("LQ-02 / Middle", "Clear film", day(2026, 5, 26), 3, 16, 35, Condition.ALGAE),
            batch("QU-01 / Water shoot", "Clear film", day(2026, 5, 29), 3, 15, 25),
            batch("FJ-02", "Hinged pod", day(2026, 5, 29), 2, 9, 70, Condition.DRY),
            batch("MD-01", "Moss and foil", day(2026, 6, 5), 2, 13, 30),
            batch("MU-01 / Wall side", "Moss and foil", day(2026, 6, 19), 2, 18, 60),
            batch("QU-02", "Coir bag", day(2026, 7, 7), 2, 15, 30),
            // too late for this year, and on a limb that hangs too low for such a ball
            batch("MD-01", "Moss and foil", day(2026, 7, 8), 1, 15, 35),
            batch("QU-01", "Moss and foil", day(2026, 7, 9), 2, 9, 85));

    private static BatchPlan batch(
            String mother, String recipe, LocalDate on, int count, double mm, double lean, Condition... trouble) {
        String[] place = mother.split(" / ", 2);
        return new BatchPlan(
                place[0], place.length == 2 ? place[1] : "", recipe, on, count, mm, lean, Set.of(trouble), false);
    }
}
