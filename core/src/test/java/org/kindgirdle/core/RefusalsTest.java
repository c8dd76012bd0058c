package org.kindgirdle.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.climate.Sun;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.learn.LearnedTime;
import org.kindgirdle.core.learn.Odds;
import org.kindgirdle.core.learn.ReadyCurve;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.learn.TrialSize;
import org.kindgirdle.core.look.RoundJob;
import org.kindgirdle.core.look.RoundPlan;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.plan.Cost;
import org.kindgirdle.core.plan.Effort;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbLayout;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.NumbersWanted;
import org.kindgirdle.core.plan.Prices;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.pot.PotChoice;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.ContainerFit;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.HormoneMix;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.sever.DayAhead;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;

/** Every number that can be given to the core, and what it does with one that is none. */
class RefusalsTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final RingAndBall BALL = RingAndBall.of(RULES, 18, false, false);
    private static final MediumMix MOSS = MediumMix.of("moss");
    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    /**
     * @param call takes the number
     * @param good a number that is taken
     * @param signed whether numbers below zero can be right
     */
    private record Input(String name, double good, boolean signed, DoubleConsumer call) {

        @Override
        public String toString() {
            return name;
        }
    }

    private static Input in(String name, double good, DoubleConsumer call) {
        return new Input(name, good, false, call);
    }

    private static Input signed(String name, double good, DoubleConsumer call) {
        return new Input(name, good, true, call);
    }

    static Stream<Input> inputs() {
        return Stream.of(climate(), growth(), plan(), set(), records(), later(), learn())
                .flatMap(one -> one);
    }

    private static Stream<Input> climate() {
        List<Double> mild = Collections.nCopies(12, 10.0);
        return Stream.of(
                signed("minimum", 5, x -> new DayTemperatures(x, 20)),
                signed("maximum", 25, x -> new DayTemperatures(10, x)),
                in("dew depression", 2, x -> new DayTemperatures(10, 20).vpdKpa(x)),
                in("peak", 8, x -> new BallWarmth(new DayTemperatures(10, 20), Sun.over(50, 180), x)),
                signed("latitude of the sun", 50, x -> Sun.over(x, 180)),
                signed("monthly minimum", 5, x -> new MonthlyNormals(months(x), mild)),
                signed("monthly maximum", 15, x -> new MonthlyNormals(mild, months(x))),
                signed("latitude", 50, x -> new PlaceClimate(x, normals(), null, -5, 1, Map.of())),
                signed("winter low", -5, x -> new PlaceClimate(50, normals(), null, x, 1, Map.of())),
                in("VPD factor", 1, x -> new PlaceClimate(50, normals(), null, -5, x, Map.of())),
                in("dew of a place", 1, x -> new PlaceClimate(50, normals(), null, -5, 1, x, Map.of(), Map.of())),
                in("wind", 4, x -> new PlaceClimate(50, normals(), null, -5, 1, 0, Map.of(), Map.of(DAY, x))));
    }

    private static Stream<Input> growth() {
        return Stream.of(
                signed("temperature of a ball", 15, x -> new CardinalTemperatures(5, 22, 36).rateAt(x)),
                in("thermal days to reach", 30, x -> sums().firstDayReaching(DAY, x)),
                signed("mean to warm to", 9, x -> place().warmsTo(x)),
                signed("mean to cool to", 9, x -> place().coolsTo(x)),
                signed("base", 5, x -> new CardinalTemperatures(x, 22, 36)),
                signed("optimum", 22, x -> new CardinalTemperatures(5, x, 36)),
                signed("ceiling", 36, x -> new CardinalTemperatures(5, 22, x)),
                in("d50 of a profile", 38, x -> species(x, .25, 9, 30, -20)),
                in("sigma of a profile", .25, x -> species(38, x, 9, 30, -20)),
                signed("opening mean", 9, x -> species(38, .25, x, 30, -20)),
                in("leaf", 30, x -> species(38, .25, 9, x, -20)),
                signed("hardiness", -20, x -> species(38, .25, 9, 30, x)),
                in("d50", 38, x -> TimeToReady.prior(x, .25)),
                in("sigma", .25, x -> TimeToReady.prior(38, x)),
                in("probability", .5, x -> TimeToReady.prior(38, .25).quantile(x)),
                in("thermal days asked", 30, x -> TimeToReady.prior(38, .25).fullBy(x)),
                in("thermal days seen", 30, x -> new StageSeen(RootStage.CALLUS, x)),
                in("share of the time", .7, x -> RootStage.at(RULES, x)),
                in("d50 known", 38, x -> new RootingTime(x, .25, 0)),
                in("sigma known", .25, x -> new RootingTime(38, x, 0)));
    }

    private static Stream<Input> plan() {
        return Stream.of(
                in("alpha", 7, x -> new Chances(x, 3)),
                in("beta", 3, x -> new Chances(7, x)),
                in("confidence", .9, x -> NumbersWanted.layers(new Chances(7, 3), 20, x)),
                in("limb diameter", 18, x -> new Limb(x, Wood.ONE_TWO, 10, Vigour.NORMAL, 8, true)),
                in("limb lean", 10, x -> new Limb(18, Wood.ONE_TWO, x, Vigour.NORMAL, 8, true)),
                in("ball from the tip", 300, x -> new LimbLayout.Ball("a", x, 85, 2, 2)),
                in("ball length", 85, x -> new LimbLayout.Ball("a", 300, x, 2, 2)),
                in("limb length", 900, x -> new LimbRoom.Shape(x, 10, 20)),
                in("ball from the union", 300, x -> new LimbRoom.Standing("a", x, 85)),
                in("cut from the union", 300, x -> new LimbRoom.Shape(900, 10, 20).cutBelow(RULES, x)),
                in("length of a standing ball", 85, x -> new LimbRoom.Standing("a", 300, x)),
                in("further ball", 85, x -> LimbRoom.of(RULES, new LimbRoom.Shape(900, 10, 20), List.of(), x)),
                in("in time", .8, x -> new LikelyNumber.UnderWay(true, x)),
                in("looks each", 3, x -> Effort.of(RULES, 10, false, x, 2, .8)),
                in("top-ups each", 3, x -> Effort.of(RULES, 10, false, 3, x, .8)),
                in("rooting", .8, x -> Effort.of(RULES, 10, false, 3, 2, x)),
                in("wage", 20, x -> new Prices(x, Map.of(), 1, 1, 1, 1, 1, 1)),
                in("price of moss", 2, x -> new Prices(20, Map.of("moss", x), 1, 1, 1, 1, 1, 1)),
                in("price of film", 2, x -> new Prices(20, Map.of(), x, 1, 1, 1, 1, 1)),
                in("price of foil", 2, x -> new Prices(20, Map.of(), 1, x, 1, 1, 1, 1)),
                in("price of a tie", 2, x -> new Prices(20, Map.of(), 1, 1, x, 1, 1, 1)),
                in("price of a pod", 2, x -> new Prices(20, Map.of(), 1, 1, 1, x, 1, 1)),
                in("price of a label", 2, x -> new Prices(20, Map.of(), 1, 1, 1, 1, x, 1)),
                in("price of hormone", 2, x -> new Prices(20, Map.of(), 1, 1, 1, 1, 1, x)),
                in("minutes of work", 90, x -> Cost.of(prices(), ShoppingList.of(RULES, List.of()), x)),
                in(
                        "released",
                        9,
                        x -> Cost.of(prices(), ShoppingList.of(RULES, List.of()), 1)
                                .perPlant(x)));
    }

    private static Stream<Input> set() {
        return Stream.of(
                in("diameter", 18, x -> RingAndBall.of(RULES, x, false, false)),
                in("ring", 27, x -> BridgingRisk.of(RULES, true, x, 18)),
                in("branch", 18, x -> BridgingRisk.of(RULES, true, 27, x)),
                in("medium on the limb", 300, x -> BranchLoad.of(RULES, x, Medium.MOSS, 0, 18, 300, 20, Wood.SOFT)),
                in("container", 50, x -> BranchLoad.of(RULES, 300, Medium.MOSS, x, 18, 300, 20, Wood.SOFT)),
                in("branch under load", 18, x -> BranchLoad.of(RULES, 300, Medium.MOSS, 0, x, 300, 20, Wood.SOFT)),
                in("from the union", 300, x -> BranchLoad.of(RULES, 300, Medium.MOSS, 0, 18, x, 20, Wood.SOFT)),
                in("lean", 20, x -> BranchLoad.of(RULES, 300, Medium.MOSS, 0, 18, 300, x, Wood.SOFT)),
                in("container volume", 300, x -> ContainerFit.of(RULES, x, 300)),
                in("ball volume", 300, x -> ContainerFit.of(RULES, 300, x)),
                signed("hottest ball", 30, x -> new CoverAdvice.Under(Cover.FOIL, 3, x)),
                in("warmth under a cover", 3, x -> new CoverAdvice.Under(Cover.FOIL, x, 30)),
                in("hormone", 3000, x -> HormoneFit.of(RULES, Difficulty.EASY, Wood.SOFT, x)),
                signed("ball that may cook", 30, x -> CoverAdvice.isTooHot(RULES, x)),
                in("percent", .3, HormoneMix::ppm),
                in("strength in percent", 3000, HormoneMix::percent),
                in("stock", 10_000, x -> HormoneMix.dilute(x, 3000, 100)),
                in("target", 3000, x -> HormoneMix.dilute(10_000, x, 100)),
                in("volume", 100, x -> HormoneMix.dilute(10_000, 3000, x)),
                in("target of a solid", 3000, x -> HormoneMix.solidMg(x, 100, .98)),
                in("volume of a solid", 100, x -> HormoneMix.solidMg(3000, x, .98)),
                in("purity", .98, x -> HormoneMix.solidMg(3000, 100, x)),
                in("parts", 3, x -> new MediumMix.Ingredient("moss", x, 1)),
                in("swelling", 5, x -> new MediumMix.Ingredient("moss", 1, x)),
                in("rate", 2, x -> new MediumMix.Additive("worm compost", x, MediumMix.DoseUnit.G)),
                in("litres", 3, MOSS::amounts),
                in("litres dosed", 3, MOSS::doses),
                in("medium of a container", 300, BALL::withMediumMl),
                in("minutes a layer", 4, RefusalsTest::batch),
                in("strength of a pack", 3000, x -> new HouseHormone("IBA", HouseHormone.Form.GEL, x, "", null)),
                in("volume of a container", 300, x -> container(x, 40, 90, 60)),
                in("mass of a container", 40, x -> container(300, x, 90, 60)),
                in("length of a container", 90, x -> container(300, 40, x, 60)),
                in("width of a container", 60, x -> container(300, 40, 90, x)),
                in("branch in a container", 18, x -> container(300, 40, 90, 60).mediumMl(x)),
                in("shoot under foil", 8, x -> RingAndBall.foilAlone(RULES, x)),
                in("what a recipe's container holds", 300, x -> recipe(3000, 0, x)),
                in("hormone of a recipe", 3000, x -> recipe(x, 0, 0)),
                in("container of a recipe", 40, x -> recipe(3000, x, 0)));
    }

    private static Stream<Input> records() {
        return Stream.of(
                in("recorded diameter", 18, x -> record(x, 27, 300, 20)),
                in("recorded ring", 27, x -> record(18, x, 300, 20)),
                in("recorded distance", 300, x -> record(18, 27, x, 20)),
                in("recorded lean", 20, x -> record(18, 27, 300, x)),
                in("fill", 40, x -> new LayerRecord.Looked(RootStage.ROOTED, Sectors.empty(), x, Set.of())),
                in("water", 40, LayerRecord.ToppedUp::new),
                in("new ring", 40, LayerRecord.Rerung::new));
    }

    private static Stream<Input> later() {
        HousePot pot = new HousePot("three litres", 190, 180, 3000, 90);
        return Stream.of(
                in("medium in a ball", 300, x -> topUp(x, 77, 94, 1)),
                in("length of a ball", 77, x -> topUp(300, x, 94, 1)),
                in("diameter of a ball", 94, x -> topUp(300, 77, x, 1)),
                in("VPD of a ball", 1, x -> topUp(300, 77, 94, x)),
                in("minutes of a job", 4, x -> new RoundJob("7KM-4X", 1, DAY, DAY, x)),
                in("minutes of a round", 90, x -> RoundPlan.of(DAY, Set.of(DAY.getDayOfWeek()), x, 7, List.of())),
                in("supply", 6, x -> balance(x, 300, .8, 30, 1)),
                in("medium of roots", 300, x -> balance(6, x, .8, 30, 1)),
                in("share rooted", .8, x -> balance(6, 300, x, 30, 1)),
                in("leaf at severance", 30, x -> balance(6, 300, .8, x, 1)),
                in("VPD at severance", 1, x -> balance(6, 300, .8, 30, x)),
                signed("maximum ahead", 24, x -> new DayAhead(DAY, 5, x, 30, 1, 3.0)),
                in("VPD ahead", 1, x -> new DayAhead(DAY, 5, 24, 30, x, 3.0)),
                in("wind ahead", 3, x -> new DayAhead(DAY, 5, 24, 30, 1, x)),
                in("pot diameter", 190, x -> new HousePot("pot", x, 180, 3000, 90)),
                in("pot depth", 180, x -> new HousePot("pot", 190, x, 3000, 90)),
                in("pot volume", 3000, x -> new HousePot("pot", 190, 180, x, 90)),
                in("pot mass", 90, x -> new HousePot("pot", 190, 180, 3000, x)),
                in("ball diameter", 94, x -> PotChoice.smallest(RULES, List.of(pot), x, 77, 300)),
                in("ball depth", 77, x -> PotChoice.smallest(RULES, List.of(pot), 94, x, 300)),
                in("ball volume", 300, x -> PotChoice.smallest(RULES, List.of(pot), 94, 77, x)),
                in("mass", 3, x -> Stability.of(RULES, x, .09, .2, .8, .015, .18, 8)),
                in("radius", .09, x -> Stability.of(RULES, 3, x, .2, .8, .015, .18, 8)),
                in("leaf area", .2, x -> Stability.of(RULES, 3, .09, x, .8, .015, .18, 8)),
                in("stem height", .8, x -> Stability.of(RULES, 3, .09, .2, x, .015, .18, 8)),
                in("stem diameter", .015, x -> Stability.of(RULES, 3, .09, .2, .8, x, .18, 8)),
                in("pot height", .18, x -> Stability.of(RULES, 3, .09, .2, .8, .015, x, 8)),
                in("wind asked", 8, x -> Stability.of(RULES, 3, .09, .2, .8, .015, .18, x)));
    }

    private static Stream<Input> learn() {
        Share none = new Share(0, 0);
        return Stream.of(
                in("d50 to learn from", 38, x -> LearnedTime.from(RULES, x, List.of())),
                in(
                        "thermal days of a curve",
                        30,
                        x -> ReadyCurve.of(List.of(new Interval(3, 40))).readyBy(x)),
                in("lower end", 3, x -> new Interval(x, 40)),
                in("odds of a recipe", 1, x -> Odds.rooting(RULES, Difficulty.EASY, x, none)),
                in("share of one arm", .6, x -> TrialSize.perArm(x, .8, .05, .8)),
                in("share of the other", .6, x -> TrialSize.perArm(.8, x, .05, .8)),
                in("significance", .05, x -> TrialSize.perArm(.6, .8, x, .8)),
                in("power", .8, x -> TrialSize.perArm(.6, .8, .05, x)));
    }

    @ParameterizedTest
    @MethodSource("inputs")
    void what_is_no_number_or_out_of_all_measure_is_refused_with_the_range(Input input) {
        assertThatCode(() -> input.call.accept(input.good)).doesNotThrowAnyException();
        List<Double> bad = new ArrayList<>(List.of(Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY));
        if (!input.signed) {
            bad.add(-1.0);
            bad.add(-Double.MIN_VALUE);
        }
        for (double value : bad) {
            Throwable refused = catchThrowable(() -> input.call.accept(value));
            assertThat(refused).as(input + " " + value).isInstanceOf(IllegalArgumentException.class);
            assertThat(refused.getMessage()).contains(String.valueOf(value)).contains("must");
        }
    }

    private static List<Double> months(double january) {
        List<Double> months = new ArrayList<>(Collections.nCopies(12, 10.0));
        months.set(0, january);
        return months;
    }

    private static PlaceClimate place() {
        return new PlaceClimate(50, normals(), null, -5, 1, Map.of());
    }

    private static ThermalSums sums() {
        return new ThermalSums(
                RULES, place(), new CardinalTemperatures(5, 22, 36), Exposure.PART, Cover.FOIL, null, DAY, DAY);
    }

    private static MonthlyNormals normals() {
        return new MonthlyNormals(Collections.nCopies(12, 5.0), Collections.nCopies(12, 15.0));
    }

    private static Prices prices() {
        return new Prices(20, Map.of(), 1, 1, 1, 1, 1, 1);
    }

    private static void batch(double minutes) {
        new ShoppingList.Batch(10, BALL, recipe(3000, 0, 0), MOSS, minutes);
    }

    private static Recipe recipe(double hormonePpm, double containerG, double containerMl) {
        return new Recipe(
                Method.AIR,
                Wound.RING_SCRAPED,
                hormonePpm,
                Medium.MOSS,
                Wrap.TIED_FILM,
                Cover.FOIL,
                containerG,
                containerMl);
    }

    private static HouseContainer container(double volumeMl, double massG, double lengthMm, double acrossMm) {
        return new HouseContainer("pod", Wrap.HINGED_POD, volumeMl, massG, lengthMm, acrossMm);
    }

    private static void record(double diameterMm, double ringMm, double fromUnionMm, double leanDeg) {
        new LayerRecord.Setting(
                diameterMm,
                ringMm,
                Wood.ONE_TWO,
                Position.BELOW_NODE,
                8,
                fromUnionMm,
                leanDeg,
                School.IN_LEAF,
                false,
                false,
                "",
                "");
    }

    private static void topUp(double mediumMl, double lengthMm, double diameterMm, double vpdKpa) {
        TopUp.of(
                RULES,
                mediumMl,
                lengthMm,
                diameterMm,
                Medium.MOSS,
                Wrap.TIED_FILM,
                Exposure.PART,
                true,
                vpdKpa,
                RootStage.ROOTED);
    }

    private static void balance(double supply, double mediumMl, double fill, double leafCm2, double vpdKpa) {
        LeafBalance.of(RULES, supply, mediumMl, fill, RootStage.FILLED, 12, leafCm2, vpdKpa, Shelter.MIST_TENT);
    }

    private static void species(double d50, double sigma, double opensAt, double leafCm2, double hardyToC) {
        ProfileBuilder.quince()
                .time(d50, sigma)
                .opensAt(opensAt)
                .leaf(leafCm2)
                .hardyTo(hardyToC)
                .build();
    }
}
