package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.OutOfRangeException;

/** Sums by what was cut and wrapped; the truths are worked by hand from the shape of an ellipsoid round a rod. */
class BallAsWrappedTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final Recipe FILM =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 2000, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0, 0);
    private static final Recipe BAG =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 2000, Medium.COIR, Wrap.SLIT_BAG, Cover.FOIL, 8, 250);

    @Test
    void a_wide_ring_on_a_thin_shoot_makes_the_ball_longer() {
        // three eighths of an inch ask for a ring of 20 mm and a ball of 70; 38 mm were cut
        RingAndBall made = FILM.ballAsMade(RULES, 9.525, false, 38.0, null);
        assertThat(made.ringMm()).isEqualTo(38);
        assertThat(made.ballLengthMm()).isEqualTo(88);
        double across = 9.525 + 2 * 29.525;
        assertThat(made.ballDiameterMm()).isEqualTo(across, within(1e-9));
        assertThat(made.mediumMl())
                .isEqualTo(88 * (Math.PI / 6 * across * across - Math.PI / 4 * 9.525 * 9.525) / 1000, within(1e-9));
    }

    @Test
    void a_bag_by_its_volume_keeps_the_proportions_that_were_asked_for() {
        RingAndBall asked = FILM.ball(RULES, 12, false, false);
        RingAndBall made = FILM.ballAsMade(RULES, 12, false, null, volume(450));
        assertThat(made.mediumMl()).isEqualTo(450);
        assertThat(made.ballLengthMm() / made.ballDiameterMm())
                .isEqualTo(asked.ballLengthMm() / asked.ballDiameterMm(), within(1e-9));
        assertThat(shape(made)).isEqualTo(450, within(1e-6));
        assertThat(made.ringMm()).isEqualTo(20);
    }

    @ParameterizedTest
    @CsvSource({"140,,450", ",90,450", "140,90,", "60,,", ",70,", "140,90,450"})
    void what_was_measured_stands_and_the_rest_follows(Double length, Double across, Double volume) {
        RingAndBall asked = FILM.ball(RULES, 12, false, false);
        RingAndBall made =
                FILM.ballAsMade(RULES, 12, false, null, new BallAsWrapped(length, across, volume, Tie.STRING));
        if (length != null) {
            assertThat(made.ballLengthMm()).isEqualTo(length);
        } else if (volume == null) {
            assertThat(made.ballLengthMm()).isEqualTo(asked.ballLengthMm());
        }
        if (across != null) {
            assertThat(made.ballDiameterMm()).isEqualTo(across);
        }
        if (volume != null) {
            assertThat(made.mediumMl()).isEqualTo(volume);
        }
        boolean allMeasured = length != null && across != null && volume != null;
        if (!allMeasured) {
            assertThat(shape(made)).isEqualTo(made.mediumMl(), within(1e-6));
        }
    }

    @Test
    void a_tie_alone_changes_no_sum() {
        assertThat(BAG.ballAsMade(RULES, 12, false, null, new BallAsWrapped(null, null, null, Tie.WIRE)))
                .isEqualTo(BAG.ball(RULES, 12, false, false));
    }

    @Test
    void a_bag_of_the_recipe_gives_way_to_the_one_that_was_taken() {
        assertThat(BAG.ballAsMade(RULES, 12, false, null, null).mediumMl()).isEqualTo(250);
        assertThat(BAG.ballAsMade(RULES, 12, false, null, volume(450)).mediumMl())
                .isEqualTo(450);
    }

    @Test
    void where_nothing_was_cut_the_ball_is_the_one_that_is_asked_for() {
        assertThat(FILM.ballAsMade(RULES, 16, false, 0.0, null)).isEqualTo(FILM.ball(RULES, 16, false, false));
    }

    @Test
    void a_ball_is_not_thinner_than_its_limb() {
        assertThatThrownBy(() -> FILM.ballAsMade(RULES, 40, false, null, new BallAsWrapped(null, 30.0, null, null)))
                .isInstanceOf(OutOfRangeException.class)
                .hasMessageContaining("acrossMm");
    }

    @ParameterizedTest
    @CsvSource({"9,,", "1001,,", ",4,", ",1001,", ",,0.5", ",,100001", "NaN,,", ",NaN,", ",,NaN"})
    void what_no_ball_is_is_refused(Double length, Double across, Double volume) {
        assertThatThrownBy(() -> new BallAsWrapped(length, across, volume, null))
                .isInstanceOf(OutOfRangeException.class);
    }

    private static BallAsWrapped volume(double ml) {
        return new BallAsWrapped(null, null, ml, null);
    }

    private static double shape(RingAndBall made) {
        double d = made.diameterMm();
        double across = made.ballDiameterMm();
        return made.ballLengthMm() * (Math.PI / 6 * across * across - Math.PI / 4 * d * d) / 1000;
    }
}
