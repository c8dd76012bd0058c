package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.verdict.Verdict;

/** The ladder: one step up at a time, a step back at the first droop, and the test for release. */
public final class HardenRules {

    private static final Rule HOT_C = Rule.of("harden.hot");
    private static final Rule WINDY_MS = Rule.of("harden.windy");
    private static final Rule LEAF_OFF = Rule.of("harden.leaf-off");

    /** How far ahead a change of the step is looked for, days. */
    private static final int COMING_DAYS = 400;

    private HardenRules() {}

    /** What to do with a plant on a day. */
    public static HardenVerdict decide(HouseRules rules, PlantState plant, Standing standing, LocalDate today) {
        HardenCase one = new HardenCase(rules, plant, standing, today);
        List<Verdict.Entry<HardenRule>> entries = new ArrayList<>();
        HardenRule decidedBy = null;
        Set<HardenRule> inTheWay = EnumSet.noneOf(HardenRule.class);
        for (HardenRule rule : HardenRule.values()) {
            Verdict.Entry<HardenRule> entry = rule.entry(one, decidedBy != null);
            entries.add(entry);
            if (entry.applied() && rule.decides()) {
                decidedBy = rule;
            } else if (entry.applied()) {
                inTheWay.add(rule);
            }
        }
        return decidedBy != null ? alone(one, decidedBy, entries) : onLadder(one, inTheWay, entries);
    }

    private static HardenVerdict alone(HardenCase one, HardenRule rule, List<Verdict.Entry<HardenRule>> entries) {
        PlantState plant = one.plant();
        Optional<Rung> down = plant.down(one.rules());
        return switch (rule) {
            case NOT_POTTED -> verdict(PlantStep.POT_UP, rule, entries, null, plant.severedOn());
            case MOULD, WILTED_TWO_DAYS -> verdict(PlantStep.OPEN_AND_LOOK, rule, entries, null, one.lastSeenOn());
            case DROOP -> {
                LocalDate drooped = plant.lastDroop() == null ? one.today() : plant.lastDroop();
                yield down.isPresent()
                        ? verdict(PlantStep.STEP_BACK, rule, entries, down.get(), drooped)
                        : verdict(PlantStep.OPEN_AND_LOOK, rule, entries, null, drooped);
            }
            case LEAFLESS -> verdict(PlantStep.STAY_DORMANT, rule, entries, null, one.leafOut());
            case MOSS_USED_UP -> verdict(PlantStep.POT_ON, rule, entries, null, one.mossUsedUpOn());
            default -> throw new IllegalStateException(rule + " does not decide alone");
        };
    }

    private static HardenVerdict onLadder(
            HardenCase one, Set<HardenRule> inTheWay, List<Verdict.Entry<HardenRule>> entries) {
        HardenRule first = inTheWay.isEmpty() ? null : inTheWay.iterator().next();
        Optional<Rung> up = one.plant().up(one.rules());
        PlantStep step = up.isPresent()
                ? inTheWay.isEmpty() ? PlantStep.STEP_UP : PlantStep.STAY
                : inTheWay.isEmpty()
                        ? PlantStep.RELEASE
                        // what stands in the ground is taken nowhere
                        : inTheWay.equals(EnumSet.of(HardenRule.FROST_FREE_DAYS))
                                        && one.plant().ladder() != Ladder.GROUND
                                ? PlantStep.HOLD_UNDER_COVER
                                : PlantStep.STAY;
        return verdict(step, first, entries, up.orElse(null), one.earliest());
    }

    private static HardenVerdict verdict(
            PlantStep step,
            @Nullable HardenRule decidedBy,
            List<Verdict.Entry<HardenRule>> entries,
            @Nullable Rung to,
            LocalDate from) {
        return new HardenVerdict(new Verdict<>(step, decidedBy, entries), to, from);
    }

    /**
     * The first day after today on which the step will be another if nothing is recorded but what a look today might
     * show.
     *
     * @param supposing signs that a look today would show; empty for no look
     * @return empty if it stays the same for more than a year
     */
    public static Optional<Coming> comes(
            HouseRules rules, PlantState plant, Standing standing, LocalDate today, Set<PlantSign> supposing) {
        PlantStep now = decide(rules, plant, standing, today).step();
        PlantState then = supposing.isEmpty() ? plant : plant.plus(new PlantState.Seen(today, supposing));
        for (int ahead = supposing.isEmpty() ? 1 : 0; ahead <= COMING_DAYS; ahead++) {
            LocalDate day = today.plusDays(ahead);
            HardenVerdict verdict = decide(rules, then, standing, day);
            if (verdict.step() != now) {
                return Optional.of(new Coming(day, verdict));
            }
        }
        return Optional.empty();
    }

    /**
     * A verdict that is to come.
     *
     * @param on the first day that it holds
     */
    public record Coming(LocalDate on, HardenVerdict verdict) {}

    /** No step up before a day hotter than this, C. */
    public static double hotC(HouseRules rules) {
        return rules.of(HOT_C);
    }

    /** No step up before a day windier than this, m/s. */
    public static double windyMs(HouseRules rules) {
        return rules.of(WINDY_MS);
    }

    /** What share of its leaf area comes off a plant that droops, lowest and largest first, 0 to 1. */
    public static double leafOffShare(HouseRules rules) {
        return rules.of(LEAF_OFF);
    }
}
