package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.HardenFact;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.layer.ComingSteps;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.WindowFact;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.FactName;
import org.kindgirdle.core.verdict.Verdict;
import org.springframework.stereotype.Component;

/** Says how a verdict came about, what would change it and when it will change by itself. */
@Component
public class Reasons {

    private static final Set<FactName> SHARES = Set.of(
            NextStepFact.READY_P,
            NextStepFact.WINDOW_P,
            NextStepFact.COVERAGE,
            NextStepFact.ROOTS_P,
            NextStepFact.ROOTS_BEFORE,
            WindowFact.READY_P,
            WindowFact.OVERWINTER_P);

    private final Phrases phrases;

    Reasons(Phrases phrases) {
        this.phrases = phrases;
    }

    /**
     * One rule that was asked.
     *
     * @param rule its stable id
     * @param question what it asks
     * @param applied whether it did
     * @param answer what that means
     * @param read what it read, with the source of each
     */
    public record RuleWords(String rule, String question, boolean applied, String answer, List<String> read) {}

    /**
     * Something that would give another step.
     *
     * @param sentence what would have to be, and what would then be done
     * @param earliest the first day it could be so; null where it will not be within a year
     */
    public record ChangeWords(String sentence, @Nullable LocalDate earliest) {}

    /** The rules that were asked, in their order; empty without a verdict. */
    public List<RuleWords> rules(@Nullable Verdict<?, ?> verdict, Format format) {
        return verdict == null
                ? List.of()
                : verdict.entries().stream()
                        .filter(entry -> entry.outcome() != Verdict.RuleOutcome.NOT_EVALUATED)
                        .map(entry -> new RuleWords(
                                entry.rule().name(),
                                phrases.say("rule." + entry.rule()),
                                entry.applied(),
                                phrases.say(answer(entry)),
                                entry.facts().stream()
                                        .map(fact -> phrases.say(
                                                "fact.read",
                                                Map.of(
                                                        "fact", phrases.say("fact." + fact.name()),
                                                        "value", value(fact, format),
                                                        "source",
                                                                phrases.say("source."
                                                                        + fact.name()
                                                                                .source()))))
                                        .toList()))
                        .toList();
    }

    private static String answer(Verdict.Entry<?> entry) {
        if (!entry.applied()) {
            return "answer.no";
        }
        return entry.rule() instanceof HardenRule rule && !rule.decides() ? "answer.inTheWay" : "answer.decided";
    }

    /** What the step becomes by itself, in a sentence; null if nothing within a year. */
    public @Nullable String coming(ComingSteps.@Nullable ComingStep coming, Format format) {
        return coming == null
                ? null
                : phrases.say(
                        "coming",
                        Map.of(
                                "on", format.day(coming.on()),
                                "step", phrases.say("short." + coming.verdict().step())));
    }

    /** What would change the step, the soonest first, and what never will last. */
    public List<ChangeWords> changes(List<ComingSteps.Change> changes, Format format) {
        return changes.stream()
                .map(change -> new ChangeWords(
                        phrases.say(
                                "change",
                                Map.of(
                                        "fact",
                                                phrases.say(
                                                        "fact." + change.to().name()),
                                        "value", value(change.to(), format),
                                        "step", phrases.say("short." + change.step()))),
                        change.earliest()))
                .toList();
    }

    private String value(Fact fact, Format format) {
        Object value = fact.value();
        if (value == null) {
            return phrases.say(fact.name() == HardenFact.WINDIEST_MS ? "value.unknown" : "value.never");
        }
        if (value instanceof Boolean is) {
            return phrases.say(is ? "value.yes" : "value.no");
        }
        if (value instanceof Collection<?> all) {
            return all.isEmpty()
                    ? phrases.say("value.nothing")
                    : all.stream().map(one -> named((Enum<?>) one)).sorted().collect(Collectors.joining(", "));
        }
        if (value instanceof LocalDate day) {
            return format.day(day);
        }
        if (value instanceof Enum<?> one) {
            return named(one);
        }
        if (value instanceof Double number) {
            return SHARES.contains(fact.name())
                    ? format.percent(number)
                    : fact.name() == HardenFact.HOTTEST_C || fact.name() == HardenFact.HOT_ABOVE_C
                            ? format.temperatureC(number)
                            : format.wind(number);
        }
        return String.valueOf(value);
    }

    private String named(Enum<?> one) {
        String kind = one instanceof Condition
                ? "condition."
                : one instanceof RootStage
                        ? "stage."
                        : one instanceof School
                                ? "school."
                                : "plant." + one.getClass().getSimpleName() + ".";
        return phrases.say(kind + one);
    }
}
