package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepInputs;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.WhatWouldChange;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

/** What the next step of a layer on its mother will come to, or could, and when. */
public final class ComingSteps {

    private static final int LOOKED_BACK_BY_DAYS = 7;

    /** How far ahead a change of the next step is looked for, days: a year and a month. */
    private static final int COMING_DAYS = 400;

    private ComingSteps() {}

    /**
     * A verdict that time alone will bring.
     *
     * @param on the first day that it holds
     */
    public record ComingStep(LocalDate on, Verdict<NextStep, NextStepRules> verdict) {}

    /**
     * One input that would give another step, and when it could be so at the earliest.
     *
     * @param to the input with the value that it would have to have
     * @param step the next step that would then follow
     * @param earliest today for what can be seen, recorded or decided; the first day on which forecast and normals
     *     bring it for what only time brings; null if they do not within a year
     */
    public record Change(Fact to, NextStep step, @Nullable LocalDate earliest) {}

    /**
     * The first day on which the next step will be another if nothing is recorded till then, by forecast and normals;
     * empty if it stays the same for more than a year, or the layer is off its mother.
     */
    public static Optional<ComingStep> next(LayerState state, LayerContext context, LocalDate today) {
        if (state.phase() != LayerPhase.ON_MOTHER) {
            return Optional.empty();
        }
        LayerSums sums = new LayerSums(state, context);
        NextStep now = sums.step(today);
        for (int ahead = 1; ahead <= COMING_DAYS; ahead++) {
            LocalDate day = today.plusDays(ahead);
            Verdict<NextStep, NextStepRules> then = sums.decide(day);
            if (then.step() != now) {
                return Optional.of(new ComingStep(day, then));
            }
        }
        return Optional.empty();
    }

    /**
     * What time alone has made of the step since the last record.
     *
     * @param on the first day of the step as it is now
     * @param before what it was until then
     */
    public record ChangedStep(LocalDate on, NextStep before) {}

    /**
     * When the step became what it is, with nothing recorded meanwhile; empty if it has been so since the last record,
     * or the layer is off its mother. A step that came and went and came again counts from its last coming, where it was
     * away for a week.
     */
    public static Optional<ChangedStep> changed(LayerState state, LayerContext context, LocalDate today) {
        return state.phase() == LayerPhase.ON_MOTHER
                ? changed(state, new LayerSums(state, context), today)
                : Optional.empty();
    }

    static Optional<ChangedStep> changed(LayerState state, LayerSums sums, LocalDate today) {
        if (!state.newsOn().isBefore(today)) {
            return Optional.empty();
        }
        NextStep now = sums.step(today);
        LocalDate other = today;
        NextStep before = now;
        while (before == now && other.isAfter(state.newsOn())) {
            LocalDate earlier = other.minusDays(LOOKED_BACK_BY_DAYS);
            other = earlier.isBefore(state.newsOn()) ? state.newsOn() : earlier;
            before = sums.step(other);
        }
        if (before == now) {
            return Optional.empty();
        }
        LocalDate last = other.plusDays(LOOKED_BACK_BY_DAYS);
        LocalDate same = last.isAfter(today) ? today : last;
        while (other.plusDays(1).isBefore(same)) {
            LocalDate middle = other.plusDays((same.toEpochDay() - other.toEpochDay()) / 2);
            NextStep then = sums.step(middle);
            if (then == now) {
                same = middle;
            } else {
                other = middle;
                before = then;
            }
        }
        return Optional.of(new ChangedStep(same, before));
    }

    /** All single inputs that would change the step, with their earliest day; empty if the layer is off its mother. */
    public static List<Change> changes(LayerState state, LayerContext context, LocalDate today) {
        if (state.phase() != LayerPhase.ON_MOTHER) {
            return List.of();
        }
        DaysAhead days = new DaysAhead(new LayerSums(state, context), today);
        return WhatWouldChange.of(days.in(0)).stream()
                .map(change -> new Change(change.to(), change.step(), earliest(change.to(), days)))
                // what only time could bring and never does here is nothing that would change it
                .filter(change -> change.earliest() != null
                        || !((NextStepFact) change.to().name()).isBroughtByTime())
                .toList();
    }

    /** The inputs of the days ahead, each worked out when it is first asked for. */
    private static final class DaysAhead {

        private final LayerSums sums;
        private final LocalDate today;
        private final List<NextStepInputs> known = new ArrayList<>();

        DaysAhead(LayerSums sums, LocalDate today) {
            this.sums = sums;
            this.today = today;
        }

        /** @param days from today on */
        NextStepInputs in(int days) {
            while (known.size() <= days) {
                known.add(sums.on(today.plusDays(known.size())));
            }
            return known.get(days);
        }
    }

    private static @Nullable LocalDate earliest(Fact to, DaysAhead days) {
        NextStepFact name = (NextStepFact) to.name();
        if (!name.isBroughtByTime()) {
            return days.today;
        }
        NextStep now = NextStepRules.decide(days.in(0)).step();
        Fact from = name.in(days.in(0));
        for (int ahead = 1; ahead <= COMING_DAYS; ahead++) {
            NextStepInputs then = days.in(ahead);
            if (isReached(from, to, name.in(then))
                    && NextStepRules.decide(then.with(to)).step() != now) {
                return days.today.plusDays(ahead);
            }
        }
        return null;
    }

    /** Whether a value that was {@code from} has come as far as {@code to}, or past it. */
    private static boolean isReached(Fact from, Fact to, Fact then) {
        if (Objects.equals(to.value(), then.value())) {
            return true;
        }
        if (from.value() instanceof Number before
                && to.value() instanceof Number wanted
                && then.value() instanceof Number reached) {
            return wanted.doubleValue() >= before.doubleValue()
                    ? reached.doubleValue() >= wanted.doubleValue()
                    : reached.doubleValue() <= wanted.doubleValue();
        }
        return false;
    }
}
