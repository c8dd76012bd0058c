package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.journal.NurserySnapshot;
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
    private final PlanWords planWords;

    SetRemarks(
            MotherLoad motherLoad,
            MotherRemarks motherRemarks,
            LimbStands stands,
            Limbs limbs,
            CurrentPerson person,
            Phrases phrases,
            PlanWords planWords) {
        this.motherLoad = motherLoad;
        this.motherRemarks = motherRemarks;
        this.stands = stands;
        this.limbs = limbs;
        this.person = person;
        this.phrases = phrases;
        this.planWords = planWords;
    }

    /** The gravest first. */
    List<Remark> of(
            SetRequest request,
            List<LayerProjection> layers,
            MotherView mother,
            LayerContext context,
            SettingWindows windows,
            LocalDate setOn,
            NurserySnapshot nursery) {
        SpeciesProfile species = context.species();
        int underRings = Math.toIntExact(
                motherLoad.underRings(request.motherId()) + request.rows().size());
        Format format = new Format(person.units(), nursery.today());
        Map<Long, LimbView> onMother = limbs(request);
        boolean shootBelow = !Boolean.FALSE.equals(request.liveShootBelow())
                && onMother.values().stream().allMatch(LimbView::shootBelow);
        List<Remark> all = new ArrayList<>(motherRemarks.of(
                mother, species, MotherRemarks.capacity(mother, underRings, context.rules()), shootBelow, format));
        Level level = windows.on(setOn).windowClass() == WindowClass.GOOD ? Level.FINE : Level.WARN;
        all.add(new Remark(level, "WINDOW", planWords.window(windows, setOn, format)));
        for (Otherwise way : Otherwise.of(windows, setOn, nursery.coverAtHand())) {
            all.add(new Remark(Level.CAUTION, way.way().name(), planWords.otherwise(way, format)));
        }
        stands.newFaults(request.motherId(), further(request, layers))
                .forEach(fault -> all.add(new Remark(Level.WARN, "LIMB", fault)));
        Map<String, String> values = new HashMap<>();
        values.put("thin", format.lengthMm(RingAndBall.thinMm(context.rules())));
        values.put("leaves", String.valueOf(LimbScore.leavesWanted(context.rules())));
        for (int i = 0; i < request.rows().size(); i++) {
            values.put("row", String.valueOf(i + 1));
            SetRequest.RowRequest row = request.rows().get(i);
            Limb limb =
                    new Limb(row.diameterMm(), row.wood(), row.leanDeg(), context.vigour(), row.leavesBeyond(), false);
            for (BranchRule.Entry entry : BranchRule.checkAll(context.rules(), limb)) {
                add(all, entry.level(), entry.rule(), values);
            }
        }
        return all.stream().sorted(Comparator.comparing(Remark::level)).toList();
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
    private static Map<Long, List<LimbRoom.Standing>> further(SetRequest request, List<LayerProjection> layers) {
        Map<Long, List<LimbRoom.Standing>> further = new HashMap<>();
        for (int i = 0; i < layers.size(); i++) {
            Long id = request.rows().get(i).limbId();
            if (id != null) {
                further.computeIfAbsent(id, limb -> new ArrayList<>())
                        .add(new LimbRoom.Standing(
                                "row " + (i + 1),
                                request.rows().get(i).fromUnionMm(),
                                layers.get(i).ball().ballLengthMm()));
            }
        }
        return further;
    }

    private void add(List<Remark> all, Level level, Enum<?> rule, Map<String, String> values) {
        if (level != Level.FINE) {
            all.add(new Remark(level, rule.name(), phrases.say("plan." + level + "." + rule.name(), values)));
        }
    }
}
