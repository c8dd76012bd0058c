package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;

/** The rules of the ladder: one step up at a time, a step back at the first droop, and the test for release. */
public final class HardenRules {

    private HardenRules() {}

    /** @param leafless days of the year without leaves; null if it keeps them */
    public static HardenVerdict decide(
            PlantState plant, PlaceClimate climate, @Nullable DaysOfYear leafless, LocalDate today) {
        if (!plant.potted()) {
            return new HardenVerdict(PlantStep.POT_UP, null, plant.severedOn(), List.of());
        }
        if (plant.showsNow(PlantSign.MOULD) || plant.wiltsTwoDaysRunning()) {
            return new HardenVerdict(PlantStep.OPEN_AND_LOOK, null, today, List.of());
        }
        LocalDate lastDroop = plant.lastDroop();
        if (plant.droopsNow() && lastDroop != null && !lastDroop.isBefore(plant.rungSince())) {
            Optional<Rung> down = plant.rung().down();
            return new HardenVerdict(
                    down.isPresent() ? PlantStep.STEP_BACK : PlantStep.OPEN_AND_LOOK,
                    down.orElse(null),
                    lastDroop,
                    List.of());
        }
        if (leafless != null && leafless.includes(today)) {
            return new HardenVerdict(PlantStep.STAY_DORMANT, null, nextLeafOut(leafless, today), List.of());
        }
        return onLadder(plant, climate, leafless, today);
    }

    private static HardenVerdict onLadder(
            PlantState plant, PlaceClimate climate, @Nullable DaysOfYear leafless, LocalDate today) {
        // days of dormancy do not count: the ladder begins with the leaves
        LocalDate since = leafless != null && leafless.includes(plant.rungSince())
                ? nextLeafOut(leafless, plant.rungSince())
                : plant.rungSince();
        LocalDate from = since.plusDays(plant.rung().days());
        LocalDate lastDroop = plant.lastDroop();
        LocalDate calmFrom = lastDroop == null ? since : lastDroop.plusDays(HardenVerdict.CALM_DAYS);
        LocalDate earliest = from.isAfter(calmFrom) ? from : calmFrom;

        List<HardenVerdict.Lack> lacking = new ArrayList<>();
        addIf(lacking, today.isBefore(from), HardenVerdict.Lack.DAYS_ON_RUNG);
        addIf(lacking, today.isBefore(calmFrom), HardenVerdict.Lack.CALM_DAYS);
        Optional<Rung> up = plant.rung().up();
        if (up.isPresent()) {
            addIf(lacking, isHot(climate, today), HardenVerdict.Lack.COOL_DAY);
            return new HardenVerdict(
                    lacking.isEmpty() ? PlantStep.STEP_UP : PlantStep.STAY, up.get(), earliest, lacking);
        }
        addIf(lacking, !plant.everShowed(PlantSign.ROOTS_AT_EDGE), HardenVerdict.Lack.ROOTS_AT_EDGE);
        addIf(lacking, !plant.everShowed(PlantSign.NEW_GROWTH), HardenVerdict.Lack.NEW_GROWTH);
        addIf(lacking, plant.showsNow(PlantSign.PESTS), HardenVerdict.Lack.NO_PESTS);
        boolean frostNear = climate.frosts()
                .map(frosts -> frosts.daysToFrost(today) < HardenVerdict.RELEASE_FROST_DAYS)
                .orElse(false);
        if (lacking.isEmpty() && frostNear) {
            return new HardenVerdict(
                    PlantStep.HOLD_UNDER_COVER, null, earliest, List.of(HardenVerdict.Lack.FROST_FREE_DAYS));
        }
        addIf(lacking, frostNear, HardenVerdict.Lack.FROST_FREE_DAYS);
        return new HardenVerdict(lacking.isEmpty() ? PlantStep.RELEASE : PlantStep.STAY, null, earliest, lacking);
    }

    private static boolean isHot(PlaceClimate climate, LocalDate today) {
        return climate.on(today).maxC() > HardenVerdict.HOT_C
                || climate.on(today.plusDays(1)).maxC() > HardenVerdict.HOT_C;
    }

    private static LocalDate nextLeafOut(DaysOfYear leafless, LocalDate day) {
        LocalDate thisYear = LocalDate.ofYearDay(day.getYear(), leafless.to());
        return thisYear.isBefore(day) ? LocalDate.ofYearDay(day.getYear() + 1, leafless.to()) : thisYear;
    }

    private static void addIf(List<HardenVerdict.Lack> lacking, boolean lacks, HardenVerdict.Lack what) {
        if (lacks) {
            lacking.add(what);
        }
    }
}
