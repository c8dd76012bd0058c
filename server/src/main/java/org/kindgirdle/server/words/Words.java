package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Fact;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.Verdict;
import org.kindgirdle.core.set.RingAndBall;
import org.springframework.stereotype.Component;

/** Makes the sentences of a layer's verdict. */
@Component
public class Words {

    private final Phrases phrases;

    Words(Phrases phrases) {
        this.phrases = phrases;
    }

    public Advice advice(LayerProjection layer, LayerContext context, Format format) {
        if (layer.verdict() != null && layer.forecast() != null) {
            return onMother(layer, layer.verdict(), layer.forecast(), context, format);
        }
        if (layer.hardening() != null && layer.state().plant() != null) {
            return afterSeverance(layer.hardening(), layer.state().plant(), format);
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

    public String also(AlsoDo also, LayerProjection layer, Format format) {
        return phrases.say(
                "also." + also,
                Map.of(
                        "hot",
                        format.temperatureC(38),
                        "load",
                        format.percent(layer.load().utilisation())));
    }

    private Advice onMother(
            LayerProjection layer,
            Verdict verdict,
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
        if (!forecast.ready().looksAgree()) {
            because.add(phrases.say("because.contradiction"));
        }
        return new Advice(step.name(), tone(step), phrases.say("step." + step, values), because);
    }

    private static boolean readsWindow(Verdict verdict) {
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
            Verdict verdict,
            LayerProjection.RootForecast forecast,
            LayerContext context,
            Format format) {
        Map<Fact.Name, @Nullable Object> facts = new HashMap<>();
        verdict.entries().forEach(entry -> entry.facts().forEach(fact -> facts.put(fact.name(), fact.value())));
        Map<String, String> values = new HashMap<>();
        Job next = layer.nextJob();
        values.put("look", look(layer.jobs(), format));
        values.put("jobBy", format.day(next == null ? null : next.by()));
        values.put("newRing", format.lengthMm(newRing(layer, context)));
        values.put("stage", phrases.say("stage." + layer.state().stage()));
        values.put("readyP", share(facts.get(Fact.Name.READY_P), format));
        values.put("windowP", share(facts.get(Fact.Name.WINDOW_P), format));
        values.put("coverage", share(facts.get(Fact.Name.COVERAGE), format));
        values.put("stalled", String.valueOf(facts.get(Fact.Name.STALLED_LOOKS)));
        values.put("school", phrases.say("school." + layer.state().set().school()));
        values.put("establish", format.days(context.rules().establishDays()));
        Optional<Integer> frost = context.climate().frosts().map(frosts -> frosts.daysToFrost(format.today()));
        values.put("frost", frost.map(format::days).orElse("never"));
        values.put("frostRoom", frost.isPresent() ? phrases.say("frost.room", values) : phrases.say("frost.none"));
        values.put(
                "cold",
                Boolean.FALSE.equals(facts.get(Fact.Name.GROWING))
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

    private static double newRing(LayerProjection layer, LayerContext context) {
        return RingAndBall.of(
                        layer.state().set().diameterMm(), context.species().bridgesReadily(), true)
                .ringMm();
    }

    private static String share(@Nullable Object value, Format format) {
        return value instanceof Double share ? format.percent(share) : "?";
    }

    private static String look(List<Job> jobs, Format format) {
        return jobs.stream()
                .filter(job -> job.code().equals(Job.LOOK))
                .findFirst()
                .map(job -> job.from().isAfter(format.today())
                        ? "between " + format.day(job.from()) + " and " + format.day(job.by())
                        : "by " + format.day(job.by()))
                .orElse("on the next round");
    }

    private Advice afterSeverance(HardenVerdict verdict, PlantState plant, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("rung", phrases.say("rung." + (verdict.to() == null ? plant.rung() : verdict.to())));
        values.put("leafOut", format.day(verdict.from()));
        values.put("from", format.day(verdict.from()));
        values.put("severed", format.day(plant.severedOn()));
        values.put("since", format.day(plant.rungSince()));
        values.put("droop", format.day(plant.lastDroop()));
        values.put("hot30", format.temperatureC(30));
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
        Advice.Tone tone = switch (verdict.step()) {
            case STAY, STAY_DORMANT, HOLD_UNDER_COVER -> Advice.Tone.CALM;
            case STEP_BACK, OPEN_AND_LOOK, POT_UP -> Advice.Tone.URGENT;
            case STEP_UP, RELEASE -> Advice.Tone.ACT;
        };
        return new Advice(verdict.step().name(), tone, phrases.say("step." + verdict.step(), values), because);
    }
}
