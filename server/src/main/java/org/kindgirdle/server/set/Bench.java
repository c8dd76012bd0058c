package org.kindgirdle.server.set;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.RecipeView;
import org.kindgirdle.server.nursery.Rights;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reckons layers before they are set, and sets them. */
@Service
class Bench {

    private static final int LEAVES_WANTED = 4;

    private final Snapshots snapshots;
    private final LayerJournal journal;
    private final MotherLoad motherLoad;
    private final BusinessClock clock;
    private final CurrentPerson person;
    private final Phrases phrases;

    Bench(
            Snapshots snapshots,
            LayerJournal journal,
            MotherLoad motherLoad,
            BusinessClock clock,
            CurrentPerson person,
            Phrases phrases) {
        this.snapshots = snapshots;
        this.journal = journal;
        this.motherLoad = motherLoad;
        this.clock = clock;
        this.person = person;
        this.phrases = phrases;
    }

    @Transactional(readOnly = true)
    SetPreview preview(SetRequest request) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate setOn = setOn(request, nursery);
        MotherView mother = nursery.mother(request.motherId());
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        List<LayerProjection> layers = request.rows().stream()
                .map(row -> project(record(row, recipe.school(), context), context, setOn))
                .toList();
        SettingWindow window =
                window(context, setOn, recipe.school(), layers.get(0).factors().speed());
        List<SetPreview.Remark> remarks = remarks(request, mother, context, window, nursery);
        return new SetPreview(
                setOn,
                window,
                remarks,
                layers.stream().map(layer -> row(layer, context)).toList());
    }

    /** @return the codes of the new layers, in the order of the rows */
    @Transactional
    List<String> set(UUID batchId, SetRequest request) {
        SetPreview preview = preview(request);
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (preview.isBlocked() || preview.isWarned() && reason.isEmpty()) {
            SetPreview.Level level = preview.isBlocked() ? SetPreview.Level.BLOCK : SetPreview.Level.WARN;
            throw ProblemException.invalid(preview.remarks().stream()
                    .filter(remark -> remark.level() == level)
                    .map(remark -> new Violation(
                            level == SetPreview.Level.BLOCK ? "motherId" : "reason",
                            level == SetPreview.Level.BLOCK ? request.motherId() : reason,
                            level == SetPreview.Level.BLOCK ? "a mother that may be cloned" : "a reason for going on",
                            remark.sentence()))
                    .toList());
        }
        NurserySnapshot nursery = snapshots.take();
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        Instant at = occurredAt(preview.setOn(), nursery.today());
        return journal.set(
                batchId,
                request.rows().stream()
                        .map(row -> new LayerJournal.NewLayer(
                                request.motherId(),
                                request.recipeId(),
                                recipe.number(),
                                record(row, recipe.school(), context),
                                at,
                                reason))
                        .toList());
    }

    private static LocalDate setOn(SetRequest request, NurserySnapshot nursery) {
        LocalDate setOn = request.setOn() == null ? nursery.today() : request.setOn();
        LocalDate earliest = nursery.today().minusYears(3);
        if (setOn.isAfter(nursery.today()) || setOn.isBefore(earliest)) {
            throw ProblemException.invalid(
                    "setOn",
                    setOn.toString(),
                    "from " + earliest + " to " + nursery.today(),
                    "A layer is recorded on the day it is set, or later.");
        }
        return setOn;
    }

    /** Noon of a past day: the hour is not known. Now, if it is today. */
    private Instant occurredAt(LocalDate setOn, LocalDate today) {
        return setOn.equals(today)
                ? clock.now()
                : setOn.atTime(LocalTime.NOON).atZone(clock.zone()).toInstant();
    }

    private static LayerRecord.Set record(SetRequest.RowRequest row, School school, LayerContext context) {
        boolean cut = context.recipe().wound().isRing();
        double ring = cut
                ? RingAndBall.of(row.diameterMm(), context.species().bridgesReadily(), false)
                        .ringMm()
                : 0;
        return new LayerRecord.Set(
                row.diameterMm(),
                ring,
                row.wood(),
                row.position(),
                row.leavesBeyond(),
                row.fromUnionMm(),
                row.leanDeg(),
                row.school() == null ? school : row.school(),
                row.specimen(),
                row.fruitToKeep());
    }

    private static LayerProjection project(LayerRecord.Set set, LayerContext context, LocalDate setOn) {
        Instant noon = setOn.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC);
        LayerEvent event = new LayerEvent(new UUID(0, 0), setOn, noon, noon, null, set);
        return Projector.project(Replay.of(List.of(event)), context, setOn);
    }

    private static SettingWindow window(LayerContext context, LocalDate setOn, School school, double speed) {
        SpeciesProfile species = context.species();
        double low = context.climate().winterLowC();
        return new SettingWindows(
                        context.climate(),
                        species,
                        TimeToReady.prior(species.d50ThermalDays(), species.sigma()),
                        context.sums().apply(context.recipe().cover()),
                        speed,
                        school,
                        context.rules().establishDays(),
                        species.frostHardyToC() <= low && context.rules().youngRootKillC() <= low)
                .on(setOn);
    }

    private SetPreview.Row row(LayerProjection layer, LayerContext context) {
        LayerProjection.RootForecast forecast = Objects.requireNonNull(layer.forecast());
        return new SetPreview.Row(
                layer.ball(),
                RingAndBall.ABOVE_MM,
                RingAndBall.BELOW_MM,
                BridgingRisk.of(
                        context.recipe().isScraped(),
                        layer.ball().ringMm(),
                        layer.ball().diameterMm()),
                layer.load(),
                layer.load().verdict(),
                layer.factors().hormoneFit(),
                forecast.q10(),
                forecast.q50(),
                forecast.q90(),
                forecast.topUp().intervalDays(),
                forecast.topUp().isUnsuitable());
    }

    private List<SetPreview.Remark> remarks(
            SetRequest request,
            MotherView mother,
            LayerContext context,
            SettingWindow window,
            NurserySnapshot nursery) {
        SpeciesProfile species = context.species();
        Format format = new Format(person.units(), nursery.today());
        Map<String, String> values = new HashMap<>();
        values.put("mother", mother.code());
        values.put("variety", mother.variety().isBlank() ? species.common() : mother.variety());
        values.put("species", species.common());
        values.put("fit", species.ownRoots().name().toLowerCase(Locale.ROOT));
        values.put("regulated", species.regulated());
        values.put("hazards", species.hazards());
        values.put("thin", format.lengthMm(RingAndBall.THIN_MM));
        values.put("shoots", String.valueOf(mother.leafyShoots()));
        List<SetPreview.Remark> all = new ArrayList<>();
        add(all, mother.sick(), SetPreview.Level.BLOCK, "sick", values);
        add(all, mother.rights() == Rights.PROTECTED, SetPreview.Level.BLOCK, "rights", values);
        add(all, species.ownRoots() != OwnRoots.GOOD, SetPreview.Level.WARN, "ownRoots", values);
        add(all, !species.regulated().isBlank(), SetPreview.Level.WARN, "regulated", values);
        int underRings = Math.toIntExact(
                motherLoad.underRings(request.motherId()) + request.rows().size());
        MotherCapacity capacity = new MotherCapacity(mother.leafyShoots(), underRings, false);
        values.put("count", String.valueOf(underRings));
        add(all, capacity.isExceeded(), SetPreview.Level.WARN, "tooMany", values);
        all.add(window(window, values, format));
        for (int i = 0; i < request.rows().size(); i++) {
            values.put("row", String.valueOf(i + 1));
            SetRequest.RowRequest row = request.rows().get(i);
            add(all, row.diameterMm() < RingAndBall.THIN_MM, SetPreview.Level.WARN, "thin", values);
            add(all, row.leavesBeyond() < LEAVES_WANTED, SetPreview.Level.WARN, "leaves", values);
        }
        add(all, !species.hazards().isBlank(), SetPreview.Level.CAUTION, "hazards", values);
        return all.stream()
                .sorted(Comparator.comparing(SetPreview.Remark::level))
                .toList();
    }

    private SetPreview.Remark window(SettingWindow window, Map<String, String> values, Format format) {
        values.put("start", format.day(window.start()));
        values.put("p", format.percent(window.readyP()));
        LocalDate deadline = window.deadline();
        values.put("deadline", deadline == null ? "" : format.day(deadline));
        String key = "window." + window.windowClass();
        if (window.windowClass() == WindowClass.CLOSED) {
            key = key + "." + window.end();
        } else if (window.windowClass() == WindowClass.GOOD && deadline == null) {
            key = key + ".free";
        }
        SetPreview.Level level =
                window.windowClass() == WindowClass.GOOD ? SetPreview.Level.FINE : SetPreview.Level.WARN;
        return new SetPreview.Remark(level, "window", phrases.say(key, values));
    }

    private void add(
            List<SetPreview.Remark> all,
            boolean applies,
            SetPreview.Level level,
            String key,
            Map<String, String> values) {
        if (applies) {
            all.add(new SetPreview.Remark(level, key, phrases.say("plan." + level + "." + key, values)));
        }
    }
}
