package org.kindgirdle.server.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

@ExtendWith(NurseryExtension.class)
class OutcomesOfOldTest {

    private final TestNursery nursery;

    OutcomesOfOldTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void layers_of_an_older_edition_are_worked_out_when_the_application_starts() {
        long mother = nursery.mother("CYDOBL", nursery.field());
        String code = nursery.set(mother, TestNursery.TODAY.minusDays(40), 1).get(0);
        nursery.record(code, TestNursery.look("FILLED", 90)).expect(201);
        nursery.record(code, Map.of("kind", "LOST", "details", Map.of("cause", "BROKE")))
                .expect(201);
        Map<String, Object> before = row(code);
        assertThat(before.get("loss_cause")).isEqualTo("BROKE");
        nursery.sql()
                .update(
                        "update layer set minutes = null, rooted = null, loss_cause = null, ready_high = null,"
                                + " wood = '' where code = ?",
                        code);
        nursery.bean(OutcomesOfOld.class).prepare();
        assertThat(row(code)).isEqualTo(before);
    }

    private Map<String, Object> row(String code) {
        return nursery.sql()
                .queryForMap(
                        "select rooted, loss_cause, ready_low, ready_high, minutes, wood, position, full_on, ended_on"
                                + " from layer where code = ?",
                        code);
    }
}
