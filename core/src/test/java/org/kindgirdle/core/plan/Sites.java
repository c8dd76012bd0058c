package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.Hardiness;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Method;

/** Made-up places that a grower would recognise, and two plants. */
final class Sites {

    private static final List<Double> COOL_MIN =
            List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2);
    private static final List<Double> COOL_MAX =
            List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2);

    static final PlaceClimate MARITIME = new PlaceClimate(
            52,
            new MonthlyNormals(COOL_MIN, COOL_MAX),
            new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6)),
            -4.5,
            1,
            Map.of());

    static final PlaceClimate SOUTHERN = new PlaceClimate(
            -43,
            new MonthlyNormals(turned(COOL_MIN), turned(COOL_MAX)),
            new FrostCalendar(MonthDay.of(5, 8), MonthDay.of(4, 20), MonthDay.of(10, 14), MonthDay.of(11, 6)),
            -4.5,
            1,
            Map.of());

    /** Summers to 33 C, winters to -24 C. */
    static final PlaceClimate CONTINENTAL = new PlaceClimate(
            47,
            new MonthlyNormals(
                    List.of(-12.0, -10.5, -4.5, 4.0, 10.5, 15.0, 17.5, 16.0, 10.0, 3.5, -2.5, -9.0),
                    List.of(-3.5, -1.0, 6.0, 17.0, 24.0, 29.0, 32.5, 31.0, 24.5, 15.5, 5.5, -1.0)),
            new FrostCalendar(MonthDay.of(10, 12), MonthDay.of(9, 25), MonthDay.of(4, 22), MonthDay.of(5, 12)),
            -24,
            1,
            Map.of());

    /** Warm all year, never a frost, hottest before the rains. */
    static final PlaceClimate TROPICAL = new PlaceClimate(
            10,
            new MonthlyNormals(
                    List.of(20.5, 21.0, 22.5, 24.0, 24.5, 24.0, 23.5, 23.5, 23.5, 23.0, 22.0, 21.0),
                    List.of(29.5, 30.5, 31.5, 32.5, 32.0, 30.5, 30.0, 30.0, 30.5, 30.0, 29.5, 29.0)),
            null,
            18,
            1,
            Map.of());

    private Sites() {}

    static SpeciesProfile quince(double d50, boolean twoSeasons) {
        return ProfileBuilder.quince().time(d50).twoSeasons(twoSeasons).build();
    }

    /** A tender evergreen of warm places. */
    static SpeciesProfile tender() {
        return ProfileBuilder.quince()
                .time(30)
                .habit(Habit.EVERGREEN)
                .cardinals(12, 28, 40)
                .opensAt(18)
                .hardyTo(2)
                .build();
    }

    static SettingWindows windows(PlaceClimate climate, SpeciesProfile species, School school) {
        return windows(climate, species, RootingTime.ofProfile(species), school);
    }

    static SettingWindows windows(PlaceClimate climate, SpeciesProfile species, RootingTime time, School school) {
        ThermalSums sums = new ThermalSums(
                HouseRules.SHIPPED,
                climate,
                species.cardinals(),
                Exposure.PART,
                Cover.FOIL,
                Phenology.leafless(HouseRules.SHIPPED, climate, species).orElse(null),
                LocalDate.of(2025, 1, 1),
                LocalDate.of(2029, 12, 31));
        return new SettingWindows(
                HouseRules.SHIPPED,
                climate,
                species,
                Seasons.expected(HouseRules.SHIPPED, climate, species),
                time,
                sums,
                1,
                1,
                school,
                Hardiness.isHardy(
                        climate, species, Hardiness.rootKillC(HouseRules.SHIPPED, Method.AIR, RootStage.NONE)));
    }

    private static List<Double> turned(List<Double> months) {
        return IntStream.range(0, 12)
                .mapToObj(month -> months.get((month + 6) % 12))
                .toList();
    }
}
