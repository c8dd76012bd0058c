package org.kindgirdle.server.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class SumsTest {

    /** One in a million. */
    private static final double PERCENT = 1e-4;

    private final TestNursery nursery;

    SumsTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void hormone_sums_agree_with_the_worked_rows() throws IOException {
        for (Map<String, String> row : rows("hormone_mix")) {
            Map<String, Object> query = new HashMap<>(Map.of(
                    "stock", "LIQUID",
                    "stockPpm", number(row, "stock_ppm"),
                    "targetPpm", number(row, "target_ppm"),
                    "volumeMl", number(row, "volume_ml")));
            JsonNode liquid = ask("hormone", query);
            near(liquid, "stockMl", row, "stock_ml");
            near(liquid, "diluentMl", row, "diluent_ml");
            query.put("stock", "SOLID");
            query.put("purityPercent", 100 * number(row, "purity"));
            near(ask("hormone", query), "solidMg", row, "solid_mg");
        }
    }

    @Test
    void rings_and_balls_agree_with_the_worked_rows() throws IOException {
        for (Map<String, String> row : rows("ring_and_ball")) {
            Map<String, Object> query = ball();
            query.put("diameterMm", number(row, "diameter_mm"));
            query.put("bridgesReadily", Boolean.valueOf(row.get("bridges_readily")));
            query.put("bridgedBefore", Boolean.valueOf(row.get("bridged_before")));
            query.put("layers", 3);
            JsonNode answer = ask("ball", query);
            near(answer.path("ball"), "ringMm", row, "ring_mm");
            near(answer.path("ball"), "ballLengthMm", row, "ball_length_mm");
            near(answer.path("ball"), "ballDiameterMm", row, "ball_diameter_mm");
            near(answer.path("ball"), "mediumMl", row, "medium_ml");
            near(answer.path("ball"), "filmCm2", row, "film_cm2");
            assertThat(answer.path("mediumMl").asDouble())
                    .isCloseTo(3 * number(row, "medium_ml"), withinPercentage(PERCENT));
            assertThat(answer.path("ties").asInt()).isEqualTo(6);
        }
    }

    @Test
    void loads_agree_with_the_worked_rows() throws IOException {
        for (Map<String, String> row : rows("branch_load")) {
            Map<String, Object> query = ball();
            query.put("containerMl", number(row, "medium_ml"));
            query.put("medium", row.get("medium"));
            query.put("containerG", number(row, "container_g"));
            query.put("diameterMm", number(row, "branch_mm"));
            query.put("fromUnionMm", number(row, "from_union_mm"));
            query.put("leanDeg", number(row, "lean_deg"));
            query.put("wood", row.get("wood"));
            JsonNode load = ask("ball", query).path("load");
            near(load, "massG", row, "mass_g");
            near(load, "stressMpa", row, "stress_mpa");
            near(load, "utilisation", row, "utilisation");
            near(load, "deflectionMm", row, "deflection_mm");
        }
    }

    @Test
    void the_load_of_a_typed_branch_is_reckoned_in_words() {
        Map<String, Object> query = ball();
        query.put("diameterMm", "1/2 in");
        query.put("fromUnionMm", "8 ft");
        query.put("leanDeg", 80);
        JsonNode heavy = ask("ball", query);
        assertThat(heavy.at("/load/verdict").asString()).isNotEqualTo("FINE");
        assertThat(heavy.path("loadSentence").asString()).contains("of what the limb bears", "prop");
        query.put("fromUnionMm", 0);
        assertThat(ask("ball", query).path("loadSentence").asString()).contains("no prop");
    }

    @Test
    void what_cannot_be_says_what_to_do() {
        Map<String, Object> weak = Map.of("stock", "LIQUID", "stockPpm", 1000, "targetPpm", "0.3 %", "volumeMl", 50);
        Client.Answer refused =
                nursery.viewer().post("/api/v1/sums/hormone", weak).expect(400);
        assertThat(refused.fields()).containsExactly("targetPpm");
        assertThat(refused.body().at("/violations/0/message").asString()).isEqualTo(Refusals.say("sum.targetPpm"));
        assertThat(refused.body().at("/violations/0/allowed").asString())
                .isEqualTo(Refusals.say("sum.targetPpm.allowed", "stock", 1000));
        for (Map<String, Object> empty : List.<Map<String, Object>>of(
                Map.of("stock", "LIQUID", "stockPpm", 0, "targetPpm", 0, "volumeMl", 50),
                Map.of("stock", "SOLID", "targetPpm", 1000, "volumeMl", 50))) {
            assertThat(nursery.viewer()
                            .post("/api/v1/sums/hormone", empty)
                            .expect(400)
                            .body()
                            .at("/violations/0/message")
                            .asString())
                    .contains("label");
        }
        Map<String, Object> nothing = ball();
        nothing.put("diameterMm", 0);
        assertThat(nursery.viewer()
                        .post("/api/v1/sums/ball", nothing)
                        .expect(400)
                        .fields())
                .containsExactly("diameterMm");
    }

    @Test
    void the_band_says_what_too_strong_does() {
        Map<String, Object> query = new HashMap<>(Map.of(
                "stock",
                "LIQUID",
                "stockPpm",
                20_000,
                "targetPpm",
                15_000,
                "volumeMl",
                50,
                "speciesCode",
                "CYDOBL",
                "wood",
                "ONE_TWO"));
        JsonNode strong = ask("hormone", query).path("band");
        assertThat(strong.path("fit").asString()).isEqualTo("ABOVE");
        assertThat(strong.path("sentence").asString()).containsPattern(Said.by("sums.band.ABOVE"));
        query.put("targetPpm", strong.path("highPpm").asDouble());
        assertThat(ask("hormone", query).at("/band/fit").asString()).isEqualTo("IN_BAND");
    }

    @Test
    void the_houses_pods_and_mixes_and_hormones_are_reckoned_with() {
        ObjectNode supplies =
                (ObjectNode) nursery.owner().get("/api/v1/supplies").expect(200).body();
        assertThat(supplies.path("mixes")).hasSize(10);
        assertThat(supplies.at("/mixes/MANURE_EARTH/ingredients/0/parts").asDouble())
                .isEqualTo(3);
        ((ObjectNode) supplies.path("mixes"))
                .putPOJO(
                        "COIR_PERLITE",
                        Map.of(
                                "ingredients",
                                List.of(
                                        Map.of("name", "Coir", "parts", 4, "swelling", 5),
                                        Map.of("name", "Perlite", "parts", 1, "swelling", 1)),
                                "additives",
                                List.of(Map.of("name", "Root fungi", "perLitre", 2, "unit", "G"))));
        supplies.putPOJO(
                "containers",
                List.of(
                        pod("Narrow pod", 400, 15),
                        pod("Small pod", 120, 60),
                        pod("House pod", 380, 70),
                        pod("Bucket", 4000, 200)));
        nursery.grower().put("/api/v1/supplies", supplies).expect(403);
        nursery.owner().put("/api/v1/supplies", supplies).expect(200);
        Map<String, Object> query = ball();
        query.put("diameterMm", 18);
        List<String> fits = ask("ball", query)
                .path("containers")
                .valueStream()
                .map(one -> one.path("name").asString() + " " + one.path("fit").asString())
                .toList();
        assertThat(fits)
                .containsExactly(
                        "Small pod TOO_SMALL", "House pod FITS", "Narrow pod NARROWER_THAN_LIMB", "Bucket TOO_LARGE");
        JsonNode mix = ask("medium", Map.of("medium", "COIR_PERLITE", "mixMl", "10 L"));
        assertThat(mix.at("/withHandlingMl").asDouble()).isCloseTo(11_500, withinPercentage(PERCENT));
        assertThat(mix.at("/ingredients/0/wetLitres").asDouble()).isCloseTo(9.2, withinPercentage(PERCENT));
        assertThat(mix.at("/ingredients/0/dryLitres").asDouble()).isCloseTo(1.84, withinPercentage(PERCENT));
        assertThat(mix.at("/doses/0/amount").asDouble()).isCloseTo(23, withinPercentage(PERCENT));
        assertThat(mix.path("moistureTest").asString()).containsPattern(Said.by("sums.moisture"));

        assertThat(nursery.owner()
                        .put("/api/v1/supplies", supplies)
                        .expect(409)
                        .body()
                        .at("/current/containers"))
                .hasSize(4);
        supplies.put("version", supplies.path("version").asLong() + 1)
                .putPOJO("containers", List.of(pod("Twin", 100, 50), pod("Twin", 200, 60)));
        assertThat(nursery.owner().put("/api/v1/supplies", supplies).expect(400).fields())
                .containsExactly("containers[1].name");
    }

    @Test
    void a_cover_is_judged_for_its_place_and_weeks() {
        Map<String, Object> query = new HashMap<>(
                Map.of("placeId", nursery.field(), "speciesCode", "CYDOBL", "cover", "BLACK", "algae", false));
        JsonNode summer = ask("cover", query);
        // black in part sun gains no more than another cover, or cooks it; what is advised is said with its figures
        assertThat(summer.path("sentence").asString()).contains("thermal days");
        query.put("from", "2026-10-05");
        query.put("cover", "FOIL");
        JsonNode autumn = ask("cover", query);
        // the low sun of October warms it by less than a tenth more: no change is worth it
        assertThat(autumn.path("reason").asString()).isEqualTo("AS_GOOD");
        assertThat(autumn.path("suits").asBoolean()).isTrue();
        query.put("cover", "CLEAR");
        query.put("algae", true);
        JsonNode algae = ask("cover", query);
        assertThat(algae.path("reason").asString()).isEqualTo("ALGAE");
        assertThat(algae.path("best").asString()).isEqualTo("BLACK");
    }

    private JsonNode ask(String what, Map<String, Object> query) {
        return nursery.viewer().post("/api/v1/sums/" + what, query).expect(200).body();
    }

    private static Map<String, Object> ball() {
        return new HashMap<>(Map.ofEntries(
                Map.entry("diameterMm", 18),
                Map.entry("bridgesReadily", false),
                Map.entry("bridgedBefore", false),
                Map.entry("scraped", true),
                Map.entry("medium", "MOSS"),
                Map.entry("containerG", 0),
                Map.entry("containerMl", 0),
                Map.entry("wood", "ONE_TWO"),
                Map.entry("fromUnionMm", 300),
                Map.entry("leanDeg", 20),
                Map.entry("layers", 1)));
    }

    private static Map<String, Object> pod(String name, double ml, double acrossMm) {
        return Map.of(
                "name", name, "wrap", "HINGED_POD", "volumeMl", ml, "massG", 40, "lengthMm", 90, "acrossMm", acrossMm);
    }

    private static void near(JsonNode answer, String field, Map<String, String> row, String column) {
        assertThat(answer.path(field).asDouble())
                .as(row.toString())
                .isCloseTo(number(row, column), withinPercentage(PERCENT));
    }

    private static double number(Map<String, String> row, String column) {
        return Double.parseDouble(row.get(column));
    }

    private static List<Map<String, String>> rows(String file) throws IOException {
        List<String> lines = Files.readAllLines(Path.of("../core/src/test/resources/vectors", file + ".csv"));
        String[] head = lines.get(0).split(",");
        List<Map<String, String>> rows = new ArrayList<>();
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",");
            Map<String, String> row = new HashMap<>();
            for (int i = 0; i < head.length; i++) {
                row.put(head[i], cells[i]);
            }
            rows.add(row);
        }
        return rows;
    }
}
