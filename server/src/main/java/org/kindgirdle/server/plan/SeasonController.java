package org.kindgirdle.server.plan;

import jakarta.validation.Valid;
import java.time.LocalDate;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The season over HTTP: is it time, and for what? */
@RestController
@RequestMapping("/api/v1/season")
class SeasonController {

    private final Season season;
    private final LayersWanted layersWanted;
    private final BusinessClock clock;

    SeasonController(Season season, LayersWanted layersWanted, BusinessClock clock) {
        this.season = season;
        this.layersWanted = layersWanted;
        this.clock = clock;
    }

    @GetMapping
    SeasonView season(@Valid @ParameterObject SeasonQuery query) {
        return season.year(query);
    }

    /** Every start date of the year, for one species. */
    @GetMapping("/starts")
    StartsView startDates(@Valid @ParameterObject SeasonQuery query, @RequestParam String speciesCode) {
        return season.starts(query, speciesCode);
    }

    /** How many layers plants that are wanted ask for. */
    @GetMapping("/numbers")
    NumbersView numbersToSet(@Valid @ParameterObject NumbersQuery query) {
        return layersWanted.of(query);
    }

    /** One start date with its reasons and what else could be done. */
    @GetMapping("/start")
    StartView startDate(
            @Valid @ParameterObject SeasonQuery query,
            @RequestParam String speciesCode,
            @RequestParam LocalDate startOn) {
        LocalDate first = clock.today().minusYears(2);
        LocalDate last = LocalDate.of(clock.today().getYear() + 1, 12, 31);
        if (startOn.isBefore(first) || startOn.isAfter(last)) {
            throw ProblemException.invalid(
                    "startOn",
                    startOn.toString(),
                    Refusals.say("between.allowed", "first", first, "last", last),
                    Refusals.say("window.startOn"));
        }
        return season.start(query, speciesCode, startOn);
    }
}
