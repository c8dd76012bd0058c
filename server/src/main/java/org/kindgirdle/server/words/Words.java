package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.harden.HardenFact;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.pot.FirstMediumAdvice;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.verdict.Fact;
import org.springframework.stereotype.Component;

/** Makes the sentences of a verdict, on the mother and after it. */
@Component
public class Words {

    private static final Rule CALM_DAYS = Rule.of("harden.calm");
    private static final Rule RELEASE_FROST_DAYS = Rule.of("harden.release-frost");

    private final Phrases phrases;
    private final MotherWords motherWords;

    Words(Phrases phrases, MotherWords motherWords) {
        this.phrases = phrases;
        this.motherWords = motherWords;
    }

    public Advice advice(LayerProjection layer, LayerContext context, Format format) {
        if (layer.verdict() != null && layer.forecast() != null) {
            return motherWords.advice(layer, layer.verdict(), layer.forecast(), context, format);
        }
        if (layer.hardening() != null && layer.state().plant() != null) {
            return afterSeverance(layer.hardening(), layer.state().plant(), context.rules(), format);
        }
        LayerState state = layer.state();
        String cause = state.lossCause() == null ? "" : phrases.say("cause." + state.lossCause());
        cause = state.lossWords().isEmpty() ? cause : state.lossWords();
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

    /** What is to be done beside the step. */
    public String also(AlsoDo also, LayerProjection layer, LayerContext context, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("hot", format.temperatureC(CoverAdvice.hotBallC(context.rules())));
        values.put("load", format.percent(layer.load().utilisation()));
        if (also == AlsoDo.COVER) {
            CoverAhead ahead = againstAlgae(layer, context, format.today());
            CoverAdvice advice = ahead.advice();
            values.put("stillHot", ahead.tooHotUnderBest() ? phrases.say("cover.stillHot") : "");
            values.put("cover", phrases.say("cover.name." + advice.best()));
            values.put("ballC", format.temperatureC(advice.under(advice.best()).hottestC()));
        }
        return phrases.say("also." + also, values);
    }

    /** What all balls of a limb together ask of it. */
    public String limbLoad(String limb, int balls, double utilisation, HouseRules rules, Format format) {
        return phrases.say(
                "limb.load." + BranchLoad.verdict(rules, utilisation),
                Map.of("limb", limb, "balls", String.valueOf(balls), "load", format.percent(utilisation)));
    }

    /** The cover that work beside the step puts on; null where it changes none. */
    public @Nullable Cover coverOf(AlsoDo also, LayerProjection layer, LayerContext context, LocalDate today) {
        return switch (also) {
            case COVER_NOW -> Cover.FOIL;
            case COVER -> againstAlgae(layer, context, today).advice().best();
            default -> null;
        };
    }

    private static CoverAhead againstAlgae(LayerProjection layer, LayerContext context, LocalDate today) {
        Cover now = layer.state().covers().isEmpty()
                ? context.recipe().cover()
                : layer.state().covers().get(layer.state().covers().size() - 1).cover();
        return CoverAhead.of(context, now, today, true);
    }

    /** What is to be said of every first medium for a layer that is potted today. */
    public List<MediumAdvice> firstMedia(LayerContext context, Format format) {
        Integer frost = context.climate()
                .frosts()
                .map(frosts -> frosts.daysToFrost(format.today()))
                .orElse(null);
        return Arrays.stream(FirstMedium.values())
                .map(medium -> FirstMediumAdvice.of(
                        context.rules(),
                        medium,
                        frost,
                        context.species(),
                        context.climate().winterLowC()))
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
                "lowC", format.temperatureC(remark.low()),
                "highC", format.temperatureC(remark.high()),
                "count", String.valueOf(Math.round(remark.low())));
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
        values.put("hot", format.temperatureC(hotAbove(verdict, rules)));
        values.put("windy", format.wind(HardenRules.windyMs(rules)));
        values.put("leafOff", format.percent(HardenRules.leafOffShare(rules)));
        List<String> because = new ArrayList<>();
        values.put(
                "growsAgain", fact(verdict, HardenFact.GROWS_AGAIN_ON) instanceof LocalDate day ? format.day(day) : "");
        because.add(phrases.say(phrases.keyFor("because.plant." + verdict.step(), plant.ladder()), values));
        if (verdict.lacking().contains(HardenRule.FREE_OF_FROST)) {
            because.add(phrases.say("because.plant.frost", values));
        }
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
        return new Advice(
                verdict.step().name(),
                tone,
                phrases.say(phrases.keyFor("step." + verdict.step(), plant.ladder()), values),
                because);
    }

    private static double hotAbove(HardenVerdict verdict, HouseRules rules) {
        return fact(verdict, HardenFact.HOT_ABOVE_C) instanceof Double limit ? limit : HardenRules.hotC(rules);
    }

    private static @Nullable Object fact(HardenVerdict verdict, HardenFact name) {
        return verdict.verdict().entries().stream()
                .flatMap(entry -> entry.facts().stream())
                .filter(one -> one.name() == name)
                .map(Fact::value)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }
}
