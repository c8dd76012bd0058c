package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.hipparchus.special.Erf;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

class TimeToReadyTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final LookNoise NOISE = LookNoise.of(HouseRules.SHIPPED);

    private static TimeToReady after(double d50, double spread, double roots, StageSeen... looks) {
        return TimeToReady.after(HouseRules.SHIPPED, NOISE, d50, spread, roots, List.of(looks));
    }

    @Test
    void quantiles_and_probabilities_undo_each_other() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            double d50 = 15 + 200 * random.nextDouble();
            double spread = .1 + .4 * random.nextDouble();
            double truth = d50 * Math.exp(spread * random.nextGaussian());
            List<StageSeen> looks = new ArrayList<>();
            double g = 0;
            for (int look = 0; look < random.nextInt(5); look++) {
                g += truth * (.05 + .4 * random.nextDouble());
                looks.add(new StageSeen(RootStage.at(HouseRules.SHIPPED, g / truth), g));
            }
            TimeToReady ready = TimeToReady.after(HouseRules.SHIPPED, NOISE, d50, spread, .7, looks);
            double last = 0;
            for (double p : new double[] {.02, .1, .5, .9, .98}) {
                double q = ready.quantile(p);
                assertThat(q).isGreaterThanOrEqualTo(last);
                assertThat(ready.fullBy(q)).isCloseTo(p, within(1e-6));
                last = q;
            }
            assertThat(ready.readyBy(1e6)).isCloseTo(ready.roots(), within(1e-9));
        }
    }

    /** Layers whose truth is drawn, and looks that err as eyes do: the range holds as often as it says. */
    @Test
    void four_in_five_lie_within_the_range_that_says_so() {
        Random random = new Random(20260710);
        int within = 0;
        int rooted = 0;
        double said = 0;
        int layers = 3000;
        int stillOpen = 0;
        for (int i = 0; i < layers; i++) {
            boolean roots = random.nextDouble() < .7;
            double truth = 60 * Math.exp(.35 * random.nextGaussian());
            double own = .12 * random.nextGaussian();
            List<StageSeen> looks = new ArrayList<>();
            for (double g : new double[] {25, 40, 55}) {
                looks.add(new StageSeen(roots ? seen(random, truth, own, g) : never(random), g));
            }
            TimeToReady ready = TimeToReady.after(HouseRules.SHIPPED, NOISE, 60, .35, .7, looks);
            said += ready.roots();
            if (roots) {
                rooted++;
                within += truth >= ready.quantile(.1) && truth <= ready.quantile(.9) ? 1 : 0;
                stillOpen += ready.quantile(.9) > 55 ? 1 : 0;
            }
        }
        assertThat(within / (double) rooted).isBetween(.77, .83);
        assertThat(said / layers).isCloseTo(.7, within(.02));
        assertThat(stillOpen).isGreaterThan(rooted / 3);
    }

    private static RootStage seen(Random random, double truth, double own, double g) {
        RootStage found = RootStage.NONE;
        for (RootStage stage : RootStage.values()) {
            double early = stage.isAtLeast(RootStage.FILLED) ? 0 : own;
            double begins = Math.max(1e-9, stage.beginsAt(HouseRules.SHIPPED)) * truth * Math.exp(early);
            if (g * Math.exp(.08 * random.nextGaussian()) >= begins) {
                found = stage;
            }
        }
        double slip = random.nextDouble();
        int shift = slip < .025 ? -1 : slip < .05 ? 1 : 0;
        return RootStage.values()[Math.max(0, Math.min(5, found.ordinal() + shift))];
    }

    private static RootStage never(Random random) {
        double at = random.nextDouble();
        return at < .55
                ? RootStage.NONE
                : at < .9 ? RootStage.CALLUS : at < .98 ? RootStage.INITIALS : RootStage.ROOTED;
    }

    /** Issue: one callus look at five weeks moved a magnolia from 2028 to next month. */
    @Test
    void one_look_that_may_err_does_not_move_a_slow_plant_by_years() {
        TimeToReady magnolia = TimeToReady.prior(160, .45, .4);
        TimeToReady looked = after(160, .45, .4, new StageSeen(RootStage.CALLUS, 18));
        assertThat(looked.quantile(.5)).isGreaterThan(.45 * magnolia.quantile(.5));
        assertThat(looked.quantile(.9)).isGreaterThan(1.5 * looked.quantile(.5) * .8);
        // a second look that finds the same much later is no contradiction: the layer is slower, or never roots
        TimeToReady again =
                after(160, .45, .4, new StageSeen(RootStage.CALLUS, 18), new StageSeen(RootStage.CALLUS, 50));
        assertThat(again.quantile(.5)).isGreaterThan(looked.quantile(.5));
        assertThat(again.roots()).isLessThan(looked.roots());
    }

    @Test
    void nothing_seen_for_long_speaks_for_never() {
        double last = .9;
        for (double g : new double[] {20, 40, 60, 90}) {
            double roots = after(60, .35, .9, new StageSeen(RootStage.NONE, g)).roots();
            assertThat(roots).isLessThan(last);
            last = roots;
        }
        assertThat(last).isLessThan(.05);
        assertThat(after(60, .35, .9, new StageSeen(RootStage.FILLED, 60)).roots())
                .isGreaterThan(.99);
    }

    @Test
    void looks_beyond_all_reason_leave_what_was_believed() {
        TimeToReady odd =
                after(40, .2, .7, new StageSeen(RootStage.MATURE, .001), new StageSeen(RootStage.NONE, 90_000));
        assertThat(odd.roots()).isBetween(0.0, 1.0);
        assertThat(odd.quantile(.1)).isPositive();
        assertThat(odd.quantile(.9)).isGreaterThanOrEqualTo(odd.quantile(.1));
        assertThat(odd.fullBy(40)).isBetween(0.0, 1.0);
    }

    @Test
    void the_stages_to_be_found_add_up_and_follow_the_heat() {
        TimeToReady time = TimeToReady.prior(40, .2);
        RootStage likeliestBefore = RootStage.NONE;
        for (double g = 0; g <= 80; g += 2) {
            Map<RootStage, Double> odds = time.stages(HouseRules.SHIPPED, g);
            assertThat(odds.values().stream().mapToDouble(Double::doubleValue).sum())
                    .isCloseTo(1, within(1e-9));
            RootStage likeliest = Collections.max(odds.entrySet(), Map.Entry.comparingByValue())
                    .getKey();
            assertThat(likeliest).isGreaterThanOrEqualTo(likeliestBefore);
            likeliestBefore = likeliest;
        }
        // a full ball is what is full or older: half of them at the median
        Map<RootStage, Double> odds = time.stages(HouseRules.SHIPPED, 40);
        assertThat(odds.get(RootStage.FILLED) + odds.get(RootStage.MATURE)).isCloseTo(.5, within(1e-9));
        assertThat(time.stages(HouseRules.SHIPPED, 0).get(RootStage.NONE)).isCloseTo(1, within(1e-9));
        assertThat(TimeToReady.prior(40, .2, .5).stages(HouseRules.SHIPPED, 90).get(RootStage.NONE))
                .isCloseTo(.275, within(1e-3));
    }

    @Test
    void the_tabulated_normal_is_the_normal() {
        for (double z = -36.9; z <= 10; z += .000_37) {
            double exact = Erf.erfc(-z / Math.sqrt(2)) / 2;
            assertThat(NormalTable.upTo(z)).isCloseTo(exact, within(z < -5 ? 1e-10 * exact : 1e-13));
        }
    }

    @Test
    void what_was_worked_out_is_known_again_by_what_it_rests_on() {
        StageSeen look = new StageSeen(RootStage.CALLUS, 20);
        TimeToReady ready = after(40, .3, .8, look);
        assertThat(ready.isAfter(RULES, NOISE, 40, .3, .8, List.of(look))).isTrue();
        assertThat(ready.isAfter(RULES, NOISE, 40, .3, .8, List.of())).isFalse();
        assertThat(ready.isAfter(RULES, NOISE, 41, .3, .8, List.of(look))).isFalse();
        assertThat(ready.isAfter(RULES, new LookNoise(.12, .08, .1), 40, .3, .8, List.of(look)))
                .isFalse();
        // a figure the posterior rests on, changed by the owner, leaves nothing kept standing
        for (String code : List.of("stage.CALLUS.begins", "stage.MATURE.begins", "never.CALLUS")) {

            HouseRules changed = RULES.with(code, RULES.of(Rule.of(code)) * 1.05);
            assertThat(ready.isAfter(changed, NOISE, 40, .3, .8, List.of(look)))
                    .as(code)
                    .isFalse();
        }
    }

    @Test
    void what_is_kept_as_bytes_is_the_same_again_and_what_is_not_understood_is_nothing() {
        TimeToReady ready =
                after(40, .3, .8, new StageSeen(RootStage.CALLUS, 20), new StageSeen(RootStage.INITIALS, 28));
        byte[] bytes = Objects.requireNonNull(KeptTime.bytes(ready));
        TimeToReady again = Objects.requireNonNull(KeptTime.read(bytes));
        assertThat(again).isEqualTo(ready);
        assertThat(again.roots()).isEqualTo(ready.roots());
        for (double p = .05; p < 1; p += .05) {
            assertThat(again.quantile(p)).isEqualTo(ready.quantile(p));
        }
        assertThat(KeptTime.bytes(TimeToReady.prior(40, .3))).isNull();
        assertThat(KeptTime.read(null)).isNull();
        assertThat(KeptTime.read(new byte[] {9, 1, 2})).isNull();
        assertThat(KeptTime.read(Arrays.copyOf(bytes, bytes.length - 3))).isNull();
        assertThat(KeptTime.read(Arrays.copyOf(bytes, bytes.length + 3))).isNull();
    }

    @Test
    void not_a_number_is_refused() {
        assertThatThrownBy(() -> TimeToReady.prior(Double.NaN, .3)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> TimeToReady.prior(40, .3).quantile(Double.NaN)).hasMessageContaining("NaN");
    }
}
