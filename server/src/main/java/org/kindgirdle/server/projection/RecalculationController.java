package org.kindgirdle.server.projection;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How far the pass over all live layers is, over HTTP. */
@RestController
@RequestMapping("/api/v1/recalculation")
class RecalculationController {

    private final Recalculation recalculation;

    RecalculationController(Recalculation recalculation) {
        this.recalculation = recalculation;
    }

    @GetMapping
    Recalculation.Progress recalculationProgress() {
        return recalculation.progress();
    }
}
