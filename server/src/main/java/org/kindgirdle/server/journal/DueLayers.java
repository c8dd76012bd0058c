package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.kindgirdle.core.set.Method;
import org.springframework.stereotype.Service;

/** What is due, read from the index of the projections. */
@Service
public class DueLayers {

    private final LayerRepository layers;

    DueLayers(LayerRepository layers) {
        this.layers = layers;
    }

    /** A layer whose next job may not wait. */
    public record Due(
            String code, long motherId, Method method, String job, LocalDate from, LocalDate by, List<String> alsoDo) {}

    /** Live layers whose job's last day lies before a day, the most pressing first. */
    public List<Due> before(LocalDate day) {
        return layers.findByPhaseInAndJobByBeforeOrderByJobByAscIdAsc(Reprojection.LIVE, day).stream()
                .map(layer -> new Due(
                        layer.code,
                        layer.motherId,
                        layer.method,
                        Objects.requireNonNull(layer.job),
                        Objects.requireNonNullElse(layer.jobFrom, Objects.requireNonNull(layer.jobBy)),
                        Objects.requireNonNull(layer.jobBy),
                        Arrays.stream(layer.alsoDo.split(","))
                                .filter(code -> !code.isEmpty() && !code.equals(layer.job))
                                .toList()))
                .toList();
    }

    /** How many jobs can wait to a day or longer. */
    public long countFrom(LocalDate day) {
        return layers.countByPhaseInAndJobByGreaterThanEqual(Reprojection.LIVE, day);
    }
}
