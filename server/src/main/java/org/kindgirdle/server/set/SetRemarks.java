package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Takings;
import org.kindgirdle.server.learn.TrialSlots;
import org.kindgirdle.server.nursery.LimbView;
import org.kindgirdle.server.nursery.Limbs;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.plan.LimbStands;
import org.kindgirdle.server.plan.MotherRemarks;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.PlanWords;
import org.springframework.stereotype.Component;

/** What the core's rules have to say of a mother, its branches and the date, in words. */
@Component
class SetRemarks {

    private final MotherLoad motherLoad;
    private final MotherRemarks motherRemarks;
    private final LimbStands stands;
    private final Limbs limbs;
    private final CurrentPerson person;
    private final Phrases phrases;
    private final TrialSlots slots;
    private final PlannedBatches planned;
    private final PlanWords planWords;
    private final BenchWords words;

    SetRemarks(
            MotherLoad motherLoad,
            MotherRemarks motherRemarks,
            LimbStands stands,
            Limbs limbs,
            CurrentPerson person,
            Phrases phrases,
            TrialSlots slots,
            PlannedBatches planned,
            PlanWords planWords,
            BenchWords words) {
        this.motherLoad = motherLoad;
        this.motherRemarks = motherRemarks;
        this.stands = stands;
        this.limbs = limbs;
        this.person = person;
        this.phrases = phrases;
        this.slots = slots;
        this.planned = planned;
        this.planWords = planWords;
        this.words = words;
    }

    /** The gravest first. */
    List<Remark> of(
            SetRequest request,
            List<LayerProjection> layers,
            MotherView mother,
            LayerContext context,
            SettingWindows windows,
            @Nullable Integer worstRow,
            CoverAhead cover,
            @Nullable HouseHormone hormone,
            LocalDate setOn,
            NurserySnapshot nursery) {
        SpeciesProfile species = context.species();
        Recipe recipe = context.recipe();
        int more = recipe.method().staysOnMother() ? request.rows().size() : 0;
        int underRings = Math.toIntExact(motherLoad.underRings(request.motherId()) + more);
        Format format = new Format(person.units(), nursery.today());
        Map<Long, LimbView> onMother = limbs(request);
        boolean shootBelow = !Boolean.FALSE.equals(request.liveShootBelow())
                && onMother.values().stream().allMatch(LimbView::shootBelow);
        List<Remark> all = new ArrayList<>(motherRemarks.of(
                mother,
                species,
                recipe.method(),
                MotherRemarks.capacity(mother, underRings, context.rules()),
                shootBelow || !recipe.method().staysOnMother(),
                format));
        boolean good = windows.on(setOn).windowClass() == WindowClass.GOOD && !windows.lacksWinter();
        Level level = good ? Level.FINE : Level.WARN;
        String window = planWords.window(windows, setOn, format);
        all.add(new Remark(
                level,
                "WINDOW",
                worstRow == null
                        ? window
                        : phrases.say("plan.row", Map.of("row", String.valueOf(worstRow + 1), "remark", window))));
        if (recipe.method() == Method.JAR) {
            all.add(new Remark(Level.CAUTION, "EXPERIMENT", phrases.say("bench.jar")));
        }
        for (Otherwise way : Otherwise.of(windows, setOn, nursery.coverAtHand())) {
            if (way.way().name().equals(recipe.method().name())) {
                continue;
            }
            all.add(new Remark(Level.CAUTION, way.way().name(), planWords.otherwise(way, format)));
        }
        if (request.plannedId() != null && planned.isDone(request.plannedId())) {
            all.add(new Remark(Level.WARN, "PLANNED_DONE", phrases.say("bench.planned-done")));
        }
        all.addAll(ofTrials(request, nursery));
        if (recipe.medium() == Medium.HEAVY_SOIL) {
            all.add(new Remark(Level.WARN, "HEAVY_SOIL", phrases.say("bench.heavy-soil")));
        }
        if (hormone != null && hormone.isExpired(setOn)) {
            all.add(new Remark(
                    Level.CAUTION,
                    "HORMONE_EXPIRED",
                    phrases.say(
                            "bench.hormone-expired",
                            Map.of("name", hormone.name(), "on", format.day(hormone.expiresOn())))));
        }
        if (hormone != null && hormone.form() != HouseHormone.Form.LIQUID && hormone.ppm() != recipe.hormonePpm()) {
            all.add(new Remark(
                    Level.CAUTION,
                    "HORMONE_STRENGTH",
                    phrases.say(
                            "bench.hormone-strength",
                            Map.of(
                                    "name",
                                    hormone.name(),
                                    "has",
                                    String.valueOf(Math.round(hormone.ppm())),
                                    "wants",
                                    String.valueOf(Math.round(recipe.hormonePpm()))))));
        }
        if (!cover.suits() && recipe.method().hangs()) {
            all.add(new Remark(
                    Level.CAUTION,
                    "COVER",
                    words.cover(cover, recipe.cover(), format).sentence()));
        }
        stands.newFaults(request.motherId(), setOn, further(request, layers))
                .forEach(fault -> all.add(new Remark(Level.WARN, "LIMB", fault)));
        for (int i = 0; i < request.rows().size(); i++) {
            int row = i + 1;
            Stream.concat(
                            ofRow(request.rows().get(i), context, format).stream(),
                            ofSums(request, layers.get(i), context, format).stream())
                    .forEach(remark -> all.add(new Remark(
                            remark.level(),
                            remark.key(),
                            phrases.say("plan.row", Map.of("row", String.valueOf(row), "remark", remark.sentence())))));
        }
        return all.stream().sorted(Comparator.comparing(Remark::level)).toList();
    }

    /** What is to be said of one branch, whatever stands beside it. */
    List<Remark> ofRow(SetRequest.RowRequest row, LayerContext context, Format format) {
        Limb limb = new Limb(row.diameterMm(), row.wood(), row.leanDeg(), context.vigour(), row.leavesBeyond(), false);
        Map<String, String> values = Map.of(
                "thin", format.lengthMm(RingAndBall.thinMm(context.rules())),
                "leaves", String.valueOf(LimbScore.leavesWanted(context.rules())));
        return BranchRule.checkAll(context.rules(), limb).stream()
                .filter(entry -> entry.level() != Level.FINE)
                .filter(entry -> entry.rule() != BranchRule.THIN
                        || context.recipe().wound().isRing())
                .map(entry -> new Remark(
                        entry.level(),
                        entry.rule().name(),
                        phrases.say("plan." + entry.level() + "." + entry.rule(), values)))
                .toList();
    }

    /** What the sums of one branch warn of: a strength above its band, and a ball that the limb does not bear. */
    List<Remark> ofSums(SetRequest request, LayerProjection layer, LayerContext context, Format format) {
        List<Remark> said = new ArrayList<>();
        Wood wood = layer.state().set().wood();
        if (layer.factors().hormoneFit() == HormoneFit.ABOVE) {
            HormoneFit.Band band =
                    HormoneFit.band(context.rules(), context.species().difficulty(), wood);
            said.add(new Remark(
                    Level.WARN,
                    "HORMONE_ABOVE",
                    phrases.say(
                            "bench.hormone-above",
                            Map.of(
                                    "has",
                                            String.valueOf(
                                                    Math.round(context.recipe().hormonePpm())),
                                    "high", String.valueOf(Math.round(band.highPpm())),
                                    "low", String.valueOf(Math.round(band.lowPpm())),
                                    "wood", phrases.say("wood.within." + wood)))));
        }
        if (request.relief() == null && layer.load().verdict() == BranchLoad.Verdict.SMALLER_OR_PROP_FIRST) {
            said.add(new Remark(
                    Level.WARN,
                    "LOAD",
                    phrases.say(
                            "bench.load",
                            Map.of(
                                    "mass", format.massG(layer.load().massG()),
                                    "load", format.percent(layer.load().utilisation())))));
        }
        return said;
    }

    /** Places of trials that are set otherwise than dealt; a place that is no longer free is refused. */
    private List<Remark> ofTrials(SetRequest request, NurserySnapshot nursery) {
        List<Remark> said = new ArrayList<>();
        Map<Long, TrialSlots.Slot> places = slots.find(request.rows().stream()
                .map(SetRequest.RowRequest::trialSlotId)
                .filter(Objects::nonNull)
                .toList());
        Set<Long> seen = new HashSet<>();
        for (int i = 0; i < request.rows().size(); i++) {
            Long id = request.rows().get(i).trialSlotId();
            if (id == null) {
                continue;
            }
            TrialSlots.Slot slot = places.get(id);
            if (slot == null || slot.code() != null || slot.motherId() != request.motherId() || !seen.add(id)) {
                throw ProblemException.invalid(
                        "rows[" + i + "].trialSlotId",
                        id,
                        "a free place of a trial on this mother, each once",
                        slot != null && slot.code() != null
                                ? "Layer " + slot.code() + " stands there already."
                                : "There is no such place on this mother.");
            }
            if (slot.assignedRecipe() != request.recipeId()) {
                said.add(new Remark(
                        Level.WARN,
                        "TRIAL_ARM",
                        phrases.say(
                                "trial.slot.other",
                                Map.of(
                                        "row", String.valueOf(i + 1),
                                        "trial", slot.trial(),
                                        "arm", slot.letter(),
                                        "recipe",
                                                nursery.recipe(slot.assignedRecipe())
                                                        .name()))));
            }
        }
        return said;
    }

    /** The limbs of the rows, by id. */
    private Map<Long, LimbView> limbs(SetRequest request) {
        Map<Long, LimbView> all = new HashMap<>();
        for (int i = 0; i < request.rows().size(); i++) {
            Long id = request.rows().get(i).limbId();
            if (id != null && !all.containsKey(id)) {
                LimbView limb = limbs.one(id);
                if (!limb.motherId().equals(request.motherId()) || !limb.stands()) {
                    throw ProblemException.invalid(
                            "rows[" + i + "].limbId",
                            limb.name(),
                            "a limb that stands on this mother",
                            limb.stands() ? "This limb is on another mother." : "This limb is gone.");
                }
                all.put(id, limb);
            }
        }
        return all;
    }

    /** The balls that the rows would add, by limb. */
    private static Map<Long, List<Takings.BallOnLimb>> further(SetRequest request, List<LayerProjection> layers) {
        Map<Long, List<Takings.BallOnLimb>> further = new HashMap<>();
        for (int i = 0; i < layers.size(); i++) {
            Long id = request.rows().get(i).limbId();
            if (id != null) {
                further.computeIfAbsent(id, limb -> new ArrayList<>())
                        .add(new Takings.BallOnLimb(
                                new LimbRoom.Standing(
                                        "row " + (i + 1),
                                        request.rows().get(i).fromUnionMm(),
                                        layers.get(i).ball().ballLengthMm()),
                                layers.get(i).ball().ballDiameterMm(),
                                request.relief() == null ? layers.get(i).load().utilisation() : 0));
            }
        }
        return further;
    }
}
