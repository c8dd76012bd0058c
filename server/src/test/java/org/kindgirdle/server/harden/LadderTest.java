package org.kindgirdle.server.harden;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Plants from the cut to their release, potting, papers and pedigrees. */
@ExtendWith(NurseryExtension.class)
class LadderTest {

    private final TestNursery nursery;
    private final long mother;

    LadderTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @AfterEach
    void backToToday() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void what_was_severed_today_is_potted_today_with_pots_and_mix_by_ingredient() {
        double before = potting().path("litres").asDouble();
        String code = severed(mother);
        JsonNode day = potting();
        JsonNode line = find(day.path("plants"), code);
        assertThat(line.path("why").asString()).isEqualTo("SEVERED");
        // a ball of 18 mm wood is 94 mm across and 77 long: 50 mm more round it and 30 below
        assertThat(line.path("pot").asString()).isEqualTo("2 L");
        double litres = day.path("litres").asDouble();
        assertThat(litres - before).isCloseTo(1.15 * line.path("fillMl").asDouble() / 1000, within(1e-6));
        assertThat(day.path("mix").valueStream().map(one -> one.path("name").asString()))
                .containsExactly("Bark", "Perlite", "Coir");
        assertThat(day.path("mix")
                        .valueStream()
                        .mapToDouble(one -> one.path("wetLitres").asDouble())
                        .sum())
                .isCloseTo(litres, within(1e-6));

        JsonNode advice = advice(code, "");
        assertThat(advice.path("chosen").asString()).isEqualTo("2 L");
        assertThat(advice.path("advice").get(0).asString()).startsWith("2 L: the smallest that leaves room");
        pot(code, Map.of("medium", "LIGHT_MIX", "potMl", 2000, "pot", "2 L", "oldMedium", "LEFT_ON"));
        assertThat(potting()
                        .path("plants")
                        .valueStream()
                        .map(one -> one.path("code").asString()))
                .doesNotContain(code);
    }

    @Test
    void a_tall_plant_in_the_open_tips_and_is_told_what_to_do_and_stands_where_no_wind_comes() {
        String code = severed(mother);
        JsonNode tall = advice(code, "?stemHeight=180cm&leaves=200");
        assertThat(chosen(tall).path("stands").asBoolean()).isFalse();
        assertThat(chosen(tall).path("ballastKg").asDouble()).isPositive();
        assertThat(tall.path("advice").get(1).asString()).containsPattern(Said.by("pot.tips"));
        assertThat(nursery.viewer()
                        .get("/api/v1/layers/" + code + "/pot-advice?stemHeight=tall")
                        .expect(400)
                        .fields())
                .containsExactly("stemHeight");
        assertThat(nursery.viewer()
                        .get("/api/v1/layers/" + code + "/pot-advice?placeId=99999")
                        .expect(400)
                        .fields())
                .containsExactly("placeId");
    }

    @Test
    void the_pages_of_the_shed_take_the_same_few_statements_however_many_plants_there_are() {
        List<String> pages = List.of("/api/v1/severing", "/api/v1/potting", "/api/v1/ladder");
        potted(mother);
        severed(mother);
        pages.forEach(page -> statements(page));
        List<Long> few = pages.stream().map(this::statements).toList();
        for (int i = 0; i < 12; i++) {
            potted(mother);
            severed(mother);
        }
        for (int i = 0; i < pages.size(); i++) {
            assertThat(statements(pages.get(i)))
                    .as(pages.get(i))
                    .isCloseTo(few.get(i), within(2L))
                    .isLessThanOrEqualTo(8);
        }
    }

    private long statements(String path) {
        return TestNursery.statementsOf(nursery.viewer(), path);
    }

    @Test
    void signs_are_told_in_the_same_order_however_they_were_recorded() {
        String code = potted(mother);
        see(code, "ROOTS_AT_EDGE", "PESTS", "NEW_GROWTH", "CURL", "MOULD");
        assertThat(find(ladder().path("plants"), code)
                        .path("seen")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("CURL", "MOULD", "PESTS", "NEW_GROWTH", "ROOTS_AT_EDGE");
    }

    @Test
    void the_ladder_says_who_may_move_who_must_step_back_and_where_each_stands() {
        String code = potted(mother);
        JsonNode line = find(ladder().path("plants"), code);
        assertThat(line.path("rung").asString()).isEqualTo("TENT");
        assertThat(line.path("step").asString()).isEqualTo("STAY");
        assertThat(line.path("place").asString()).isEqualTo("North field");
        nursery.record(code, Map.of("kind", "MOVED", "details", Map.of("rung", "TENT", "placeId", nursery.tunnel())))
                .expect(201);
        line = find(ladder().path("plants"), code);
        assertThat(line.path("place").asString()).isEqualTo("Low tunnel");
        assertThat(line.path("since").asString()).as("the same rung").isEqualTo(TODAY.toString());
        assertThat(nursery.viewer()
                        .get("/api/v1/layers?placeId=" + nursery.tunnel())
                        .body()
                        .toString())
                .contains(code);

        nursery.clock().moveTo(TODAY.plusDays(10));
        line = find(ladder().path("plants"), code);
        assertThat(line.path("step").asString()).isEqualTo("STEP_UP");
        assertThat(line.path("to").asString()).isEqualTo("SHADE");
        nursery.record(code, Map.of("kind", "MOVED", "details", Map.of("rung", "SHADE")))
                .expect(201);
        see(code, "DROOP");
        line = find(ladder().path("plants"), code);
        assertThat(line.path("step").asString()).isEqualTo("STEP_BACK");
        assertThat(line.path("to").asString()).isEqualTo("TENT");
        assertThat(line.at("/advice/headline").asString()).contains("25% of its leaf area");
        assertThat(nursery.record(code, Map.of("kind", "MOVED", "details", Map.of("rung", "TENT", "placeId", 99999)))
                        .expect(400)
                        .fields())
                .containsExactly("details.placeId");
    }

    @Test
    void winter_is_told_by_place_and_a_frost_free_one_asks_for_nothing() {
        String code = potted(mother);
        JsonNode winter = find(ladder().path("winter"), code);
        assertThat(winter.path("need").asString()).isEqualTo("COVER");
        assertThat(winter.path("by").asString()).isEqualTo("2026-10-20");
        nursery.record(code, Map.of("kind", "MOVED", "details", Map.of("rung", "TENT", "placeId", nursery.tunnel())))
                .expect(201);
        assertThat(ladder().path("winter")
                        .valueStream()
                        .map(one -> one.path("code").asString()))
                .doesNotContain(code);
    }

    @Test
    void a_plant_that_fails_the_test_is_refused_with_what_it_fails_and_goes_with_a_reason() {
        String code = potted(mother);
        JsonNode test = nursery.viewer()
                .get("/api/v1/layers/" + code + "/release-test")
                .expect(200)
                .body();
        assertThat(test.path("passed").asBoolean()).isFalse();
        assertThat(test.path("checks")).hasSize(8);
        Map<String, Object> release = Map.of("kind", "RELEASED", "details", Map.of("destination", "SALE"));
        JsonNode refused = nursery.record(code, release).expect(400).body();
        assertThat(refused.at("/violations/0/field").asString()).isEqualTo("note");
        assertThat(refused.at("/violations/0/message").asString())
                .containsPattern(Said.by("release.IN_THE_OPEN.failed"))
                .containsPattern(Said.by("release.NEW_GROWTH.failed"));
        Map<String, Object> reasoned = new HashMap<>(release);
        reasoned.put("note", "Given to the school");
        nursery.record(code, reasoned).expect(201);
        assertThat(nursery.viewer()
                        .get("/api/v1/layers/" + code)
                        .body()
                        .path("phase")
                        .asString())
                .isEqualTo("RELEASED");
    }

    @Test
    void three_generations_stand_in_one_line_that_is_shown_and_asked_for() {
        String first = potted(mother);
        long daughter = raise(first, "M-D1");
        String second = potted(daughter);
        long granddaughter = raise(second, "M-G1");
        JsonNode pedigree = nursery.viewer()
                .get("/api/v1/mothers/" + granddaughter + "/pedigree")
                .expect(200)
                .body();
        assertThat(pedigree.path("generations").asInt()).isEqualTo(3);
        assertThat(pedigree.path("ancestors")
                        .valueStream()
                        .map(one -> one.path("layer").asString()))
                .containsExactly(second, first);
        JsonNode oldest =
                nursery.viewer().get("/api/v1/mothers/" + mother + "/pedigree").body();
        assertThat(oldest.at("/self/children/0/children/0/code").asString()).isEqualTo("M-G1");
        assertThat(nursery.viewer()
                        .get("/api/v1/mothers/" + granddaughter)
                        .body()
                        .path("variety")
                        .asString())
                .isEqualTo("Quern Gold");
        String third = nursery.set(granddaughter, TODAY.minusDays(3), 1).get(0);
        assertThat(nursery.viewer()
                        .get("/api/v1/layers?line=" + mother)
                        .body()
                        .path("layers")
                        .valueStream()
                        .map(one -> one.path("code").asString()))
                .contains(first, second, third);
        nursery.grower()
                .post("/api/v1/layers/" + first + "/mother", newMother("M-D2"))
                .expect(409);
    }

    @Test
    void the_papers_of_a_plant_are_one_page_with_its_line_and_what_was_done() throws Exception {
        String code = potted(mother);
        JsonNode shown = nursery.viewer()
                .get("/api/v1/layers/" + code + "/passport")
                .expect(200)
                .body();
        assertThat(shown.path("title").asString()).contains("Quern Gold");
        byte[] pdf = nursery.viewer()
                .get("/api/v1/layers/" + code + "/passport-sheet")
                .expect(200)
                .bytes();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains(code)
                    .contains("Cydonia oblonga")
                    .containsPattern(Said.by("done.SEVERED", "left", 5, "before", 9))
                    .containsPattern(Said.by("done.POTTED", "medium", "light mix", "pot", "2.0 L"));
        }
    }

    private long raise(String code, String name) {
        return nursery.grower()
                .post("/api/v1/layers/" + code + "/mother", newMother(name))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    private Map<String, Object> newMother(String name) {
        return Map.of(
                "code",
                name,
                "placeId",
                nursery.field(),
                "rootRun",
                "GROUND",
                "leafyShoots",
                60,
                "reason",
                "wanted as a mother");
    }

    private String severed(long on) {
        String code = nursery.set(on, TODAY.minusDays(60), 1).get(0);
        nursery.record(code, look("FILLED", 95)).expect(201);
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 5)))
                .expect(201);
        return code;
    }

    private String potted(long on) {
        String code = severed(on);
        pot(code, Map.of("medium", "LIGHT_MIX", "potMl", 2000));
        return code;
    }

    private void pot(String code, Map<String, Object> details) {
        nursery.record(code, Map.of("kind", "POTTED", "details", details)).expect(201);
    }

    private void see(String code, String... signs) {
        nursery.record(code, Map.of("kind", "OBSERVED", "details", Map.of("signs", List.of(signs))))
                .expect(201);
    }

    private JsonNode potting() {
        return nursery.viewer().get("/api/v1/potting").expect(200).body();
    }

    private JsonNode ladder() {
        return nursery.viewer().get("/api/v1/ladder").expect(200).body();
    }

    private JsonNode advice(String code, String query) {
        return nursery.viewer()
                .get("/api/v1/layers/" + code + "/pot-advice" + query)
                .expect(200)
                .body();
    }

    private static JsonNode chosen(JsonNode advice) {
        return advice.path("pots")
                .valueStream()
                .filter(pot ->
                        pot.path("name").asString().equals(advice.path("chosen").asString()))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode find(JsonNode lines, String code) {
        return lines.valueStream()
                .filter(one -> one.path("code").asString().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError(code + " is not in " + lines));
    }
}
