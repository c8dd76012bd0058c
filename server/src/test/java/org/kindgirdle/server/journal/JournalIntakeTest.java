package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(NurseryExtension.class)
class JournalIntakeTest {

    private final TestNursery nursery;

    JournalIntakeTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void whoever_sets_a_layer_does_not_wait_until_a_file_is_in() {
        long mother = nursery.mother("CYDOBL", nursery.field());
        List<String> codes = nursery.bean(TransactionTemplate.class).execute(open -> {
            List<String> loaded = nursery.bean(JournalIntake.class).load(List.of(layer(mother), layer(mother)));
            // the file is not in yet
            loaded.addAll(nursery.set(mother, TODAY, 1));
            return loaded;
        });
        assertThat(codes).hasSize(3).doesNotHaveDuplicates();
        codes.forEach(code -> nursery.viewer().get("/api/v1/layers/" + code).expect(200));
    }

    private JournalIntake.Whole layer(long mother) {
        LayerRecord.Setting set = nursery.bean(JsonMapper.class).readValue("""
                        {"diameterMm": 16, "ringMm": 30, "wood": "ONE_TWO", "position": "BELOW_NODE",
                         "leavesBeyond": 9, "fromUnionMm": 300, "leanDeg": 20, "school": "IN_LEAF",
                         "specimen": false, "fruitToKeep": false}""", LayerRecord.Setting.class);
        Long person = nursery.sql().queryForObject("select min(id) from person", Long.class);
        return new JournalIntake.Whole(
                null,
                UUID.randomUUID(),
                mother,
                null,
                nursery.recipe(),
                1,
                List.of(new JournalIntake.Noted(
                        UUID.randomUUID(),
                        TODAY.minusDays(3).atTime(9, 0).toInstant(ZoneOffset.UTC),
                        person == null ? 0 : person,
                        set,
                        "",
                        null)));
    }
}
