package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.plan.LimbLayout;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;

/** Says how well a limb suits, and what is wrong with the balls on it. */
@Service
public class LimbWords {

    private final Phrases phrases;

    LimbWords(Phrases phrases) {
        this.phrases = phrases;
    }

    String line(LimbScore score, LimbScore.Line line, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("wood", phrases.say("limb.wood." + score.limb().wood()));
        values.put("diameter", format.lengthMm(score.limb().diameterMm()));
        values.put("lean", Math.round(score.limb().leanDeg()) + "°");
        values.put("leaves", String.valueOf(score.limb().leavesBeyond()));
        return phrases.say("limb." + line.criterion() + "." + line.points(), values);
    }

    /**
     * What it is good for.
     *
     * @param rests whether a layer was cut from it this year
     * @param load what its balls ask of what it bears, where that is too much; null else
     * @param motherRoom how many more layers the whole mother can take
     */
    String advice(
            LimbScore score,
            LimbRoom room,
            boolean stands,
            boolean rests,
            @Nullable String load,
            boolean best,
            int motherRoom) {
        if (!stands) {
            return phrases.say("limb.advice.gone");
        }
        if (room.more() == 0) {
            return phrases.say(room.layout().fromTheTip().isEmpty() ? "limb.advice.noRoom" : "limb.advice.full");
        }
        if (rests) {
            return phrases.say("limb.advice.rests");
        }
        if (load != null) {
            return phrases.say("limb.advice.loaded", Map.of("load", load));
        }
        if (motherRoom == 0) {
            return phrases.say("limb.advice.mother");
        }
        Map<String, String> more = Map.of("more", String.valueOf(Math.min(motherRoom, room.more())));
        if (!score.isSuitable()) {
            return phrases.say("limb.advice.against", more);
        }
        return phrases.say(best ? "limb.advice.best" : "limb.advice.good", more);
    }

    /** Why a limb that a layer was cut from is not ringed before its bark slips next year. */
    String rests(String limb, @Nullable LocalDate cutOn, LocalDate againOn, Format format) {
        return phrases.say("limb.rests", Map.of("limb", limb, "on", format.day(cutOn), "again", format.day(againOn)));
    }

    /** What is wrong between the balls of a limb, in the order of their numbers. */
    public List<String> faults(LimbLayout layout, String limb, Format format) {
        return layout.faults().stream()
                .map(fault -> fault(layout, fault, limb, format))
                .toList();
    }

    private String fault(LimbLayout layout, LimbLayout.Fault fault, String limb, Format format) {
        return phrases.say(
                "limb.fault." + fault.kind(),
                Map.of(
                        "limb", limb,
                        "upper", layout.fromTheTip().get(fault.upper() - 1).code(),
                        "lower", layout.fromTheTip().get(fault.upper()).code(),
                        "mm", format.lengthMm(Math.max(0, fault.measured())),
                        "count", String.valueOf(Math.round(fault.measured()))));
    }
}
