package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.pot.FirstMedium;

class ReplayTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    @Test
    void the_order_of_arrival_does_not_matter() {
        List<LayerEvent> journal = new ArrayList<>(new Carrow()
                .set()
                .look(DAY, RootStage.CALLUS, 0)
                .look(DAY.plusDays(9), RootStage.ROOTED, 2)
                .on(DAY.plusDays(12), new LayerRecord.Severed(10, 5))
                .on(DAY.plusDays(12), new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 1500.0, null))
                .journal());
        LayerState straight = Replay.of(journal);
        Random random = new Random(3);
        for (int i = 0; i < 50; i++) {
            Collections.shuffle(journal, random);
            assertThat(Replay.of(journal)).isEqualTo(straight);
        }
    }

    @Test
    void a_look_dated_before_the_severance_is_taken_one_after_it_conflicts() {
        Carrow layer = new Carrow()
                .set()
                .on(DAY, new LayerRecord.Severed(10, 5))
                .look(DAY.minusDays(1), RootStage.FILLED, 3)
                .look(DAY.plusDays(1), RootStage.MATURE, 3);
        LayerState state = Replay.of(layer.journal());
        assertThat(state.stage()).isEqualTo(RootStage.FILLED);
        assertThat(state.conflicts())
                .containsExactly(
                        new LayerState.Conflict(layer.journal().get(3).id(), LayerState.Reason.NO_LONGER_ON_MOTHER));
    }

    @Test
    void roots_that_were_there_are_lost_when_two_looks_find_none() {
        Carrow layer = new Carrow()
                .set()
                .look(DAY, RootStage.CALLUS, 0)
                .look(DAY.plusDays(20), RootStage.INITIALS, 1)
                .look(DAY.plusDays(40), RootStage.NONE, 0);
        assertThat(Replay.of(layer.journal()).rootsLost())
                .as("one look may have erred")
                .isNull();
        layer.look(DAY.plusDays(60), RootStage.CALLUS, 0);
        LayerState.RootsLost lost = Replay.of(layer.journal()).rootsLost();
        assertThat(lost.had().on()).isEqualTo(DAY.plusDays(20));
        assertThat(lost.goneOn()).isEqualTo(DAY.plusDays(40));
        layer.look(DAY.plusDays(80), RootStage.INITIALS, 1);
        assertThat(Replay.of(layer.journal()).rootsLost()).as("they are back").isNull();
    }

    @Test
    void a_withdrawn_record_is_gone_and_comes_back_when_that_is_withdrawn() {
        Carrow layer = new Carrow().set().look(DAY, RootStage.ROOTED, 2);
        layer.correct(1, new LayerRecord.Withdrawn());
        assertThat(Replay.of(layer.journal()).stage()).isEqualTo(RootStage.NONE);
        layer.correct(2, new LayerRecord.Withdrawn());
        assertThat(Replay.of(layer.journal()).stage()).isEqualTo(RootStage.ROOTED);
    }

    /** Lines 13 and 16 of the rules that said something wrong: how it was made the second time counts from then on. */
    @Test
    void a_ring_by_another_recipe_goes_on_by_that_and_a_first_ring_is_no_second_try() {
        LayerState again = Replay.of(new Carrow()
                .set()
                .on(DAY, new LayerRecord.Tended(Work.COVER, Cover.BLACK))
                .look(DAY, RootStage.CALLUS, 0, Condition.BRIDGED)
                .on(DAY.plusDays(1), new LayerRecord.Rerung(38.0, 7L, 2))
                .journal());
        assertThat(again.madeBy()).isEqualTo(new LayerState.MadeBy(7, 2, DAY.plusDays(1), null));
        assertThat(again.attempts()).isEqualTo(1);
        assertThat(again.covers()).as("the new recipe's cover").isEmpty();
        assertThat(Replay.of(new Carrow()
                                .set()
                                .on(DAY, new LayerRecord.Rerung(38))
                                .journal())
                        .madeBy())
                .isNull();

        LayerState first = Replay.of(new Carrow()
                .setWithoutARing()
                .look(DAY, RootStage.CALLUS, 0)
                .on(DAY.plusDays(1), new LayerRecord.Rerung(24.0, 7L, 1))
                .journal());
        assertThat(first.attempts()).isZero();
        assertThat(first.ringMm()).isEqualTo(24);
        assertThat(first.ringedOn()).isEqualTo(DAY.plusDays(1));
        assertThat(first.looks()).isEmpty();
        assertThat(first.looksEver()).isEqualTo(1);
    }

    @Test
    void a_limb_that_is_stood_in_water_takes_its_roots_along() {
        Carrow layer = new Carrow()
                .set()
                .look(DAY, RootStage.ROOTED, 2)
                .on(DAY.plusDays(1), new LayerRecord.StoodInWater(9L, 1, 3));
        LayerState state = Replay.of(layer.journal());
        assertThat(state.madeBy()).isEqualTo(new LayerState.MadeBy(9, 1, DAY.plusDays(1), null));
        assertThat(state.stage()).isEqualTo(RootStage.ROOTED);
        assertThat(state.set().leavesBeyond()).isEqualTo(3);
        assertThat(state.wateredOn()).isEqualTo(DAY.plusDays(1));
        layer.on(DAY.plusDays(2), new LayerRecord.Severed(3, 3))
                .on(DAY.plusDays(3), new LayerRecord.StoodInWater(9L, 1, null));
        assertThat(Replay.of(layer.journal()).conflicts())
                .extracting(LayerState.Conflict::reason)
                .containsExactly(LayerState.Reason.NO_LONGER_ON_MOTHER);
    }

    @Test
    void a_layer_that_is_lost_takes_no_more_work() {
        LayerState state = Replay.of(new Carrow()
                .set()
                .on(DAY, new LayerRecord.Lost(LossCause.ANIMALS))
                .on(DAY, new LayerRecord.Severed(4, 2))
                .journal());
        assertThat(state.phase()).isEqualTo(LayerPhase.LOST);
        assertThat(state.conflicts())
                .extracting(LayerState.Conflict::reason)
                .containsExactly(LayerState.Reason.FINISHED);
    }

    @Test
    void a_journal_without_a_set_is_no_layer() {
        assertThatThrownBy(() -> Replay.of(List.of())).hasMessageContaining("does not set the layer");
    }
}
