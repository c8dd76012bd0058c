package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Difficulty;

class SettingWindowTest {

    private static final List<Double> MIN = List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2);
    private static final List<Double> MAX =
            List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2);
    private static final FrostCalendar FROSTS =
            new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6));

    @Test
    void quince_in_a_cool_place_opens_in_spring_and_closes_in_summer() {
        PlaceClimate north = new PlaceClimate(52, new MonthlyNormals(MIN, MAX), FROSTS, -4.5, 1, Map.of());
        assertThat(on(north, 2026, 2, 10))
                .returns(WindowClass.CLOSED, SettingWindow::windowClass)
                .returns(SettingWindow.End.TOO_EARLY, SettingWindow::end);
        assertThat(on(north, 2026, 5, 15))
                .returns(WindowClass.GOOD, SettingWindow::windowClass)
                .returns(LocalDate.of(2026, 9, 8), SettingWindow::deadline);
        assertThat(on(north, 2026, 9, 1).end()).isEqualTo(SettingWindow.End.TOO_LATE);
        assertThat(on(north, 2026, 9, 1).readyP()).isLessThan(.01);
    }

    @Test
    void the_later_the_start_the_smaller_the_chance() {
        PlaceClimate north = new PlaceClimate(52, new MonthlyNormals(MIN, MAX), FROSTS, -4.5, 1, Map.of());
        double last = 1;
        for (LocalDate day = LocalDate.of(2026, 5, 1); day.isBefore(LocalDate.of(2026, 9, 1)); day = day.plusDays(3)) {
            double p = on(north, day.getYear(), day.getMonthValue(), day.getDayOfMonth())
                    .readyP();
            assertThat(p).as(day.toString()).isLessThanOrEqualTo(last);
            last = p;
        }
    }

    @Test
    void south_of_the_line_the_year_is_turned_by_half() {
        FrostCalendar frosts =
                new FrostCalendar(MonthDay.of(5, 8), MonthDay.of(4, 20), MonthDay.of(10, 14), MonthDay.of(11, 6));
        PlaceClimate south =
                new PlaceClimate(-43, new MonthlyNormals(turned(MIN), turned(MAX)), frosts, -4.5, 1, Map.of());
        assertThat(on(south, 2026, 11, 15))
                .returns(WindowClass.GOOD, SettingWindow::windowClass)
                .returns(LocalDate.of(2027, 3, 9), SettingWindow::deadline);
        assertThat(on(south, 2026, 8, 1).end()).isEqualTo(SettingWindow.End.TOO_EARLY);
        assertThat(on(south, 2027, 3, 1).end()).isEqualTo(SettingWindow.End.TOO_LATE);
    }

    @Test
    void without_frost_there_is_no_deadline() {
        PlaceClimate house = new PlaceClimate(52, new MonthlyNormals(MIN, MAX).plus(6, 6), null, 4, 1, Map.of());
        assertThat(on(house, 2026, 6, 1))
                .returns(null, SettingWindow::deadline)
                .returns(WindowClass.GOOD, SettingWindow::windowClass);
    }

    @Test
    void a_year_falls_into_bands_that_close_at_both_ends() {
        SettingWindows quince = windows(north(), quince(), School.IN_LEAF);
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
        SettingWindow inLeaf = windows(north(), quince(), School.IN_LEAF).on(june);
        SettingWindow dormant = windows(north(), quince(), School.DORMANT).on(june);
        assertThat(dormant.deadline()).isAfter(inLeaf.deadline());
        assertThat(dormant.readyP()).isGreaterThanOrEqualTo(inLeaf.readyP());
        assertThat(windows(north(), quince(), School.SPRING).on(june)).isEqualTo(dormant);
    }

    @Test
    void a_slow_hardy_plant_stands_the_winter_and_is_ready_in_spring() {
        SettingWindows slow = windows(north(), quince(60, false), School.IN_LEAF);
        assertThat(slow.bands(LocalDate.of(2026, 6, 1), LocalDate.of(2026, 11, 1)).stream()
                        .map(SettingWindows.Band::windowClass))
                .contains(WindowClass.OVERWINTER);
    }

    @Test
    void two_seasons_have_the_second_autumn_for_a_deadline() {
        LocalDate june = LocalDate.of(2026, 6, 1);
        SettingWindow one = windows(north(), quince(90, false), School.IN_LEAF).on(june);
        SettingWindow two = windows(north(), quince(90, true), School.IN_LEAF).on(june);
        assertThat(two.deadline()).isEqualTo(one.deadline().plusYears(1));
        assertThat(two.readyP()).isGreaterThan(one.readyP());
    }

    private static PlaceClimate north() {
        return new PlaceClimate(52, new MonthlyNormals(MIN, MAX), FROSTS, -4.5, 1, Map.of());
    }

    private static List<Double> turned(List<Double> months) {
        return java.util.stream.IntStream.range(0, 12)
                .mapToObj(month -> months.get((month + 6) % 12))
                .toList();
    }

    private static SettingWindow on(PlaceClimate climate, int year, int month, int day) {
        return windows(climate, quince(), School.IN_LEAF).on(LocalDate.of(year, month, day));
    }

    private static SettingWindows windows(PlaceClimate climate, SpeciesProfile species, School school) {
        ThermalSums sums = new ThermalSums(
                HouseRules.SHIPPED,
                climate,
                species.cardinals(),
                Exposure.PART,
                Cover.FOIL,
                leafless(climate, species),
                LocalDate.of(2025, 1, 1),
                LocalDate.of(2028, 12, 31));
        return new SettingWindows(
                HouseRules.SHIPPED, climate, species, RootingTime.ofProfile(species), sums, 1, school, true);
    }

    private static org.kindgirdle.core.growth.@Nullable DaysOfYear leafless(
            PlaceClimate climate, SpeciesProfile species) {
        return Phenology.leafless(HouseRules.SHIPPED, climate, species).orElse(null);
    }

    private static SpeciesProfile quince() {
        return quince(38, false);
    }

    private static SpeciesProfile quince(double d50, boolean twoSeasons) {
        return new SpeciesProfile(
                "CYDOBL",
                "Cydonia oblonga",
                "quince",
                Difficulty.EASY,
                d50,
                .25,
                new CardinalTemperatures(5, 22, 36),
                9,
                30,
                Habit.DECIDUOUS,
                -25,
                true,
                false,
                true,
                true,
                OwnRoots.GOOD,
                twoSeasons,
                "",
                "",
                "");
    }
}
