package org.kindgirdle.server.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.HardenFact;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.ReleaseTest;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.SeverPoint;
import org.kindgirdle.core.learn.RecipeDifference;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.LimbLayout;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.MotherRule;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.WindowFact;
import org.kindgirdle.core.plan.WindowRule;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.pot.FirstMediumAdvice;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Checklist;
import org.kindgirdle.core.set.ContainerFit;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.verdict.FactName;

class PhrasesTest {

    private final Phrases phrases = new Phrases();

    static Stream<String> keys() {
        return Stream.of(
                        keys("step.", NextStep.values()),
                        keys("step.", PlantStep.values()),
                        Arrays.stream(NextStepRules.values())
                                .filter(rule -> rule != NextStepRules.SPECIMEN_ROOTS)
                                .map(rule -> "because." + rule),
                        Stream.of("because.SPECIMEN_ROOTS.RESCORE", "because.SPECIMEN_ROOTS.WAIT"),
                        keys("because.plant.", PlantStep.values()),
                        keys("also.", AlsoDo.values()),
                        keys("job.", AlsoDo.values()),
                        Arrays.stream(HardenRule.values())
                                .filter(rule -> rule.ordinal() > HardenRule.MOSS_USED_UP.ordinal())
                                .map(rule -> "lack." + rule),
                        keys("rule.", NextStepRules.values()),
                        keys("rule.", HardenRule.values()),
                        keys("rule.", WindowRule.values()),
                        keys("wood.within.", Wood.values()),
                        keys("fact.", WindowFact.values()),
                        keys("fact.", NextStepFact.values()),
                        keys("fact.", HardenFact.values()),
                        keys("source.", FactName.Source.values()),
                        keys("short.", NextStep.values()),
                        keys("condition.", Condition.values()),
                        keys("plant.PlantSign.", PlantSign.values()),
                        keys("plant.Rung.", Rung.values()),
                        keys("plant.Ladder.", Ladder.values()),
                        keys("limb.wood.", Wood.values()),
                        keys("limb.remark.", BranchRule.values()),
                        keys("limb.fault.", LimbLayout.FaultKind.values()),
                        Arrays.stream(LimbScore.Criterion.values())
                                .flatMap(one -> Stream.of("limb." + one + ".1", "limb." + one + ".2")),
                        keys("otherwise.", Otherwise.Way.values()),
                        keys("medium.first.", FirstMedium.values()),
                        keys("medium.remark.", FirstMediumAdvice.Remark.RemarkKind.values()),
                        keys("stage.", RootStage.values()),
                        keys("school.", School.values()),
                        keys("rung.", Rung.values()),
                        keys("cause.", LossCause.values()),
                        Stream.of("RETIRED", "SICK", "RIGHTS", "EVERY_SHOOT_BURIED", "NO_SHOOT_BELOW")
                                .map(rule -> "plan.BLOCK." + rule),
                        Arrays.stream(MotherRule.values())
                                .filter(rule -> rule.ordinal() >= MotherRule.NO_SHOOT_BELOW.ordinal()
                                        && rule != MotherRule.HAZARDS)
                                .map(rule -> "plan.WARN." + rule),
                        keys("plan.WARN.", BranchRule.values()),
                        Stream.of("plan.CAUTION.HAZARDS"),
                        Arrays.stream(Checklist.Step.values())
                                .filter(step -> step != Checklist.Step.UPPER_CUT)
                                .map(step -> "set." + step),
                        keys("set.UPPER_CUT.", Position.values()),
                        keys("cut.", Position.values()),
                        keys("caution.", Checklist.Caution.values()),
                        keys("cover.", CoverAdvice.Reason.values()),
                        keys("cover.name.", Cover.values()),
                        keys("sums.load.", BranchLoad.Bearing.values()),
                        keys("sums.container.", ContainerFit.values()),
                        keys("sums.band.", HormoneFit.values()),
                        keys("trial.differs.", RecipeDifference.values()),
                        keys("point.", SeverPoint.PointKind.values()),
                        keys("day.", BestDay.Against.values()),
                        Arrays.stream(ReleaseTest.Condition.values())
                                .flatMap(one -> Stream.of(".passed", ".failed").map(end -> "release." + one + end)),
                        keys("passport.method.", Method.values()),
                        keys("passport.wound.", Wound.values()),
                        keys("passport.medium.", Medium.values()),
                        keys("done.rung.", Rung.values()),
                        keys("done.RELEASED.", LayerRecord.Destination.values()),
                        Arrays.stream(NextStep.values())
                                .filter(step -> !step.name().startsWith("HOLD")
                                        && step != NextStep.WAIT
                                        && step != NextStep.CARRY_OVER
                                        && step != NextStep.LOOK_NOW)
                                .map(step -> "job." + step))
                .flatMap(one -> one);
    }

    /** A key stands in the code as it is, or is put together from a part that stands there and words of the core. */
    @Test
    void no_words_are_left_that_nobody_says() throws IOException {
        String server = sources(Path.of("src/main/java"));
        Set<String> literals = found(Pattern.compile("\"([^\"\n]*)\""), server);
        Set<String> words =
                found(Pattern.compile("\\b([A-Za-z_]\\w*)\\b"), server + sources(Path.of("../core/src/main/java")));
        assertThat(phrases.keys())
                .hasSizeGreaterThan(800)
                .allSatisfy(key -> assertThat(literals.contains(key)
                                || literals.stream().anyMatch(part -> isFamily(part) && key.startsWith(part))
                                        && Arrays.stream(key.split("\\."))
                                                .allMatch(part -> words.contains(part) || part.matches("\\d+"))
                                || literals.stream()
                                        .anyMatch(end -> end.startsWith(".")
                                                && key.endsWith(end)
                                                && literals.contains(key.substring(0, key.length() - end.length()))))
                        .as("somebody says %s", key)
                        .isTrue());
    }

    private static boolean isFamily(String part) {
        return part.matches("[a-zA-Z]\\w*(\\.\\w+)*\\.");
    }

    private static Set<String> found(Pattern pattern, String text) {
        return pattern.matcher(text).results().map(one -> one.group(1)).collect(Collectors.toSet());
    }

    private static String sources(Path root) throws IOException {
        StringBuilder all = new StringBuilder();
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(".java")).toList()) {
                all.append(Files.readString(file));
            }
        }
        return all.toString();
    }

    @ParameterizedTest
    @MethodSource("keys")
    void everything_that_the_core_can_say_has_words(String key) {
        assertThat(phrases.has(key)).as(key).isTrue();
    }

    @Test
    void a_value_that_is_missing_is_a_bug_and_not_shown_to_a_grower() {
        assertThatThrownBy(() -> phrases.say("step.RERING")).hasMessageContaining("{newRing}");
        assertThat(phrases.say("step.RERING", Map.of("newRing", "35 mm"))).contains("Ring it again, 35 mm wide");
        assertThatThrownBy(() -> phrases.say("no.such")).hasMessageContaining("no.such");
    }

    /** What stands right after a word must bring its own space: a properties file drops one that is not escaped. */
    @Test
    void line_17_no_fragment_is_glued_to_the_word_before_it() {
        assertThat(phrases.say("frost.hard", Map.of("hardFrost", "4 December"))).startsWith(" before 4 December");
        assertThat(phrases.say(
                        "step.HOLD_DORMANT", Map.of("leafFall", "25 October", "beforeHardFrost", " before frost")))
                .contains("sever it before frost");
    }

    /** "About 1 nodes lie between them", "Set 1 layers", "1 days late". */
    @Test
    void line_17_one_is_not_many() {
        assertThat(phrases.say("round.late", Map.of("days", "1"))).isEqualTo("1 day late");
        assertThat(phrases.say("round.late", Map.of("days", "2"))).isEqualTo("2 days late");
        Map<String, String> between = Map.of("limb", "Low arm", "count", "1", "upper", "a", "lower", "b");
        assertThat(phrases.say("limb.fault.TOO_FEW_NODES", between)).contains("about 1 node lies between a and b");
    }

    /** "0 in 100 are full by now" was said of a chance, and "100 in 100" of what was not certain. */
    @Test
    void line_17_nearly_none_is_not_none_and_nearly_all_is_not_all() {
        assertThat(Stream.of(0., .004, .0051, .5, .994, .996, 1.).map(phrases::inHundred))
                .containsExactly("0", "less than 1", "1", "50", "99", "more than 99", "100");
    }

    private static Stream<String> keys(String prefix, Enum<?>[] values) {
        return Arrays.stream(values).map(value -> prefix + value);
    }
}
