package org.kindgirdle.server.climate;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The weather over HTTP. */
@RestController
@RequestMapping("/api/v1/weather")
class WeatherController {

    private static final int MAX_SHOWN = 100;

    private final Weather weather;
    private final CommandLedger commands;
    private final BusinessClock clock;
    private final CurrentPerson person;

    WeatherController(Weather weather, CommandLedger commands, BusinessClock clock, CurrentPerson person) {
        this.weather = weather;
        this.commands = commands;
        this.clock = clock;
        this.person = person;
    }

    record DayView(
            LocalDate on,
            Weather.DayKind kind,
            double minC,
            double maxC,
            @Nullable Double windMs,
            @Nullable Double rainMm) {}

    /** @param station whether one gives the weather by itself */
    record WeatherView(boolean station, LocalDate today, List<DayView> days) {}

    record DayEdit(
            @NotNull @Within(low = WeatherDay.LEAST_C, high = WeatherDay.MAX_C, unit = "C")
            Double minC,

            @NotNull @Within(low = WeatherDay.LEAST_C, high = WeatherDay.MAX_C, unit = "C")
            Double maxC,

            @Nullable @Within(low = 0, high = WeatherDay.MAX_MS, unit = "m/s")
            Double windMs,

            @Nullable @Within(low = 0, high = WeatherDay.MAX_MM, unit = "mm")
            Double rainMm) {}

    /**
     * @param csv the file's text
     * @param replace whether days that are there already may be replaced
     */
    record ImportRequest(
            @NotBlank @Size(max = 900_000) String csv,
            @NotNull Boolean replace) {}

    /** A day that is there already, as it is and as it would be. */
    record Overlap(LocalDate on, double minNowC, double maxNowC, double minNewC, double maxNewC) {}

    /**
     * @param days how many good rows there are
     * @param badRows how many rows have something wrong; while there is one, nothing is written
     * @param bad what is wrong, at most a hundred
     * @param overlapping how many days are there already with other figures
     * @param overlaps those days, at most a hundred
     */
    record ImportPreview(
            int days,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            int badRows,
            List<WeatherFile.BadReading> bad,
            int overlapping,
            List<Overlap> overlaps) {}

    record Imported(int days, int replaced) {}

    /** @param to the day after the last */
    @GetMapping
    WeatherView weather(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        return new WeatherView(
                weather.hasStation(),
                clock.today(),
                weather.days(from, to).stream().map(WeatherController::view).toList());
    }

    @PutMapping("/{day}")
    DayView typeWeather(
            @RequestHeader("Command-Id") UUID id, @PathVariable LocalDate day, @Valid @RequestBody DayEdit edit) {
        if (day.isAfter(clock.today()) || day.getYear() < 1900) {
            throw ProblemException.invalid(
                    "day",
                    day.toString(),
                    Refusals.say("weather.day.allowed", "today", clock.today()),
                    Refusals.say("weather.day"));
        }
        if (edit.minC() > edit.maxC()) {
            throw ProblemException.invalid(
                    "maxC",
                    edit.maxC(),
                    Refusals.say("weather.maxC.allowed", "minC", edit.minC()),
                    Refusals.say("weather.maxC"));
        }
        WeatherDay typed = new WeatherDay(day, edit.minC(), edit.maxC(), edit.windMs(), edit.rainMm());
        return commands.once(id, "weather " + day, edit, DayView.class, () -> {
            requireOwnerToReplace(overlaps(List.of(typed)));
            weather.type(typed);
            return view(new Weather.KnownDay(Weather.DayKind.MEASURED, typed));
        });
    }

    @PostMapping("/import-previews")
    ImportPreview previewWeather(@Valid @RequestBody ImportRequest request) {
        WeatherFile file = WeatherFile.read(request.csv(), clock.today());
        List<Overlap> overlaps = overlaps(file.days());
        return new ImportPreview(
                file.days().size(),
                file.days().stream()
                        .map(WeatherDay::on)
                        .min(LocalDate::compareTo)
                        .orElse(null),
                file.days().stream()
                        .map(WeatherDay::on)
                        .max(LocalDate::compareTo)
                        .orElse(null),
                file.badRows(),
                file.bad().stream().limit(MAX_SHOWN).toList(),
                overlaps.size(),
                overlaps.stream().limit(MAX_SHOWN).toList());
    }

    @PostMapping("/imports")
    Imported takeWeather(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody ImportRequest request) {
        return commands.once(id, "weather import", request, Imported.class, () -> {
            WeatherFile file = WeatherFile.read(request.csv(), clock.today());
            if (!file.bad().isEmpty()) {
                throw ProblemException.invalid(file.bad().stream()
                        .limit(MAX_SHOWN)
                        .map(bad -> new Violation(
                                "line " + bad.line() + (bad.column().isEmpty() ? "" : ", " + bad.column()),
                                bad.value(),
                                Refusals.say("weather.line.allowed"),
                                bad.message()))
                        .toList());
            }
            List<Overlap> overlaps = overlaps(file.days());
            requireOwnerToReplace(overlaps);
            int replaced = overlaps.size();
            if (replaced > 0 && !request.replace()) {
                throw ProblemException.invalid(
                        "replace",
                        false,
                        Refusals.say("weather.replace.allowed", "replaced", replaced),
                        Refusals.say("weather.replace", "replaced", replaced));
            }
            weather.take(file.days());
            return new Imported(file.days().size(), replaced);
        });
    }

    /** What was measured is no one grower's to change: every date of every layer rests on it. */
    private void requireOwnerToReplace(List<Overlap> overlaps) {
        if (!overlaps.isEmpty() && !person.isOwner()) {
            throw ProblemException.forbidden(
                    overlaps.size() == 1
                            ? Refusals.say(
                                    "weather.measured.one",
                                    "on",
                                    overlaps.get(0).on())
                            : Refusals.say("weather.measured.more", "count", overlaps.size()));
        }
    }

    private List<Overlap> overlaps(List<WeatherDay> days) {
        Map<LocalDate, WeatherDay> known = weather.measuredAmong(days);
        return days.stream()
                .filter(day -> known.containsKey(day.on()) && !day.equals(known.get(day.on())))
                .sorted(Comparator.comparing(WeatherDay::on))
                .map(day -> overlap(known.get(day.on()), day))
                .toList();
    }

    private static Overlap overlap(WeatherDay now, WeatherDay then) {
        return new Overlap(then.on(), now.minC(), now.maxC(), then.minC(), then.maxC());
    }

    private static DayView view(Weather.KnownDay one) {
        WeatherDay day = one.day();
        return new DayView(day.on(), one.kind(), day.minC(), day.maxC(), day.windMs(), day.rainMm());
    }
}
