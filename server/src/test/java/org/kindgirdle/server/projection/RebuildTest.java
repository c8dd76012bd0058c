package org.kindgirdle.server.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rebuilding mends what was spoilt, and nothing else. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RebuildTest {

    private TestNursery nursery;
    private String live = "";
    private String lost = "";
    private long mother;

    @BeforeAll
    void fill() {
        nursery = TestNursery.ofItsOwn();
        mother = nursery.mother("CYDOBL", nursery.field());
        List<String> codes = nursery.set(mother, TODAY.minusDays(60), 2);
        live = codes.get(0);
        lost = codes.get(1);
        nursery.record(live, TestNursery.look("CALLUS", 5)).expect(201);
        nursery.record(lost, TestNursery.look("FILLED", 100)).expect(201);
        nursery.record(lost, Map.of("kind", "LOST", "details", Map.of("cause", "BROKE")))
                .expect(201);
    }

    @AfterAll
    void close() {
        nursery.close();
    }

    @Test
    void what_is_over_keeps_its_figures_when_rules_places_mothers_and_weather_change() {
        Map<String, Object> before = row(lost);
        JsonNode rules = nursery.owner().get("/api/v1/house-rules").body();
        nursery.owner()
                .put(
                        "/api/v1/house-rules",
                        Map.of("number", rules.path("number").asInt(), "values", anyMinutes(rules)))
                .expect(200);
        assertThat(rebuilt().changed()).isZero();
        assertThat(row(lost)).isEqualTo(before);

        ObjectNode place =
                (ObjectNode) nursery.owner().get("/api/v1/places").body().get(0);
        place.put("minShiftC", 3).put("maxShiftC", 3);
        nursery.owner()
                .put("/api/v1/places/" + place.path("id").asLong(), place)
                .expect(200);
        assertThat(rebuilt().changed()).isZero();
        assertThat(row(lost)).isEqualTo(before);

        Map<String, Object> body = new HashMap<>(TestNursery.motherBody("M-1", "CYDOBL", nursery.field()));
        body.put("vigour", "WEAK");
        nursery.grower().put("/api/v1/mothers/" + mother, body).expect(200);
        nursery.grower()
                .put("/api/v1/weather/" + TODAY.minusDays(30), Map.of("minC", 1, "maxC", 2))
                .expect(200);
        assertThat(rebuilt().changed()).isZero();
        assertThat(row(lost)).isEqualTo(before);
    }

    @Test
    void method_and_hand_are_mended_and_so_is_what_is_over() {
        Map<String, Object> wasLive = row(live);
        Map<String, Object> wasLost = row(lost);
        nursery.sql().update("update layer set method = 'JAR', hand = 'nobody', wood = 'OLDER'");
        nursery.sql()
                .update("update layer set stage = 'NONE', loss_cause = 'ANIMALS', full_on = null where code = ?", lost);
        assertThat(rebuilt().changed()).isEqualTo(2);
        assertThat(row(live)).isEqualTo(wasLive);
        assertThat(row(lost)).isEqualTo(wasLost);
    }

    /** What the layer is, which no record says; and the day and versions by which the row is made anew. */
    private static final Set<String> NOT_MADE_ANEW = Set.of(
            "id",
            "number",
            "code",
            "batch_id",
            "mother_id",
            "set_mother_id",
            "limb_id",
            "recipe_id",
            "recipe_number",
            "as_of",
            "profile_number",
            "rules_number",
            "reckoned_from");

    private static final Map<String, String> SPOILT = Map.ofEntries(
            Map.entry("phase", "'POTTED'"),
            Map.entry("stage", "'MATURE'"),
            Map.entry("method", "'JAR'"),
            Map.entry("rung", "'HALF'"),
            Map.entry("also_do", "'PROP,SOAK'"),
            Map.entry("step", "'RERING'"),
            Map.entry("job", "'RERING'"),
            Map.entry("loss_cause", "'ANIMALS'"),
            Map.entry("kept_time", "x'00'"),
            Map.entry("stands_at", "(select max(id) from place)"));

    /** Columns that a comparison by hand had left out were "0 changed" whatever stood in them. */
    @Test
    void each_column_that_the_journal_makes_is_mended_and_counted() {
        List<Map<String, Object>> columns = nursery.sql()
                .queryForList("select column_name name, data_type type from information_schema.columns"
                        + " where table_schema = database() and table_name = 'layer' and extra not like '%GENERATED%'");
        assertThat(columns).hasSizeGreaterThan(30);
        Map<String, Object> was = nursery.sql().queryForMap("select * from layer where code = ?", live);
        List<String> unseen = new ArrayList<>();
        for (Map<String, Object> column : columns) {
            String name = (String) column.get("name");
            if (NOT_MADE_ANEW.contains(name)) {
                continue;
            }
            nursery.sql().update("update layer set " + name + " = " + spoilt(column) + " where code = ?", live);
            if (rebuilt().changed() != 1) {
                unseen.add(name);
            }
            assertThat(nursery.sql().queryForMap("select * from layer where code = ?", live))
                    .as(name)
                    .usingRecursiveComparison()
                    .isEqualTo(was);
        }
        assertThat(unseen).isEmpty();
    }

    private static String spoilt(Map<String, Object> column) {
        String type = (String) column.get("type");
        String other = type.equals("date") ? "'2026-01-09'" : type.contains("char") ? "'nobody'" : "77";
        boolean isFlag = type.equals("tinyint") || type.equals("bit");
        return SPOILT.getOrDefault((String) column.get("name"), isFlag ? "1" : other);
    }

    @Test
    void a_value_that_can_not_be_read_is_named_with_its_layer_and_column_and_the_others_are_done() {
        nursery.sql().update("update layer set stage = 'PIPPED' where code = ?", lost);
        nursery.sql().update("update layer set hand = 'nobody' where code = ?", live);
        Rebuild.Result result = rebuilt();
        assertThat(result.layers()).isEqualTo(1);
        assertThat(result.changed()).isEqualTo(1);
        assertThat(result.wrong())
                .singleElement()
                .satisfies(said -> assertThat(said).contains(lost, "column stage", "'PIPPED'", "FILLED"));
        assertThat(result.toString()).contains("1 could not be read");
        nursery.sql().update("update layer set stage = 'FILLED' where code = ?", lost);

        String guard = (String) nursery.sql()
                .queryForMap("show create trigger layer_event_no_update")
                .get("SQL Original Statement");
        String look = "kind = 'LOOKED' and layer_id = (select id from layer where code = '" + live + "')";
        String details = nursery.sql().queryForObject("select details from layer_event where " + look, String.class);
        nursery.sql().execute("drop trigger layer_event_no_update");
        nursery.sql().update("update layer_event set details = '{\"stage\": 7}' where " + look);
        assertThat(rebuilt().wrong())
                .singleElement()
                .satisfies(said -> assertThat(said).contains(live, "details", "LOOKED"));
        nursery.sql().update("update layer_event set details = ? where " + look, details);
        nursery.sql().execute(guard);
        assertThat(rebuilt().wrong()).isEmpty();
    }

    private Rebuild.Result rebuilt() {
        return nursery.bean(Rebuild.class).run();
    }

    /** A rule on which the minutes of every layer rest. */
    private static Map<String, Object> anyMinutes(JsonNode rules) {
        return rules.path("rules")
                .valueStream()
                .filter(one -> one.path("unit").asString().contains("min")
                        && one.path("name").asString().toLowerCase(Locale.ROOT).contains("look"))
                .findFirst()
                .map(one -> Map.<String, Object>of(
                        one.path("code").asString(), one.path("value").asDouble() + 1))
                .orElseThrow();
    }

    private Map<String, Object> row(String code) {
        return nursery.sql()
                .queryForMap(
                        "select phase, stage, method, hand, wood, position, fill_percent, rooted, loss_cause, ready_low,"
                                + " ready_high, full_on, ended_on, minutes, medium_ml, film_cm2 from layer where code = ?",
                        code);
    }
}
