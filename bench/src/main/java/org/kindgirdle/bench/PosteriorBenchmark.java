package org.kindgirdle.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.kindgirdle.core.growth.LookNoise;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What three looks leave of the time to a full ball. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PosteriorBenchmark {

    private static final LookNoise NOISE = LookNoise.of(HouseRules.SHIPPED);

    private final List<StageSeen> looks = List.of(
            new StageSeen(RootStage.CALLUS, 25),
            new StageSeen(RootStage.INITIALS, 38),
            new StageSeen(RootStage.ROOTED, 52));

    @Benchmark
    public TimeToReady threeLooks() {
        return TimeToReady.after(HouseRules.SHIPPED, NOISE, 60, .35, .8, looks);
    }
}
