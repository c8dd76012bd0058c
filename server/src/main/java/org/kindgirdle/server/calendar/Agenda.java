package org.kindgirdle.server.calendar;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.look.RoundJob;
import org.kindgirdle.core.look.RoundPlan;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.layers.DueLayers;
import org.kindgirdle.server.look.Walk;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Component;

/** What is ahead: rounds as the core plans them, windows of the species in use, and single jobs that are no round's. */
@Component
class Agenda {

    private static final int DAYS_AHEAD = 42;
    private static final int MAX_LISTED = 40;

    private final Snapshots snapshots;
    private final Walk walk;
    private final Recipes recipes;
    private final Words words;
    private final Phrases phrases;

    Agenda(Snapshots snapshots, Walk walk, Recipes recipes, Words words, Phrases phrases) {
        this.snapshots = snapshots;
        this.walk = walk;
        this.recipes = recipes;
        this.words = words;
        this.phrases = phrases;
    }

    List<Entry> ahead() {
        NurserySnapshot now = snapshots.take();
        Walk.Planned planned = walk.plan(now, DAYS_AHEAD);
        List<Entry> all = new ArrayList<>(rounds(now, planned));
        all.addAll(singleJobs(now, planned.byCode().values()));
        all.addAll(windows(now));
        return all;
    }

    private List<Entry> rounds(NurserySnapshot now, Walk.Planned planned) {
        return planned.plan().days().stream()
                .map(day -> new Entry(
                        "round-" + day.on(),
                        day.on(),
                        day.on(),
                        phrases.say(
                                day.isRoundDay() ? "calendar.round" : "calendar.between",
                                Map.of(
                                        "count", String.valueOf(day.jobs().size()),
                                        "minutes", String.valueOf(Math.round(day.minutes())))),
                        description(now, day, planned.byCode())))
                .toList();
    }

    /** By place, in walking order: "Long field: look 7KM-4X, top up RXE-H3". */
    private String description(NurserySnapshot now, RoundPlan.Day day, Map<String, DueLayers.Due> byCode) {
        Map<Integer, List<String>> lines = new TreeMap<>();
        Map<Integer, String> places = new HashMap<>();
        for (RoundJob job : day.jobs()) {
            DueLayers.Due one = byCode.get(job.id());
            if (one != null) {
                places.put(job.placeOrder(), Walk.place(now, one).name());
                lines.computeIfAbsent(job.placeOrder(), order -> new ArrayList<>())
                        .add(words.job(one.job(), one.method()).toLowerCase(Locale.ROOT) + " " + one.code());
            }
        }
        return lines.entrySet().stream()
                .map(line -> places.get(line.getKey()) + ": "
                        + line.getValue().stream().limit(MAX_LISTED).collect(Collectors.joining(", "))
                        + (line.getValue().size() > MAX_LISTED
                                ? " and " + (line.getValue().size() - MAX_LISTED) + " more"
                                : ""))
                .collect(Collectors.joining("\n"));
    }

    /** What has days of its own, like a severing; looks and top-ups are what rounds are for. */
    private List<Entry> singleJobs(NurserySnapshot now, Collection<DueLayers.Due> jobs) {
        return jobs.stream()
                .filter(job -> !job.job().equals(Job.LOOK) && !job.job().equals(Job.TOP_UP))
                .sorted(Comparator.comparing(DueLayers.Due::by).thenComparing(DueLayers.Due::code))
                .map(job -> {
                    MotherView mother = now.mother(job.motherId());
                    LocalDate to = job.by().isBefore(now.today()) ? now.today() : job.by();
                    LocalDate from = job.from().isBefore(now.today()) ? now.today() : job.from();
                    return new Entry(
                            "job-" + job.code() + "-" + job.job(),
                            from.isAfter(to) ? to : from,
                            to,
                            words.job(job.job(), job.method()) + " " + job.code(),
                            now.species(mother.speciesCode()).profile().common() + " " + mother.variety() + " on "
                                    + mother.code() + ", "
                                    + Walk.place(now, job).name());
                })
                .toList();
    }

    /** For each species in use, where most of its mothers stand, with the first recipe of the house. */
    private List<Entry> windows(NurserySnapshot now) {
        RecipeView recipe = recipes.all().stream()
                .filter(one -> one.recipe().method().hangs())
                .findFirst()
                .orElse(null);
        if (recipe == null) {
            return List.of();
        }
        Map<String, Map<Long, Long>> places = now.mothers().stream()
                .filter(MotherView::inUse)
                .collect(Collectors.groupingBy(
                        MotherView::speciesCode,
                        TreeMap::new,
                        Collectors.groupingBy(MotherView::placeId, TreeMap::new, Collectors.counting())));
        List<Entry> all = new ArrayList<>();
        places.forEach((species, counts) -> {
            long place = counts.entrySet().stream()
                    .max(Comparator.comparingLong(Map.Entry::getValue))
                    .orElseThrow()
                    .getKey();
            LayerContext context = now.context(place, species, recipe.recipe(), Vigour.NORMAL, RootRun.GROUND);
            SettingWindows windows = context.windows(
                    recipe.recipe().cover(), context.factors(Wood.ONE_TWO), recipe.school(), RootStage.NONE);
            LocalDate until = now.today().plusYears(1);
            String common = now.species(species).profile().common();
            for (SettingWindows.Band band : windows.bands(now.today(), until)) {
                if (band.windowClass() != WindowClass.GOOD) {
                    continue;
                }
                if (band.from().isAfter(now.today())) {
                    all.add(window("opens", species, common, now.place(place), band.from()));
                }
                if (band.to().isBefore(until)) {
                    all.add(window(
                            "closes",
                            species,
                            common,
                            now.place(place),
                            band.to().minusDays(1)));
                }
            }
        });
        return all;
    }

    private Entry window(String what, String species, String common, PlaceView place, LocalDate on) {
        Map<String, String> values = Map.of("species", common, "place", place.name());
        return new Entry(
                "window-" + what + "-" + species + "-" + on.getYear(),
                on,
                on,
                phrases.say("calendar.window." + what, values),
                phrases.say("calendar.window.why", values));
    }
}
