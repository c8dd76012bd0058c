package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepInputs;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.verdict.Fact;

class ComingStepsTest {

    private static final LocalDate JULY = LocalDate.of(2026, 7, 10);
    private static final LayerContext CONTEXT = Carrow.context(Carrow.QUINCE);

    static Stream<Carrow> layers() {
        return Stream.of(
                new Carrow().set(),
                new Carrow().set().look(JULY, RootStage.CALLUS, 0),
                new Carrow().set().look(JULY, RootStage.ROOTED, 2),
                new Carrow().set().look(JULY, RootStage.FILLED, 3),
                new Carrow()
                        .set()
                        .on(
                                JULY,
                                new LayerRecord.Looked(
                                        RootStage.INITIALS, Sectors.empty(), 5.0, Set.of(Condition.BRIDGED))));
    }

    @ParameterizedTest
    @MethodSource("layers")
    void each_change_made_on_its_earliest_day_gives_another_step(Carrow layer) {
        LayerState state = Replay.of(layer.journal());
        for (LocalDate today : List.of(JULY, JULY.plusDays(60), JULY.plusDays(140))) {
            NextStepInputs now = new LayerSums(state, CONTEXT).on(today);
            NextStep step = NextStepRules.decide(now).step();
            List<ComingSteps.Change> changes = ComingSteps.changes(state, CONTEXT, today);
            assertThat(changes).isNotEmpty();
            for (ComingSteps.Change change : changes) {
                assertThat(change.step()).isNotEqualTo(step);
                LocalDate earliest = change.earliest();
                if (earliest == null) {
                    assertThat(((NextStepFact) change.to().name()).isBroughtByTime())
                            .isTrue();
                    continue;
                }
                NextStepInputs then = new LayerSums(state, CONTEXT).on(earliest).with(change.to());
                assertThat(NextStepRules.decide(then).step())
                        .as(change.toString())
                        .isNotEqualTo(step);
            }
        }
    }

    @Test
    void what_a_look_may_show_can_be_so_today_and_what_time_brings_has_its_day() {
        LayerState state =
                Replay.of(new Carrow().set().look(JULY, RootStage.FILLED, 3).journal());
        List<ComingSteps.Change> changes = ComingSteps.changes(state, CONTEXT, JULY);
        assertThat(changes)
                .anySatisfy(change -> {
                    assertThat(change.to().name()).isEqualTo(NextStepFact.STAGE);
                    assertThat(change.earliest()).isEqualTo(JULY);
                })
                .contains(new ComingSteps.Change(
                        new Fact(NextStepFact.DAYS_TO_FROST, 41),
                        NextStep.SEVER_TO_COVER,
                        // the early first frost is the twentieth of October
                        LocalDate.of(2026, 9, 9)));
    }

    @Test
    void off_its_mother_nothing_of_it_is_left() {
        LayerState severed = Replay.of(
                new Carrow().set().on(JULY, new LayerRecord.Severed(12, 6)).journal());
        assertThat(ComingSteps.changes(severed, CONTEXT, JULY)).isEmpty();
        assertThat(ComingSteps.next(severed, CONTEXT, JULY)).isEmpty();
    }
}
