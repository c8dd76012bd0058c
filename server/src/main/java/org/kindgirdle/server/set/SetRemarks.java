package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.core.plan.MotherFacts;
import org.kindgirdle.core.plan.MotherRule;
import org.kindgirdle.core.plan.Otherwise;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.Rights;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.PlanWords;
import org.springframework.stereotype.Component;

/** What the core's rules have to say of a mother, its branches and the date, in words. */
@Component
class SetRemarks {

    private final MotherLoad motherLoad;
    private final CurrentPerson person;
    private final Phrases phrases;
    private final PlanWords planWords;

    SetRemarks(MotherLoad motherLoad, CurrentPerson person, Phrases phrases, PlanWords planWords) {
        this.motherLoad = motherLoad;
        this.person = person;
        this.phrases = phrases;
        this.planWords = planWords;
    }

    /** The gravest first. */
    List<SetPreview.Remark> of(
            SetRequest request,
            MotherView mother,
            LayerContext context,
            SettingWindows windows,
            LocalDate setOn,
            NurserySnapshot nursery) {
        SpeciesProfile species = context.species();
        int underRings = Math.toIntExact(
                motherLoad.underRings(request.motherId()) + request.rows().size());
        Format format = new Format(person.units(), nursery.today());
        Map<String, String> values = new HashMap<>();
        values.put("mother", mother.code());
        values.put("variety", mother.variety().isBlank() ? species.common() : mother.variety());
        values.put("species", species.common());
        values.put("fit", species.ownRoots().name().toLowerCase(Locale.ROOT));
        values.put("regulated", species.regulated());
        values.put("hazards", species.hazards());
        values.put("thin", format.lengthMm(RingAndBall.thinMm(context.rules())));
        values.put("shoots", String.valueOf(mother.leafyShoots()));
        values.put("count", String.valueOf(underRings));
        MotherCapacity capacity = new MotherCapacity(mother.leafyShoots(), underRings, false, context.rules());
        values.put("most", String.valueOf(capacity.most()));
        values.put("leaves", String.valueOf(LimbScore.leavesWanted(context.rules())));
        List<SetPreview.Remark> all = new ArrayList<>();
        MotherFacts facts = new MotherFacts(
                species, Method.AIR, mother.sick(), mother.rights() == Rights.PROTECTED, capacity, true, false);
        for (MotherRule.Entry entry : MotherRule.check(facts)) {
            add(all, entry.level(), entry.rule(), values);
        }
        Level level = windows.on(setOn).windowClass() == WindowClass.GOOD ? Level.FINE : Level.WARN;
        all.add(new SetPreview.Remark(level, "WINDOW", planWords.window(windows, setOn, format)));
        for (Otherwise way : Otherwise.of(windows, setOn, nursery.coverAtHand())) {
            all.add(new SetPreview.Remark(Level.CAUTION, way.way().name(), planWords.otherwise(way, format)));
        }
        for (int i = 0; i < request.rows().size(); i++) {
            values.put("row", String.valueOf(i + 1));
            SetRequest.RowRequest row = request.rows().get(i);
            Limb limb =
                    new Limb(row.diameterMm(), row.wood(), row.leanDeg(), context.vigour(), row.leavesBeyond(), false);
            for (BranchRule.Entry entry : BranchRule.checkAll(context.rules(), limb)) {
                add(all, entry.level(), entry.rule(), values);
            }
        }
        return all.stream()
                .sorted(Comparator.comparing(SetPreview.Remark::level))
                .toList();
    }

    private void add(List<SetPreview.Remark> all, Level level, Enum<?> rule, Map<String, String> values) {
        if (level != Level.FINE) {
            all.add(new SetPreview.Remark(
                    level, rule.name(), phrases.say("plan." + level + "." + rule.name(), values)));
        }
    }
}
