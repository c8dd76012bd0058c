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
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.look.School;

class SettingWindowTest {

    @Test
    void quince_in_a_cool_place_opens_in_spring_and_closes_in_summer() {
        assertThat(on(MARITIME, 2026, 2, 10))
                .returns(WindowClass.CLOSED, SettingWindow::windowClass)
                .returns(SettingWindow.End.TOO_EARLY, SettingWindow::end);
        assertThat(on(MARITIME, 2026, 5, 15))
                .returns(WindowClass.GOOD, SettingWindow::windowClass)
                .returns(LocalDate.of(2026, 9, 8), SettingWindow::deadline);
        assertThat(on(MARITIME, 2026, 9, 1).end()).isEqualTo(SettingWindow.End.TOO_LATE);
        assertThat(on(MARITIME, 2026, 11, 25)).returns(WindowClass.CLOSED, SettingWindow::windowClass);
        assertThat(on(MARITIME, 2026, 9, 1).readyP()).isLessThan(.01);
    }

    @Test
    void the_later_the_start_the_smaller_the_chance() {
        double last = 1;
        for (LocalDate day = LocalDate.of(2026, 5, 1); day.isBefore(LocalDate.of(2026, 9, 1)); day = day.plusDays(3)) {
            double p = on(MARITIME, day.getYear(), day.getMonthValue(), day.getDayOfMonth())
                    .readyP();
            assertThat(p).as(day.toString()).isLessThanOrEqualTo(last);
            last = p;
        }
    }

    @Test
    void south_of_the_line_the_year_is_turned_by_half() {
        assertThat(on(SOUTHERN, 2026, 11, 15))
                .returns(WindowClass.GOOD, SettingWindow::windowClass)
                .returns(LocalDate.of(2027, 3, 9), SettingWindow::deadline);
        assertThat(on(SOUTHERN, 2026, 8, 1).end()).isEqualTo(SettingWindow.End.TOO_EARLY);
        assertThat(on(SOUTHERN, 2027, 3, 1).end()).isEqualTo(SettingWindow.End.TOO_LATE);
    }

    @Test
    void without_frost_there_is_no_deadline() {
        assertThat(on(TROPICAL, 2026, 6, 1))
                .returns(null, SettingWindow::deadline)
                .returns(WindowClass.GOOD, SettingWindow::windowClass);
    }

    @Test
    void a_year_falls_into_bands_that_close_at_both_ends() {
        SettingWindows quince = windows(MARITIME, quince(38, false), School.IN_LEAF);
        LocalDate from = LocalDate.of(2026, 1, 1);
        List<SettingWindows.Band> bands = quince.bands(from, from.plusYears(1));
        assertThat(bands.get(0).from()).isEqualTo(from);
        assertThat(bands.get(bands.size() - 1).to()).isEqualTo(from.plusYears(1));
        for (int i = 1; i < bands.size(); i++) {
            assertThat(bands.get(i).from()).isEqualTo(bands.get(i - 1).to());
        }
        assertThat(bands.stream().map(SettingWindows.Band::windowClass))
                .containsSubsequence(WindowClass.CLOSED, WindowClass.GOOD, WindowClass.RISKY, WindowClass.CLOSED);
        LocalDate may = LocalDate.of(2026, 5, 15);
        LocalDate first = quince.firstGood(may).orElseThrow();
        LocalDate last = quince.lastGood(may).orElseThrow();
        assertThat(quince.on(first.minusDays(1)).end()).isEqualTo(SettingWindow.End.TOO_EARLY);
        assertThat(quince.on(last).windowClass()).isEqualTo(WindowClass.GOOD);
        assertThat(quince.on(last.plusDays(1)).windowClass()).isNotEqualTo(WindowClass.GOOD);
        assertThat(quince.nextGood(LocalDate.of(2026, 10, 1)))
                .hasValueSatisfying(next -> assertThat(next.getYear()).isEqualTo(2027));
    }

    @Test
    void severing_after_leaf_fall_leaves_more_time_than_in_leaf() {
        LocalDate june = LocalDate.of(2026, 6, 20);
        SettingWindow inLeaf =
                windows(MARITIME, quince(38, false), School.IN_LEAF).on(june);
        SettingWindow dormant =
                windows(MARITIME, quince(38, false), School.DORMANT).on(june);
        assertThat(dormant.deadline()).isAfter(inLeaf.deadline());
        assertThat(dormant.readyP()).isGreaterThanOrEqualTo(inLeaf.readyP());
        assertThat(windows(MARITIME, quince(38, false), School.SPRING).on(june)).isEqualTo(dormant);
    }

    @Test
    void a_slow_hardy_plant_stands_the_winter_and_is_ready_in_spring() {
        SettingWindows slow = windows(MARITIME, quince(60, false), School.IN_LEAF);
        assertThat(slow.bands(LocalDate.of(2026, 6, 1), LocalDate.of(2026, 11, 1)).stream()
                        .map(SettingWindows.Band::windowClass))
                .contains(WindowClass.OVERWINTER);
    }

    @Test
    void two_seasons_have_the_second_autumn_for_a_deadline() {
        LocalDate june = LocalDate.of(2026, 6, 1);
        SettingWindow one = windows(MARITIME, quince(90, false), School.IN_LEAF).on(june);
        SettingWindow two = windows(MARITIME, quince(90, true), School.IN_LEAF).on(june);
        assertThat(two.deadline()).isEqualTo(one.deadline().plusYears(1));
        assertThat(two.readyP()).isGreaterThan(one.readyP());
    }

    private static SettingWindow on(PlaceClimate climate, int year, int month, int day) {
        return windows(climate, quince(38, false), School.IN_LEAF).on(LocalDate.of(year, month, day));
    }

    @Test
    void a_hot_summer_and_a_cold_winter_make_a_short_window() {
        SettingWindows quince = windows(CONTINENTAL, quince(38, false), School.IN_LEAF);
        LocalDate june = LocalDate.of(2026, 6, 1);
        LocalDate first = quince.firstGood(june).orElseThrow();
        LocalDate last = quince.lastGood(june).orElseThrow();
        assertThat(first).isBetween(LocalDate.of(2026, 4, 20), LocalDate.of(2026, 5, 15));
        assertThat(last).isBetween(LocalDate.of(2026, 5, 25), LocalDate.of(2026, 7, 10));
        assertThat(quince.on(june).deadline())
                .isEqualTo(LocalDate.of(2026, 9, 25).minusDays(42));
        // roots in a ball do not stand -24 C: nothing is left on over such a winter
        assertThat(quince.bands(LocalDate.of(2026, 1, 1), LocalDate.of(2027, 1, 1)))
                .extracting(SettingWindows.Band::windowClass)
                .doesNotContain(WindowClass.OVERWINTER);
    }

    @Test
    void in_the_tropics_every_day_is_good_and_the_pace_tells_them_apart() {
        SettingWindows evergreens = windows(TROPICAL, tender(), School.IN_LEAF);
        LocalDate from = LocalDate.of(2026, 1, 1);
        assertThat(evergreens.bands(from, from.plusYears(1)))
                .containsExactly(new SettingWindows.Band(from, from.plusYears(1), WindowClass.GOOD, null));
        List<StartRate> rates = StartRate.between(evergreens, from, from.plusYears(1));
        assertThat(rates).hasSize(365).extracting(StartRate::start).isSorted();
        assertThat(rates).allSatisfy(rate -> assertThat(rate.daysToReady()).isBetween(28, 60));
        List<StartRate> ranked = rates.stream().sorted(StartRate.FASTEST_FIRST).toList();
        assertThat(ranked.get(0).share()).isEqualTo(1);
        for (int i = 1; i < ranked.size(); i++) {
            assertThat(ranked.get(i).daysToReady())
                    .isGreaterThanOrEqualTo(ranked.get(i - 1).daysToReady());
        }
        LocalDate fastest = ranked.get(0).start();
        assertThat(evergreens.readyOn(fastest, .5))
                .contains(fastest.plusDays(ranked.get(0).daysToReady() - 1L));
    }

    @Test
    void where_it_never_is_warm_enough_nothing_opens_and_a_root_takes_more_than_four_years() {
        SettingWindows evergreens = windows(MARITIME, tender(), School.IN_LEAF);
        LocalDate from = LocalDate.of(2026, 1, 1);
        assertThat(evergreens.bands(from, from.plusYears(1)))
                .extracting(SettingWindows.Band::end)
                .containsExactly(SettingWindow.End.TOO_EARLY);
        assertThat(evergreens.firstGood(from)).isEmpty();
        assertThat(evergreens.lastGood(from)).isEmpty();
        assertThat(evergreens.nextGood(from)).isEmpty();
    }

    /** At 37 S on a coast: growth never stops, nights touch freezing from June to August. */
    private static final PlaceClimate COAST = new PlaceClimate(
            -37,
            new MonthlyNormals(
                    List.of(14.0, 14.2, 12.8, 10.2, 8.0, 6.0, 5.2, 5.8, 7.2, 9.0, 10.8, 12.6),
                    List.of(24.5, 24.4, 22.6, 19.6, 16.6, 14.2, 13.6, 14.6, 16.4, 18.6, 20.6, 22.8)),
            new FrostCalendar(MonthDay.of(6, 25), MonthDay.of(6, 1), MonthDay.of(8, 10), MonthDay.of(8, 31)),
            -2,
            1,
            Map.of());

    /** Line 7: GOOD on the fifteenth of January, "too early" on the sixteenth. */
    @Test
    void line_7_no_window_breaks_at_the_coldest_day() {
        PlaceClimate mild = new PlaceClimate(
                30,
                new MonthlyNormals(
                        List.of(5.0, 6.5, 10.0, 14.0, 18.0, 22.0, 23.5, 23.0, 20.0, 15.0, 10.0, 6.5),
                        List.of(16.0, 18.0, 22.0, 26.0, 30.0, 33.0, 34.0, 34.0, 31.0, 26.0, 21.0, 17.0)),
                new FrostCalendar(MonthDay.of(12, 10), MonthDay.of(11, 22), MonthDay.of(2, 10), MonthDay.of(3, 5)),
                -4,
                1,
                Map.of());
        for (PlaceClimate climate : List.of(COAST, mild, MARITIME, TROPICAL)) {
            for (School school : School.values()) {
                SettingWindows windows = windows(climate, quince(38, false), school);
                for (int year = 2026; year < 2028; year++) {
                    LocalDate coldest = LocalDate.ofYearDay(year, climate.coldestDayOfYear());
                    for (int ahead = -1; ahead <= 1; ahead++) {
                        SettingWindow eve = windows.on(coldest.plusDays(ahead - 1L));
                        SettingWindow morrow = windows.on(coldest.plusDays(ahead));
                        assertThat(eve.windowClass() == WindowClass.GOOD && morrow.windowClass() == WindowClass.CLOSED)
                                .as(school + " " + eve + " " + morrow)
                                .isFalse();
                    }
                }
            }
        }
    }

    /** Line 7: a set in November was judged against a September that was past. */
    @Test
    void line_7_no_date_is_judged_by_a_deadline_that_is_past() {
        for (PlaceClimate climate : List.of(COAST, MARITIME, SOUTHERN, CONTINENTAL)) {
            for (School school : School.values()) {
                SettingWindows windows = windows(climate, quince(38, false), school);
                for (LocalDate day = LocalDate.of(2026, 1, 1); day.getYear() < 2028; day = day.plusDays(3)) {
                    SettingWindow one = windows.on(day);
                    assertThat(one.deadline()).as(one.toString()).isAfterOrEqualTo(day);
                }
            }
        }
        // what meets the winter on its mother is not called good
        assertThat(on(COAST, 2026, 5, 25).windowClass()).isNotEqualTo(WindowClass.GOOD);
    }

    @Test
    void line_7_an_evergreen_is_left_over_the_winter_as_well() {
        SpeciesProfile holly =
                ProfileBuilder.quince().habit(Habit.EVERGREEN).time(60).build();
        assertThat(windows(MARITIME, holly, School.SPRING).bands(LocalDate.of(2026, 5, 1), LocalDate.of(2026, 11, 1)))
                .extracting(SettingWindows.Band::windowClass)
                .contains(WindowClass.OVERWINTER);
    }

    /** A fig at 52 N opens on 11 June and is in leaf from the 25th: between them "too late to ring it again" was said. */
    @Test
    void line_13_a_new_ring_waits_for_the_leaves_and_is_not_too_late_before_them() {
        SpeciesProfile fig = ProfileBuilder.quince()
                .cardinals(10, 25.5, 38)
                .opensAt(14)
                .time(30)
                .build();
        SettingWindows windows = windows(MARITIME, fig, School.IN_LEAF);
        LocalDate leafOut = windows.againAhead(LocalDate.of(2026, 6, 1), true).orElseThrow();
        assertThat(leafOut).isAfter(LocalDate.of(2026, 6, 15));
        assertThat(windows.againAhead(leafOut.minusDays(1), true)).contains(leafOut);
        assertThat(windows.againAhead(leafOut, true)).isEmpty();
    }

    /** Line 7: lilac and apple were GOOD all year in the lowland tropics, and nothing was said. */
    @Test
    void line_7_where_no_winter_comes_it_is_said_of_plants_that_need_one() {
        assertThat(windows(TROPICAL, quince(38, false), School.IN_LEAF).lacksWinter())
                .isTrue();
        assertThat(windows(TROPICAL, tender(), School.IN_LEAF).lacksWinter()).isFalse();
        assertThat(windows(MARITIME, quince(38, false), School.IN_LEAF).lacksWinter())
                .isFalse();
        assertThat(windows(COAST, quince(38, false), School.IN_LEAF).lacksWinter())
                .isFalse();
    }
}
