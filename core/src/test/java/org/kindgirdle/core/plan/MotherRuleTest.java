package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.verdict.Level;

class MotherRuleTest {

    private static final MotherCapacity ROOMY = new MotherCapacity(60, 5, false, HouseRules.SHIPPED);

    @Test
    void a_sound_mother_has_nothing_against_it_and_every_rule_was_asked() {
        List<MotherRule.Entry> entries =
                MotherRule.check(facts(species(true, OwnRoots.GOOD, "", ""), Method.AIR, true, false));
        assertThat(entries).extracting(MotherRule.Entry::rule).containsExactly(MotherRule.values());
        assertThat(entries).extracting(MotherRule.Entry::level).containsOnly(Level.FINE);
    }

    @Test
    void a_ring_with_no_shoot_below_it_warns_where_the_trunk_resprouts_and_else_blocks() {
        assertThat(level(
                        MotherRule.NO_SHOOT_BELOW,
                        facts(species(true, OwnRoots.GOOD, "", ""), Method.AIR, false, false)))
                .isEqualTo(Level.WARN);
        assertThat(level(
                        MotherRule.NO_SHOOT_BELOW,
                        facts(species(false, OwnRoots.GOOD, "", ""), Method.AIR, false, false)))
                .isEqualTo(Level.BLOCK);
    }

    @Test
    void a_plant_buried_with_all_its_shoots_starves() {
        SpeciesProfile species = species(true, OwnRoots.GOOD, "", "");
        assertThat(level(MotherRule.EVERY_SHOOT_BURIED, facts(species, Method.POT_STOOL, true, true)))
                .isEqualTo(Level.BLOCK);
        assertThat(level(MotherRule.EVERY_SHOOT_BURIED, facts(species, Method.GROUND, true, true)))
                .isEqualTo(Level.BLOCK);
        assertThat(level(MotherRule.EVERY_SHOOT_BURIED, facts(species, Method.AIR, true, true)))
                .isEqualTo(Level.FINE);
    }

    @Test
    void retirement_sickness_and_missing_rights_block() {
        SpeciesProfile species = species(true, OwnRoots.GOOD, "", "");
        MotherFacts facts = new MotherFacts(species, Method.AIR, true, true, true, ROOMY, true, false);
        assertThat(level(MotherRule.RETIRED, facts)).isEqualTo(Level.BLOCK);
        assertThat(level(MotherRule.SICK, facts)).isEqualTo(Level.BLOCK);
        assertThat(level(MotherRule.RIGHTS, facts)).isEqualTo(Level.BLOCK);
    }

    @Test
    void what_the_profile_says_is_warned_of() {
        MotherFacts facts =
                facts(species(true, OwnRoots.FAIR, "a host of fire blight", "milky sap"), Method.AIR, true, false);
        assertThat(level(MotherRule.OWN_ROOTS, facts)).isEqualTo(Level.WARN);
        assertThat(level(MotherRule.REGULATED, facts)).isEqualTo(Level.WARN);
        assertThat(level(MotherRule.HAZARDS, facts)).isEqualTo(Level.CAUTION);
        MotherFacts crowded = new MotherFacts(
                facts.species(),
                Method.AIR,
                false,
                false,
                false,
                new MotherCapacity(9, 4, false, HouseRules.SHIPPED),
                true,
                false);
        assertThat(level(MotherRule.TOO_MANY, crowded)).isEqualTo(Level.WARN);
    }

    @Test
    void the_ideal_limb_gets_every_point_and_each_fault_costs() {
        Limb ideal = new Limb(13, Wood.ONE_TWO, 10, Vigour.STRONG, 12, true);
        LimbScore best = LimbScore.of(HouseRules.SHIPPED, ideal);
        assertThat(best.points()).isEqualTo(2 * LimbScore.Criterion.values().length);
        for (Limb worse : List.of(
                new Limb(13, Wood.THREE_FOUR, 10, Vigour.STRONG, 12, true),
                new Limb(30, Wood.ONE_TWO, 10, Vigour.STRONG, 12, true),
                new Limb(13, Wood.ONE_TWO, 50, Vigour.STRONG, 12, true),
                new Limb(13, Wood.ONE_TWO, 10, Vigour.NORMAL, 12, true),
                new Limb(13, Wood.ONE_TWO, 10, Vigour.STRONG, 3, true),
                new Limb(13, Wood.ONE_TWO, 10, Vigour.STRONG, 12, false))) {
            assertThat(LimbScore.of(HouseRules.SHIPPED, worse).points()).isEqualTo(best.points() - 1);
            assertThat(LimbScore.bestFirst(HouseRules.SHIPPED).compare(best, LimbScore.of(HouseRules.SHIPPED, worse)))
                    .isNegative();
        }
        LimbScore hopeless = LimbScore.of(HouseRules.SHIPPED, new Limb(60, Wood.OLDER, 90, Vigour.WEAK, 0, false));
        assertThat(hopeless.points()).isEqualTo(1);
        assertThat(hopeless.isSuitable()).isFalse();
        assertThat(BranchRule.checkAll(HouseRules.SHIPPED, new Limb(5, Wood.SOFT, 0, Vigour.NORMAL, 3, false)))
                .extracting(BranchRule.Entry::level)
                .containsExactly(Level.WARN, Level.WARN);
    }

    @Test
    void balls_on_one_limb_are_numbered_from_the_tip_with_room_nodes_and_leaves_between() {
        LimbLayout layout = LimbLayout.of(
                HouseRules.SHIPPED,
                List.of(
                        new LimbLayout.Ball("base", 900, 85, 0, 0),
                        new LimbLayout.Ball("tip", 300, 85, 3, 4),
                        new LimbLayout.Ball("middle", 580, 85, 1, 0)));
        assertThat(layout.fromTheTip()).extracting(LimbLayout.Ball::code).containsExactly("tip", "middle", "base");
        assertThat(layout.faults())
                .containsExactly(
                        new LimbLayout.Fault(LimbLayout.FaultKind.TOO_CLOSE, 1, 195),
                        new LimbLayout.Fault(LimbLayout.FaultKind.TOO_FEW_NODES, 2, 1),
                        new LimbLayout.Fault(LimbLayout.FaultKind.NO_LEAVES_BETWEEN, 2, 0));
        assertThat(layout.mayBeSevered("tip")).isTrue();
        assertThat(layout.mayBeSevered("base")).isFalse();
    }

    private static Level level(MotherRule rule, MotherFacts facts) {
        return MotherRule.check(facts).get(rule.ordinal()).level();
    }

    private static MotherFacts facts(SpeciesProfile species, Method method, boolean shootBelow, boolean buried) {
        return new MotherFacts(species, method, false, false, false, ROOMY, shootBelow, buried);
    }

    private static SpeciesProfile species(boolean resprouts, OwnRoots ownRoots, String regulated, String hazards) {
        return ProfileBuilder.quince()
                .resprouts(resprouts)
                .ownRoots(ownRoots)
                .cautions(regulated, hazards)
                .build();
    }
}
