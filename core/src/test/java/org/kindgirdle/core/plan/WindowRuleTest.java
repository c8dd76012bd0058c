package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.core.plan.Sites.CONTINENTAL;
import static org.kindgirdle.core.plan.Sites.MARITIME;
import static org.kindgirdle.core.plan.Sites.SOUTHERN;
import static org.kindgirdle.core.plan.Sites.TROPICAL;
import static org.kindgirdle.core.plan.Sites.quince;
import static org.kindgirdle.core.plan.Sites.tender;
import static org.kindgirdle.core.plan.Sites.windows;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

class WindowRuleTest {

    static Stream<SettingWindows> everywhere() {
        Stream.Builder<SettingWindows> all = Stream.builder();
        for (PlaceClimate climate : List.of(MARITIME, SOUTHERN, CONTINENTAL, TROPICAL)) {
            for (SpeciesProfile species : List.of(quince(38, false), quince(60, false), quince(90, true), tender())) {
                for (School school : School.values()) {
                    all.add(windows(climate, species, school));
                }
            }
        }
        return all.build();
    }

    @ParameterizedTest
    @MethodSource("everywhere")
    void the_rules_say_what_the_quick_answer_says_and_all_of_them_stand_there(SettingWindows windows) {
        for (LocalDate day = LocalDate.of(2026, 1, 1); day.getYear() < 2028; day = day.plusDays(5)) {
            Verdict<WindowClass, WindowRule> verdict = WindowRule.decide(windows, day);
            SettingWindow quick = windows.on(day);
            assertThat(verdict.step()).as("%s", day).isEqualTo(quick.windowClass());
            assertThat(verdict.entries()).extracting(Verdict.Entry::rule).containsExactly(WindowRule.values());
            assertThat(verdict.entries()).filteredOn(Verdict.Entry::applied).hasSize(1);
            boolean early =
                    verdict.decidedBy() == WindowRule.TOO_COOL_YET || verdict.decidedBy() == WindowRule.FROST_YET;
            assertThat(quick.end() == SettingWindow.End.TOO_EARLY).isEqualTo(early);
        }
    }

    @Test
    void a_good_date_is_justified_by_its_chance_its_deadline_and_what_they_rest_on() {
        RootingTime learned = new RootingTime(34, .2, 57);
        SettingWindows windows = windows(MARITIME, quince(38, false), learned, School.IN_LEAF);
        LocalDate may = LocalDate.of(2026, 5, 15);
        Verdict<WindowClass, WindowRule> verdict = WindowRule.decide(windows, may);
        assertThat(verdict.decidedBy()).isEqualTo(WindowRule.IN_TIME);
        assertThat(verdict.facts())
                .contains(
                        new Fact(WindowFact.DEADLINE, LocalDate.of(2026, 9, 8)),
                        new Fact(WindowFact.READY_P, windows.on(may).readyP()),
                        new Fact(WindowFact.RECORDS_USED, 57));
    }

    @Test
    void two_dates_differ_in_the_rules_between_them() {
        SettingWindows windows = windows(MARITIME, quince(38, false), School.IN_LEAF);
        Verdict<WindowClass, WindowRule> early = WindowRule.decide(windows, LocalDate.of(2026, 3, 1));
        Verdict<WindowClass, WindowRule> good = WindowRule.decide(windows, LocalDate.of(2026, 5, 20));
        assertThat(early.decidedBy()).isEqualTo(WindowRule.TOO_COOL_YET);
        assertThat(early.diff(good))
                .extracting(one -> one.before().rule())
                .contains(WindowRule.TOO_COOL_YET, WindowRule.FROST_YET, WindowRule.IN_TIME)
                .doesNotContain(WindowRule.TOO_LATE);
    }
}
