package org.kindgirdle.server.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Where the layers are too many for one transaction; here more than two are. */
@ExtendWith(NurseryExtension.class)
class RecalculationTest {

    private final TestNursery nursery;
    private final RecalculationSize size;

    RecalculationTest(TestNursery nursery) {
        this.nursery = nursery;
        this.size = nursery.bean(RecalculationSize.class);
    }

    @BeforeEach
    void few() {
        size.setAtOnce(2);
    }

    @AfterEach
    void many() {
        nursery.awaitRecalculation();
        size.setAtOnce(1000);
    }

    @Test
    void a_change_returns_at_once_and_the_rows_follow_in_a_pass_of_their_own() {
        List<String> codes = nursery.set(nursery.mother("COTCOG", nursery.field()), TODAY, 5);
        String before = row(codes.get(0));
        change("COTCOG", 20);
        nursery.awaitRecalculation();
        JsonNode progress = progress();
        assertThat(progress.path("done").asInt())
                .isEqualTo(progress.path("total").asInt())
                .isGreaterThanOrEqualTo(5);
        for (String code : codes) {
            assertThat(row(code)).isGreaterThan(before);
            assertThat(row(code)).isEqualTo(page(code));
        }
        change("COTCOG", -20);
        nursery.awaitRecalculation();
        assertThat(row(codes.get(0))).isEqualTo(before);
    }

    @Test
    void a_pass_that_was_interrupted_goes_on_from_where_it_stood() {
        String code =
                nursery.set(nursery.mother("COTCOG", nursery.field()), TODAY, 1).get(0);
        String before = row(code);
        nursery.sql().update("update layer set ready50_on = '2000-01-01' where code = ?", code);
        nursery.sql().update("update recalculation set running = true, next_id = 0, done = 0 where id = 1");
        // as the start of the application does
        nursery.bean(RecalculationWorker.class).onBegun(new Recalculation.Begun());
        nursery.awaitRecalculation();
        assertThat(row(code)).isEqualTo(before);
    }

    @Test
    void records_are_taken_while_it_runs_and_nothing_is_lost() {
        List<String> codes = nursery.set(nursery.mother("COTCOG", nursery.field()), TODAY, 4);
        change("COTCOG", 5);
        for (String code : codes) {
            nursery.record(code, TestNursery.look("CALLUS", 0)).expect(201);
        }
        nursery.awaitRecalculation();
        for (String code : codes) {
            assertThat(row(code)).isEqualTo(page(code));
            assertThat(nursery.sql().queryForObject("select stage from layer where code = ?", String.class, code))
                    .isEqualTo("CALLUS");
        }
        change("COTCOG", -5);
    }

    @Test
    void an_edit_of_one_mother_touches_its_own_layers_at_once() {
        long mother = nursery.mother("COTCOG", nursery.field());
        String code = nursery.set(mother, TODAY, 3).get(0);
        String before = row(code);
        ObjectNode edit =
                (ObjectNode) nursery.grower().get("/api/v1/mothers/" + mother).body();
        nursery.grower()
                .put("/api/v1/mothers/" + mother, edit.put("vigour", "WEAK"))
                .expect(200);
        assertThat(row(code)).isGreaterThan(before);
    }

    private void change(String species, double days) {
        ObjectNode view =
                (ObjectNode) nursery.owner().get("/api/v1/species/" + species).body();
        ObjectNode profile = (ObjectNode) view.path("profile");
        profile.put("d50ThermalDays", profile.path("d50ThermalDays").asDouble() + days);
        nursery.owner().put("/api/v1/species/" + species, view).expect(200);
    }

    private JsonNode progress() {
        return nursery.viewer().get("/api/v1/recalculation").expect(200).body();
    }

    private String row(String code) {
        return Map.copyOf(nursery.sql().queryForMap("select ready50_on from layer where code = ?", code))
                .get("ready50_on")
                .toString();
    }

    private String page(String code) {
        return nursery.grower()
                .get("/api/v1/layers/" + code)
                .body()
                .at("/forecast/q50")
                .asString();
    }
}
