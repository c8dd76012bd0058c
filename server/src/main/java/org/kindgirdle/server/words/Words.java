package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.pot.FirstMediumAdvice;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.FactName;
import org.kindgirdle.core.verdict.Verdict;
import org.springframework.stereotype.Component;

/** Makes the sentences of a layer's verdict. */
@Component
public class Words {

    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule RISKY_P = Rule.of("window.risky");
    private static final Rule CALM_DAYS = Rule.of("harden.calm");
    private static final Rule RELEASE_FROST_DAYS = Rule.of("harden.release-frost");

    private final Phrases phrases;

    Words(Phrases phrases) {
        this.phrases = phrases;
    }

    public Advice advice(LayerProjection layer, LayerContext context, Format format) {
        if (layer.verdict() != null && layer.forecast() != null) {
            return onMother(layer, layer.verdict(), layer.forecast(), context, format);
        }
        if (layer.hardening() != null && layer.state().plant() != null) {
            return afterSeverance(layer.hardening(), layer.state().plant(), context.rules(), format);
        }
        LayerState state = layer.state();
        String cause = state.lossCause() == null ? "" : phrases.say("cause." + state.lossCause());
        return new Advice(
                null, Advice.Tone.DONE, phrases.say("step.DONE." + state.phase(), Map.of("cause", cause)), List.of());
    }

    /** For a layer that was taken back. */
    public Advice withdrawn() {
        return new Advice(null, Advice.Tone.DONE, phrases.say("step.DONE.WITHDRAWN"), List.of());
    }

    public String job(String code) {
        return phrases.say("job." + code);
    }

    /** As it is said of a layer of this method. */
    public String job(String code, Method method) {
        return phrases.say(phrases.keyFor("job." + code, method));
    }

    public String also(AlsoDo also, LayerProjection layer, HouseRules rules, Format format) {
        return phrases.say(
                "also." + also,
                Map.of(
                        "hot",
                        format.temperatureC(CoverAdvice.hotBallC(rules)),
                        "load",
                        format.percent(layer.load().utilisation())));
    }

    private Advice onMother(
            LayerProjection layer,
            Verdict<NextStep, NextStepRules> verdict,
            LayerProjection.RootForecast forecast,
            LayerContext context,
            Format format) {
        Map<String, String> values = values(layer, verdict, forecast, context, format);
        NextStep step = verdict.step();
        List<String> because = new ArrayList<>();
        because.add(phrases.say("because." + verdict.decidedBy(), values));
        if (readsWindow(verdict)) {
            because.add(phrases.say("because.again", values));
        }
        LocalDate deadline = forecast.deadline();
        if (step == NextStep.WAIT
                && deadline != null
                && forecast.inTimeP() < context.rules().of(RISKY_P)) {
            values.put("deadline", format.day(deadline));
            values.put("inTimeP", format.percent(forecast.inTimeP()));
            boolean hardy = context.isHardy(layer.state().stage());
            because.add(phrases.say(hardy ? "because.tooLate.hardy" : "because.tooLate.tender", values));
        }
        if (!forecast.ready().looksAgree()) {
            because.add(phrases.say("because.contradiction"));
        }
        return new Advice(
                step.name(),
                tone(step),
                phrases.say(phrases.keyFor("step." + step, context.recipe().method()), values),
                because);
    }

    private static boolean readsWindow(Verdict<NextStep, NextStepRules> verdict) {
        NextStepRules rule = verdict.decidedBy();
        return rule == NextStepRules.OVERDUE
                || rule == NextStepRules.BRIDGED
                || rule == NextStepRules.BALL_LOST
                || rule == NextStepRules.ROT && verdict.step() != NextStep.SEVER_SOON;
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
        Map<String, String> values = new HashMap<>();
        Job next = layer.nextJob();
        values.put("look", look(layer.jobs(), format));
        values.put("jobBy", format.day(next == null ? null : next.by()));
        values.put("newRing", format.lengthMm(newRing(layer, context)));
        values.put("stage", phrases.say("stage." + layer.state().stage()));
        values.put("readyP", share(facts.get(NextStepFact.READY_P), format));
        values.put("windowP", share(facts.get(NextStepFact.WINDOW_P), format));
        values.put("coverage", share(facts.get(NextStepFact.COVERAGE), format));
        values.put("stalled", String.valueOf(facts.get(NextStepFact.STALLED_LOOKS)));
        values.put("school", phrases.say("school." + layer.state().set().school()));
        values.put("establish", format.days(context.rules().count(ESTABLISH_DAYS)));
        Optional<Integer> frost = context.climate().frosts().map(frosts -> frosts.daysToFrost(format.today()));
        values.put("frost", frost.map(format::days).orElse("never"));
        values.put("frostRoom", frost.isPresent() ? phrases.say("frost.room", values) : phrases.say("frost.none"));
        values.put(
                "cold",
                Boolean.FALSE.equals(facts.get(NextStepFact.GROWING))
                        ? phrases.say("cold.notGrowing")
                        : phrases.say("cold.frost", values));
        LocalDate q10 = forecast.q10();
        values.put("q10", format.day(q10));
        values.put("q90", format.day(forecast.q90()));
        LocalDate q90 = forecast.q90();
        boolean past = q90 != null && !q90.isAfter(format.today());
        values.put("ready", phrases.say(past ? "ready.past" : q10 == null ? "ready.far" : "ready.range", values));
        return values;
    }

    /** What is to be said of every first medium for a layer that is potted today. */
    public List<MediumAdvice> firstMedia(LayerContext context, Format format) {
        Integer frost = context.climate()
                .frosts()
                .map(frosts -> frosts.daysToFrost(format.today()))
                .orElse(null);
        return Arrays.stream(FirstMedium.values())
                .map(medium -> FirstMediumAdvice.of(
                        context.rules(), medium, frost, context.species().buryNodesOk()))
                .map(advice -> new MediumAdvice(
                        advice.medium(),
                        phrases.say("medium.first." + advice.medium()),
                        advice.level(),
                        advice.remarks().stream()
                                .map(remark -> phrases.say(
                                        "medium.remark." + remark.kind(), firstMediumFigures(remark, format)))
                                .toList()))
                .toList();
    }

    private static Map<String, String> firstMediumFigures(FirstMediumAdvice.Remark remark, Format format) {
        return Map.of(
                "lowDays", format.days(Math.round(remark.low())),
                "highDays", format.days(Math.round(remark.high())),
                "lowMm", format.lengthMm(remark.low()),
                "highMm", format.lengthMm(remark.high()),
                "count", String.valueOf(Math.round(remark.low())));
    }

    private static double newRing(LayerProjection layer, LayerContext context) {
        return RingAndBall.of(
                        context.rules(),
                        layer.state().set().diameterMm(),
                        context.species().bridgesReadily(),
                        true)
                .ringMm();
    }

    private static String share(@Nullable Object value, Format format) {
        return value instanceof Double share ? format.percent(share) : "?";
    }

    private static String look(List<Job> jobs, Format format) {
        return jobs.stream()
                .filter(job -> job.code().equals(Job.LOOK))
                .findFirst()
                .map(job -> {
                    if (!job.from().isAfter(format.today())) {
                        return "by " + format.day(job.by());
                    }
                    return job.from().equals(job.by())
                            ? "on " + format.day(job.by())
                            : "between " + format.day(job.from()) + " and " + format.day(job.by());
                })
                .orElse("on the next round");
    }

    private Advice afterSeverance(HardenVerdict verdict, PlantState plant, HouseRules rules, Format format) {
        Map<String, String> values = new HashMap<>();
        Rung rung = verdict.to() == null ? plant.rung() : verdict.to();
        values.put("shade", format.percent(rung.shadePercent(rules) / 100));
        values.put("rung", phrases.say("rung." + rung, values));
        values.put("calm", format.days(rules.count(CALM_DAYS)));
        values.put("frostDays", format.days(rules.count(RELEASE_FROST_DAYS)));
        values.put("moss", format.day(plant.mossSince()));
        values.put("leafOut", format.day(verdict.from()));
        values.put("from", format.day(verdict.from()));
        values.put("severed", format.day(plant.severedOn()));
        values.put("since", format.day(plant.rungSince()));
        values.put("droop", format.day(plant.lastDroop()));
        values.put("hot", format.temperatureC(HardenRules.hotC(rules)));
        values.put("windy", format.wind(HardenRules.windyMs(rules)));
        values.put("leafOff", format.percent(HardenRules.leafOffShare(rules)));
        List<String> because = new ArrayList<>();
        because.add(phrases.say("because.plant." + verdict.step(), values));
        if (!verdict.lacking().isEmpty()) {
            values.put(
                    "lacking",
                    verdict.lacking().stream()
                            .map(lack -> phrases.say("lack." + lack, values))
                            .collect(Collectors.joining(", ")));
            because.add(phrases.say("because.lacking", values));
        }
        if (verdict.lacking().contains(HardenRule.LEAF_DROP)) {
            values.put("dropped", format.day(plant.lastSeen(PlantSign.LEAF_DROP).orElse(null)));
            because.add(phrases.say("because.plant.leafDrop", values));
        }
        if (plant.showsNow(PlantSign.PESTS)) {
            because.add(phrases.say("because.plant.pests", values));
        }
        Advice.Tone tone = switch (verdict.step()) {
            case STAY, STAY_DORMANT, HOLD_UNDER_COVER -> Advice.Tone.CALM;
            case STEP_BACK, OPEN_AND_LOOK, POT_UP -> Advice.Tone.URGENT;
            case STEP_UP, POT_ON, RELEASE -> Advice.Tone.ACT;
        };
        return new Advice(verdict.step().name(), tone, phrases.say("step." + verdict.step(), values), because);
    }
}
