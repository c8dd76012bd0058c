package org.kindgirdle.core.look;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.verdict.Fact;

/** Which single input, were it otherwise, would give another next step. */
public final class WhatWouldChange {

    private WhatWouldChange() {}

    /**
     * One input otherwise.
     *
     * @param to the input with the value that it would have to have
     * @param step the next step that would then follow
     */
    public record Change(Fact to, NextStep step) {}

    /**
     * All such changes, by input in the order of {@link NextStepFact}. Numbers are tried at the limits that the rules turn
     * on, so that of all values with the same effect the nearest limit is named.
     */
    public static List<Change> of(NextStepInputs in) {
        NextStep now = NextStepRules.decide(in).step();
        List<Change> changes = new ArrayList<>();
        for (NextStepFact name : NextStepFact.values()) {
            Set<NextStep> found = EnumSet.noneOf(NextStep.class);
            alternatives(name, in).forEach(value -> {
                NextStep step =
                        NextStepRules.decide(in.with(new Fact(name, value))).step();
                if (step != now && found.add(step)) {
                    changes.add(new Change(new Fact(name, value), step));
                }
            });
        }
        return changes;
    }

    private static Stream<? extends @Nullable Object> alternatives(NextStepFact name, NextStepInputs in) {
        HouseRules rules = in.rules();
        return switch (name) {
            case CONDITIONS -> Stream.of(Condition.values()).map(one -> toggled(in, one));
            case STAGE -> Stream.of(RootStage.values());
            case SCHOOL -> Stream.of(School.values());
            // where nobody looked round it, it may be uneven
            case COVERAGE ->
                in.isKnown(name)
                        ? nearest(in.number(name), rules.of(Thresholds.EVEN_COVERAGE))
                        : Stream.of(Math.nextDown(rules.of(Thresholds.EVEN_COVERAGE)));
            case WIDEST_GAP -> {
                int limit = rules.count(Thresholds.WIDEST_GAP);
                int sector = 45;
                yield Stream.of(limit - limit % sector - (limit % sector == 0 ? sector : 0), limit);
            }
            case STALLED_LOOKS -> Stream.of(0, rules.count(Thresholds.STALLED_LOOKS));
            case ATTEMPTS -> Stream.of(0, rules.count(Thresholds.MAX_RERINGS));
            case RESCORES -> Stream.of(0, rules.count(Thresholds.MAX_RESCORES));
            case READY_P ->
                nearest(
                        in.number(name),
                        rules.of(Thresholds.LOOK_P),
                        rules.of(Thresholds.NEVER_READY_P),
                        rules.of(Thresholds.OVERDUE_P));
            case ROOTS_P ->
                nearest(
                        in.number(name),
                        rules.of(Thresholds.NEVER_P),
                        rules.of(Thresholds.UNLIKELY_P),
                        Math.nextUp((1 - rules.of(Thresholds.FALLEN_SHARE)) * in.number(NextStepFact.ROOTS_BEFORE)));
            // what was believed at setting does not change any more
            case ROOTS_BEFORE -> Stream.of();
            case WINDOW_P -> nearest(in.number(name), rules.of(Thresholds.AGAIN_P));
            case DAYS_TO_FROST -> frosts(in);
            case ESTABLISH_DAYS -> {
                Integer frost = in.daysToFrost();
                yield frost == null ? Stream.of() : Stream.of(frost, Math.min(366, frost + 1));
            }
            default -> Stream.of(true, false);
        };
    }

    /** The limits themselves, and what lies just under them, the nearest first. */
    private static Stream<Double> nearest(double now, double... limits) {
        return Arrays.stream(limits)
                .boxed()
                .flatMap(limit -> Stream.of(limit, Math.max(0, Math.nextDown(limit))))
                .sorted(Comparator.comparingDouble(one -> Math.abs(one - now)));
    }

    private static Stream<@Nullable Integer> frosts(NextStepInputs in) {
        List<@Nullable Integer> days = new ArrayList<>();
        HouseRules rules = in.rules();
        for (int limit : new int[] {
            1,
            rules.count(Thresholds.NEAR_DAYS),
            rules.count(Thresholds.COLD_DAYS),
            rules.count(Thresholds.AMPLE_DAYS),
            in.establishDays(),
            in.establishDays() + rules.count(Thresholds.FRUIT_DAYS),
            in.establishDays() + rules.count(Thresholds.RESCORE_DAYS)
        }) {
            days.add(Math.min(366, limit));
            days.add(Math.max(0, limit - 1));
        }
        Integer frost = in.daysToFrost();
        int now = frost == null ? 366 : frost;
        days.sort(Comparator.comparingInt(one -> Math.abs((one == null ? 366 : one) - now)));
        days.add(null);
        return days.stream();
    }

    private static Set<Condition> toggled(NextStepInputs in, Condition one) {
        Set<Condition> other = EnumSet.noneOf(Condition.class);
        in.conditions().forEach(there -> other.add((Condition) there));
        if (!other.remove(one)) {
            other.add(one);
        }
        return other;
    }
}
