package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;

/** What rooted once and is found without roots after a winter is not said to be of a kind that never roots. */
@ExtendWith(NurseryExtension.class)
class RootsLostTest {

    private static final LocalDate SET = TODAY.minusYears(1).minusDays(50);

    private final TestNursery nursery;
    private final String code;

    RootsLostTest(TestNursery nursery) {
        this.nursery = nursery;
        this.code =
                nursery.set(nursery.mother("CYDOBL", nursery.field()), SET, 1).get(0);
    }

    @Test
    void the_page_says_which_look_had_found_tips_and_since_when_there_are_none() {
        looked(SET.plusDays(60), "INITIALS");
        looked(SET.plusDays(200), "NONE");
        looked(SET.plusDays(330), "NONE");
        looked(TODAY.minusDays(1), "NONE");

        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + code)
                        .body()
                        .at("/advice/because")
                        .valueStream()
                        .map(one -> one.asString()))
                .anySatisfy(said -> assertThat(said).containsPattern(Said.by("because.NOT_ROOTING")))
                .anySatisfy(said -> assertThat(said)
                        .contains("said first tips")
                        .containsPattern(Said.by("because.rootsLost"))
                        .contains(String.valueOf(SET.plusDays(60).getDayOfMonth())));
    }

    private void looked(LocalDate on, String stage) {
        Map<String, Object> look = new HashMap<>(TestNursery.look(stage, 0));
        Map<String, Object> details = new HashMap<>();
        details.put("stage", stage);
        details.put("sectors", List.of(0, 0, 0, 0, 0, 0, 0, 0));
        details.put("fillPercent", 0);
        details.put("conditions", List.of());
        look.put("details", details);
        look.put(
                "occurredAt",
                on.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC).toString());
        nursery.record(code, look).expect(201);
    }
}
