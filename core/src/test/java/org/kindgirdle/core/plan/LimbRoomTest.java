package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class LimbRoomTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final double BALL = 80;

    /** 1200 mm with a node and a leaf every 60 mm: the wanted four leaves end at 240 mm, the saw goes in at 1180. */
    private static final LimbRoom.Shape LIMB = new LimbRoom.Shape(1200, 20, 20);

    @Test
    void an_empty_limb_is_free_from_the_fourth_leaf_to_above_the_saw() {
        LimbRoom room = LimbRoom.of(RULES, LIMB, List.of(), BALL);
        assertThat(room.free()).containsExactly(new LimbRoom.Stretch(240, 1100));
        // each further one takes its ball and 200 mm: 240, 520, 800, 1080
        assertThat(room.more()).isEqualTo(4);
        assertThat(room.gapMm()).isEqualTo(200);
        assertThat(room.layout().fromTheTip()).isEmpty();
    }

    @Test
    void a_ball_keeps_its_gap_free_on_both_sides() {
        LimbRoom room = LimbRoom.of(RULES, LIMB, List.of(new LimbRoom.Standing("A", 480, 100)), BALL);
        // it stands from 620 to 720 from the tip
        assertThat(room.layout().fromTheTip()).containsExactly(new LimbLayout.Ball("A", 620, 100, 8, 8));
        assertThat(room.free()).containsExactly(new LimbRoom.Stretch(240, 340), new LimbRoom.Stretch(920, 1100));
        assertThat(room.more()).isEqualTo(2);
    }

    @Test
    void where_nodes_are_far_apart_they_make_the_gap() {
        LimbRoom room = LimbRoom.of(
                RULES, new LimbRoom.Shape(1200, 6, 24), List.of(new LimbRoom.Standing("A", 480, 100)), BALL);
        // two nodes of 200 mm each: nothing above it, and below it from 1120 on, which is past the saw
        assertThat(room.gapMm()).isEqualTo(400);
        assertThat(room.free()).isEmpty();
        assertThat(room.more()).isZero();
    }

    @Test
    void a_bare_or_a_short_limb_has_no_room() {
        assertThat(LimbRoom.of(RULES, new LimbRoom.Shape(1200, 20, 0), List.of(), BALL)
                        .more())
                .isZero();
        assertThat(LimbRoom.of(RULES, new LimbRoom.Shape(110, 4, 8), List.of(), BALL)
                        .free())
                .isEmpty();
    }

    @Test
    void what_was_cut_off_with_a_layer_is_gone_with_its_nodes_and_leaves() {
        assertThat(LIMB.cutBelow(RULES, 620)).isEqualTo(new LimbRoom.Shape(600, 10, 10));
        assertThat(LIMB.cutBelow(RULES, 620).cutBelow(RULES, 900)).isEqualTo(new LimbRoom.Shape(600, 10, 10));
        assertThat(LimbRoom.of(RULES, LIMB.cutBelow(RULES, 0), List.of(), BALL).more())
                .isZero();
    }

    @Test
    void balls_too_close_are_named_by_number_from_the_tip() {
        LimbRoom room = LimbRoom.of(
                RULES,
                LIMB,
                List.of(new LimbRoom.Standing("low", 300, 80), new LimbRoom.Standing("high", 500, 80)),
                BALL);
        assertThat(room.layout().fromTheTip()).extracting(LimbLayout.Ball::code).containsExactly("high", "low");
        assertThat(room.layout().faults())
                .containsExactly(new LimbLayout.Fault(LimbLayout.FaultKind.TOO_CLOSE, 1, 120));
    }

    /** Whatever stands there: a ball set where it is said to be free makes no fault and leaves room for one less. */
    @Test
    void what_is_set_where_it_is_free_is_without_fault() {
        Random random = new Random(20260710);
        for (int i = 0; i < 400; i++) {
            LimbRoom.Shape limb =
                    new LimbRoom.Shape(300 + random.nextInt(3000), 2 + random.nextInt(60), random.nextInt(80));
            double ball = 50 + random.nextInt(80);
            List<LimbRoom.Standing> standing = new ArrayList<>();
            LimbRoom room = LimbRoom.of(RULES, limb, standing, ball);
            int most = room.more();
            for (int set = 1; room.more() > 0; set++) {
                double fromTip = room.free().get(0).fromTipMm();
                standing.add(new LimbRoom.Standing("L" + set, limb.lengthMm() - fromTip - ball, ball));
                room = LimbRoom.of(RULES, limb, standing, ball);
                assertThat(room.layout().faults()).isEmpty();
                assertThat(room.more()).isEqualTo(most - set);
            }
            assertThat(room.layout().fromTheTip()).hasSize(most);
        }
    }
}
