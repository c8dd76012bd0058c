package org.kindgirdle.server.set;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.learn.TrialSlots;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** What is to be said where a batch fills places of a trial. */
@Component
class TrialRemarks {

    private final TrialSlots slots;
    private final Phrases phrases;

    TrialRemarks(TrialSlots slots, Phrases phrases) {
        this.slots = slots;
        this.phrases = phrases;
    }

    /** Places of trials that are set otherwise than dealt; a place that is no longer free is refused. */
    List<Remark> of(SetRequest request, NurserySnapshot nursery) {
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
                        Refusals.say("bench.trialPlace.allowed"),
                        slot != null && slot.code() != null
                                ? Refusals.say("bench.trialPlace.taken", "code", slot.code())
                                : Refusals.say("bench.trialPlace.unknown"));
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
}
