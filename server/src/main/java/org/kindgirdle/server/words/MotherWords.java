package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.FactName;
import org.kindgirdle.core.verdict.Verdict;
import org.springframework.stereotype.Component;

/** Makes the sentences of the next step of a layer on its mother. */
@Component
class MotherWords {

    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule RISKY_P = Rule.of("window.risky");

    private final Phrases phrases;

    MotherWords(Phrases phrases) {
        this.phrases = phrases;
    }

    Advice advice(
            LayerProjection layer,
            Verdict<NextStep, NextStepRules> verdict,
            LayerProjection.RootForecast forecast,
            LayerContext context,
            Format format) {
        Map<String, String> values = values(layer, verdict, forecast, context, format);
        NextStep step = verdict.step();
        List<String> because = new ArrayList<>();
        String why = because(verdict, layer.state(), context, format);
        // what is not wrapped where all can see it is not called a ball
        boolean isWrapped =
                context.recipe().method().hangs() || context.recipe().method() == Method.JAR;
        because.add(phrases.say(!isWrapped && phrases.has(why + ".unwrapped") ? why + ".unwrapped" : why, values));
        rootsLost(verdict, layer.state(), because, format);
        again(verdict, because, values);
        overruled(verdict, layer.state(), because, values);
        LocalDate deadline = forecast.deadline();
        if (step == NextStep.WAIT
                && verdict.decidedBy() == NextStepRules.NOTHING_TO_DO
                && deadline != null
                && forecast.inTimeP() < context.rules().of(RISKY_P)) {
            values.put("deadline", format.day(deadline));
            values.put("inTimeP", format.percent(forecast.inTimeP()));
            boolean hardy = context.isHardy(layer.state().stage());
            because.add(phrases.say(hardy ? "because.tooLate.hardy" : "because.tooLate.tender", values));
        }
        if (!layer.state().looks().isEmpty() && readsRoots(verdict)) {
            because.add(phrases.say("because.roots", values));
        }
        return new Advice(step.name(), tone(step), headline(step, layer, context, values, format), because);
    }

    /** What to do, with the date of that and of nothing else. */
    private String headline(
            NextStep step, LayerProjection layer, LayerContext context, Map<String, String> values, Format format) {
        Job own = own(step, layer.jobs());
        LocalDate today = format.today();
        values.put("by", format.day(own == null ? null : own.by()));
        values.put("from", format.day(own == null ? null : own.from()));
        boolean bumps = context.recipe().method() == Method.FOIL_START
                && layer.state().stage().isAtLeast(RootStage.CALLUS);
        if (step == NextStep.WAIT && bumps) {
            // what foil alone was to find out is found out
            return phrases.say("step.bumps", values);
        }
        if (step == NextStep.WAIT && waitsForTheBark(layer.verdict(), values)) {
            // the day of the ring comes before that of the next look
            return phrases.say("step.WAIT.ring", values);
        }
        String headline =
                phrases.say(key(step, context.recipe().method(), how(step, own, layer, context, today)), values);
        boolean isLate = own != null && own.by().isBefore(today);
        String late = key(step, context.recipe().method(), ".late");
        if (isLate && late.endsWith(".late")) {
            return phrases.say(late, values);
        }
        return isLate
                ? phrases.say("step.since", Map.of("headline", headline, "since", format.day(own.by())))
                : headline;
    }

    /** What is said of a step as it stands: for the method by itself where there are words for it. */
    private String key(NextStep step, Method method, String how) {
        String plain = "step." + step;
        String own = plain + "." + method;
        boolean isOver = how.equals(".done") || how.equals(".later");
        return Stream.of(own + how, isOver ? plain + how : own, own, plain + how)
                .filter(phrases::has)
                .findFirst()
                .orElse(plain);
    }

    /** Which of several sentences of a step fits: it is done, not wanted yet, or waits for the end of the frosts. */
    private static String how(
            NextStep step, @Nullable Job own, LayerProjection layer, LayerContext context, LocalDate today) {
        if (step == NextStep.PROTECT) {
            return own == null ? ".done" : own.from().isAfter(today) ? ".later" : "";
        }
        if (step == NextStep.NEXT_SEASON) {
            return layer.state().letGo() ? ".done" : "";
        }
        boolean winterEnds = context.seasons().isLastFrostAhead(today)
                && !context.seasons()
                        .isHardFrost(today, context.rootKillC(layer.state().stage()));
        return step == NextStep.HOLD_SPRING && winterEnds ? ".lastFrost" : "";
    }

    /** The job of the step itself; for those that are nothing but waiting, the next look. */
    private static @Nullable Job own(NextStep step, List<Job> jobs) {
        boolean looks = step == NextStep.WAIT || step == NextStep.LOOK_NOW;
        String code = looks ? Job.LOOK : step.name();
        return jobs.stream().filter(job -> job.code().equals(code)).findFirst().orElse(null);
    }

    private String because(
            Verdict<NextStep, NextStepRules> verdict, LayerState state, LayerContext context, Format format) {
        NextStepRules rule = Objects.requireNonNull(verdict.decidedBy());
        String key = "because." + rule;
        return switch (rule) {
            case NOTHING_TO_DO -> state.conditions().isEmpty() ? key : key + ".found";
            case SPECIMEN_ROOTS -> key + "." + verdict.step();
            case COLD_NEAR, NO_ROOM, LEAF_FALLEN, MENDED_AND_KEPT -> {
                String own = key + "." + verdict.step();
                boolean frosts = context.climate().frosts().isPresent();
                yield rule == NextStepRules.COLD_NEAR
                                && verdict.step() == NextStep.WAIT
                                && context.seasons().isGrowing(format.today())
                        ? key + ".WAIT.frost"
                        : phrases.has(own) && frosts ? own : key;
            }
            default -> key;
        };
    }

    private static boolean isForANewRing(Verdict<NextStep, NextStepRules> verdict) {
        return switch (Objects.requireNonNull(verdict.decidedBy())) {
            case NOT_ROOTING, BRIDGED, BALL_LOST, ROT -> true;
            default -> false;
        };
    }

    private static boolean waitsForTheBark(
            @Nullable Verdict<NextStep, NextStepRules> verdict, Map<String, String> values) {
        return verdict != null
                && isForANewRing(verdict)
                && !Objects.requireNonNullElse(values.get("ringFrom"), "").isEmpty();
    }

    /** What rooted once may root again: a grower who saw the tips is not told that it never would. */
    private void rootsLost(
            Verdict<NextStep, NextStepRules> verdict, LayerState state, List<String> because, Format format) {
        LayerState.RootsLost lost = state.rootsLost();
        if (verdict.decidedBy() != NextStepRules.NOT_ROOTING || lost == null) {
            return;
        }
        because.add(phrases.say(
                "because.rootsLost",
                Map.of(
                        "had", phrases.say("stage." + lost.had().look().stage()),
                        "hadOn", format.day(lost.had().on()),
                        "goneOn", format.day(lost.goneOn()))));
    }

    private void again(Verdict<NextStep, NextStepRules> verdict, List<String> because, Map<String, String> values) {
        if (!isForANewRing(verdict)) {
            return;
        }
        switch (verdict.step()) {
            case RERING -> because.add(phrases.say("because.again", values));
            case CARRY_OVER, NEXT_SEASON, CLEAN_OUT, PROTECT ->
                because.add(
                        phrases.say(values.containsKey("slips") ? "because.again.low" : "because.again.bark", values));
            case WAIT -> {
                if (waitsForTheBark(verdict, values)) {
                    because.add(phrases.say("because.again.ahead", values));
                }
            }
            case ABANDON -> because.add(phrases.say("because.ringedOut", values));
            default -> {
                // whether a new ring would be in time decided nothing
            }
        }
    }

    /** Which fact it is that decided against the school that the grower chose. */
    private void overruled(
            Verdict<NextStep, NextStepRules> verdict,
            LayerState state,
            List<String> because,
            Map<String, String> values) {
        School chosen = state.set().school();
        if (chosen == School.IN_LEAF) {
            return;
        }
        NextStepRules rule = verdict.decidedBy();
        boolean against = switch (verdict.step()) {
            case SEVER_NOW, SEVER_SOON, SEVER_TO_COVER, PROTECT ->
                rule == NextStepRules.ROOM
                        || rule == NextStepRules.NO_ROOM
                        || rule == NextStepRules.LEAF_FALLEN
                        || rule == NextStepRules.EVERGREEN_WINTER;
            case SEVER_DORMANT -> chosen == School.SPRING;
            case HOLD_SPRING -> chosen == School.DORMANT;
            default -> false;
        };
        if (!against) {
            return;
        }
        String fact = isTrue(verdict, NextStepFact.WINTERED)
                ? "wintered"
                : verdict.step() == NextStep.HOLD_SPRING
                        ? isTrue(verdict, NextStepFact.EVERGREEN) ? "evergreen" : "hardFrost"
                        : chosen == School.DORMANT && isTrue(verdict, NextStepFact.EVERGREEN)
                                ? "evergreen"
                                : values.containsKey("noFrost") ? "noFrost" : "tender";
        because.add(phrases.say("because.overruled." + fact, values));
    }

    private static boolean isTrue(Verdict<NextStep, NextStepRules> verdict, NextStepFact name) {
        return verdict.entries().stream()
                .flatMap(entry -> entry.facts().stream())
                .anyMatch(fact -> fact.name() == name && Boolean.TRUE.equals(fact.value()));
    }

    private static boolean readsRoots(Verdict<NextStep, NextStepRules> verdict) {
        return verdict.decidedBy() == NextStepRules.NOTHING_TO_DO || verdict.decidedBy() == NextStepRules.OLD_LOOK;
    }

    private static Advice.Tone tone(NextStep step) {
        return switch (step) {
            case WAIT, HOLD_SPRING, HOLD_FRUIT, HOLD_DORMANT, CARRY_OVER -> Advice.Tone.CALM;
            case LOST, RESCUE, REWET, REWRAP, RELIEVE, CLEAN_OUT, SEVER_TO_COVER -> Advice.Tone.URGENT;
            default -> Advice.Tone.ACT;
        };
    }

    private Map<String, String> values(
            LayerProjection layer,
            Verdict<NextStep, NextStepRules> verdict,
            LayerProjection.RootForecast forecast,
            LayerContext context,
            Format format) {
        Map<FactName, @Nullable Object> facts = new HashMap<>();
        verdict.entries().forEach(entry -> entry.facts().forEach(fact -> facts.put(fact.name(), fact.value())));
        LayerState state = layer.state();
        Map<String, String> values = new HashMap<>();
        values.put("look", look(layer.jobs(), format));
        values.put("newRing", format.lengthMm(RingAndBall.againMm(context.rules(), context.ringMm(state))));
        values.put("stage", phrases.say("stage." + state.stage()));
        values.put("readyP", share(facts.get(NextStepFact.READY_P)));
        values.put("windowP", share(facts.get(NextStepFact.WINDOW_P)));
        Sectors sectors = state.sectors();
        if (sectors != null) {
            values.put("coverage", format.percent(sectors.coverage()));
            values.put("gap", String.valueOf(sectors.widestGapDeg()));
        }
        values.put("roots", phrases.inHundred(forecast.ready().roots()));
        values.put("rootsBefore", phrases.inHundred(forecast.ready().rootsBefore()));
        double full = forecast.ready().fullBy(forecast.thermalDays());
        values.put("full", phrases.inHundred(full));
        values.put("both", phrases.inHundred(forecast.readyP()));
        values.put("attempts", String.valueOf(state.attempts()));
        if (Boolean.TRUE.equals(facts.get(NextStepFact.BARK_SLIPS))) {
            values.put("slips", "");
        }
        values.put("stalled", String.valueOf(facts.get(NextStepFact.STALLED_LOOKS)));
        values.put("school", phrases.say("school." + state.set().school()));
        values.put("establish", format.days(context.rules().count(ESTABLISH_DAYS)));
        values.put("lastLook", format.day(last(state)));
        values.put("winterLow", format.temperatureC(context.climate().winterLowC()));
        values.put("rescored", format.day(state.rescoredOn()));
        seasons(values, layer, context, format);
        LocalDate q10 = forecast.q10();
        values.put("q10", format.day(q10));
        values.put("q90", format.day(forecast.q90()));
        LocalDate q90 = forecast.q90();
        boolean past = q90 != null && !q90.isAfter(format.today());
        values.put("ready", phrases.say(past ? "ready.past" : q10 == null ? "ready.far" : "ready.range", values));
        return values;
    }

    private static @Nullable LocalDate last(LayerState state) {
        return state.looks().isEmpty()
                ? null
                : state.looks().get(state.looks().size() - 1).on();
    }

    /** The days of the year that a hold or a frost is named by. */
    private void seasons(Map<String, String> values, LayerProjection layer, LayerContext context, Format format) {
        LocalDate today = format.today();
        Seasons seasons = context.seasons();
        Optional<Integer> frost = context.climate().frosts().map(frosts -> frosts.daysToFrost(today));
        if (frost.isEmpty()) {
            values.put("noFrost", "");
        }
        values.put("frost", frost.map(format::days).orElse("never"));
        values.put(
                "frostAway",
                frost.isEmpty()
                        ? phrases.say("frost.none")
                        : frost.get() == 0 ? phrases.say("frost.now") : phrases.say("frost.away", values));
        values.put("frostRoom", frost.isPresent() ? phrases.say("frost.room", values) : phrases.say("frost.none"));
        values.put(
                "lastFrost",
                format.day(seasons.lastFrostAhead(today)
                        .orElseGet(() -> context.climate()
                                .frosts()
                                .map(frosts -> frosts.nextLastLate(today))
                                .orElse(null))));
        values.put("spring", format.day(seasons.nextSpring(today).orElse(null)));
        values.put("leafFall", format.day(seasons.nextLeafFall(today).orElse(null)));
        double kill = context.rootKillC(layer.state().stage());
        values.put(
                "beforeHardFrost",
                seasons.nextHardFrost(today, kill)
                        .map(day -> phrases.say("frost.hard", Map.of("hardFrost", format.day(day))))
                        .orElse(""));
        values.put(
                "cold", seasons.isGrowing(today) ? phrases.say("cold.frost", values) : phrases.say("cold.notGrowing"));
        values.put("nextGood", nextGood(layer, context, format));
        values.put(
                "ringFrom",
                windows(layer, context)
                        .againAhead(today, context.coverAtHand())
                        .map(format::day)
                        .orElse(""));
    }

    private static SettingWindows windows(LayerProjection layer, LayerContext context) {
        LayerState state = layer.state();
        return context.windows(
                context.recipe().cover(), layer.factors(), state.set().school(), state.stage());
    }

    /** The next day on which it may be ringed again with a good chance. */
    private String nextGood(LayerProjection layer, LayerContext context, Format format) {
        if (layer.verdict() == null || layer.verdict().step() != NextStep.NEXT_SEASON) {
            return "";
        }
        return windows(layer, context)
                .nextGood(format.today())
                .map(day -> phrases.say("again.from", Map.of("day", format.day(day))))
                .orElseGet(() -> phrases.say("again.never"));
    }

    private String share(@Nullable Object value) {
        return value instanceof Double share ? phrases.inHundred(share) : "?";
    }

    /** When it is looked at next, as a sentence of its own. */
    private String look(List<Job> jobs, Format format) {
        Job look = jobs.stream()
                .filter(job -> job.code().equals(Job.LOOK))
                .findFirst()
                .orElse(null);
        if (look == null) {
            return phrases.say("look.round");
        }
        String how = look.by().isBefore(format.today())
                ? "look.late"
                : !look.from().isAfter(format.today())
                        ? "look.by"
                        : look.from().equals(look.by()) ? "look.on" : "look.between";
        return phrases.say(how, Map.of("from", format.day(look.from()), "by", format.day(look.by())));
    }
}
