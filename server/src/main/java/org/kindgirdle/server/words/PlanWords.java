package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.StartRate;
import org.kindgirdle.core.plan.WindowClass;
import org.springframework.stereotype.Component;

/** Says what a start date is worth, and what else could be done. */
@Component
public class PlanWords {

    private final Phrases phrases;

    PlanWords(Phrases phrases) {
        this.phrases = phrases;
    }

    /** What a start date is worth, with the last good day where it came too late. */
    public String window(SettingWindows windows, LocalDate start, Format format) {
        SettingWindow window = windows.on(start);
        Map<String, String> values = new HashMap<>();
        values.put("start", format.day(window.start()));
        values.put("p", format.percent(window.readyP()));
        double roots = windows.roots();
        values.put("roots", phrases.inHundred(roots));
        values.put("full", phrases.inHundred(window.readyP()));
        values.put("both", phrases.inHundred(roots * window.readyP()));
        values.put("early", phrases.inHundred(windows.overwinterP(start)));
        LocalDate deadline = window.deadline();
        values.put("deadline", deadline == null ? "" : format.day(deadline));
        String key = "window." + window.windowClass();
        if (window.windowClass() == WindowClass.CLOSED) {
            key = key + "." + window.end();
            if (window.end() == SettingWindow.End.TOO_LATE) {
                key += windows.isBarkTight(start) ? ".bark" : windows.isPastDeadline(start) ? ".past" : "";
            }
        } else if (window.windowClass() == WindowClass.OVERWINTER && windows.isPastDeadline(start)) {
            key = key + ".past";
        } else if (window.windowClass() == WindowClass.GOOD && deadline == null) {
            key = key + ".free";
        }
        if (deadline == null) {
            rate(values, windows, start, format);
        }
        String said = phrases.say(key, values);
        if (windows.lacksWinter()) {
            said += " " + phrases.say("window.noWinter");
        }
        LocalDate last = windows.lastGood(start).orElse(null);
        if (window.windowClass() == WindowClass.GOOD || last == null || !last.isBefore(start)) {
            return said;
        }
        return said + " " + phrases.say("window.lastGood", Map.of("lastGood", format.day(last)));
    }

    /** Where no frost hurries anybody, days are told apart by how fast a layer roots that is set on them. */
    private static void rate(Map<String, String> values, SettingWindows windows, LocalDate start, Format format) {
        List<StartRate> rates = StartRate.between(windows, start, start.plusYears(1));
        StartRate best = rates.stream().min(StartRate.FASTEST_FIRST).orElseThrow();
        Integer days = rates.get(0).daysToReady();
        values.put("days", days == null ? "?" : format.days(days));
        values.put("best", format.day(best.start()));
        values.put("bestDays", best.daysToReady() == null ? "?" : format.days(best.daysToReady()));
    }

    /** One of the other ways. */
    public String otherwise(Otherwise way, Format format) {
        Map<String, String> values =
                Map.of("on", format.day(way.on()), "p", way.p() == null ? "" : format.percent(way.p()));
        return phrases.say("otherwise." + way.way(), values);
    }

    /**
     * What to do for a target.
     *
     * @param more layers to set; null if it is too late for any, or too many would be needed
     */
    public String target(
            int released,
            LikelyNumber likely,
            int wanted,
            double confidence,
            @Nullable Integer more,
            @Nullable LocalDate latestSetOn,
            Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("wanted", String.valueOf(wanted));
        values.put("released", String.valueOf(released));
        values.put("p", format.percent(likely.reachedP()));
        values.put("confidence", format.percent(confidence));
        values.put("more", String.valueOf(more));
        values.put("latest", latestSetOn == null ? "" : format.day(latestSetOn));
        String key;
        if (released >= wanted) {
            key = "target.reached";
        } else if (likely.reachedP() >= confidence) {
            key = "target.onTheWay";
        } else if (more != null) {
            key = "target.setMore";
        } else {
            key = latestSetOn == null ? "target.tooLate" : "target.tooMany";
        }
        return phrases.say(key, values);
    }

    /** What plants that are wanted ask for, in a sentence or two. */
    public String layersWanted(
            int layers, int wanted, LocalDate by, @Nullable LocalDate latestSetOn, int room, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("layers", String.valueOf(layers));
        values.put("wanted", String.valueOf(wanted));
        values.put("by", format.day(by));
        values.put("latest", latestSetOn == null ? "" : format.day(latestSetOn));
        values.put("room", String.valueOf(room));
        values.put("missing", String.valueOf(layers - room));
        String said = phrases.say(latestSetOn == null ? "layersWanted.tooLate" : "layersWanted.by", values);
        return room >= layers ? said : said + " " + phrases.say("layersWanted.noRoom", values);
    }
}
