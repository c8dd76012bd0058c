package org.kindgirdle.server.pot;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.journal.Reprojection;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Potting over HTTP. */
@RestController
@RequestMapping("/api/v1")
class PottingController {

    private final DaysPotting day;
    private final PotAdvice advice;
    private final Reprojection reprojection;

    PottingController(DaysPotting day, PotAdvice advice, Reprojection reprojection) {
        this.day = day;
        this.advice = advice;
        this.reprojection = reprojection;
    }

    @GetMapping("/potting")
    PottingView potting() {
        reprojection.turnDay();
        return day.view();
    }

    @GetMapping("/layers/{code}/pot-advice")
    PotAdviceView advice(
            @PathVariable String code,
            @RequestParam(required = false) @Nullable Long placeId,
            @RequestParam(required = false) @Nullable @Within(low = 0, high = 20_000, unit = "mm") Double stemHeightMm,
            @RequestParam(required = false) @Nullable @Within(low = 0, high = 5000) Integer leaves) {
        return advice.of(
                LayerCode.parse(code).orElseThrow(() -> ProblemException.notFound("layer", code)),
                placeId,
                stemHeightMm,
                leaves);
    }
}
