package org.kindgirdle.server.set;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.learn.TrialSlots;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.time.BusinessClock;
import org.kindgirdle.server.words.Format;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reckons layers before they are set, and sets them. */
@Service
class Bench {

    private final Snapshots snapshots;
    private final LayerJournal journal;
    private final Supplies supplies;
    private final SetRemarks remarks;
    private final BranchRemarks branches;
    private final BenchWords words;
    private final TrialSlots slots;
    private final PlannedBatches planned;
    private final CurrentPerson person;
    private final BusinessClock clock;

    Bench(
            Snapshots snapshots,
            LayerJournal journal,
            Supplies supplies,
            SetRemarks remarks,
            BranchRemarks branches,
            BenchWords words,
            TrialSlots slots,
            PlannedBatches planned,
            CurrentPerson person,
            BusinessClock clock) {
        this.snapshots = snapshots;
        this.journal = journal;
        this.supplies = supplies;
        this.remarks = remarks;
        this.branches = branches;
        this.words = words;
        this.slots = slots;
        this.planned = planned;
        this.person = person;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    SetPreview preview(SetRequest request) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate setOn = setOn(request, nursery);
        MotherView mother = nursery.mother(request.motherId());
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        String hand = hand(request);
        HouseHormone kept = hormone(request, recipe.recipe());
        String hormone = kept == null ? "" : label(kept);
        List<LayerProjection> layers = request.rows().stream()
                .map(row -> project(record(row, recipe.school(), hand, hormone, context), context, setOn))
                .toList();
        List<SettingWindows> rows = layers.stream()
                .map(layer -> context.windows(
                        context.recipe().cover(),
                        layer.factors(),
                        layer.state().set().school(),
                        RootStage.NONE))
                .toList();
        int worst = worst(rows, setOn);
        SettingWindows windows = rows.get(worst);
        CoverAhead cover = CoverAhead.of(context, context.recipe().cover(), setOn, false);
        Format format = new Format(person.units(), nursery.today());
        List<Remark> said = remarks.of(
                new SetCase(
                        request,
                        setOn,
                        mother,
                        context,
                        layers,
                        windows,
                        worstSaid(rows, worst, setOn),
                        cover,
                        kept,
                        nursery),
                format);
        return new SetPreview(
                setOn,
                windows.on(setOn),
                said,
                words.checklist(context, layers, format),
                words.cover(cover, context.recipe().cover(), format),
                IntStream.range(0, layers.size())
                        .mapToObj(i -> row(
                                layers.get(i),
                                context,
                                Stream.concat(
                                                branches.of(layers.get(i), context, format).stream(),
                                                branches.ofSums(request, layers.get(i), context, format).stream())
                                        .map(Remark::sentence)
                                        .toList()))
                        .toList());
    }

    /** The row that the batch is judged by: the worst class, and of equals the least chance of a full ball in time. */
    private static int worst(List<SettingWindows> rows, LocalDate setOn) {
        return IntStream.range(0, rows.size())
                .boxed()
                .max(Comparator.comparing(
                                (Integer row) -> severity(rows.get(row).on(setOn)))
                        .thenComparing(row -> -rows.get(row).on(setOn).readyP()
                                * rows.get(row).roots())
                        .thenComparing(Comparator.reverseOrder()))
                .orElseThrow();
    }

    private static int severity(SettingWindow window) {
        return switch (window.windowClass()) {
            case GOOD -> 0;
            case RISKY -> 1;
            case OVERWINTER -> 2;
            case CLOSED -> 3;
        };
    }

    /** The row to be named: null where all are judged alike. */
    private static @Nullable Integer worstSaid(List<SettingWindows> rows, int worst, LocalDate setOn) {
        SettingWindow judged = rows.get(worst).on(setOn);
        boolean alike = rows.stream()
                .allMatch(row -> row.on(setOn).equals(judged)
                        && row.roots() == rows.get(worst).roots());
        return alike ? null : worst;
    }

    /** @return the codes of the new layers, in the order of the rows */
    @Transactional
    List<String> set(UUID batchId, SetRequest request) {
        SetPreview preview = preview(request);
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (preview.isBlocked() || preview.isWarned() && reason.isEmpty()) {
            Level level = preview.isBlocked() ? Level.BLOCK : Level.WARN;
            throw ProblemException.invalid(preview.remarks().stream()
                    .filter(remark -> remark.level() == level)
                    .map(remark -> new Violation(
                            level == Level.BLOCK ? "motherId" : "reason",
                            level == Level.BLOCK ? request.motherId() : reason,
                            level == Level.BLOCK
                                    ? Refusals.say("bench.clone.allowed")
                                    : Refusals.say("bench.reason.allowed"),
                            remark.sentence()))
                    .toList());
        }
        NurserySnapshot nursery = snapshots.take();
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        String hand = hand(request);
        HouseHormone kept = hormone(request, recipe.recipe());
        String hormone = kept == null ? "" : label(kept);
        Instant at = occurredAt(preview.setOn(), nursery.today());
        List<String> codes = journal.set(
                batchId,
                request.rows().stream()
                        .map(row -> new LayerJournal.NewLayer(
                                request.motherId(),
                                row.limbId(),
                                request.recipeId(),
                                recipe.number(),
                                record(row, recipe.school(), hand, hormone, context),
                                at,
                                reason,
                                request.relief() == null
                                        ? null
                                        : request.relief().work()))
                        .toList());
        fillSlots(request, codes);
        if (request.plannedId() != null) {
            planned.done(request.plannedId(), batchId);
        }
        return codes;
    }

    private void fillSlots(SetRequest request, List<String> codes) {
        Map<Long, String> filled = new HashMap<>();
        for (int i = 0; i < codes.size(); i++) {
            Long slot = request.rows().get(i).trialSlotId();
            if (slot != null) {
                filled.put(slot, codes.get(i));
            }
        }
        slots.fill(filled);
    }

    private String hand(SetRequest request) {
        String said = request.hand() == null ? "" : request.hand().strip();
        return said.isEmpty() ? person.fullName() : said;
    }

    private @Nullable HouseHormone hormone(SetRequest request, Recipe recipe) {
        String name = request.hormone() == null ? "" : request.hormone().strip();
        if (name.isEmpty() || recipe.hormonePpm() == 0) {
            return null;
        }
        return supplies.get().hormones().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow(() -> ProblemException.invalid(
                        "hormone", name, Refusals.say("bench.hormone.allowed"), Refusals.say("bench.hormone")));
    }

    private static String label(HouseHormone hormone) {
        return hormone.lot().isBlank() ? hormone.name() : hormone.name() + ", lot " + hormone.lot();
    }

    private static LocalDate setOn(SetRequest request, NurserySnapshot nursery) {
        LocalDate setOn = request.setOn() == null ? nursery.today() : request.setOn();
        LocalDate earliest = nursery.today().minusYears(3);
        if (setOn.isAfter(nursery.today()) || setOn.isBefore(earliest)) {
            throw ProblemException.invalid(
                    "setOn",
                    setOn.toString(),
                    Refusals.say("between.allowed", "first", earliest, "last", nursery.today()),
                    Refusals.say("bench.setOn"));
        }
        return setOn;
    }

    /** Noon of a past day: the hour is not known. Now, if it is today. */
    private Instant occurredAt(LocalDate setOn, LocalDate today) {
        return setOn.equals(today)
                ? clock.now()
                : setOn.atTime(LocalTime.NOON).atZone(clock.zone()).toInstant();
    }

    private static LayerRecord.Setting record(
            SetRequest.RowRequest row, School school, String hand, String hormone, LayerContext context) {
        return new LayerRecord.Setting(
                row.diameterMm(),
                // where no bark comes off there is no ring to measure
                context.recipe().wound().isRing() ? row.ringMm() : Double.valueOf(0),
                row.wrapped(),
                row.wood(),
                row.position(),
                row.leavesBeyond(),
                row.fromUnionMm(),
                row.leanDeg(),
                row.hollow(),
                row.school() == null ? school : row.school(),
                row.specimen(),
                row.fruitToKeep(),
                hand,
                hormone);
    }

    private static LayerProjection project(LayerRecord.Setting set, LayerContext context, LocalDate setOn) {
        Instant noon = setOn.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC);
        LayerEvent event = new LayerEvent(new UUID(0, 0), setOn, noon, noon, null, set);
        return Projector.project(Replay.of(List.of(event)), context, setOn);
    }

    private SetPreview.BranchPreview row(LayerProjection layer, LayerContext context, List<String> warnings) {
        LayerProjection.RootForecast forecast = Objects.requireNonNull(layer.forecast());
        LeafBalance leaf = leafAtSeverance(layer, context, forecast.q50());
        return new SetPreview.BranchPreview(
                layer.ball(),
                layer.ball().aboveCutMm(context.rules()),
                layer.ball().belowCutMm(context.rules()),
                BridgingRisk.of(
                        context.rules(),
                        context.recipe().isScraped(),
                        layer.ball().ringMm(),
                        layer.ball().diameterMm()),
                layer.load(),
                layer.factors().hormoneFit(),
                context.recipe()
                        .containerFit(
                                context.rules(),
                                layer.ball().diameterMm(),
                                context.species().bridgesReadily()),
                forecast.q10(),
                forecast.q50(),
                forecast.q90(),
                context.time().records(),
                forecast.topUp().intervalDays(),
                forecast.topUp().unsuitable(),
                leaf.keep(),
                leaf.remove(),
                warnings);
    }

    /** What the leaves beyond the ring will ask of the roots, on a usual day of the time when it is likely to be full. */
    private static LeafBalance leafAtSeverance(
            LayerProjection layer, LayerContext context, @Nullable LocalDate readyOn) {
        return LeafBalance.of(
                context.rules(),
                LeafBalance.supplyCm2PerMl(context.rules()),
                layer.ball().mediumMl(),
                1,
                RootStage.FILLED,
                layer.state().set().leavesTaken(context.rules()),
                context.species().leafCm2(),
                context.climate().vpdKpaOn(readyOn == null ? layer.state().setOn() : readyOn),
                Shelter.MIST_TENT);
    }
}
