package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums over HTTP. They are posted, so that quantities may be typed with their units; nothing is written. */
@RestController
@RequestMapping("/api/v1/sums")
class SumsController {

    private final Sums sums;

    SumsController(Sums sums) {
        this.sums = sums;
    }

    @PostMapping("/hormone")
    SumsView.HormoneSums sumsOfHormone(@Valid @RequestBody SumsRequest.HormoneQuery query) {
        return sums.hormone(query);
    }

    @PostMapping("/ball")
    SumsView.BallSums sumsOfBall(@Valid @RequestBody SumsRequest.BallQuery query) {
        return sums.ball(query);
    }

    @PostMapping("/medium")
    SumsView.MediumSums sumsOfMedium(@Valid @RequestBody SumsRequest.MediumQuery query) {
        return sums.medium(query);
    }

    @PostMapping("/cover")
    SetPreview.CoverView sumsOfCover(@Valid @RequestBody SumsRequest.CoverQuery query) {
        return sums.cover(query);
    }
}
