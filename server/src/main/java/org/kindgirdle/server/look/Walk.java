package org.kindgirdle.server.look;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.look.RoundJob;
import org.kindgirdle.core.look.RoundMinutes;
import org.kindgirdle.core.look.RoundPlan;
import org.kindgirdle.server.formats.RoundSheet;
import org.kindgirdle.server.layers.DueLayers;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;

/** Plans what is due onto the rounds, and puts a day's walk into words. */
@Service
public class Walk {

    /** Beyond the three rounds that most nurseries have in so many days, a plan is not worth its name. */
    static final int DAYS_AHEAD = 14;

    /** More than anybody walks to in a day; what is beyond is counted, not listed. */
    private static final int MAX_LISTED = 500;

    private final DueLayers due;
    private final Words words;
    private final Phrases phrases;

    Walk(DueLayers due, Words words, Phrases phrases) {
        this.due = due;
        this.words = words;
        this.phrases = phrases;
    }

    /** What is due in the days ahead, and when it is done. */
    public record Planned(RoundPlan plan, Map<String, DueLayers.Due> byCode) {

        /** Null if that day has nothing to do. */
        RoundPlan.@Nullable Day on(LocalDate day) {
            return plan.days().stream()
                    .filter(one -> one.on().equals(day))
                    .findFirst()
                    .orElse(null);
        }
    }

    /** @param daysAhead that are planned for, today included */
    public Planned plan(NurserySnapshot nursery, int daysAhead) {
        List<DueLayers.Due> jobs = due.before(nursery.today().plusDays(daysAhead));
        Map<String, Double> minutes = new HashMap<>();
        List<RoundJob> planned = jobs.stream()
                .map(job -> new RoundJob(
                        job.code(),
                        place(nursery, job).walkingOrder(),
                        job.from().isAfter(job.by()) ? job.by() : job.from(),
                        job.by(),
                        minutes(nursery, job, minutes)))
                .toList();
        return new Planned(
                RoundPlan.of(
                        nursery.today(),
                        nursery.site().roundDays(),
                        nursery.site().roundMinutes(),
                        daysAhead,
                        planned),
                jobs.stream().collect(Collectors.toMap(DueLayers.Due::code, Function.identity(), (one, same) -> one)));
    }

    /** What is done beside the job takes its time too. @param known by code of a job, for thousands have the same few */
    private static double minutes(NurserySnapshot nursery, DueLayers.Due job, Map<String, Double> known) {
        double minutes = known.computeIfAbsent(job.job(), code -> RoundMinutes.of(nursery.rules(), code));
        for (String also : job.alsoDo()) {
            minutes += known.computeIfAbsent(also, code -> RoundMinutes.of(nursery.rules(), code));
        }
        return minutes;
    }

    /** The jobs of a day by place in walking order, at each place the overdue ones first. */
    List<RoundView.PlaceJobs> places(NurserySnapshot nursery, Planned planned, RoundPlan.Day day) {
        Map<PlaceView, List<RoundView.JobOnRound>> byPlace = new LinkedHashMap<>();
        nursery.walk().forEach(place -> byPlace.put(place, new ArrayList<>()));
        day.jobs().stream().limit(MAX_LISTED).forEach(job -> {
            DueLayers.Due one = Objects.requireNonNull(planned.byCode().get(job.id()));
            Objects.requireNonNull(byPlace.get(place(nursery, one))).add(view(nursery, one));
        });
        return byPlace.entrySet().stream()
                .filter(place -> !place.getValue().isEmpty())
                .map(place -> new RoundView.PlaceJobs(
                        Objects.requireNonNull(place.getKey().id()),
                        place.getKey().name(),
                        place.getValue().stream()
                                .sorted(Comparator.comparingLong(RoundView.JobOnRound::daysLate)
                                        .reversed())
                                .toList()))
                .toList();
    }

    private RoundView.JobOnRound view(NurserySnapshot nursery, DueLayers.Due one) {
        MotherView mother = nursery.mother(one.motherId());
        return new RoundView.JobOnRound(
                one.code(),
                nursery.species(mother.speciesCode()).profile().common(),
                mother.variety(),
                mother.code(),
                one.job(),
                words.job(one.job(), one.method()),
                one.by(),
                Math.max(0, ChronoUnit.DAYS.between(one.by(), nursery.today())),
                one.alsoDo().stream().map(words::job).toList());
    }

    /** The jobs of a day as they stand on paper. */
    RoundSheet onPaper(NurserySnapshot nursery, Planned planned, RoundPlan.Day day, Format format, boolean inches) {
        List<RoundView.PlaceJobs> jobs = places(nursery, planned, day);
        Map<String, DueLayers.Seen> seen = due.seen(jobs.stream()
                .flatMap(place -> place.jobs().stream())
                .map(RoundView.JobOnRound::code)
                .toList());
        List<RoundSheet.AtPlace> places = jobs.stream()
                .map(place -> new RoundSheet.AtPlace(
                        place.place(),
                        place.jobs().stream()
                                .map(job -> onPaper(job, Objects.requireNonNull(seen.get(job.code())), format))
                                .toList()))
                .toList();
        return new RoundSheet(
                phrases.say("round.title", Map.of("day", format.weekday(day.on()) + " " + format.day(day.on()))),
                phrases.say(
                        "round.sum",
                        Map.of(
                                "count", String.valueOf(day.jobs().size()),
                                "minutes", String.valueOf((int) Math.ceil(day.minutes())))),
                Arrays.stream(RootStage.values())
                        .map(stage -> phrases.say("stage." + stage))
                        .toList(),
                places,
                inches);
    }

    private RoundSheet.SheetLine onPaper(RoundView.JobOnRound job, DueLayers.Seen seen, Format format) {
        boolean onMother = seen.phase() == LayerPhase.ON_MOTHER;
        List<String> toDo = new ArrayList<>(List.of(job.label()));
        toDo.addAll(job.alsoDo());
        return new RoundSheet.SheetLine(
                job.code(),
                job.species() + " " + job.variety() + ", " + job.mother(),
                String.join("; ", toDo),
                job.daysLate() > 0
                        ? phrases.say("round.late", Map.of("days", String.valueOf(job.daysLate())))
                        : phrases.say("round.by", Map.of("day", format.day(job.by()))),
                onMother ? found(seen) : "",
                onMother);
    }

    private String found(DueLayers.Seen seen) {
        String stage = phrases.say("stage." + seen.stage());
        return seen.fillPercent() == null ? stage : stage + ", " + Math.round(seen.fillPercent()) + "%";
    }

    public static PlaceView place(NurserySnapshot nursery, DueLayers.Due job) {
        Long standsAt = job.standsAt();
        return nursery.place(standsAt == null ? nursery.mother(job.motherId()).placeId() : standsAt);
    }
}
