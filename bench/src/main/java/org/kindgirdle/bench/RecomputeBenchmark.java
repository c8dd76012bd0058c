package org.kindgirdle.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.kindgirdle.core.growth.TimeToReady;
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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** Dates, next look, top-up and next step of every live layer of one site, after a new day of weather. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RecomputeBenchmark {

    @Param({"1000", "10000", "100000"})
    private int layers;

    private List<LayerState> states = List.of();

    /** What their looks leave, kept with the layers: a new weather day does not change it. */
    private final List<TimeToReady> kept = new ArrayList<>();

    @Setup
    public void replay() {
        List<List<LayerEvent>> journals = Nursery.journals(layers);
        states = journals.stream().map(Replay::of).toList();
        LayerContext context = Nursery.context();
        for (LayerState state : states) {
            kept.add(kept(Projector.project(state, context, Nursery.TODAY)));
        }
    }

    private static TimeToReady kept(LayerProjection projection) {
        return Objects.requireNonNull(projection.forecast()).ready();
    }

    @Benchmark
    public void recompute(Blackhole sink) {
        LayerContext context = Nursery.context();
        for (int i = 0; i < states.size(); i++) {
            sink.consume(Projector.project(states.get(i), context.keeping(kept.get(i)), Nursery.TODAY));
        }
    }
}
