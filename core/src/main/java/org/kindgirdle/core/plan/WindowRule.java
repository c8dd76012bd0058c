package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

/**
 * The rules that say what a start date is worth, in order: the first that applies decides. Their names are their stable
 * ids. They say the same as {@link SettingWindows#on}, with every rule's justification.
 */
public enum WindowRule {
    TOO_COOL_YET(
            (windows, start) -> windows.opensOn(start).map(start::isBefore).orElse(true) ? WindowClass.CLOSED : null,
            WindowFact.START,
            WindowFact.OPENS_ON),
    FROST_YET(
            (windows, start) -> start.isBefore(windows.lastFrostOn(start)) ? WindowClass.CLOSED : null,
            WindowFact.START,
            WindowFact.LAST_FROST_ON),
    BARK_HOLDS(
            (windows, start) -> windows.isBarkTight(start) ? WindowClass.CLOSED : null,
            WindowFact.START,
            WindowFact.CLOSES_ON),
    IN_TIME(
            (windows, start) -> windows.on(start).windowClass() == WindowClass.GOOD ? WindowClass.GOOD : null,
            WindowFact.READY_P,
            WindowFact.DEADLINE,
            WindowFact.DAYS_TO_LEAF_FALL,
            WindowFact.RECORDS_USED),
    SOME_CHANCE(
            (windows, start) -> windows.on(start).windowClass() == WindowClass.RISKY ? WindowClass.RISKY : null,
            WindowFact.READY_P,
            WindowFact.DEADLINE,
            WindowFact.DAYS_TO_LEAF_FALL,
            WindowFact.RECORDS_USED),
    OVER_WINTER(
            (windows, start) -> windows.overwinters(start) ? WindowClass.OVERWINTER : null,
            WindowFact.HARDY,
            WindowFact.DAYS_TO_LEAF_FALL,
            WindowFact.OVERWINTER_P,
            WindowFact.RECORDS_USED),
    TOO_LATE((windows, start) -> WindowClass.CLOSED, WindowFact.READY_P, WindowFact.DEADLINE, WindowFact.RECORDS_USED);

    private final BiFunction<SettingWindows, LocalDate, @Nullable WindowClass> rule;
    private final WindowFact[] reads;

    WindowRule(BiFunction<SettingWindows, LocalDate, @Nullable WindowClass> rule, WindowFact... reads) {
        this.rule = rule;
        this.reads = reads;
    }

    /** What a start date is worth, with every rule's entry. */
    public static Verdict<WindowClass, WindowRule> decide(SettingWindows windows, LocalDate start) {
        List<Verdict.Entry<WindowRule>> entries = new ArrayList<>();
        WindowClass decided = null;
        WindowRule decidedBy = TOO_LATE;
        for (WindowRule candidate : values()) {
            if (decided != null) {
                entries.add(new Verdict.Entry<>(candidate, Verdict.RuleOutcome.NOT_EVALUATED, List.of()));
                continue;
            }
            decided = candidate.rule.apply(windows, start);
            if (decided != null) {
                decidedBy = candidate;
            }
            entries.add(new Verdict.Entry<>(
                    candidate,
                    decided == null ? Verdict.RuleOutcome.PASSED_OVER : Verdict.RuleOutcome.APPLIED,
                    Stream.of(candidate.reads)
                            .map(name -> new Fact(name, value(name, windows, start)))
                            .toList()));
        }
        return new Verdict<>(decided == null ? WindowClass.CLOSED : decided, decidedBy, entries);
    }

    private static @Nullable Object value(WindowFact name, SettingWindows windows, LocalDate start) {
        return switch (name) {
            case START -> start;
            case OPENS_ON -> windows.opensOn(start).orElse(null);
            case LAST_FROST_ON -> windows.lastFrostOn(start);
            case DEADLINE -> windows.on(start).deadline();
            case CLOSES_ON -> windows.closesOn(start).orElse(null);
            case READY_P -> windows.on(start).readyP();
            case DAYS_TO_LEAF_FALL -> windows.daysToLeafFall(start).orElse(null);
            case HARDY -> windows.isHardy();
            case OVERWINTER_P -> windows.overwinterP(start);
            case RECORDS_USED -> windows.time().records();
        };
    }
}
