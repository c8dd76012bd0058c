package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.plan.WindowRule;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.layers.SetCounts;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.species.SpeciesView;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.PlanWords;
import org.kindgirdle.server.words.Reasons;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What may be set when: a year of a place, the start dates of a species, and one of them. */
@Service
class Season {

    private final Snapshots snapshots;
    private final Weather weather;
    private final SetCounts setCounts;
    private final CurrentPerson person;
    private final PlanWords words;
    private final Reasons reasons;

    Season(
            Snapshots snapshots,
            Weather weather,
            SetCounts setCounts,
            CurrentPerson person,
            PlanWords words,
            Reasons reasons) {
        this.snapshots = snapshots;
        this.weather = weather;
        this.setCounts = setCounts;
        this.person = person;
        this.words = words;
        this.reasons = reasons;
    }

    @Transactional(readOnly = true)
    SeasonView year(SeasonQuery query) {
        NurserySnapshot nursery = snapshots.take();
        PlaceView place = nursery.place(query.placeId());
        PlaceClimate climate = nursery.climate(query.placeId());
        LocalDate from = begins(climate, nursery.today()).plusYears(query.yearOrThis());
        LocalDate to = from.plusYears(1);
        Map<String, List<SeasonView.SetOn>> set = setCounts.between(from, to).stream()
                .collect(Collectors.groupingBy(
                        SetCounts.SetCount::speciesCode,
                        Collectors.mapping(one -> new SeasonView.SetOn(one.on(), one.layers()), Collectors.toList())));
        Map<String, Long> mothers = nursery.mothers().stream()
                .filter(MotherView::inUse)
                .collect(Collectors.groupingBy(MotherView::speciesCode, Collectors.counting()));
        List<SeasonView.SpeciesSeason> species = new ArrayList<>();
        for (SpeciesView one : nursery.allSpecies()) {
            String code = one.profile().code();
            SettingWindows windows = windows(nursery, query, code, school(nursery, query));
            List<SettingWindows.Band> bands = windows.bands(from, to);
            species.add(new SeasonView.SpeciesSeason(
                    code,
                    one.profile().common(),
                    one.profile().botanical(),
                    mothers.getOrDefault(code, 0L),
                    windows.time().records(),
                    bands,
                    firstGood(bands).map(SettingWindows.Band::from).orElse(null),
                    lastGood(bands).map(band -> band.to().minusDays(1)).orElse(null),
                    set.getOrDefault(code, List.of())));
        }
        List<SeasonView.DayMean> temperatures = weather.days(from, to).stream()
                .map(one -> new SeasonView.DayMean(
                        one.kind(),
                        one.day().minC() + place.minShiftC(),
                        Math.max(one.day().minC() + place.minShiftC(), one.day().maxC() + place.maxShiftC())))
                .toList();
        return new SeasonView(
                nursery.today(),
                from,
                to,
                school(nursery, query),
                temperatures,
                climate.frosts()
                        .map(frosts -> new SeasonView.Frosts(
                                onOrAfter(frosts.lastAverage(), from),
                                onOrAfter(frosts.lastLate(), from),
                                onOrAfter(frosts.firstEarly(), from),
                                onOrAfter(frosts.firstAverage(), from)))
                        .orElse(null),
                species);
    }

    @Transactional(readOnly = true)
    StartsView starts(SeasonQuery query, String speciesCode) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate from =
                begins(nursery.climate(query.placeId()), nursery.today()).plusYears(query.yearOrThis());
        List<SettingWindows> schools = Arrays.stream(School.values())
                .map(school -> windows(nursery, query, speciesCode, school))
                .toList();
        List<StartsView.Start> starts = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(from.plusYears(1)); day = day.plusDays(1)) {
            LocalDate start = day;
            SettingWindows any = schools.get(0);
            starts.add(new StartsView.Start(
                    any.readyOn(start, .1).orElse(null),
                    any.readyOn(start, .5).orElse(null),
                    any.readyOn(start, .9).orElse(null),
                    Arrays.stream(School.values())
                            .map(school -> bySchool(
                                    school, schools.get(school.ordinal()).on(start)))
                            .toList()));
        }
        return new StartsView(from, starts);
    }

    @Transactional(readOnly = true)
    StartView start(SeasonQuery query, String speciesCode, LocalDate startOn) {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        SettingWindows windows = windows(nursery, query, speciesCode, school(nursery, query));
        SettingWindow window = windows.on(startOn);
        return new StartView(
                window,
                words.window(windows, startOn, format),
                reasons.rules(WindowRule.decide(windows, startOn), format),
                Otherwise.of(windows, startOn, nursery.coverAtHand()).stream()
                        .map(way -> words.otherwise(way, format))
                        .toList());
    }

    private static School school(NurserySnapshot nursery, SeasonQuery query) {
        return query.school() == null ? nursery.recipe(query.recipeId()).school() : query.school();
    }

    private static SettingWindows windows(
            NurserySnapshot nursery, SeasonQuery query, String speciesCode, School school) {
        RecipeView recipe = nursery.recipe(query.recipeId());
        LayerContext context =
                nursery.context(query.placeId(), speciesCode, recipe.recipe(), Vigour.NORMAL, RootRun.GROUND);
        return context.windows(recipe.recipe().cover(), context.factors(query.woodOrUsual()), school, RootStage.NONE);
    }

    /** The strip begins with the month of the coldest day, so that no growing year is cut in two. */
    private static LocalDate begins(PlaceClimate climate, LocalDate today) {
        LocalDate coldest = LocalDate.ofYearDay(today.getYear(), climate.coldestDayOfYear());
        LocalDate begins = coldest.withDayOfMonth(1);
        return begins.isAfter(today) ? begins.minusYears(1) : begins;
    }

    private static StartsView.BySchool bySchool(School school, SettingWindow window) {
        return new StartsView.BySchool(school, window.windowClass(), window.end(), window.readyP(), window.deadline());
    }

    private static Optional<SettingWindows.Band> firstGood(List<SettingWindows.Band> bands) {
        return bands.stream().filter(Season::isGood).findFirst();
    }

    private static Optional<SettingWindows.Band> lastGood(List<SettingWindows.Band> bands) {
        return bands.stream().filter(Season::isGood).reduce((a, b) -> b);
    }

    private static boolean isGood(SettingWindows.Band band) {
        return band.windowClass() == WindowClass.GOOD;
    }

    private static LocalDate onOrAfter(MonthDay day, LocalDate from) {
        LocalDate thisYear = day.atYear(from.getYear());
        return thisYear.isBefore(from) ? day.atYear(from.getYear() + 1) : thisYear;
    }
}
