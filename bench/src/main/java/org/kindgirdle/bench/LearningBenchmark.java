package org.kindgirdle.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.learn.LearnedTime;
import org.kindgirdle.core.learn.ReadyCurve;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What a nursery of many seasons learns: the fitted time and the curve with no shape, from every finished layer. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class LearningBenchmark {

    @Param({"1000", "20000"})
    private int layers;

    private final List<Interval> intervals = new ArrayList<>();

    @Setup
    public void look() {
        Random seeded = new Random(20260710);
        for (int i = 0; i < layers; i++) {
            double ready = 55 * Math.exp(.25 * seeded.nextGaussian());
            double low = ready * (.7 + .3 * seeded.nextDouble());
            intervals.add(new Interval(low, seeded.nextInt(6) == 0 ? Double.POSITIVE_INFINITY : ready * 1.15));
        }
    }

    @Benchmark
    public LearnedTime fitted() {
        return LearnedTime.from(HouseRules.SHIPPED, 60, intervals);
    }

    @Benchmark
    public ReadyCurve curve() {
        return ReadyCurve.of(intervals);
    }
}
