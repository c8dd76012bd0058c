package org.kindgirdle.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Three years of start dates for forty species, their thermal sums included. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class WindowTableBenchmark {

    private static final int SPECIES = 40;
    private static final LocalDate FROM = LocalDate.of(2026, 1, 1);

    @Benchmark
    public List<List<SettingWindow>> table() {
        PlaceClimate climate = Nursery.climate();
        List<List<SettingWindow>> table = new ArrayList<>();
        for (int i = 0; i < SPECIES; i++) {
            SpeciesProfile species = Nursery.species(30 + i);
            ThermalSums sums = new ThermalSums(
                    HouseRules.SHIPPED,
                    climate,
                    species.cardinals(),
                    Exposure.PART,
                    Cover.FOIL,
                    Phenology.leafless(HouseRules.SHIPPED, climate, species).orElse(null),
                    FROM,
                    FROM.plusYears(3));
            SettingWindows windows = new SettingWindows(
                    HouseRules.SHIPPED,
                    climate,
                    species,
                    Seasons.expected(HouseRules.SHIPPED, climate, species),
                    RootingTime.ofProfile(species),
                    sums,
                    1,
                    1,
                    School.IN_LEAF,
                    true);
            table.add(windows.between(FROM, FROM.plusYears(3)));
        }
        return table;
    }
}
