package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.projection.Reprojection;
import org.springframework.stereotype.Service;

/** What is due, read from the index of the projections: only what a walk is planned from, not whole layers. */
@Service
public class DueLayers {

    /** Of those that have time. */
    public static final int MAX_COUNTED = 1000;

    private final LayerRows layers;

    DueLayers(LayerRows layers) {
        this.layers = layers;
    }

    /** A layer whose next job may not wait. */
    public record Due(
            String code,
            long motherId,
            @Nullable Long standsAt,
            Method method,
            String job,
            LocalDate from,
            LocalDate by,
            List<String> alsoDo) {}

    /** Where a layer stands, and what was found there last. */
    public record Seen(
            LayerPhase phase, RootStage stage, @Nullable Double fillPercent) {}

    /** Live layers whose job's last day lies before a day, in no order. */
    public List<Due> before(LocalDate day) {
        return layers.dueBefore(Reprojection.LIVE, day).stream()
                .map(DueLayers::due)
                .toList();
    }

    /** 1 January 1970 as the database counts days. */
    private static final int EPOCH = 719_528;

    private static Due due(LayerRows.DueRow row) {
        return new Due(
                row.code(),
                row.motherId(),
                row.standsAt(),
                row.method(),
                row.job(),
                day(row.from()),
                day(row.by()),
                alsoDo(row));
    }

    /** Thousands of jobs have nothing beside them. */
    private static List<String> alsoDo(LayerRows.DueRow row) {
        return row.alsoDo().isEmpty()
                ? List.of()
                : row.alsoDo().stream()
                        .sorted()
                        .map(Enum::name)
                        .filter(code -> !code.equals(row.job()))
                        .toList();
    }

    private static LocalDate day(int ofDatabase) {
        return LocalDate.ofEpochDay(ofDatabase - EPOCH);
    }

    /** What was found last on some layers, by code. */
    public Map<String, Seen> seen(Collection<String> codes) {
        return codes.isEmpty()
                ? Map.of()
                : layers.seen(codes).stream()
                        .collect(Collectors.toMap(
                                LayerRows.SeenRow::code, one -> new Seen(one.phase(), one.stage(), one.fillPercent())));
    }

    /** How many layers have a job whose last day is this or a later one; of more than that the most that are counted. */
    public long countFrom(LocalDate day) {
        return layers.countFrom(Reprojection.LIVE, day, MAX_COUNTED);
    }
}
