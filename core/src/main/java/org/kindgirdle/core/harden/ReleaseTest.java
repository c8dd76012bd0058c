package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
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
        /** for what stands in a pot */
        ROOTS_AT_EDGE,
        NEW_GROWTH,
        /** for what stands in the ground: it has grown in the spring after it was planted */
        SPRING_IN_THE_GROUND,
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

    /**
     * On a day. It asks what the rules of the ladder ask, and of a plant on any rung.
     */
    public static ReleaseTest of(HouseRules rules, PlantState plant, Standing standing, LocalDate today) {
        HardenCase one = new HardenCase(rules, plant, standing, today);
        List<Check> checks = new ArrayList<>();
        boolean open = plant.rung() == Rung.OPEN;
        int wantedDays = plant.ladder().days(rules, Rung.OPEN);
        int days = open ? (int) Math.max(0, ChronoUnit.DAYS.between(one.since(), today)) : 0;
        checks.add(simple(Condition.POTTED, !HardenRule.NOT_POTTED.stops(one)));
        checks.add(simple(Condition.IN_THE_OPEN, open));
        checks.add(
                new Check(Condition.DAYS_IN_THE_OPEN, open && !HardenRule.DAYS_ON_RUNG.stops(one), days, wantedDays));
        checks.add(simple(
                Condition.NOT_DROOPING,
                !plant.droopsNow()
                        && !HardenRule.MOULD.stops(one)
                        && !HardenRule.CALM_DAYS.stops(one)
                        && !HardenRule.LEAF_DROP.stops(one)));
        boolean inGround = plant.ladder() == Ladder.GROUND;
        if (!inGround) {
            checks.add(simple(Condition.ROOTS_AT_EDGE, !HardenRule.ROOTS_AT_EDGE.stops(one)));
        }
        checks.add(simple(Condition.NEW_GROWTH, !HardenRule.NEW_GROWTH.stops(one)));
        if (inGround) {
            checks.add(simple(Condition.SPRING_IN_THE_GROUND, !HardenRule.SPRING_IN_THE_GROUND.stops(one)));
        }
        checks.add(simple(Condition.NO_PESTS, !HardenRule.NO_PESTS.stops(one)));
        checks.add(new Check(
                Condition.FROST_FREE_DAYS,
                !HardenRule.FROST_FREE_DAYS.stops(one),
                one.daysToFrost().orElse(0),
                rules.count(RELEASE_FROST_DAYS)));
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
