package org.kindgirdle.server.look;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.core.look.RoundMinutes;
import org.kindgirdle.server.journal.DueLayers;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Reprojection;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.PlaceView;
import org.kindgirdle.server.words.Words;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is due today, by place in walking order. */
@RestController
@RequestMapping("/api/v1/round")
class RoundController {

    private final Snapshots snapshots;
    private final DueLayers due;
    private final Reprojection reprojection;
    private final Words words;

    RoundController(Snapshots snapshots, DueLayers due, Reprojection reprojection, Words words) {
        this.snapshots = snapshots;
        this.due = due;
        this.reprojection = reprojection;
        this.words = words;
    }

    /**
     * @param roundDay whether today is one
     * @param nextRoundOn the next round day after today: what can wait till then is not here
     * @param minutes estimated for all that is here
     * @param later how many jobs can wait
     */
    record RoundView(
            LocalDate today,
            boolean roundDay,
            LocalDate nextRoundOn,
            double minutes,
            int roundMinutes,
            long later,
            List<PlaceJobs> places) {}

    record PlaceJobs(long placeId, String place, List<RoundJob> jobs) {}

    /**
     * @param daysLate past the last day it may wait to; 0 if it is not
     * @param alsoDo words for what is to be done beside
     */
    record RoundJob(
            String code,
            String species,
            String variety,
            String mother,
            String job,
            String label,
            LocalDate by,
            long daysLate,
            List<String> alsoDo) {}

    @GetMapping
    @Transactional
    public RoundView round() {
        reprojection.turnDay();
        NurserySnapshot nursery = snapshots.take();
        LocalDate today = nursery.today();
        Set<DayOfWeek> days = nursery.site().roundDays();
        LocalDate next = today.plusDays(1);
        while (!days.contains(next.getDayOfWeek())) {
            next = next.plusDays(1);
        }
        Map<Long, List<RoundJob>> byPlace = new LinkedHashMap<>();
        nursery.walk().forEach(place -> byPlace.put(key(place), new ArrayList<>()));
        double minutes = 0;
        for (DueLayers.Due one : due.before(next)) {
            MotherView mother = nursery.mother(one.motherId());
            minutes += RoundMinutes.of(nursery.rules(), one.job());
            byPlace.get(mother.placeId())
                    .add(new RoundJob(
                            one.code(),
                            nursery.species(mother.speciesCode()).profile().common(),
                            mother.variety(),
                            mother.code(),
                            one.job(),
                            words.job(one.job(), one.method()),
                            one.by(),
                            Math.max(0, ChronoUnit.DAYS.between(one.by(), today)),
                            one.alsoDo().stream().map(words::job).toList()));
        }
        List<PlaceJobs> places = nursery.walk().stream()
                .filter(place -> !byPlace.get(key(place)).isEmpty())
                .map(place -> new PlaceJobs(key(place), place.name(), byPlace.get(key(place))))
                .toList();
        return new RoundView(
                today,
                days.contains(today.getDayOfWeek()),
                next,
                minutes,
                nursery.site().roundMinutes(),
                due.countFrom(next),
                places);
    }

    private static long key(PlaceView place) {
        if (place.id() == null) {
            throw new IllegalStateException("a stored place without an id");
        }
        return place.id();
    }
}
