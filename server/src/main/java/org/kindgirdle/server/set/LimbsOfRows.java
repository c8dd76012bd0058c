package org.kindgirdle.server.set;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.layers.TakenFromMothers;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.plan.LimbStands;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;

/** The limbs that the rows of a batch stand on, and what their balls would do to them. */
@Component
class LimbsOfRows {

    private final Limbs limbs;
    private final LimbStands stands;

    LimbsOfRows(Limbs limbs, LimbStands stands) {
        this.limbs = limbs;
        this.stands = stands;
    }

    /** What a limb would suffer from the balls of the batch. */
    List<Remark> faults(SetCase batch) {
        return stands
                .newFaults(
                        batch.request().motherId(),
                        batch.setOn(),
                        further(batch.request(), batch.layers(), batch.context().rules()))
                .stream()
                .map(fault -> new Remark(Level.WARN, "LIMB", fault))
                .toList();
    }

    /** The limbs of the rows, by id. */
    Map<Long, LimbView> on(SetRequest request) {
        Map<Long, LimbView> all = new HashMap<>();
        for (int i = 0; i < request.rows().size(); i++) {
            Long id = request.rows().get(i).limbId();
            if (id != null && !all.containsKey(id)) {
                LimbView limb = limbs.one(id);
                if (!limb.motherId().equals(request.motherId()) || !limb.stands()) {
                    throw ProblemException.invalid(
                            "rows[" + i + "].limbId",
                            limb.name(),
                            Refusals.say("bench.limb.allowed"),
                            limb.stands() ? Refusals.say("bench.limb.other") : Refusals.say("bench.limb.gone"));
                }
                all.put(id, limb);
            }
        }
        return all;
    }

    /** The balls that the rows would add, by limb. */
    private static Map<Long, List<TakenFromMothers.BallOnLimb>> further(
            SetRequest request, List<LayerProjection> layers, HouseRules rules) {
        Map<Long, List<TakenFromMothers.BallOnLimb>> further = new HashMap<>();
        for (int i = 0; i < layers.size(); i++) {
            Long id = request.rows().get(i).limbId();
            if (id != null) {
                further.computeIfAbsent(id, limb -> new ArrayList<>())
                        .add(new TakenFromMothers.BallOnLimb(
                                new LimbRoom.Standing(
                                        "row " + (i + 1),
                                        layers.get(i).state().set().fromUnionTakenMm(rules),
                                        layers.get(i).ball().ballLengthMm()),
                                request.rows().get(i).fromUnionMm() != null,
                                layers.get(i).ball().ballDiameterMm(),
                                request.relief() == null ? layers.get(i).load().utilisation() : 0));
            }
        }
        return further;
    }
}
