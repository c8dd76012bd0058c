package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.pot.FirstMedium;

class OutcomeTest {

    private static final LocalDate JULY = LocalDate.of(2026, 7, 10);

    @Test
    void a_full_ball_has_rooted_on_its_mother_and_its_looks_say_how_long_it_took() {
        Carrow quince = new Carrow()
                .set()
                .look(JULY.minusDays(20), RootStage.INITIALS, 1)
                .look(JULY, RootStage.FILLED, 3);
        Outcome outcome = outcome(quince);
        assertThat(outcome.rooted()).isTrue();
        assertThat(outcome(new Carrow().set().look(JULY, RootStage.ROOTED, 2)).rooted())
                .isNull();
        assertThat(outcome.established()).isNull();
        assertThat(outcome.fullOn()).isEqualTo(JULY);
        assertThat(outcome.endedOn()).isNull();
        Interval toReady = Objects.requireNonNull(outcome.toReady());
        assertThat(toReady.low()).isCloseTo(thermalDays(quince, JULY.minusDays(20)), within(1e-9));
        assertThat(toReady.high()).isCloseTo(thermalDays(quince, JULY), within(1e-9));
        // four minutes for the ring, one a look
        assertThat(outcome.minutes()).isEqualTo(6);
    }

    @Test
    void what_was_lost_counts_as_not_full_at_its_last_look() {
        Carrow quince = new Carrow()
                .set()
                .look(JULY.minusDays(20), RootStage.NONE, 0)
                .look(JULY, RootStage.CALLUS, 0)
                .on(JULY.plusDays(9), new LayerRecord.Lost(LossCause.ANIMALS));
        Outcome outcome = outcome(quince);
        assertThat(outcome.rooted()).isFalse();
        assertThat(outcome.established()).isNull();
        assertThat(outcome.endedOn()).isEqualTo(JULY.plusDays(9));
        Interval toReady = Objects.requireNonNull(outcome.toReady());
        assertThat(toReady.isOpen()).isTrue();
        assertThat(toReady.low()).isCloseTo(thermalDays(quince, JULY), within(1e-9));
    }

    @Test
    void a_look_that_contradicts_is_believed_and_a_new_ring_begins_anew() {
        Carrow quince =
                new Carrow().set().look(JULY.minusDays(20), RootStage.FILLED, 3).look(JULY, RootStage.INITIALS, 1);
        assertThat(Objects.requireNonNull(outcome(quince).toReady()).isOpen()).isTrue();
        assertThat(outcome(quince).fullOn()).isNull();
        quince.on(JULY.plusDays(1), new LayerRecord.Rerung(30));
        assertThat(outcome(quince).toReady()).isNull();
        assertThat(outcome(quince).fullOn()).isNull();
        assertThat(outcome(quince).minutes())
                .as("looks at the old ring cost their time")
                .isEqualTo(6);
    }

    @Test
    void what_came_off_rooted_and_what_was_released_lived_on() {
        Carrow quince = new Carrow().set().look(JULY, RootStage.FILLED, 3).on(JULY, new LayerRecord.Severed(12, 6));
        assertThat(outcome(quince).rooted()).isTrue();
        assertThat(outcome(quince).established()).isNull();
        assertThat(outcome(quince).severedOn()).isEqualTo(JULY);
        quince.on(JULY, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 2000.0, null));
        quince.on(JULY.plusDays(60), new LayerRecord.Released(LayerRecord.Destination.SALE));
        assertThat(outcome(quince).established()).isTrue();
        assertThat(outcome(quince).endedOn()).isEqualTo(JULY.plusDays(60));

        Outcome lost = outcome(new Carrow()
                .set()
                .on(JULY, new LayerRecord.Severed(12, 6))
                .on(JULY.plusDays(30), new LayerRecord.Lost(LossCause.COLLAR_ROT)));
        assertThat(lost.rooted()).isTrue();
        assertThat(lost.established()).isFalse();
    }

    private static Outcome outcome(Carrow layer) {
        return Outcome.of(Replay.of(layer.journal()), Carrow.context(Carrow.QUINCE));
    }

    private static double thermalDays(Carrow layer, LocalDate day) {
        LayerState state = Replay.of(layer.journal());
        LayerContext context = Carrow.context(Carrow.QUINCE);
        return new HeatTrack(state, context).throughDay(day);
    }
}
