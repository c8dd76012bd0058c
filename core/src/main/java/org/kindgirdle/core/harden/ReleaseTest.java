package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * Whether a young plant may leave the nursery, condition by condition.
 *
 * @param checks every condition, in the order of the enum
 */
public record ReleaseTest(List<Check> checks) {

    private static final Rule RELEASE_FROST_DAYS = Rule.of("harden.release-frost");

    public ReleaseTest {
        checks = List.copyOf(checks);
    }

    /** What is asked of it. */
    public enum Condition {
        POTTED,
        IN_THE_OPEN,
        /** figure: days in the open so far; wanted: days */
        DAYS_IN_THE_OPEN,
        NOT_DROOPING,
        ROOTS_AT_EDGE,
        NEW_GROWTH,
        NO_PESTS,
        /** figure: days to the early first frost; wanted: days */
        FROST_FREE_DAYS
    }

    /**
     * One condition.
     *
     * @param figure what there is, 0 where the condition counts nothing
     * @param wanted what there must be
     */
    public record Check(Condition condition, boolean passed, int figure, int wanted) {}

    /** On a day. */
    public static ReleaseTest of(HouseRules rules, PlantState plant, PlaceClimate climate, LocalDate today) {
        List<Check> checks = new ArrayList<>();
        boolean open = plant.rung() == Rung.OPEN;
        int wantedDays = plant.ladder().days(rules, Rung.OPEN);
        int days = open ? (int) (today.toEpochDay() - plant.rungSince().toEpochDay()) : 0;
        Optional<Integer> toFrost = climate.frosts().map(frosts -> frosts.daysToFrost(today));
        int frostDays = rules.count(RELEASE_FROST_DAYS);
        checks.add(simple(Condition.POTTED, plant.potted()));
        checks.add(simple(Condition.IN_THE_OPEN, open));
        checks.add(new Check(Condition.DAYS_IN_THE_OPEN, days >= wantedDays, days, wantedDays));
        checks.add(simple(Condition.NOT_DROOPING, !plant.droopsNow() && !plant.showsNow(PlantSign.MOULD)));
        checks.add(simple(Condition.ROOTS_AT_EDGE, plant.everShowed(PlantSign.ROOTS_AT_EDGE)));
        checks.add(simple(Condition.NEW_GROWTH, plant.everShowed(PlantSign.NEW_GROWTH)));
        checks.add(simple(Condition.NO_PESTS, !plant.showsNow(PlantSign.PESTS)));
        checks.add(new Check(
                Condition.FROST_FREE_DAYS,
                toFrost.map(left -> left >= frostDays).orElse(true),
                toFrost.orElse(0),
                frostDays));
        return new ReleaseTest(checks);
    }

    private static Check simple(Condition condition, boolean passed) {
        return new Check(condition, passed, 0, 0);
    }

    /** Whether it may go. */
    public boolean passed() {
        return failing().isEmpty();
    }

    /** What it fails. */
    public List<Check> failing() {
        return checks.stream().filter(check -> !check.passed()).toList();
    }
}
