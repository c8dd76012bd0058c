package org.kindgirdle.server.demo;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The demo's clock: it only goes forward. */
@RestController
@RequestMapping("/api/v1/demo-clock")
class DemoController {

    private final BusinessClock clock;

    DemoController(BusinessClock clock) {
        this.clock = clock;
    }

    record ClockView(@NotNull LocalDate today) {}

    @GetMapping
    ClockView demoClock() {
        return new ClockView(clock.today());
    }

    @PutMapping
    ClockView moveDemoClock(@Valid @RequestBody ClockView to) {
        if (!clock.isDemo()) {
            throw ProblemException.forbidden(Refusals.say("demo.only"));
        }
        LocalDate latest = DemoNursery.TODAY.plusYears(3);
        if (to.today().isAfter(latest) || !clock.moveTo(to.today())) {
            throw ProblemException.invalid(
                    "today",
                    to.today().toString(),
                    Refusals.say("between.allowed", "first", clock.today(), "last", latest),
                    Refusals.say("demo.clock"));
        }
        return demoClock();
    }
}
