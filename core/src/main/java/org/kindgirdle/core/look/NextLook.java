package org.kindgirdle.core.look;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.DoubleFunction;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * When to look next: late enough to find something, early enough to act on it. A peek disturbs roots.
 *
 * @param from the day it is best done
 * @param by the last day it may wait to
 */
public record NextLook(LocalDate from, LocalDate by) {

    private static final Rule DORMANT_DAYS = Rule.of("look.dormant");
    private static final Rule SLACK_DAYS = Rule.of("look.slack");
    private static final Rule FILLED_DAYS = Rule.of("look.filled");
    private static final Rule HELD_DAYS = Rule.of("look.held");
    private static final Rule EARLY_QUANTILE = Rule.of("look.early.quantile");
    private static final Rule EARLY_CLEAR_SHARE = Rule.of("look.early.clear-share");
    private static final Rule EARLY_OPENED_SHARE = Rule.of("look.early.opened-share");
    private static final Rule INITIALS_SHARE = Rule.of("look.initials.share");
    private static final Rule ROOTED_SHARE = Rule.of("look.rooted.share");
    private static final Span EARLY = Span.of("look.early");
    private static final Span INITIALS = Span.of("look.initials");
    private static final Span ROOTED = Span.of("look.rooted");

    private static final double MEDIAN = .5;

    /**
     * @param lastLook the last look, or the ring if there was none since
     * @param seenThrough whether the wrap need not be opened
     * @param growing false in dormancy
     * @param held whether a full ball is left on the mother for now
     * @param ready the time to ready as the looks leave it
     * @param dayReaching the first day on which the layer has had so many thermal days; empty beyond the horizon
     */
    public static NextLook after(
            HouseRules rules,
            LocalDate lastLook,
            RootStage stage,
            boolean seenThrough,
            boolean growing,
            boolean held,
            TimeToReady ready,
            DoubleFunction<Optional<LocalDate>> dayReaching) {
        if (!growing) {
            LocalDate wrap = lastLook.plusDays(rules.count(DORMANT_DAYS));
            return new NextLook(wrap, wrap);
        }
        return switch (stage) {
            case NONE, CALLUS -> {
                double thermalDays = seenThrough
                        ? rules.of(EARLY_CLEAR_SHARE) * ready.quantile(rules.of(EARLY_QUANTILE))
                        : rules.of(EARLY_OPENED_SHARE) * ready.quantile(MEDIAN);
                yield EARLY.look(rules, lastLook, seenThrough, dayReaching.apply(thermalDays));
            }
            case INITIALS ->
                INITIALS.look(
                        rules,
                        lastLook,
                        seenThrough,
                        dayReaching.apply(rules.of(INITIALS_SHARE) * ready.quantile(MEDIAN)));
            case ROOTED ->
                ROOTED.look(
                        rules,
                        lastLook,
                        seenThrough,
                        dayReaching.apply(rules.of(ROOTED_SHARE) * ready.quantile(MEDIAN)));
            case FILLED, MATURE -> {
                LocalDate due = lastLook.plusDays(rules.count(held ? HELD_DAYS : FILLED_DAYS));
                yield new NextLook(due, due);
            }
        };
    }

    /** A look at this stage is not put off beyond so many days; what was seen longer ago is not what is there. */
    public static int mostDays(HouseRules rules, RootStage stage) {
        return switch (stage) {
            case NONE, CALLUS -> rules.count(EARLY.most());
            case INITIALS -> rules.count(INITIALS.most());
            case ROOTED -> rules.count(ROOTED.most());
            case FILLED, MATURE -> rules.count(HELD_DAYS);
        };
    }

    /** Days after the last look between which the next one lies. */
    private record Span(Rule clearLeast, Rule openedLeast, Rule most) {

        static Span of(String code) {
            return new Span(Rule.of(code + ".clear-least"), Rule.of(code + ".opened-least"), Rule.of(code + ".most"));
        }

        NextLook look(HouseRules rules, LocalDate last, boolean seenThrough, Optional<LocalDate> wanted) {
            LocalDate end = last.plusDays(rules.count(most));
            LocalDate first = last.plusDays(rules.count(seenThrough ? clearLeast : openedLeast));
            LocalDate due = wanted.filter(day -> day.isBefore(end)).orElse(end);
            LocalDate from = due.isBefore(first) ? first : due;
            LocalDate by = from.plusDays(rules.count(SLACK_DAYS));
            return new NextLook(from, by.isAfter(end) ? latest(from, end) : by);
        }

        private static LocalDate latest(LocalDate a, LocalDate b) {
            return a.isAfter(b) ? a : b;
        }
    }
}
