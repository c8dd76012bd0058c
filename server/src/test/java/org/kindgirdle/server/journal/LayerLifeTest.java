package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** One layer from the ring to its release, or to its loss, as the nursery's days go by. */
@ExtendWith(NurseryExtension.class)
class LayerLifeTest {

    private final TestNursery nursery;
    private final String code;

    LayerLifeTest(TestNursery nursery) {
        this.nursery = nursery;
        this.code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(60), 1)
                .get(0);
    }

    @AfterEach
    void backToToday() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void a_layer_goes_from_the_ring_to_its_release() {
        record(look("FILLED", 95));
        assertThat(step()).isEqualTo("SEVER_NOW");
        record(Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 5)));
        assertThat(step()).isEqualTo("POT_UP");
        record(Map.of("kind", "POTTED", "details", Map.of("medium", "LIGHT_MIX", "potMl", 3000)));
        assertThat(step()).isEqualTo("STAY");
        LocalDate day = TODAY;
        for (String rung : List.of("SHADE", "HALF", "LIGHT", "OPEN")) {
            while (!step().equals("STEP_UP")) {
                day = day.plusDays(1);
                nursery.clock().moveTo(day);
                assertThat(day).isBefore(TODAY.plusDays(60));
            }
            assertThat(page().at("/suggested/rung").asString()).isEqualTo(rung);
            record(Map.of("kind", "MOVED", "details", Map.of("rung", rung)));
        }
        day = day.plusDays(7);
        nursery.clock().moveTo(day);
        record(Map.of("kind", "OBSERVED", "details", Map.of("signs", List.of("NEW_GROWTH", "ROOTS_AT_EDGE"))));
        assertThat(step()).isEqualTo("RELEASE");
        record(Map.of("kind", "RELEASED", "details", Map.of("destination", "SALE")));

        assertThat(page().path("phase").asString()).isEqualTo("RELEASED");
        assertThat(page().path("jobs").size()).isZero();
        assertThat(page().at("/advice/headline").asString()).isEqualTo("Released.");
    }

    @ParameterizedTest
    @EnumSource(value = Work.class, mode = EnumSource.Mode.EXCLUDE, names = "TIDY_STUB")
    void every_work_on_the_mother_can_be_recorded(Work work) {
        Map<String, Object> cover = work == Work.COVER ? Map.of("work", work, "cover", "BLACK") : Map.of("work", work);
        record(Map.of("kind", "TENDED", "details", cover));
        assertThat(page().at("/records/0/conflict").isNull()).isTrue();
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
            DRY, REWET, REWET
            WRAP_OPEN, REWRAP, REWRAP
            SLIPPED, REWRAP, REWRAP
            TOP_WILTED, RELIEVE, RELIEVE
            BRIDGED, CUT_BRIDGE, CUT_BRIDGE
            """)
    void what_a_look_finds_is_mended_by_the_work_that_the_step_names(String condition, String step, String work) {
        record(look("ROOTED", 50, condition));
        assertThat(step()).isEqualTo(step);
        record(Map.of("kind", "TENDED", "details", Map.of("work", work)));
        assertThat(step()).isEqualTo("WAIT");
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
            WET, VENT
            PESTS, TREAT_PESTS
            ALGAE, COVER
            CONSTRICTED, LOOSEN_TIE
            """)
    void what_is_to_be_done_beside_the_step_goes_away_when_it_is_done(String condition, String also) {
        record(look("ROOTED", 50, condition));
        assertThat(page().at("/alsoDo/0/code").asString()).isEqualTo(also);
        record(Map.of("kind", "TENDED", "details", Map.of("work", also)));
        assertThat(page().path("alsoDo").size()).isZero();
    }

    @ParameterizedTest
    @EnumSource(LossCause.class)
    void a_layer_can_be_lost_for_every_cause(LossCause cause) {
        String words = cause == LossCause.OTHER ? "a mower" : "";
        record(Map.of("kind", "LOST", "details", Map.of("cause", cause, "words", words)));
        assertThat(page().path("phase").asString()).isEqualTo("LOST");
        assertThat(page().at("/advice/headline").asString()).startsWith("Lost: ");
    }

    @Test
    void a_new_ring_starts_time_and_looks_afresh() {
        record(look("NONE", 0, "BRIDGED"));
        record(Map.of("kind", "RERUNG", "details", Map.of("ringMm", "34 mm")));

        assertThat(page().path("ringedOn").asString()).isEqualTo(TODAY.toString());
        assertThat(page().path("attempts").asInt()).isEqualTo(1);
        assertThat(page().at("/drawing/ringMm").asDouble()).isEqualTo(34);
        assertThat(page().path("conditions").size()).isZero();
    }

    @Test
    void the_day_turns_once_and_every_live_layer_stands_at_it() {
        // what was turned to is not turned back: other tests have been in later days
        nursery.sql().update("delete from day_turn");
        nursery.clock().moveTo(TODAY.plusDays(3));
        nursery.grower().get("/api/v1/round").expect(200);
        nursery.awaitRecalculation();
        Integer behind = nursery.sql()
                .queryForObject(
                        "select count(*) from layer where phase in ('ON_MOTHER', 'SEVERED', 'POTTED') and as_of <> ?",
                        Integer.class,
                        TODAY.plusDays(3));
        assertThat(behind).isZero();
    }

    /** "Leave it on the mother over the winter. Look again by 4 December 2026" was said in December 2027. */
    @Test
    void line_8_a_look_that_is_overdue_is_said_to_be_whatever_the_step_is() {
        record(look("CALLUS", 0));
        Set<String> steps = new TreeSet<>();
        for (LocalDate day = TODAY.plusMonths(2); day.isBefore(TODAY.plusMonths(18)); day = day.plusDays(20)) {
            nursery.clock().moveTo(day);
            JsonNode page = page();
            String headline = page.at("/advice/headline").asString();
            steps.add(page.at("/advice/step").asString());
            assertThat(headline).as(day + " " + headline).contains("due since").doesNotContain("Look again");
        }
        assertThat(steps).contains("CARRY_OVER");
    }

    /** "Look again between 28 July and 30 July" stood over a ring that could be cut from 24 June on. */
    @Test
    void line_8_what_waits_for_the_bark_is_headed_by_the_day_of_the_ring() {
        LocalDate day = LocalDate.of(2026, 5, 20);
        nursery.clock().moveTo(day);
        String fig = nursery.set(nursery.mother("FICCAR", nursery.field()), day.minusDays(10), 1)
                .get(0);
        nursery.record(fig, look("NONE", 0, "BRIDGED")).expect(201);
        JsonNode advice =
                nursery.grower().get("/api/v1/layers/" + fig).expect(200).body().path("advice");
        assertThat(advice.path("step").asString()).isEqualTo("WAIT");
        assertThat(advice.path("headline").asString()).containsPattern(Said.by("step.WAIT.ring"));
    }

    private void record(Map<String, Object> what) {
        nursery.record(code, what).expect(201);
    }

    private String step() {
        return page().at("/advice/step").asString();
    }

    private JsonNode page() {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
    }
}
