package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.kindgirdle.core.layer.ComingSteps;
import org.kindgirdle.core.layer.SeverPoint;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.sever.CutBelow;
import org.kindgirdle.core.sever.LeafBalance;
import org.springframework.stereotype.Component;

/** What is said when a cut is decided on. */
@Component
public class SeverWords {

    private final Phrases phrases;

    SeverWords(Phrases phrases) {
        this.phrases = phrases;
    }

    public String point(SeverPoint point, School school, Format format) {
        boolean days = switch (point.kind()) {
            case ROOM_TO_ESTABLISH, TOO_NEAR_FROST, BALL_DRIES -> true;
            default -> false;
        };
        String key = "point." + point.kind();
        if (point.kind() == SeverPoint.PointKind.BALL_DRIES && point.figure() == 0) {
            key += ".now";
        }
        if (point.kind() == SeverPoint.PointKind.TOO_NEAR_FROST && point.figure() == 0) {
            key += ".now";
        }
        return phrases.say(
                key,
                Map.of(
                        "figure",
                        days ? format.days(Math.round(point.figure())) : format.percent(point.figure()),
                        "school",
                        phrases.say("school." + school)));
    }

    /** Since when the advice is what it is; empty if it was so all along. */
    public Optional<String> changed(Optional<ComingSteps.ChangedStep> changed, NextStep now, Format format) {
        return changed.map(was -> phrases.say(
                "sever.changed",
                Map.of(
                        "on", format.day(was.on()),
                        "before", phrases.say("short." + was.before()),
                        "now", phrases.say("short." + now))));
    }

    /** How it is cut off, as its ball is held. */
    public String cut(Method method, CutBelow below, Format format) {
        String key = "cut." + method;
        return phrases.say(
                phrases.has(key) ? key : "cut",
                Map.of("from", format.lengthMm(below.fromMm()), "to", format.lengthMm(below.toMm())));
    }

    /** Why a day is not the best, or that it is. */
    public List<String> day(BestDay.Ranked ranked, boolean best, Format format) {
        if (best) {
            return List.of(phrases.say("day.best"));
        }
        Map<String, String> values = new HashMap<>();
        values.put("max", format.temperatureC(ranked.day().maxC()));
        values.put(
                "wind",
                ranked.day().windMs() == null ? "" : format.wind(ranked.day().windMs()));
        values.put("more", ranked.moreVpdKpa() == null ? "" : kpa(ranked.moreVpdKpa()));
        return ranked.against().stream()
                .map(against -> phrases.say("day." + against, values))
                .toList();
    }

    /** What to do on a day that is the least bad of a week in which none is fit. */
    public List<String> leastBad(BestDay.Ranked ranked) {
        return Stream.concat(
                        Stream.of(phrases.say("day.least")),
                        ranked.against().stream()
                                .filter(against -> phrases.has("day.least." + against))
                                .map(against -> phrases.say("day.least." + against)))
                .toList();
    }

    public static String kpa(double vpdKpa) {
        return String.format(Locale.ROOT, "%.2f kPa", vpdKpa);
    }

    /** The leaves that come off, as an instruction. */
    public String leaves(int leaves, LeafBalance balance) {
        if (leaves == 0) {
            return phrases.say("leaves.none");
        }
        Map<String, String> values = new HashMap<>();
        values.put("leaves", String.valueOf(leaves));
        values.put("carries", String.valueOf(balance.carries()));
        values.put("remove", String.valueOf(balance.remove()));
        values.put("keep", String.valueOf(balance.keep()));
        if (balance.carries() == 0) {
            return phrases.say("leaves.noRoots", values);
        }
        if (balance.remove() == 0) {
            return phrases.say("leaves.all", values);
        }
        Optional<Integer> halve = LeafBalance.halve(leaves, balance.carries());
        values.put("halve", halve.map(String::valueOf).orElse(""));
        return phrases.say(
                halve.isEmpty() ? "leaves.off" : halve.get() == leaves ? "leaves.halveAll" : "leaves.halve", values);
    }

    /** The day before a cut. */
    public String dayBefore(LocalDate cutOn, Format format) {
        return phrases.say(
                "sever.dayBefore", Map.of("day", format.weekday(cutOn.minusDays(1)), "cut", format.day(cutOn)));
    }
}
