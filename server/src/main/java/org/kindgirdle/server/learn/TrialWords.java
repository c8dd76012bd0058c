package org.kindgirdle.server.learn;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.core.learn.RecipeDifference;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** Says what a trial takes and what is wrong with it. */
@Component
class TrialWords {

    private final Phrases phrases;

    TrialWords(Phrases phrases) {
        this.phrases = phrases;
    }

    String size(TrialView.SizeQuery query, int perArm, int arms) {
        Map<String, String> values = new HashMap<>();
        values.put("perArm", String.valueOf(perArm));
        values.put("inAll", String.valueOf(perArm * arms));
        values.put("share", percent(query.share()));
        values.put("otherShare", percent(query.otherShare()));
        values.put("power", percent(query.power()));
        values.put("significance", percent(query.significance()));
        return phrases.say("trial.size", values);
    }

    /** In what an arm differs from the first. */
    String difference(String first, String other, Set<RecipeDifference> differences) {
        Map<String, String> values = new HashMap<>();
        values.put("first", first);
        values.put("other", other);
        values.put("count", String.valueOf(differences.size()));
        values.put(
                "what",
                differences.stream()
                        .map(one -> phrases.say("trial.differs." + one))
                        .collect(Collectors.joining(", ")));
        String key = differences.isEmpty() ? "none" : differences.size() == 1 ? "one" : "more";
        return phrases.say("trial.arms." + key, values);
    }

    /**
     * What is to be said of a trial as it was begun.
     *
     * @param open places of which it is not known yet whether the layer rooted: without one, the verdict itself says
     *     whether there were too few
     */
    List<String> remarks(TrialView.TrialLine line, int open) {
        List<String> all = new ArrayList<>();
        TrialView.ArmView first = line.arms().get(0);
        for (TrialView.ArmView arm : line.arms().subList(1, line.arms().size())) {
            if (arm.differences().size() != 1) {
                all.add(difference(first.recipe(), arm.recipe(), arm.differences()));
            }
        }
        int fewest =
                line.arms().stream().mapToInt(TrialView.ArmView::assigned).min().orElse(0);
        if (open > 0 && fewest < line.perArm()) {
            all.add(phrases.say(
                    "trial.few", Map.of("fewest", String.valueOf(fewest), "perArm", String.valueOf(line.perArm()))));
        }
        int otherwise =
                line.arms().stream().mapToInt(TrialView.ArmView::setOtherwise).sum();
        if (otherwise > 0) {
            all.add(phrases.say("trial.otherwise", Map.of("count", String.valueOf(otherwise))));
        }
        return all;
    }

    private static String percent(double share) {
        return Math.round(share * 100) + "%";
    }
}
