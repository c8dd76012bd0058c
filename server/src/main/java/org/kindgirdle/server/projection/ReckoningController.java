package org.kindgirdle.server.projection;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How far the pass over all live layers is, over HTTP. */
@RestController
@RequestMapping("/api/v1/reckoning")
class ReckoningController {

    private final Reckoning reckoning;

    ReckoningController(Reckoning reckoning) {
        this.reckoning = reckoning;
    }

    @GetMapping
    Reckoning.Progress reckoningProgress() {
        return reckoning.progress();
    }
}
