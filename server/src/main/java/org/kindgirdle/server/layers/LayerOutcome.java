package org.kindgirdle.server.layers;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.Predicate;
import jakarta.persistence.criteria.Root;
import java.util.List;
import java.util.function.BiFunction;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Reprojection;

/** What became of a layer, to narrow a list or a table by. */
public enum LayerOutcome {
    /** released or lost */
    FINISHED((layer, cb) -> layer.get("phase").in(List.of(LayerPhase.RELEASED, LayerPhase.LOST))),
    /** neither */
    UNDER_WAY((layer, cb) -> layer.get("phase").in(Reprojection.LIVE)),
    /** it is known whether it rooted */
    ROOTING_KNOWN((layer, cb) -> layer.get("rooted").isNotNull()),
    ROOTED((layer, cb) -> cb.isTrue(layer.get("rooted"))),
    NOT_ROOTED((layer, cb) -> cb.isFalse(layer.get("rooted"))),
    /** it is known whether it lived on after severance */
    ESTABLISHING_KNOWN((layer, cb) -> layer.get("established").isNotNull()),
    ESTABLISHED((layer, cb) -> cb.isTrue(layer.get("established"))),
    LOST_AFTER_SEVERANCE((layer, cb) -> cb.isFalse(layer.get("established"))),
    /** a look found the ball full */
    SEEN_FULL((layer, cb) -> layer.get("fullOn").isNotNull());

    private final BiFunction<Root<Layer>, CriteriaBuilder, Predicate> condition;

    LayerOutcome(BiFunction<Root<Layer>, CriteriaBuilder, Predicate> condition) {
        this.condition = condition;
    }

    Predicate of(Root<Layer> layer, CriteriaBuilder cb) {
        return condition.apply(layer, cb);
    }
}
