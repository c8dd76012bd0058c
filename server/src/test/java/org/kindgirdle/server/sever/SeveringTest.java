package org.kindgirdle.server.sever;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;

/** Which layers are to be cut, when, and with how much leaf. */
@ExtendWith(NurseryExtension.class)
class SeveringTest {

    private static final LocalDate OCTOBER = LocalDate.of(2026, 10, 1);

    private final TestNursery nursery;
    private final long mother;

    SeveringTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @AfterEach
    void backToToday() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void a_full_ball_is_to_be_cut_with_what_speaks_for_it_and_the_week_of_its_place() {
        String code = full();
        JsonNode view = nursery.viewer().get("/api/v1/severing").expect(200).body();
        JsonNode line = line(view, code);
        assertThat(line.path("group").asString()).isEqualTo("CUT");
        assertThat(line.path("step").asString()).isEqualTo("SEVER_NOW");
        assertThat(sentences(line, true)).anyMatch(Said.as("point.FULL"));
        assertThat(line.path("by").asString()).isGreaterThanOrEqualTo(TODAY.toString());
        JsonNode week = view.path("weeks").get(0);
        assertThat(week.path("place").asString()).isEqualTo("North field");
        assertThat(week.path("days")).hasSize(7);
        assertThat(week.path("days").valueStream().map(day -> day.path("rank").asInt()))
                .containsExactlyInAnyOrder(1, 2, 3, 4, 5, 6, 7);
    }

    @Test
    void late_in_the_season_the_advice_turns_from_cutting_to_cover_and_says_since_when() {
        String code = full();
        nursery.clock().moveTo(OCTOBER);
        JsonNode line = line(nursery.viewer().get("/api/v1/severing").body(), code);
        assertThat(line.path("step").asString()).isEqualTo("SEVER_TO_COVER");
        // 42 days before 20 October is the last day with room
        assertThat(line.path("changed").asString())
                .matches(Said.by("sever.changed", "on", "9 September"))
                .containsPattern("frost-free cover.*: sever it now");
        assertThat(sentences(line, false)).anyMatch(Said.as("point.TOO_NEAR_FROST", "figure", "19 days"));
    }

    @Test
    void another_school_or_fruit_to_keep_holds_it_back() {
        String code = full();
        choose(code, "SPRING", false);
        JsonNode held = line(nursery.viewer().get("/api/v1/severing").body(), code);
        assertThat(held.path("group").asString()).isEqualTo("HELD");
        assertThat(held.path("step").asString()).isEqualTo("HOLD_SPRING");
        assertThat(sentences(held, false)).anyMatch(Said.as("point.SCHOOL_WAITS", "school", "in spring"));
        choose(code, "IN_LEAF", true);
        assertThat(line(nursery.viewer().get("/api/v1/severing").body(), code)
                        .path("step")
                        .asString())
                .isEqualTo("HOLD_FRUIT");
    }

    @Test
    void a_cut_is_planned_onto_a_day_and_stands_in_that_days_round() {
        String code = full();
        LocalDate friday = TODAY.plusDays(7);
        nursery.record(code, Map.of("kind", "CUT_PLANNED", "details", Map.of("cutOn", friday)))
                .expect(201);
        assertThat(line(nursery.viewer().get("/api/v1/severing").body(), code)
                        .path("cutOn")
                        .asString())
                .isEqualTo(friday.toString());
        JsonNode jobs = nursery.viewer().get("/api/v1/layers/" + code).body().path("jobs");
        assertThat(jobs.valueStream()
                        .filter(job -> job.path("code").asString().equals("SEVER_NOW"))
                        .map(job -> job.path("by").asString()))
                .containsExactly(friday.toString());
        assertThat(nursery.viewer()
                        .get("/api/v1/round?on=" + friday)
                        .expect(200)
                        .body()
                        .toString())
                .contains(code);
    }

    @Test
    void on_one_limb_the_tip_comes_off_first() {
        long limb = nursery.limb(mother, "Fork", 15, "ONE_TWO", 20, 40);
        List<String> codes = nursery.grower()
                .post("/api/v1/batches", nursery.onLimb(mother, limb, 800, 400))
                .expect(201)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        String tip = codes.get(0);
        String base = codes.get(1);
        codes.forEach(code -> nursery.record(code, look("FILLED", 95)).expect(201));
        assertThat(line(nursery.viewer().get("/api/v1/severing").body(), base).path("first"))
                .extracting(JsonNode::asString)
                .containsExactly(tip);
        JsonNode refused = nursery.record(base, severed()).expect(409).body();
        assertThat(refused.path("detail").asString())
                .isEqualTo(Refusals.say("record.tipFirst", "first", tip, "count", 1));
        nursery.record(tip, severed()).expect(201);
        nursery.record(base, severed()).expect(201);
    }

    @Test
    void a_mist_tent_carries_more_leaf_than_the_open_and_leaves_that_were_counted_count() {
        String code = full();
        JsonNode balance = nursery.viewer()
                .get("/api/v1/layers/" + code + "/leaf-balance")
                .expect(200)
                .body();
        assertThat(balance.path("leaves").asInt()).isEqualTo(9);
        assertThat(balance.path("cut").asString()).containsPattern(Said.by("cut", "from", "10 mm", "to", "20 mm"));
        double supply = 6 * balance.path("mediumMl").asDouble() * .95 * .9;
        assertThat(balance.path("supplyCm2").asDouble()).isCloseTo(supply, within(1e-6 * supply));
        JsonNode today = balance.path("days").get(0);
        int open = carries(today, "OPEN_SUN");
        int tent = carries(today, "MIST_TENT");
        assertThat(tent).isGreaterThan(2 * open);
        double draw = balance.path("leafCm2").asDouble()
                * Math.max(.5, today.path("vpdKpa").asDouble());
        assertThat(open).isEqualTo((int) Math.floor(supply / (1.3 * draw)));

        JsonNode many = nursery.viewer()
                .get("/api/v1/layers/" + code + "/leaf-balance?leaves=4000&leafCm2=60")
                .expect(200)
                .body();
        JsonNode off = in(many.path("days").get(0), "MIST_TENT");
        assertThat(off.path("remove").asInt())
                .isEqualTo(4000 - off.path("carries").asInt());
        assertThat(off.path("sentence").asString())
                .startsWith("4000 on " + off.path("carries").asInt());
        assertThat(off.path("halve").isNull()).isTrue();
        assertThat(nursery.viewer()
                        .get("/api/v1/layers/" + code + "/leaf-balance?leafCm2=0")
                        .expect(400)
                        .fields())
                .containsExactly("leafCm2");
    }

    @Test
    void a_dormant_one_has_no_leaf_to_take_off() {
        String code = full();
        nursery.clock().moveTo(LocalDate.of(2026, 12, 10));
        JsonNode balance = nursery.viewer()
                .get("/api/v1/layers/" + code + "/leaf-balance")
                .expect(200)
                .body();
        assertThat(balance.path("leaves").asInt()).isZero();
        assertThat(in(balance.path("days").get(0), "OPEN_SUN").path("sentence").asString())
                .matches(Said.by("leaves.none"));
    }

    @Test
    void what_became_of_severed_plants_moves_the_supply_figure() {
        JsonNode before =
                nursery.viewer().get("/api/v1/supply-figure").expect(200).body();
        int plants = before.path("plants").asInt();
        for (int i = 0; i < 3; i++) {
            String code = full();
            nursery.record(
                            code,
                            Map.of(
                                    "kind",
                                    "SEVERED",
                                    "details",
                                    Map.of("leavesBefore", 40, "leavesLeft", 40, "shelter", "TUNNEL_SHADE")))
                    .expect(201);
            nursery.record(code, Map.of("kind", "OBSERVED", "details", Map.of("signs", List.of("DROOP"))))
                    .expect(201);
        }
        assertThat(nursery.viewer()
                        .get("/api/v1/supply-figure")
                        .body()
                        .path("plants")
                        .asInt())
                .as("too early to say")
                .isEqualTo(plants);
        nursery.clock().moveTo(TODAY.plusDays(14));
        JsonNode after = nursery.viewer().get("/api/v1/supply-figure").body();
        assertThat(after.path("plants").asInt()).isEqualTo(plants + 3);
        assertThat(after.path("wilted").asInt()).isEqualTo(before.path("wilted").asInt() + 3);
        assertThat(after.path("learnedCm2PerMl").asDouble())
                .isLessThan(before.path("learnedCm2PerMl").asDouble());
        assertThat(after.path("cm2PerMl").asDouble()).isEqualTo(6);
        assertThat(after.path("sentence").asString()).containsPattern(Said.by("supply.learned", "shipped", "6.0"));
    }

    private String full() {
        String code = nursery.set(mother, TODAY.minusDays(60), 1).get(0);
        nursery.record(code, look("FILLED", 95)).expect(201);
        return code;
    }

    private void choose(String code, String school, boolean fruit) {
        nursery.record(
                        code,
                        Map.of(
                                "kind",
                                "CHOSEN",
                                "details",
                                Map.of("school", school, "specimen", false, "fruitToKeep", fruit)))
                .expect(201);
    }

    private static Map<String, Object> severed() {
        return Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 5));
    }

    private static JsonNode line(JsonNode view, String code) {
        return view.path("layers")
                .valueStream()
                .filter(one -> one.path("code").asString().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError(code + " is not to be decided on"));
    }

    private static List<String> sentences(JsonNode line, boolean speaksFor) {
        return line.path("reasons")
                .valueStream()
                .filter(reason -> reason.path("speaksFor").asBoolean() == speaksFor)
                .map(reason -> reason.path("sentence").asString())
                .toList();
    }

    private static JsonNode in(JsonNode day, String shelter) {
        return day.path("shelters")
                .valueStream()
                .filter(one -> one.path("shelter").asString().equals(shelter))
                .findFirst()
                .orElseThrow();
    }

    private static int carries(JsonNode day, String shelter) {
        return in(day, shelter).path("carries").asInt();
    }
}
