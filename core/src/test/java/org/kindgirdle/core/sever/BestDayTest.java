package org.kindgirdle.core.sever;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.sever.BestDay.Against;

class BestDayTest {

    @Test
    void the_dampest_day_that_is_neither_hot_nor_windy() {
        BestDay days = BestDay.of(
                HouseRules.SHIPPED,
                List.of(day(10, 22, 1.1, 3.0), day(11, 31, .2, 1.0), day(12, 20, .3, 9.0), day(13, 21, .8, 8.0)));
        assertThat(days.best()).map(DayAhead::on).hasValue(LocalDate.of(2026, 7, 13));
        assertThat(days.ranked())
                .extracting(one -> one.day().on().getDayOfMonth())
                .containsExactly(13, 10, 11, 12);
        assertThat(days.ranked())
                .extracting(BestDay.Ranked::against)
                .containsExactly(
                        List.of(), List.of(Against.DRIER_THAN_THE_BEST), List.of(Against.HOT), List.of(Against.WINDY));
        assertThat(days.ranked().get(1).moreVpdKpa()).isCloseTo(.3, org.assertj.core.api.Assertions.within(1e-12));
    }

    @Test
    void exactly_thirty_is_not_hot_and_exactly_eight_is_not_windy() {
        assertThat(BestDay.of(HouseRules.SHIPPED, List.of(day(10, 30.1, .5, 8.0)))
                        .best())
                .isEmpty();
        assertThat(BestDay.of(HouseRules.SHIPPED, List.of(day(10, 30, .5, 8.0))).best())
                .isPresent();
    }

    /** Line 4: in a lowland where every normal passes 30 C no day was ever fit to cut. */
    @Test
    void line_4_where_it_always_is_hot_a_day_no_hotter_than_usual_will_do() {
        PlaceClimate lowland = new PlaceClimate(
                9,
                new MonthlyNormals(Collections.nCopies(12, 23.0), Collections.nCopies(12, 32.5)),
                null,
                20,
                1,
                Map.of(LocalDate.of(2026, 4, 11), new DayTemperatures(25, 37)));
        BestDay days = BestDay.of(
                HouseRules.SHIPPED,
                IntStream.range(10, 17)
                        .mapToObj(day -> DayAhead.at(HouseRules.SHIPPED, lowland, LocalDate.of(2026, 4, day)))
                        .toList());
        assertThat(days.best()).isPresent();
        assertThat(days.ranked().stream().filter(one -> !one.willDo()))
                .extracting(one -> one.day().on().getDayOfMonth())
                .containsExactly(11);
    }

    @Test
    void line_4_where_all_are_against_it_the_least_bad_is_named() {
        BestDay days = BestDay.of(
                HouseRules.SHIPPED,
                List.of(
                        day(10, 34, .5, 9.5),
                        day(11, 33, .9, 2.0),
                        new DayAhead(LocalDate.of(2026, 7, 12), -1, 12, 30, .1, 1.0)));
        assertThat(days.best()).isEmpty();
        BestDay.Ranked least = days.leastBad().orElseThrow();
        assertThat(least.day().on()).isEqualTo(LocalDate.of(2026, 7, 11));
        assertThat(least.against()).containsExactly(Against.HOT);
        assertThat(days.ranked().get(2).against()).containsExactly(Against.FREEZING);
        assertThat(BestDay.of(HouseRules.SHIPPED, List.of(day(12, 20, .5, null)))
                        .leastBad())
                .isEmpty();
    }

    @Test
    void where_no_day_will_do_none_is_named_and_each_says_why() {
        BestDay days = BestDay.of(HouseRules.SHIPPED, List.of(day(10, 34, .5, 9.5), day(11, 33, .4, 2.0)));
        assertThat(days.best()).isEmpty();
        assertThat(days.ranked().get(1).against()).containsExactly(Against.HOT, Against.WINDY);
        assertThat(days.ranked().get(0).moreVpdKpa()).isNull();
    }

    @Test
    void wind_that_is_not_forecast_speaks_against_nothing_and_the_earlier_of_equals_wins() {
        assertThat(BestDay.of(HouseRules.SHIPPED, List.of(day(12, 20, .5, null), day(11, 20, .5, null)))
                        .best())
                .map(DayAhead::on)
                .hasValue(LocalDate.of(2026, 7, 11));
        assertThat(BestDay.of(HouseRules.SHIPPED, List.of()).best()).isEmpty();
    }

    @Test
    void only_a_week_is_looked_at() {
        List<DayAhead> fortnight = IntStream.range(10, 24)
                .mapToObj(day -> day(day, 20, 2.4 - day / 10.0, 1.0))
                .toList();
        assertThat(BestDay.of(HouseRules.SHIPPED, fortnight).ranked()).hasSize(7);
        assertThat(BestDay.of(HouseRules.SHIPPED, fortnight).best())
                .map(DayAhead::on)
                .hasValue(LocalDate.of(2026, 7, 16));
    }

    @Test
    void weather_that_cannot_be_is_refused() {
        assertThatThrownBy(() -> day(10, Double.NaN, 1, 1.0)).hasMessageContaining("maxC");
        assertThatThrownBy(() -> day(10, 20, -1, 1.0)).hasMessageContaining("vpdKpa");
        assertThatThrownBy(() -> day(10, 20, 1, Double.POSITIVE_INFINITY)).hasMessageContaining("windMs");
    }

    private static DayAhead day(int day, double max, double vpd, @Nullable Double wind) {
        return new DayAhead(LocalDate.of(2026, 7, day), 10, max, 30, vpd, wind);
    }
}
