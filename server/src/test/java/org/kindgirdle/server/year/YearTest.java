package org.kindgirdle.server.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** From July to the next June, day by day: somebody does what the rounds say, and no plant is ever forgotten. */
class YearTest {

    private static final LocalDate LAST_DAY = LocalDate.of(2027, 6, 1);
    private static final long SEED = 20260710;

    @Test
    void whoever_does_what_the_software_says_loses_sight_of_no_plant_for_a_year() {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            Set<String> ours = new HashSet<>(set(nursery));
            ObedientGrower grower = new ObedientGrower(nursery, new HiddenTruth(SEED));
            for (LocalDate day = TODAY; !day.isAfter(LAST_DAY); day = day.plusDays(1)) {
                nursery.clock().moveTo(day);
                for (String code : onTheRound(nursery, day)) {
                    grower.visit(code, day);
                }
                check(nursery, ours, day);
            }
            Map<String, Integer> ends = ends(nursery, ours);
            assertThat(ends.get("RELEASED")).as(ends.toString()).isGreaterThan(ours.size() / 4);
            assertThat(ends.get("LOST")).isPositive();
            assertThat(grower.deeds()).isGreaterThan(10 * ours.size());
        }
    }

    /** Quinces, loquats, feijoas and smoke bushes, outside and under cover, in time and too late. */
    private static List<String> set(TestNursery nursery) {
        List<String> codes = new ArrayList<>();
        for (String species : List.of("CYDOBL", "ERIJAP", "FEISEL", "COTCOG")) {
            for (long place : List.of(nursery.field(), nursery.tunnel())) {
                long mother = nursery.mother(species, place);
                codes.addAll(nursery.set(mother, LocalDate.of(2026, 5, 5), 1));
                codes.addAll(nursery.set(mother, LocalDate.of(2026, 6, 9), 1));
                codes.addAll(nursery.set(mother, LocalDate.of(2026, 7, 7), 1));
            }
        }
        return codes;
    }

    /** What the walk of a day names; no day of the plan lies behind it. */
    private static List<String> onTheRound(TestNursery nursery, LocalDate day) {
        JsonNode round = nursery.grower().get("/api/v1/round").expect(200).body();
        round.path("ahead")
                .forEach(ahead -> assertThat(LocalDate.parse(ahead.path("on").asString()))
                        .as("planned on %s", day)
                        .isAfter(day));
        return round.path("places")
                .valueStream()
                .flatMap(place -> place.path("jobs").valueStream())
                .map(job -> job.path("code").asString())
                .toList();
    }

    private static void check(TestNursery nursery, Set<String> ours, LocalDate day) {
        JsonNode layers = nursery.grower()
                .get("/api/v1/layers?limit=500&sort=code")
                .expect(200)
                .body()
                .path("layers");
        assertThat(layers).hasSize(ours.size());
        for (JsonNode layer : layers) {
            String phase = layer.path("phase").asString();
            if (phase.equals("RELEASED") || phase.equals("LOST")) {
                continue;
            }
            String which = layer.path("code").asString() + " on " + day + ": " + layer;
            assertThat(layer.path("job").isNull())
                    .as("without a next step: %s", which)
                    .isFalse();
            LocalDate by = Objects.requireNonNull(date(layer, "jobBy"));
            assertThat(by).as("left undone: %s", which).isAfterOrEqualTo(day);
            assertThat(date(layer, "jobFrom")).as(which).isBeforeOrEqualTo(by);
            assertThat(date(layer, "setOn")).as(which).isBeforeOrEqualTo(day);
            LocalDate q10 = date(layer, "ready10On");
            LocalDate q50 = date(layer, "ready50On");
            LocalDate q90 = date(layer, "ready90On");
            if (q10 != null && q50 != null) {
                assertThat(q10).as(which).isBeforeOrEqualTo(q50);
            }
            if (q50 != null && q90 != null) {
                assertThat(q50).as(which).isBeforeOrEqualTo(q90);
            }
        }
    }

    private static Map<String, Integer> ends(TestNursery nursery, Set<String> ours) {
        Map<String, Integer> ends = new TreeMap<>();
        for (String code : ours) {
            JsonNode layer =
                    nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
            String phase = layer.path("phase").asString();
            ends.merge(phase, 1, Integer::sum);
            if (phase.equals("LOST")) {
                assertThat(layer.at("/advice/headline").asString()).as(code).startsWith("Lost: ");
            } else if (!phase.equals("RELEASED")) {
                assertThat(layer.at("/advice/because"))
                        .as("carried over for no reason: %s", layer.path("advice"))
                        .isNotEmpty();
                assertThat(layer.path("jobs")).isNotEmpty();
            }
        }
        return ends;
    }

    private static @Nullable LocalDate date(JsonNode layer, String field) {
        JsonNode day = layer.path(field);
        return day.isNull() ? null : LocalDate.parse(day.asString());
    }
}
