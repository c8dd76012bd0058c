package org.kindgirdle.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What one record costs in the core, and what one change of weather costs before any layer is looked at. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class OneLayerBenchmark {

    private final LayerContext context = Nursery.context();
    private final List<LayerEvent> journal = Nursery.journals(4).get(3);
    private final LayerState state = Replay.of(journal);

    @Benchmark
    public LayerProjection forecast() {
        return Projector.project(state, context, Nursery.TODAY);
    }

    @Benchmark
    public LayerState replay() {
        return Replay.of(journal);
    }

    @Benchmark
    public ThermalSums thermalSumsOfThreeYears() {
        return Nursery.context().sums().apply(Cover.FOIL);
    }
}
