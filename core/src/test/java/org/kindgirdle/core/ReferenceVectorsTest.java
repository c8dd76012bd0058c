package org.kindgirdle.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.VectorRows.Row;
import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.climate.Sun;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.LookNoise;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.learn.LearnedTime;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.learn.TwoShares;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepInputs;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.plan.NumbersWanted;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.set.HormoneMix;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;

/** Every sum against worked rows. {@code -Dvectors=DIR} reads other rows of the same files. */
class ReferenceVectorsTest {

    /** The search for the learned time is held to less: its own rows were found by a search too. */
    private static final double LEARNED = 1e-3;

    @ParameterizedTest
    @MethodSource
    void temperature_response(Row row) {
        row.agrees("rate", cardinals(row).rateAt(row.number("t_c")));
    }

    static Stream<Row> temperature_response() {
        return VectorRows.of("temperature_response");
    }

    @ParameterizedTest
    @MethodSource
    void daily_normal(Row row) {
        List<Double> months = new ArrayList<>();
        for (int month = 1; month <= 12; month++) {
            months.add(row.number("m" + month));
        }
        row.agrees("value_c", new MonthlyNormals(months, months).minC(row.integer("day_of_year")));
    }

    static Stream<Row> daily_normal() {
        return VectorRows.of("daily_normal");
    }

    @ParameterizedTest
    @MethodSource
    void day_progress(Row row) {
        DayTemperatures air = new DayTemperatures(row.number("tmin_c"), row.number("tmax_c"));
        Sun sun = Sun.over(row.number("latitude"), row.integer("day_of_year"));
        BallWarmth ball = BallWarmth.of(
                HouseRules.SHIPPED, air, sun, row.code(Exposure.class, "exposure"), row.code(Cover.class, "cover"));
        row.agrees("radiation_mj_m2", sun.radiationMjM2());
        row.agrees("day_length_h", sun.dayLengthH());
        row.agrees("thermal_days", cardinals(row).thermalDays(ball));
        row.agrees("ball_max_c", ball.maxC());
        row.agrees("vpd_kpa", air.vpdKpa(row.number("dew_depression_c")));
    }

    static Stream<Row> day_progress() {
        return VectorRows.of("day_progress");
    }

    @ParameterizedTest
    @MethodSource
    void ready_dates(Row row) {
        PlaceClimate climate = new PlaceClimate(
                row.number("latitude"),
                new MonthlyNormals(numbers(row.text("tmin_months")), numbers(row.text("tmax_months"))),
                null,
                0,
                1,
                Map.of());
        LocalDate setOn = LocalDate.parse(row.text("set_on"));
        double speed = row.number("speed");
        ThermalSums sums = new ThermalSums(
                HouseRules.SHIPPED,
                climate,
                cardinals(row),
                row.code(Exposure.class, "exposure"),
                row.code(Cover.class, "cover"),
                leafless(row),
                setOn.minusDays(37),
                setOn.plusDays(5));
        row.agrees("thermal_days_after_60", speed * sums.between(setOn, setOn.plusDays(60)));
        TimeToReady ready = TimeToReady.prior(row.number("d50"), row.number("sigma"));
        for (int percent : new int[] {10, 50, 90}) {
            Optional<LocalDate> day = sums.firstDayReaching(setOn, ready.quantile(percent / 100.0) / speed);
            assertThat(day.map(LocalDate::toString).orElse(""))
                    .as(row + " ready_" + percent)
                    .isEqualTo(row.text("ready_" + percent));
        }
    }

    static Stream<Row> ready_dates() {
        return VectorRows.of("ready_dates");
    }

    @ParameterizedTest
    @MethodSource
    void dates_from_looks(Row row) {
        List<StageSeen> looks = Arrays.stream(
                        row.text("looks_stage@thermal_days").split(" "))
                .filter(text -> !text.isBlank())
                .map(text -> text.split("@"))
                .map(parts ->
                        new StageSeen(RootStage.values()[Integer.parseInt(parts[0])], Double.parseDouble(parts[1])))
                .toList();
        LookNoise noise = new LookNoise(row.number("layer_spread"), row.number("eye_spread"), row.number("slip"));
        TimeToReady ready = TimeToReady.after(
                HouseRules.SHIPPED, noise, row.number("d50"), row.number("spread"), row.number("roots"), looks);
        row.agrees("roots_after", ready.roots());
        row.agrees("q10", ready.quantile(.1));
        row.agrees("q50", ready.quantile(.5));
        row.agrees("q90", ready.quantile(.9));
        row.agrees("full_by_now", ready.fullBy(row.number("now_thermal_days")));
        row.agrees("ready_by_now", ready.readyBy(row.number("now_thermal_days")));
    }

    static Stream<Row> dates_from_looks() {
        return VectorRows.of("dates_from_looks");
    }

    @ParameterizedTest
    @MethodSource
    void ring_and_ball(Row row) {
        RingAndBall cuts = RingAndBall.of(
                HouseRules.SHIPPED, row.number("diameter_mm"), row.is("bridges_readily"), row.is("bridged_before"));
        row.agrees("ring_mm", cuts.ringMm());
        row.agrees("ball_length_mm", cuts.ballLengthMm());
        row.agrees("ball_diameter_mm", cuts.ballDiameterMm());
        row.agrees("medium_ml", cuts.mediumMl());
        row.agrees("film_cm2", cuts.filmCm2());
    }

    static Stream<Row> ring_and_ball() {
        return VectorRows.of("ring_and_ball");
    }

    @ParameterizedTest
    @MethodSource
    void next_step(Row row) {
        NextStepInputs inputs = new NextStepInputs.Builder()
                .set(NextStepFact.CONDITIONS, conditions(row))
                .set(NextStepFact.LOOKED, row.is("looked"))
                .set(NextStepFact.STAGE, RootStage.values()[row.integer("stage")])
                .set(NextStepFact.COVERAGE, row.number("coverage"))
                .set(NextStepFact.WIDEST_GAP, row.integer("widest_gap_deg"))
                .set(NextStepFact.LOOK_OVERDUE, row.is("look_overdue"))
                .set(NextStepFact.STALLED_LOOKS, row.integer("stalled_looks"))
                .set(NextStepFact.ATTEMPTS, row.integer("attempts"))
                .set(NextStepFact.RESCORES, row.integer("rescores"))
                .set(NextStepFact.RESCORED_SINCE, row.is("rescored_since"))
                .set(NextStepFact.ROOTS_P, row.number("roots_p"))
                .set(NextStepFact.ROOTS_BEFORE, row.number("roots_before"))
                .set(NextStepFact.READY_P, row.number("p_ready"))
                .set(NextStepFact.WINDOW_P, row.number("window_p"))
                .set(NextStepFact.BARK_SLIPS, row.is("bark_slips"))
                .set(NextStepFact.GROWING, row.is("growing"))
                .set(NextStepFact.LEAFLESS, row.is("leafless"))
                .set(NextStepFact.EVERGREEN, row.is("evergreen"))
                .set(
                        NextStepFact.DAYS_TO_FROST,
                        row.text("days_to_frost").isEmpty() ? null : row.integer("days_to_frost"))
                .set(NextStepFact.HARD_FROST, row.is("hard_frost"))
                .set(NextStepFact.WINDOW_AHEAD, false)
                .set(NextStepFact.KILL_NEAR, false)
                .set(NextStepFact.LAST_FROST_AHEAD, row.is("last_frost_ahead"))
                .set(NextStepFact.ESTABLISH_DAYS, row.integer("establish_days"))
                .set(NextStepFact.HARDY, row.is("hardy"))
                .set(NextStepFact.DORMANT_ROOM, row.is("dormant_room"))
                .set(NextStepFact.WINTERED, row.is("wintered"))
                .set(NextStepFact.COVER, row.is("cover"))
                .set(NextStepFact.FRUIT_TO_KEEP, row.is("fruit_hold"))
                .set(NextStepFact.SPECIMEN, row.is("specimen"))
                .set(NextStepFact.BALL_DRIES, row.is("ball_dries"))
                .set(NextStepFact.SCHOOL, row.code(School.class, "school"))
                .build(HouseRules.SHIPPED);
        assertThat(NextStepRules.decide(inputs).step().name()).as(row.where()).isEqualTo(row.text("next_step"));
    }

    static Stream<Row> next_step() {
        return VectorRows.of("next_step");
    }

    @ParameterizedTest
    @MethodSource
    void recipe_factors(Row row) {
        RecipeFactors factors = RecipeFactors.of(
                HouseRules.SHIPPED,
                row.code(Difficulty.class, "difficulty"),
                Method.AIR,
                row.code(Wound.class, "wound"),
                row.code(Wood.class, "wood"),
                row.code(RootRun.class, "root_run"),
                row.code(Vigour.class, "vigour"),
                row.code(Medium.class, "medium"),
                row.number("hormone_ppm"),
                row.is("preformed_roots"));
        assertThat(factors.hormoneFit().name()).as(row.where()).isEqualTo(row.text("hormone_fit"));
        row.agrees("speed", factors.speed());
        row.agrees("odds", factors.odds());
    }

    static Stream<Row> recipe_factors() {
        return VectorRows.of("recipe_factors");
    }

    @ParameterizedTest
    @MethodSource
    void top_up(Row row) {
        TopUp topUp = TopUp.of(
                HouseRules.SHIPPED,
                row.number("medium_ml"),
                row.number("ball_length_mm"),
                row.number("ball_diameter_mm"),
                row.code(Medium.class, "medium"),
                row.code(Wrap.class, "wrap"),
                row.code(Exposure.class, "exposure"),
                row.is("shaded_cover"),
                row.number("vpd_kpa"),
                RootStage.values()[row.integer("stage")]);
        row.agrees("water_g", topUp.waterG());
        row.agrees("loss_g_per_day", topUp.lossGDay());
        row.agrees("raw_days", topUp.rawDays());
        assertThat(topUp.intervalDays()).as(row.where()).isEqualTo(row.integer("interval_days"));
    }

    static Stream<Row> top_up() {
        return VectorRows.of("top_up");
    }

    @ParameterizedTest
    @MethodSource
    void branch_load(Row row) {
        BranchLoad load = BranchLoad.of(
                HouseRules.SHIPPED,
                row.number("medium_ml"),
                row.code(Medium.class, "medium"),
                row.number("container_g"),
                row.number("branch_mm"),
                row.number("from_union_mm"),
                row.number("lean_deg"),
                row.code(Wood.class, "wood"));
        row.agrees("mass_g", load.massG());
        row.agrees("stress_mpa", load.stressMpa());
        row.agrees("utilisation", load.utilisation());
        row.agrees("deflection_mm", load.deflectionMm());
    }

    static Stream<Row> branch_load() {
        return VectorRows.of("branch_load");
    }

    @ParameterizedTest
    @MethodSource
    void compare_two(Row row) {
        TwoShares arms = new TwoShares(
                new Share(row.integer("rooted_a"), row.integer("set_a")),
                new Share(row.integer("rooted_b"), row.integer("set_b")));
        row.agrees("a_low", arms.a().low());
        row.agrees("a_high", arms.a().high());
        row.agrees("b_low", arms.b().low());
        row.agrees("b_high", arms.b().high());
        row.agrees("fisher_p", arms.fisherP());
    }

    static Stream<Row> compare_two() {
        return VectorRows.of("compare_two");
    }

    @ParameterizedTest
    @MethodSource
    void hormone_mix(Row row) {
        HormoneMix.Dilution mix =
                HormoneMix.dilute(row.number("stock_ppm"), row.number("target_ppm"), row.number("volume_ml"));
        row.agrees("stock_ml", mix.stockMl());
        row.agrees("diluent_ml", mix.diluentMl());
        row.agrees(
                "solid_mg",
                HormoneMix.solidMg(row.number("target_ppm"), row.number("volume_ml"), row.number("purity")));
    }

    static Stream<Row> hormone_mix() {
        return VectorRows.of("hormone_mix");
    }

    @ParameterizedTest
    @MethodSource
    void layers_needed(Row row) {
        Chances released = new Chances(row.number("root_alpha"), row.number("root_beta"))
                .then(new Chances(row.number("establish_alpha"), row.number("establish_beta")));
        row.agrees("alpha", released.alpha());
        row.agrees("beta", released.beta());
        assertThat(NumbersWanted.layers(released, row.integer("wanted"), row.number("confidence")))
                .as(row.where())
                .isEqualTo(row.integer("layers"));
    }

    static Stream<Row> layers_needed() {
        return VectorRows.of("layers_needed");
    }

    @ParameterizedTest
    @MethodSource
    void leaf_balance(Row row) {
        LeafBalance balance = LeafBalance.of(
                HouseRules.SHIPPED,
                LeafBalance.supplyCm2PerMl(HouseRules.SHIPPED),
                row.number("medium_ml"),
                row.number("fill"),
                RootStage.values()[row.integer("stage")],
                row.integer("leaves"),
                row.number("leaf_cm2"),
                row.number("vpd_kpa"),
                row.code(Shelter.class, "shelter"));
        row.agrees("supply_cm2", balance.supplyCm2());
        row.agrees("ratio", balance.ratio());
        assertThat(List.of(balance.carries(), balance.keep(), balance.remove()))
                .as(row.where())
                .containsExactly(row.integer("carries"), row.integer("keep"), row.integer("remove"));
    }

    static Stream<Row> leaf_balance() {
        return VectorRows.of("leaf_balance");
    }

    @ParameterizedTest
    @MethodSource
    void learned_time(Row row) {
        List<Interval> intervals = Arrays.stream(row.text("intervals_low:high").split(";"))
                .filter(text -> !text.isBlank())
                .map(text -> text.split(":"))
                .map(ends -> new Interval(
                        Double.parseDouble(ends[0]),
                        ends[1].equals("inf") ? Double.POSITIVE_INFINITY : Double.parseDouble(ends[1])))
                .toList();
        LearnedTime learned = LearnedTime.from(HouseRules.SHIPPED, row.number("d50"), intervals);
        row.agrees("mu", learned.mu(), LEARNED);
        row.agrees("sigma", learned.sigma(), LEARNED);
        row.agrees("median_thermal_days", learned.medianThermalDays(), LEARNED);
    }

    static Stream<Row> learned_time() {
        return VectorRows.of("learned_time");
    }

    @ParameterizedTest
    @MethodSource
    void pot_stability(Row row) {
        Stability stability = Stability.of(
                HouseRules.SHIPPED,
                row.number("mass_kg"),
                row.number("base_radius_m"),
                row.number("leaf_m2"),
                row.number("stem_height_m"),
                row.number("stem_diameter_m"),
                row.number("pot_height_m"),
                row.number("must_stand_m_s"));
        row.agrees("tips_at_m_s", stability.tipsAtMs());
        row.agrees("ballast_kg", stability.ballastKg());
    }

    static Stream<Row> pot_stability() {
        return VectorRows.of("pot_stability");
    }

    private static CardinalTemperatures cardinals(Row row) {
        return new CardinalTemperatures(row.number("base_c"), row.number("optimum_c"), row.number("ceiling_c"));
    }

    private static List<Double> numbers(String text) {
        return Arrays.stream(text.split(" ")).map(Double::valueOf).toList();
    }

    private static @Nullable DaysOfYear leafless(Row row) {
        return row.text("leafless_from_day").isEmpty()
                ? null
                : new DaysOfYear(row.integer("leafless_from_day"), row.integer("leafless_to_day"));
    }

    private static Set<Condition> conditions(Row row) {
        Set<Condition> found = EnumSet.noneOf(Condition.class);
        Map<String, Condition> columns = Map.of(
                "detached", Condition.DETACHED,
                "rot", Condition.ROT,
                "medium_lost", Condition.MEDIUM_LOST,
                "dry", Condition.DRY,
                "wrap_open", Condition.WRAP_OPEN,
                "slipped", Condition.SLIPPED,
                "top_wilted", Condition.TOP_WILTED,
                "bridged", Condition.BRIDGED);
        columns.forEach((column, condition) -> {
            if (row.is(column)) {
                found.add(condition);
            }
        });
        if (!row.is("top_alive")) {
            found.add(Condition.TOP_DEAD);
        }
        return found;
    }
}
