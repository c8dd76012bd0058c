package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.Wood;

class ReleaseByTest {

    private static final LayerContext CONTEXT = Carrow.context(Carrow.QUINCE);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    /** Early frost is 20 October: 28 days before it is 22 September, and the ladder takes 48 days in leaf. */
    @Test
    void nothing_is_released_with_frost_near_and_the_ladder_comes_before_it() {
        ReleaseBy late = ReleaseBy.of(CONTEXT, TODAY, LocalDate.of(2026, 12, 24));
        assertThat(late.lastRelease()).isEqualTo(LocalDate.of(2026, 9, 22));
        assertThat(late.readyBy()).isEqualTo(LocalDate.of(2026, 9, 22).minusDays(48));
        LocalDate summer = LocalDate.of(2026, 8, 20);
        assertThat(ReleaseBy.of(CONTEXT, TODAY, summer).lastRelease()).isEqualTo(summer);
    }

    @Test
    void the_latest_day_to_set_leaves_a_good_chance_and_the_next_one_does_not() {
        SettingWindows windows =
                CONTEXT.windows(Cover.FOIL, CONTEXT.factors(Wood.ONE_TWO), School.IN_LEAF, RootStage.NONE);
        ReleaseBy release = ReleaseBy.of(CONTEXT, TODAY, LocalDate.of(2027, 10, 1));
        LocalDate latest =
                release.latestSetOn(HouseRules.SHIPPED, windows, TODAY).orElseThrow();
        assertThat(windows.readyP(latest, release.readyBy())).isGreaterThanOrEqualTo(.8);
        assertThat(windows.readyP(latest.plusDays(1), release.readyBy())).isLessThan(.8);
        assertThat(ReleaseBy.of(CONTEXT, TODAY, TODAY.plusDays(20)).latestSetOn(HouseRules.SHIPPED, windows, TODAY))
                .isEmpty();
    }

    @Test
    void a_layer_on_its_mother_counts_with_the_chance_that_its_looks_leave() {
        ReleaseBy release = ReleaseBy.of(CONTEXT, TODAY, LocalDate.of(2026, 9, 22));
        LocalDate looked = LocalDate.of(2026, 7, 14);
        LikelyNumber.UnderWay blind = underWay(release, new Carrow().set(), looked);
        LikelyNumber.UnderWay full = underWay(release, new Carrow().set().look(looked, RootStage.FILLED, 3), looked);
        LikelyNumber.UnderWay nothing = underWay(release, new Carrow().set().look(looked, RootStage.NONE, 0), looked);
        assertThat(blind.rooted()).isFalse();
        assertThat(full.rooted()).isTrue();
        // an eye may err, if seldom
        assertThat(full.inTimeP()).isBetween(.99, 1.0);
        assertThat(nothing.inTimeP()).isLessThan(blind.inTimeP());
        assertThat(blind.looksSay()).isCloseTo(1, within(1e-9));
        assertThat(nothing.looksSay()).isLessThan(.5);
    }

    @Test
    void a_plant_on_the_ladder_is_in_time_if_the_rest_of_it_fits() {
        LocalDate severed = LocalDate.of(2026, 7, 20);
        Carrow plant = new Carrow()
                .set()
                .look(severed, RootStage.FILLED, 3)
                .on(severed, new LayerRecord.Severed(12, 6))
                .on(severed, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 3000.0, null));
        LocalDate there = severed.plusDays(48);
        assertThat(underWay(new ReleaseBy(there, there.minusDays(48)), plant, severed.plusDays(5)))
                .isEqualTo(new LikelyNumber.UnderWay(true, 1));
        assertThat(underWay(new ReleaseBy(there.minusDays(1), there.minusDays(49)), plant, severed.plusDays(5)))
                .isEqualTo(new LikelyNumber.UnderWay(true, 0));
    }

    private static LikelyNumber.UnderWay underWay(ReleaseBy release, Carrow journal, LocalDate today) {
        return release.underWay(Replay.of(journal.journal()), CONTEXT, today);
    }
}
