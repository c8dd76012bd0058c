package org.kindgirdle.server.look;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.RoundPlan;
import org.kindgirdle.server.formats.RoundSheets;
import org.kindgirdle.server.layers.DueLayers;
import org.kindgirdle.server.layers.LayerChanges;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.kindgirdle.server.units.Units;
import org.kindgirdle.server.words.Format;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is due, by place in walking order. */
@RestController
@RequestMapping("/api/v1")
class RoundController {

    private final Snapshots snapshots;
    private final Walk walk;
    private final DueLayers due;
    private final LeafSeasons leaves;
    private final LayerChanges changes;
    private final Reprojection reprojection;
    private final BusinessClock clock;
    private final CurrentPerson person;

    RoundController(
            Snapshots snapshots,
            Walk walk,
            DueLayers due,
            LeafSeasons leaves,
            LayerChanges changes,
            Reprojection reprojection,
            BusinessClock clock,
            CurrentPerson person) {
        this.snapshots = snapshots;
        this.walk = walk;
        this.due = due;
        this.leaves = leaves;
        this.changes = changes;
        this.reprojection = reprojection;
        this.clock = clock;
        this.person = person;
    }

    /** @param on the day to walk, today if left out */
    @GetMapping("/round")
    @Transactional
    public RoundView round(@RequestParam(required = false) @Nullable LocalDate on) {
        reprojection.turnDay();
        NurserySnapshot nursery = snapshots.take();
        LocalDate today = nursery.today();
        LocalDate asked = asked(on, today);
        Walk.Planned planned = walk.plan(nursery, Walk.DAYS_AHEAD);
        RoundPlan.Day day = planned.on(asked);
        LocalDate next = today.plusDays(1);
        while (!nursery.site().roundDays().contains(next.getDayOfWeek())) {
            next = next.plusDays(1);
        }
        List<RoundView.DayAhead> ahead = planned.plan().days().stream()
                .filter(one -> !one.on().equals(today))
                .map(one -> new RoundView.DayAhead(
                        one.on(), one.isRoundDay(), one.jobs().size(), one.minutes()))
                .toList();
        long beyond = due.countFrom(today.plusDays(Walk.DAYS_AHEAD));
        long later = ahead.stream()
                        .filter(one -> one.on().isAfter(asked))
                        .mapToLong(RoundView.DayAhead::jobs)
                        .sum()
                + beyond;
        return RoundViewBuilder.builder()
                .today(today)
                .now(clock.now())
                .takenAt(clock.systemNow())
                .on(asked)
                .roundDay(nursery.site().roundDays().contains(asked.getDayOfWeek()))
                .nextRoundOn(next)
                .jobs(day == null ? 0 : day.jobs().size())
                .minutes(day == null ? 0 : day.minutes())
                .roundMinutes(nursery.site().roundMinutes())
                .overMinutes(day == null ? 0 : day.overMinutes())
                .later(later)
                .laterIsLeast(beyond == DueLayers.MAX_COUNTED)
                .places(day == null ? List.of() : walk.places(nursery, planned, day))
                .ahead(ahead)
                .leaves(leaves.asked(nursery))
                .doneToday(changes.today())
                .build();
    }

    /** The same on paper, with boxes to tick. */
    @GetMapping(value = "/round-sheet", produces = MediaType.APPLICATION_PDF_VALUE)
    @Transactional
    public ResponseEntity<byte[]> roundSheet(@RequestParam(required = false) @Nullable LocalDate on) {
        reprojection.turnDay();
        NurserySnapshot nursery = snapshots.take();
        LocalDate asked = asked(on, nursery.today());
        Walk.Planned planned = walk.plan(nursery, Walk.DAYS_AHEAD);
        RoundPlan.Day day = planned.on(asked);
        Units units = person.units();
        byte[] pdf = RoundSheets.of(walk.onPaper(
                nursery,
                planned,
                day == null ? new RoundPlan.Day(asked, true, List.of(), 0, 0) : day,
                new Format(units, nursery.today()),
                units == Units.US));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"round-" + asked + ".pdf\"")
                .body(pdf);
    }

    private static LocalDate asked(@Nullable LocalDate on, LocalDate today) {
        LocalDate asked = on == null ? today : on;
        LocalDate last = today.plusDays(Walk.DAYS_AHEAD - 1L);
        if (asked.isBefore(today) || asked.isAfter(last)) {
            throw ProblemException.invalid(
                    "on",
                    asked,
                    Refusals.say("between.allowed", "first", today, "last", last),
                    Refusals.say("round.on"));
        }
        return asked;
    }
}
