package org.kindgirdle.server.pot;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.core.units.Dimension;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Quantity;
import org.kindgirdle.core.units.QuantityFormatException;
import org.kindgirdle.core.units.Require;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Potting over HTTP. */
@RestController
@RequestMapping("/api/v1")
class PottingController {

    private static final double MAX_STEM_MM = 20_000;

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

    /** @param stemHeight above the pot, a length with its unit */
    @GetMapping("/layers/{code}/pot-advice")
    PotAdviceView potAdvice(
            @PathVariable String code,
            @RequestParam(required = false) @Nullable Long placeId,
            @RequestParam(required = false) @Nullable String stemHeight,
            @RequestParam(required = false) @Nullable @Within(low = 0, high = 5000) Integer leaves) {
        return advice.of(
                LayerCode.parse(code).orElseThrow(() -> ProblemException.notFound("layer", code)),
                placeId,
                stemHeight == null ? null : heightMm(stemHeight),
                leaves);
    }

    private static double heightMm(String typed) {
        try {
            return Require.within(
                    "stemHeight", Quantity.parse(Dimension.LENGTH, typed).doubleValue(), 0, MAX_STEM_MM);
        } catch (QuantityFormatException | OutOfRangeException refused) {
            throw ProblemException.invalid(
                    "stemHeight", typed, Refusals.say("pot.stemHeight.allowed"), Refusals.say("pot.stemHeight"));
        }
    }
}
