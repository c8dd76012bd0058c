package org.kindgirdle.server.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.truth.Air;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/**
 * From July to the next June, day by day, over HTTP and on a real database, in a world whose truth is not the model:
 * somebody does what the rounds say, and no plant is ever forgotten. {@code ./kg live --http} takes three times as many
 * layers, and goes on until each is released or lost, for three years at most.
 */
class YearTest {

    /** Layers set on each mother on each day. */
    private static final int EACH = Integer.getInteger("year.each", 1);

    private static final int DAYS = Integer.getInteger("year.days", 326);
    private static final LocalDate FIRST_SET = LocalDate.of(2026, 5, 5);
    private static final long SEED = 20260710;

    @Test
    void whoever_does_what_the_software_says_loses_sight_of_no_plant_for_a_year() {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            HiddenTruth truth = new HiddenTruth(SEED, TODAY.getYear());
            Set<String> ours = new HashSet<>(set(nursery, truth));
            ObedientGrower grower = new ObedientGrower(nursery, truth);
            for (LocalDate day = FIRST_SET; day.isBefore(TODAY); day = day.plusDays(1)) {
                truth.pass(day);
            }
            LocalDate lastDay = TODAY.plusDays(DAYS);
            boolean over = false;
            for (LocalDate day = TODAY; !day.isAfter(lastDay) && !over; day = day.plusDays(1)) {
                nursery.clock().moveTo(day);
                measure(nursery, truth, day);
                for (String code : onTheRound(nursery, day)) {
                    grower.visit(code, day);
                }
                over = check(nursery, ours, day) == 0;
                truth.pass(day);
            }
            Map<String, Integer> ends = ends(nursery, ours);
            System.out.println(ours.size() + " layers: " + ends + " after " + grower.deeds() + " deeds");
            assertThat(ends.get("RELEASED")).as(ends.toString()).isGreaterThan(ours.size() / 4);
            assertThat(ends.get("LOST")).isPositive();
            assertThat(grower.deeds()).isGreaterThan(10 * ours.size());
        }
    }

    /** The weather of the week before, brought in on Mondays as a file. */
    private static void measure(TestNursery nursery, HiddenTruth truth, LocalDate today) {
        if (today.getDayOfWeek() != DayOfWeek.MONDAY) {
            return;
        }
        StringBuilder csv = new StringBuilder("date,min_c,max_c\n");
        for (LocalDate day = today.minusDays(7); day.isBefore(today); day = day.plusDays(1)) {
            Air air = truth.air(day);
            csv.append(String.format(Locale.ROOT, "%s,%.1f,%.1f%n", day, air.minC(), air.maxC()));
        }
        nursery.owner()
                .post("/api/v1/weather/imports", Map.of("csv", csv.toString(), "replace", false))
                .expect(200);
    }

    /** Quinces, loquats, feijoas and smoke bushes, outside and under cover, in time and too late. */
    private static List<String> set(TestNursery nursery, HiddenTruth truth) {
        List<String> codes = new ArrayList<>();
        for (String species : List.of("CYDOBL", "ERIJAP", "FEISEL", "COTCOG")) {
            for (long place : List.of(nursery.field(), nursery.tunnel())) {
                long mother = nursery.mother(species, place);
                for (LocalDate on : List.of(FIRST_SET, LocalDate.of(2026, 6, 9), LocalDate.of(2026, 7, 7))) {
                    List<String> one = nursery.set(mother, on, EACH);
                    one.forEach(code -> truth.set(code, species, place == nursery.tunnel() ? 2.5 : 0, on));
                    codes.addAll(one);
                }
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

    /** @return how many are neither released nor lost */
    private static int check(TestNursery nursery, Set<String> ours, LocalDate day) {
        JsonNode layers = nursery.grower()
                .get("/api/v1/layers?limit=500&sort=code")
                .expect(200)
                .body()
                .path("layers");
        assertThat(layers).hasSize(ours.size());
        int live = 0;
        for (JsonNode layer : layers) {
            String phase = layer.path("phase").asString();
            if (phase.equals("RELEASED") || phase.equals("LOST")) {
                continue;
            }
            live++;
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
        return live;
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
