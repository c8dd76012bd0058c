package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class StockTest {

    private final TestNursery nursery;
    private final long mother;

    StockTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void a_third_of_the_shoots_may_stand_under_rings_and_half_of_a_plant_that_is_to_be_cut_down() {
        nursery.set(mother, TODAY, 5);
        assertThat(line().path("room").asInt()).isEqualTo(15);
        assertThat(line().path("why").asString())
                .matches(Said.by("room.some", "room", 15, "count", 5, "shoots", 60, "most", 20));
        edit("toBeCutDown", true);
        assertThat(line().path("room").asInt()).isEqualTo(25);
        edit("leafyShoots", 9);
        assertThat(line().path("why").asString()).matches(Said.by("room.full", "count", 5, "shoots", 9, "most", 4));
        edit("leafyShoots", 1);
        assertThat(line().path("why").asString()).containsPattern(Said.by("room.few"));
        edit("sick", true);
        assertThat(line().path("room").asInt()).isZero();
        assertThat(line().path("why").asString()).startsWith("Sick");
    }

    @Test
    void a_protected_variety_may_be_cloned_with_a_permission_that_says_what_it_is() {
        edit("rights", "PROTECTED");
        assertThat(keys(page().path("remarks"))).contains("RIGHTS");
        assertThat(set(nursery.batch(mother, TODAY, 1)).expect(400).body().toString())
                .containsPattern(Said.by("plan.BLOCK.RIGHTS"));

        ObjectNode mother = (ObjectNode) page().at("/line/mother").deepCopy();
        mother.put("rights", "PERMITTED");
        assertThat(nursery.grower()
                        .put("/api/v1/mothers/" + this.mother, mother)
                        .expect(400)
                        .fields())
                .containsExactly("permission");
        mother.put("permission", "Letter of the breeder, 4 May 2026");
        nursery.grower().put("/api/v1/mothers/" + this.mother, mother).expect(200);
        assertThat(keys(page().path("remarks"))).doesNotContain("RIGHTS");
        set(nursery.batch(this.mother, TODAY, 1)).expect(201);
    }

    @Test
    void limbs_are_scored_line_by_line_with_the_best_first() {
        limb("Low sweep", 42, "OLDER", 80, 2);
        limb("Leader", 15, "ONE_TWO", 15, 40);
        limb("Fork", 15, "THREE_FOUR", 15, 40);
        JsonNode limbs = page().path("limbs");
        assertThat(limbs.valueStream().map(one -> one.at("/limb/name").asString()))
                .containsExactly("Leader", "Fork", "Low sweep");
        assertThat(limbs.at("/0/advice").asString()).matches(Said.by("limb.advice.best", "more", 4));
        assertThat(limbs.at("/0/lines")
                        .valueStream()
                        .map(line -> line.path("sentence").asString()))
                .containsExactly(
                        "One or two years old: roots soonest",
                        "15 mm: between pencil and thumb",
                        "Upright (15°): roots all round",
                        "A mother of normal vigour",
                        "40 leaves or buds on it",
                        "Would otherwise stay");
        assertThat(limbs.at("/0/points").asInt()).isEqualTo(10);
        assertThat(limbs.at("/1/advice").asString()).containsPattern(Said.by("limb.advice.good"));
        assertThat(limbs.at("/2/suitable").asBoolean()).isFalse();

        // no limb has more room than its mother
        edit("leafyShoots", 6);
        assertThat(page().at("/limbs/0/more").asInt()).isEqualTo(2);
        edit("sick", true);
        assertThat(page().at("/limbs/0/more").asInt()).isZero();
        assertThat(page().at("/limbs/0/advice").asString()).containsPattern(Said.by("limb.advice.mother"));
    }

    @Test
    void a_limb_shows_its_balls_from_the_tip_and_where_another_may_stand() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        List<String> codes = codes(set(onLimb(limb, 300, 700)).expect(201));
        JsonNode stand = page().at("/limbs/0");
        // 15 mm, and quince bridges readily: a ring of 28.1 mm, a ball of 78.1
        assertThat(stand.path("ballMm").asDouble()).isEqualTo(78.125);
        assertThat(stand.at("/balls/0/code").asString()).isEqualTo(codes.get(1));
        assertThat(stand.at("/balls/0/number").asInt()).isEqualTo(1);
        assertThat(stand.at("/balls/0/fromTipMm").asDouble()).isEqualTo(1200 - 700 - 78.125);
        assertThat(stand.at("/balls/1/code").asString()).isEqualTo(codes.get(0));
        // four leaves from the tip, and 200 mm above the first ball
        assertThat(stand.at("/free/0/fromTipMm").asDouble()).isEqualTo(120);
        assertThat(stand.at("/free/0/toTipMm").asDouble()).isEqualTo(1200 - 700 - 2 * 78.125 - 200);
        assertThat(stand.at("/spots/0").asDouble()).isEqualTo(1200 - 120 - 78.125);
        assertThat(stand.path("spots")).hasSize(stand.path("more").asInt());
        assertThat(stand.path("ever").asInt()).isEqualTo(2);
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + codes.get(0))
                        .body()
                        .at("/mother/limb")
                        .asString())
                .isEqualTo("Leader");
        assertThat(page().path("withoutLimb").asInt()).isZero();
    }

    @Test
    void what_is_severed_takes_the_limb_beyond_it_along_until_it_is_measured_again() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        String code = codes(set(onLimb(limb, 620)).expect(201)).get(0);
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 4)))
                .expect(201);
        JsonNode stand = page().at("/limbs/0");
        assertThat(stand.path("lengthMm").asDouble()).isEqualTo(600);
        assertThat(stand.path("leaves").asInt()).isEqualTo(20);
        assertThat(stand.path("cutBackOn").asString()).isEqualTo(TODAY.toString());
        assertThat(stand.path("balls")).isEmpty();
        // its new leader has the rest of the year to grow, for the list and for the bench
        assertThat(stand.path("advice").asString()).matches(Said.by("limb.advice.rests"));
        assertThat(keys(stand.path("remarks"))).contains("RESTS");
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", onLimb(limb, 200))
                .expect(200)
                .body()
                .path("remarks");
        assertThat(remarks.toString()).containsPattern(Said.by("limb.rests", "limb", "Leader", "on", "10 July"));
        Map<String, Object> unexplained = onLimb(limb, 200);
        unexplained.put("reason", "");
        assertThat(set(unexplained).expect(400).fields()).contains("reason");

        nursery.clock().moveTo(TODAY.plusDays(1));
        try {
            ObjectNode grown = (ObjectNode) stand.path("limb").deepCopy();
            nursery.grower()
                    .put("/api/v1/limbs/" + limb, grown.put("lengthMm", "90 cm"))
                    .expect(200);
            assertThat(page().at("/limbs/0/lengthMm").asDouble()).isEqualTo(900);
            assertThat(page().at("/limbs/0/cutBackOn").isNull()).isTrue();
        } finally {
            nursery.clock().moveTo(TODAY);
        }
    }

    @Test
    void the_bench_warns_of_balls_that_crowd_one_another_and_keeps_the_reason() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        String first = codes(set(onLimb(limb, 300)).expect(201)).get(0);
        Map<String, Object> close = onLimb(limb, 450);
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", close)
                .expect(200)
                .body()
                .path("remarks");
        assertThat(remarks.valueStream().map(one -> one.path("sentence").asString()))
                .anyMatch(Said.as("limb.fault.TOO_CLOSE", "limb", "Leader", "mm", "72 mm", "lower", first));
        close.put("reason", "");
        assertThat(set(close).expect(400).fields()).contains("reason");
        close.put("reason", "the fork takes both");
        String second = codes(set(close).expect(201)).get(0);
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + second)
                        .body()
                        .at("/records/0/note")
                        .asString())
                .isEqualTo("the fork takes both");
        // what is wrong already is not said again of what is set elsewhere
        assertThat(keys(nursery.grower()
                        .post("/api/v1/set-previews", onLimb(limb, 900))
                        .expect(200)
                        .body()
                        .path("remarks")))
                .doesNotContain("LIMB");
        assertThat(page().at("/limbs/0/faults/0").asString()).contains(second).contains(first);
    }

    @Test
    void a_ring_with_no_shoot_below_it_is_refused_where_the_species_does_not_come_again() {
        Map<String, Object> quince = new HashMap<>(nursery.batch(mother, TODAY, 1));
        quince.put("liveShootBelow", false);
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", quince)
                .expect(200)
                .body();
        assertThat(levels(remarks.path("remarks"), "NO_SHOOT_BELOW")).containsExactly("WARN");

        long tree = nursery.mother("ERIJAP", nursery.field());
        Map<String, Object> loquat = new HashMap<>(nursery.batch(tree, TODAY, 1));
        loquat.put("liveShootBelow", false);
        set(loquat).expect(400);
        loquat.put("liveShootBelow", true);
        set(loquat).expect(201);
    }

    @Test
    void a_limb_on_record_says_itself_that_no_shoot_stays_below() {
        Map<String, Object> body = new HashMap<>(limbBody("Whole top", 15, "ONE_TWO", 15, 40));
        body.put("shootBelow", false);
        long limb = nursery.grower()
                .post("/api/v1/mothers/" + mother + "/limbs", body)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        limb("Twig", 4, "SOFT", 10, 2);
        JsonNode limbs = page().path("limbs");
        assertThat(keys(limbs.at("/0/remarks"))).containsExactly("NO_SHOOT_BELOW");
        assertThat(limbs.at("/0/remarks/0/sentence").asString()).containsPattern(Said.by("plan.WARN.NO_SHOOT_BELOW"));
        assertThat(keys(limbs.at("/1/remarks"))).containsExactly("THIN", "FEW_LEAVES");
        assertThat(keys(nursery.grower()
                        .post("/api/v1/set-previews", onLimb(limb, 300))
                        .expect(200)
                        .body()
                        .path("remarks")))
                .contains("NO_SHOOT_BELOW");
    }

    @Test
    void a_limb_of_another_mother_or_one_that_is_gone_is_refused() {
        long other = nursery.mother("CYDOBL", nursery.field());
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        Map<String, Object> wrong = onLimb(limb, 300);
        wrong.put("motherId", other);
        assertThat(set(wrong).expect(400).fields()).containsExactly("rows[0].limbId");

        ObjectNode gone = (ObjectNode) page().at("/limbs/0/limb").deepCopy();
        nursery.grower()
                .put("/api/v1/limbs/" + limb, gone.put("goneOn", TODAY.toString()))
                .expect(200);
        assertThat(set(onLimb(limb, 300)).expect(400).body().toString()).contains("gone");
        assertThat(page().at("/limbs/0/more").asInt()).isZero();
        nursery.grower().put("/api/v1/limbs/" + limb, gone).expect(409);
    }

    @Test
    void a_viewer_reads_the_stock_and_changes_nothing() {
        nursery.viewer().get("/api/v1/stock").expect(200);
        nursery.viewer()
                .post("/api/v1/mothers/" + mother + "/limbs", limbBody("Leader", 12, "SOFT", 5, 12))
                .expect(403);
    }

    @Test
    void the_list_takes_the_same_few_statements_however_many_mothers_there_are() {
        for (int i = 0; i < 20; i++) {
            nursery.mother("CYDOBL", nursery.field());
        }
        nursery.grower().get("/api/v1/stock").expect(200);
        TestNursery.statements();
        nursery.grower().get("/api/v1/stock").expect(200);
        // with what the session takes now and then
        assertThat(TestNursery.statements()).isLessThanOrEqualTo(12);
    }

    @Test
    void a_limb_with_words_for_a_number_is_refused_with_what_was_typed() {
        Map<String, Object> body = new HashMap<>(limbBody("Leader", 15, "ONE_TWO", 15, 40));
        body.put("leaves", "many");
        JsonNode violation = nursery.grower()
                .post("/api/v1/mothers/" + mother + "/limbs", body)
                .expect(400)
                .body()
                .at("/violations/0");
        assertThat(violation.path("field").asString()).isEqualTo("leaves");
        assertThat(violation.path("value").asString()).isEqualTo("many");
        body.put("leaves", 40);
        body.put("lengthMm", "40 m");
        assertThat(nursery.grower()
                        .post("/api/v1/mothers/" + mother + "/limbs", body)
                        .expect(400)
                        .fields())
                .containsExactly("lengthMm");
    }

    private JsonNode page() {
        return nursery.grower().get("/api/v1/stock/" + mother).expect(200).body();
    }

    private JsonNode line() {
        return page().path("line");
    }

    private void edit(String field, Object value) {
        ObjectNode mother = (ObjectNode) page().at("/line/mother").deepCopy();
        mother.putPOJO(field, value);
        nursery.grower().put("/api/v1/mothers/" + this.mother, mother).expect(200);
    }

    private Client.Answer set(Map<String, Object> batch) {
        return nursery.grower().post("/api/v1/batches", batch);
    }

    private Map<String, Object> onLimb(long limb, double... fromUnionMm) {
        return nursery.onLimb(mother, limb, fromUnionMm);
    }

    private long limb(String name, double mm, String wood, double lean, int leaves) {
        return nursery.limb(mother, name, mm, wood, lean, leaves);
    }

    private Map<String, Object> limbBody(String name, double mm, String wood, double lean, int leaves) {
        return TestNursery.limbBody(mother, name, mm, wood, lean, leaves);
    }

    private static List<String> codes(Client.Answer answer) {
        return answer.body()
                .path("codes")
                .valueStream()
                .map(code -> code.asString())
                .toList();
    }

    private static List<String> keys(JsonNode remarks) {
        return remarks.valueStream().map(one -> one.path("key").asString()).toList();
    }

    private static List<String> levels(JsonNode remarks, String key) {
        return remarks.valueStream()
                .filter(one -> one.path("key").asString().equals(key))
                .map(one -> one.path("level").asString())
                .toList();
    }
}
