package org.kindgirdle.core.pot;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.Hardiness;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;
import org.kindgirdle.core.verdict.Level;

/**
 * What is to be said of the first medium of a severed layer.
 *
 * @param remarks in the order of {@link Remark.RemarkKind}
 */
public record FirstMediumAdvice(FirstMedium medium, List<Remark> remarks) {

    private static final Rule WATER_LEAST_MM = Rule.of("tray.water-least");
    private static final Rule WATER_MOST_MM = Rule.of("tray.water-most");
    private static final Rule TRAY_LEAST_DAYS = Rule.of("tray.least");
    private static final Rule TRAY_MOST_DAYS = Rule.of("tray.most");
    private static final Rule GROUND_DAYS = Rule.of("ground.least");
    private static final Rule BURY_NODES = Rule.of("ground.bury-nodes");

    public FirstMediumAdvice {
        remarks = List.copyOf(remarks);
    }

    /**
     * One remark with its figures.
     *
     * @param low the least of its range, or its only figure, in the unit of its kind; 0 where it has none
     * @param high the greatest of its range; the same where it has one figure
     */
    public record Remark(RemarkKind kind, Level level, double low, double high) {

        /** What can be said. */
        public enum RemarkKind {
            /** it packs and suffocates: take a light mix */
            HEAVY,
            /** days to frost that there are, and that there must be */
            TOO_LATE_FOR_GROUND,
            /** coldest night of the winters here, and the one that the species or its roots in the ground bear, C */
            DIES_IN_WINTER,
            /** depth of water, mm */
            STAND_IN_WATER,
            /** days in the tray */
            MOVE_ON_WITHIN,
            /** nodes to bury */
            BURY_NODES,
            WATER_IN_AND_MULCH,
            COVER_FOR_WINTER
        }
    }

    /**
     * @param daysToFrost to the early first frost, 0 to 366; null where none comes
     * @param species what it is
     * @param winterLowC the coldest night of one winter in ten where it would be planted, C
     * @throws OutOfRangeException if daysToFrost is outside 0 to 366
     */
    public static FirstMediumAdvice of(
            HouseRules rules,
            FirstMedium medium,
            @Nullable Integer daysToFrost,
            SpeciesProfile species,
            double winterLowC) {
        if (daysToFrost != null) {
            Require.within("daysToFrost", daysToFrost, 0, 366);
        }
        List<Remark> remarks = new ArrayList<>();
        if (medium.isHeavy()) {
            remarks.add(new Remark(Remark.RemarkKind.HEAVY, Level.WARN, 0, 0));
        } else if (medium == FirstMedium.MOSS_STAGE) {
            remarks.add(range(rules, Remark.RemarkKind.STAND_IN_WATER, WATER_LEAST_MM, WATER_MOST_MM));
            remarks.add(range(rules, Remark.RemarkKind.MOVE_ON_WITHIN, TRAY_LEAST_DAYS, TRAY_MOST_DAYS));
        } else if (medium == FirstMedium.GROUND) {
            intoTheGround(rules, daysToFrost, species, winterLowC, remarks);
        }
        return new FirstMediumAdvice(medium, remarks);
    }

    private static void intoTheGround(
            HouseRules rules,
            @Nullable Integer daysToFrost,
            SpeciesProfile species,
            double winterLowC,
            List<Remark> remarks) {
        if (daysToFrost != null && daysToFrost < rules.count(GROUND_DAYS)) {
            remarks.add(new Remark(
                    Remark.RemarkKind.TOO_LATE_FOR_GROUND, Level.BLOCK, daysToFrost, rules.count(GROUND_DAYS)));
        }
        double bearsC = Math.max(species.frostHardyToC(), Hardiness.rootKillC(rules, Method.GROUND, RootStage.FILLED));
        if (winterLowC < bearsC) {
            remarks.add(new Remark(Remark.RemarkKind.DIES_IN_WINTER, Level.WARN, winterLowC, bearsC));
        }
        if (species.buryNodesOk()) {
            remarks.add(range(rules, Remark.RemarkKind.BURY_NODES, BURY_NODES, BURY_NODES));
        }
        remarks.add(new Remark(Remark.RemarkKind.WATER_IN_AND_MULCH, Level.CAUTION, 0, 0));
        if (daysToFrost != null) {
            remarks.add(new Remark(Remark.RemarkKind.COVER_FOR_WINTER, Level.CAUTION, 0, 0));
        }
    }

    private static Remark range(HouseRules rules, Remark.RemarkKind kind, Rule low, Rule high) {
        return new Remark(kind, Level.CAUTION, rules.of(low), rules.of(high));
    }

    /** The gravest of its remarks; FINE if there is none. */
    public Level level() {
        return remarks.stream().map(Remark::level).min(Level::compareTo).orElse(Level.FINE);
    }
}
