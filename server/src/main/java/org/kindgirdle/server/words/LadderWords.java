package org.kindgirdle.server.words;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.ReleaseTest;
import org.kindgirdle.core.harden.StepUpDay;
import org.kindgirdle.core.house.HouseRules;
import org.springframework.stereotype.Component;

/** What is said of the days of the ladder, and of a release. */
@Component
public class LadderWords {

    private final Phrases phrases;

    LadderWords(Phrases phrases) {
        this.phrases = phrases;
    }

    /** Why nothing moves up before a day; empty if it may. */
    public List<String> day(HouseRules rules, StepUpDay day, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("max", format.temperatureC(day.maxC()));
        values.put("wind", day.windMs() == null ? "" : format.wind(day.windMs()));
        values.put("hot", format.temperatureC(day.hotAboveC()));
        values.put("windy", format.wind(HardenRules.windyMs(rules)));
        List<String> said = new ArrayList<>();
        if (day.hot()) {
            said.add(phrases.say("ladder.hot", values));
        }
        if (day.windy()) {
            said.add(phrases.say("ladder.windy", values));
        }
        return said;
    }

    /** One condition of the test for release: what it fails by, or that it passes. */
    public String check(ReleaseTest.Check check, Format format) {
        return phrases.say(
                "release." + check.condition() + (check.passed() ? ".passed" : ".failed"),
                Map.of("figure", format.days(check.figure()), "wanted", format.days(check.wanted())));
    }
}
