package org.kindgirdle.server.projection;

import org.kindgirdle.server.opening.BeforeServing;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Layers written before their outcome was kept with them are worked out once. */
@Component
@Order(1)
class OutcomesOfOld implements BeforeServing {

    private final LayerRepository layers;
    private final Rebuild rebuild;

    OutcomesOfOld(LayerRepository layers, Rebuild rebuild) {
        this.layers = layers;
        this.rebuild = rebuild;
    }

    @Override
    public void prepare() {
        if (layers.existsByMinutesIsNull()) {
            rebuild.run();
        }
    }
}
