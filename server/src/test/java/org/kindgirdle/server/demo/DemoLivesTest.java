package org.kindgirdle.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.security.People;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** What is put into seasons that are over is found in them again. */
class DemoLivesTest {

    /** By species, as its profile has it and quite otherwise. */
    private static final Map<String, Double> TRUE_FACTOR =
            new TreeMap<>(Map.of("CYDOBL", 1.0, "MORNIG", 2.0, "ERIJAP", .75, "MESGER", 1.3));

    @Test
    void learned_times_follow_the_truth_that_was_put_in_and_the_backtest_is_honest_about_it() {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            play(nursery);
            TRUE_FACTOR.forEach((species, factor) ->
                    assertThat(ratio(nursery, species)).as(species).isCloseTo(factor, within(.14 * factor)));

            JsonNode backtest =
                    nursery.viewer().get("/api/v1/backtests").expect(200).body();
            JsonNode quince = line(backtest, "CYDOBL");
            assertThat(quince.at("/atSetting/held/of").asInt()).isGreaterThan(30);
            assertThat(quince.at("/atSetting/honest").asBoolean())
                    .as("%s", quince)
                    .isTrue();
            JsonNode mulberry = line(backtest, "MORNIG");
            assertThat(mulberry.at("/atSetting/honest").asBoolean())
                    .as("%s", mulberry)
                    .isFalse();
            assertThat(mulberry.at("/atSetting/meanDays").asDouble())
                    .as("full later than was said")
                    .isGreaterThan(5);
        }
    }

    @Test
    void a_season_under_way_does_not_make_good_dates_look_late() {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            Map<String, Long> mothers = Map.of("Q", nursery.mother("CYDOBL", nursery.tunnel()));
            List<DemoLives.Batch> batches = new ArrayList<>();
            for (LocalDate on = LocalDate.of(2026, 4, 7); on.isBefore(TestNursery.TODAY); on = on.plusDays(7)) {
                batches.add(new DemoLives.Batch("Q", "R", on, 14, 16));
            }
            DemoLives.Season season = new DemoLives.Season(
                    batches,
                    List.of(),
                    LocalDate.of(2026, 4, 1),
                    TestNursery.TODAY,
                    Set.of(DayOfWeek.TUESDAY),
                    TestNursery.TODAY,
                    false,
                    717);
            run(nursery, season, mothers, new DemoTruth(Map.of(), Map.of("CYDOBL", 1.0), .5, .9));
            Integer full =
                    nursery.sql().queryForObject("select count(*) from layer where full_on is not null", Integer.class);
            JsonNode quince = line(nursery.viewer().get("/api/v1/backtests").body(), "CYDOBL");
            assertThat(quince.path("layers").asInt()).isBetween(20, full == null ? 0 : full - 1);
            assertThat(quince.at("/atSetting/meanDays").asDouble()).isBetween(-4.0, 4.0);
            assertThat(quince.at("/atSetting/honest").asBoolean()).isTrue();
        }
    }

    private static void play(TestNursery nursery) {
        Map<String, Long> mothers = new HashMap<>();
        List<DemoLives.Batch> batches = new ArrayList<>();
        for (String species : TRUE_FACTOR.keySet()) {
            mothers.put(species, nursery.mother(species, nursery.tunnel()));
            for (int turn = 0; turn < 3; turn++) {
                LocalDate on = LocalDate.of(2025, 4, 29).plusDays(14L * turn);
                batches.add(new DemoLives.Batch(species, "R", on, 16, 16));
            }
        }
        DemoTruth truth =
                new DemoTruth(TRUE_FACTOR, Map.of("CYDOBL", 1.0, "MORNIG", 1.0, "ERIJAP", 1.0, "MESGER", 1.0), .5, .9);
        run(nursery, season(batches), mothers, truth);
    }

    private static void run(TestNursery nursery, DemoLives.Season season, Map<String, Long> mothers, DemoTruth truth) {
        long person = nursery.bean(People.class).signedIn("gale").id();
        nursery.bean(TransactionTemplate.class)
                .executeWithoutResult(status -> nursery.bean(DemoLives.class)
                        .play(season, mothers, Map.of("R", nursery.recipe()), truth, person));
    }

    private static DemoLives.Season season(List<DemoLives.Batch> batches) {
        LocalDate over = LocalDate.of(2026, 6, 1);
        return new DemoLives.Season(
                batches, List.of(), LocalDate.of(2024, 4, 16), over, Set.of(DayOfWeek.TUESDAY), over, true, 20240507);
    }

    /** The learned median against the profile's. */
    private static double ratio(TestNursery nursery, String species) {
        JsonNode times = nursery.viewer()
                .get("/api/v1/ready-times?species=" + species)
                .expect(200)
                .body();
        return times.at("/learned/median").asDouble()
                / times.at("/profile/median").asDouble();
    }

    private static JsonNode line(JsonNode backtest, String species) {
        return backtest.path("lines")
                .valueStream()
                .filter(one -> one.path("species").asString().equals(species))
                .findFirst()
                .orElseThrow();
    }
}
