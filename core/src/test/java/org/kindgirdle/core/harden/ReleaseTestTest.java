package org.kindgirdle.core.harden;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;

class ReleaseTestTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final LocalDate AUGUST = LocalDate.of(2026, 8, 20);

    private static PlaceClimate climate(double winterLowC, Map<LocalDate, DayTemperatures> known) {
        return new PlaceClimate(
                52,
                new MonthlyNormals(
                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                        List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6)),
                winterLowC,
                1,
                known);
    }

    private static PlantState plant(Rung rung, int days, PlantSign... seen) {
        return new PlantState(
                AUGUST.minusDays(60),
                true,
                null,
                Ladder.IN_LEAF,
                rung,
                AUGUST.minusDays(days),
                seen.length == 0 ? List.of() : List.of(new PlantState.Seen(AUGUST, Set.of(seen))));
    }

    @Test
    void each_condition_that_fails_is_named_with_what_there_is_and_what_is_wanted() {
        ReleaseTest none =
                ReleaseTest.of(RULES, plant(Rung.LIGHT, 20), new Standing(climate(-4.5, Map.of()), null), AUGUST);
        assertThat(none.failing())
                .extracting(ReleaseTest.Check::condition)
                .containsExactly(
                        ReleaseTest.Condition.IN_THE_OPEN,
                        ReleaseTest.Condition.DAYS_IN_THE_OPEN,
                        ReleaseTest.Condition.ROOTS_AT_EDGE,
                        ReleaseTest.Condition.NEW_GROWTH);
        ReleaseTest short2 = ReleaseTest.of(
                RULES,
                plant(Rung.OPEN, 5, PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH, PlantSign.PESTS),
                new Standing(climate(-4.5, Map.of()), null),
                AUGUST);
        assertThat(short2.failing())
                .containsExactly(
                        new ReleaseTest.Check(ReleaseTest.Condition.DAYS_IN_THE_OPEN, false, 5, 7),
                        new ReleaseTest.Check(ReleaseTest.Condition.NO_PESTS, false, 0, 0));
    }

    @Test
    void it_passes_in_summer_and_fails_on_frost_alone_in_october() {
        PlantState ready = plant(Rung.OPEN, 7, PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH);
        assertThat(ReleaseTest.of(RULES, ready, new Standing(climate(-4.5, Map.of()), null), AUGUST)
                        .passed())
                .isTrue();
        assertThat(ReleaseTest.of(RULES, ready, new Standing(climate(-4.5, Map.of()), null), LocalDate.of(2026, 10, 1))
                        .failing())
                .containsExactly(new ReleaseTest.Check(ReleaseTest.Condition.FROST_FREE_DAYS, false, 19, 28));
    }

    @Test
    void winter_asks_for_a_frost_free_place_where_roots_die_and_for_a_roof_where_only_the_leaves_are_soft() {
        PlantState shade = plant(Rung.SHADE, 5);
        WinterCare tender = WinterCare.of(
                        RULES,
                        shade,
                        climate(-9, Map.of()),
                        ProfileBuilder.quince().build(),
                        null,
                        AUGUST)
                .orElseThrow();
        assertThat(tender.need()).isEqualTo(WinterCare.Need.FROST_FREE);
        assertThat(tender.by()).isEqualTo(LocalDate.of(2026, 10, 20));
        assertThat(tender.forecast()).isFalse();
        assertThat(WinterCare.of(
                                RULES,
                                shade,
                                climate(-4.5, Map.of()),
                                ProfileBuilder.quince().build(),
                                null,
                                AUGUST)
                        .orElseThrow()
                        .need())
                .isEqualTo(WinterCare.Need.COVER);
        assertThat(WinterCare.of(
                        RULES,
                        plant(Rung.OPEN, 20),
                        climate(-4.5, Map.of()),
                        ProfileBuilder.quince().build(),
                        null,
                        AUGUST))
                .isEmpty();
    }

    @Test
    void a_frost_in_the_forecast_comes_before_the_calendars() {
        LocalDate frost = AUGUST.plusDays(3);
        WinterCare care = WinterCare.of(
                        RULES,
                        plant(Rung.SHADE, 5),
                        climate(-4.5, Map.of(frost, new DayTemperatures(-1, 9))),
                        ProfileBuilder.quince().build(),
                        null,
                        AUGUST)
                .orElseThrow();
        assertThat(care.by()).isEqualTo(frost);
        assertThat(care.forecast()).isTrue();
    }
}
