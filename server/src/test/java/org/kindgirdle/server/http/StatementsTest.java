package org.kindgirdle.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

/** How often the database is asked: a handful of times for any page, whatever the size of the nursery. */
@ExtendWith(NurseryExtension.class)
class StatementsTest {

    private static final int MAX_OF_A_READ = 8;
    /** One of them with every fiftieth record, for ids. */
    private static final int MAX_OF_A_RECORD = 12;

    private final TestNursery nursery;
    private final long mother;

    StatementsTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void a_page_is_read_in_a_handful_of_statements_that_write_nothing() {
        List<String> codes = nursery.set(mother, TODAY.minusDays(40), 12);
        codes.forEach(
                code -> nursery.record(code, TestNursery.look("CALLUS", 0)).expect(201));
        String some = "?codes=" + String.join("&codes=", codes);
        long limb = nursery.limb(mother, "Leader", 30, "ONE_TWO", 20, 200);
        nursery.grower()
                .post("/api/v1/batches", nursery.onLimb(mother, limb, 300))
                .expect(201);
        List<String> tooMany = new ArrayList<>();
        for (String path : List.of(
                "/layers/" + codes.get(0),
                "/layers?limit=50",
                "/layers?search=" + codes.get(0).substring(0, 3),
                "/layer-cards" + some,
                "/layer-stems" + some,
                "/round",
                "/severing",
                "/ladder",
                "/potting",
                "/stock",
                "/stock/" + mother,
                "/mothers",
                "/mothers/" + mother,
                "/mothers/" + mother + "/limbs",
                "/season?placeId=" + nursery.field() + "&recipeId=" + nursery.recipe(),
                "/ledger",
                "/trials",
                "/targets",
                "/places",
                "/species",
                "/recipes",
                "/methods",
                "/house-rules",
                "/site",
                "/weather?from=2026-06-01&to=2026-07-20",
                "/supplies",
                "/planned-batches",
                "/layer-changes?since=2026-07-01T00:00:00Z",
                "/recalculation",
                "/hands")) {
            String address = "/api/v1" + path;
            nursery.grower().get(address).expect(200);
            TestNursery.settledStatements();
            nursery.grower().get(address).expect(200);
            List<String> sent = TestNursery.settledStatements();
            boolean isWritten = sent.stream()
                    .anyMatch(one -> !one.stripLeading().toLowerCase().startsWith("select"));
            if (sent.size() > MAX_OF_A_READ || isWritten) {
                tooMany.add(sent.size() + " " + path + "\n" + String.join("\n", sent));
            }
        }
        assertThat(tooMany).isEmpty();
    }

    @Test
    void a_record_is_written_in_a_dozen() {
        String code = nursery.set(mother, TODAY.minusDays(30), 1).get(0);
        nursery.record(code, TestNursery.look("NONE", 0)).expect(201);
        TestNursery.statements();
        nursery.record(code, TestNursery.look("CALLUS", 0)).expect(201);
        assertThat(TestNursery.settledStatements()).hasSizeLessThanOrEqualTo(MAX_OF_A_RECORD);
        Map<String, Object> water = Map.of("kind", "TOPPED_UP", "details", Map.of("waterMl", 40));
        nursery.record(code, water).expect(201);
        assertThat(TestNursery.settledStatements()).hasSizeLessThanOrEqualTo(MAX_OF_A_RECORD);
    }

    /** The locks, the journals and the answers are asked for together, whoever many there are. */
    @Test
    void a_record_into_many_layers_costs_no_statement_a_layer_but_its_row() {
        List<String> codes = nursery.set(mother, TODAY.minusDays(30), 40);
        Map<String, Object> note = Map.of("kind", "NOTED", "details", Map.of(), "note", "hail", "codes", codes);
        TestNursery.settledStatements();
        nursery.grower().post("/api/v1/layer-records", note).expect(201);
        assertThat(TestNursery.settledStatements()).hasSizeLessThanOrEqualTo(MAX_OF_A_RECORD + 4);
    }
}
