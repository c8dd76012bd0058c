package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.layers.MotherLoad;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.plan.MotherRemarks;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.PlanWords;
import org.springframework.stereotype.Component;

/** What the core's rules have to say of a mother, its branches and the date, in words. */
@Component
class SetRemarks {

    private final MotherLoad motherLoad;
    private final MotherRemarks motherRemarks;
    private final LimbsOfRows limbs;
    private final BranchRemarks branches;
    private final TrialRemarks trials;
    private final PlannedBatches planned;
    private final PlanWords planWords;
    private final BenchWords words;
    private final Phrases phrases;

    SetRemarks(
            MotherLoad motherLoad,
            MotherRemarks motherRemarks,
            LimbsOfRows limbs,
            BranchRemarks branches,
            TrialRemarks trials,
            PlannedBatches planned,
            PlanWords planWords,
            BenchWords words,
            Phrases phrases) {
        this.motherLoad = motherLoad;
        this.motherRemarks = motherRemarks;
        this.limbs = limbs;
        this.branches = branches;
        this.trials = trials;
        this.planned = planned;
        this.planWords = planWords;
        this.words = words;
        this.phrases = phrases;
    }

    /** The gravest first. */
    List<Remark> of(SetCase batch, Format format) {
        List<Remark> all = new ArrayList<>(ofMother(batch, format));
        all.addAll(ofDate(batch, format));
        if (batch.request().plannedId() != null
                && planned.isDone(batch.request().plannedId())) {
            all.add(new Remark(Level.WARN, "PLANNED_DONE", phrases.say("bench.planned-done")));
        }
        all.addAll(trials.of(batch.request(), batch.nursery()));
        all.addAll(ofRecipe(batch, format));
        all.addAll(limbs.faults(batch));
        all.addAll(ofRows(batch, format));
        return all.stream().sorted(Comparator.comparing(Remark::level)).toList();
    }

    private List<Remark> ofMother(SetCase batch, Format format) {
        SetRequest request = batch.request();
        Method method = batch.context().recipe().method();
        int more = method.staysOnMother() ? request.rows().size() : 0;
        int underRings = Math.toIntExact(motherLoad.underRings(request.motherId()) + more);
        boolean shootBelow = !Boolean.FALSE.equals(request.liveShootBelow())
                && limbs.on(request).values().stream().allMatch(LimbView::shootBelow);
        return motherRemarks.of(
                batch.mother(),
                batch.context().species(),
                method,
                MotherRemarks.capacity(
                        batch.mother(), underRings, batch.context().rules()),
                shootBelow || !method.staysOnMother(),
                format);
    }

    private List<Remark> ofDate(SetCase batch, Format format) {
        List<Remark> all = new ArrayList<>();
        SettingWindows windows = batch.windows();
        LocalDate setOn = batch.setOn();
        Integer worst = batch.worstRow();
        boolean good = windows.on(setOn).windowClass() == WindowClass.GOOD && !windows.lacksWinter();
        String window = planWords.window(windows, setOn, format);
        all.add(new Remark(good ? Level.FINE : Level.WARN, "WINDOW", worst == null ? window : inRow(worst, window)));
        Method method = batch.context().recipe().method();
        if (method == Method.JAR) {
            all.add(new Remark(Level.CAUTION, "EXPERIMENT", phrases.say("bench.jar")));
        }
        Otherwise.of(windows, setOn, batch.nursery().coverAtHand()).stream()
                .filter(way -> !way.way().name().equals(method.name()))
                .map(way -> new Remark(Level.CAUTION, way.way().name(), planWords.otherwise(way, format)))
                .forEach(all::add);
        return all;
    }

    private List<Remark> ofRecipe(SetCase batch, Format format) {
        List<Remark> all = new ArrayList<>();
        Recipe recipe = batch.context().recipe();
        HouseHormone hormone = batch.hormone();
        if (recipe.medium() == Medium.HEAVY_SOIL) {
            all.add(new Remark(Level.WARN, "HEAVY_SOIL", phrases.say("bench.heavy-soil")));
        }
        if (hormone != null && hormone.isExpired(batch.setOn())) {
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
        if (!batch.cover().suits() && recipe.method().hangs()) {
            all.add(new Remark(
                    Level.CAUTION,
                    "COVER",
                    words.cover(batch.cover(), recipe.cover(), format).sentence()));
        }
        return all;
    }

    private List<Remark> ofRows(SetCase batch, Format format) {
        List<Remark> all = new ArrayList<>();
        List<SetRequest.RowRequest> rows = batch.request().rows();
        for (int i = 0; i < rows.size(); i++) {
            int row = i;
            Stream.concat(
                            branches.of(batch.layers().get(i), batch.context(), format).stream(),
                            branches.ofSums(batch.request(), batch.layers().get(i), batch.context(), format).stream())
                    .map(remark -> new Remark(remark.level(), remark.key(), inRow(row, remark.sentence())))
                    .forEach(all::add);
        }
        return all;
    }

    private String inRow(int row, String remark) {
        return phrases.say("plan.row", Map.of("row", String.valueOf(row + 1), "remark", remark));
    }
}
