package org.kindgirdle.server.learn;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The places of trials: which arm each was dealt, and what stands there. */
@Service
public class TrialSlots {

    private final TrialSlotRepository rows;

    TrialSlots(TrialSlotRepository rows) {
        this.rows = rows;
    }

    /**
     * @param arm that it was dealt, from 0
     * @param code of the layer that stands there
     * @param actualRecipe of that layer
     * @param rooted whether it did; null while that is open, or nothing stands there
     */
    public record Slot(
            long id,
            long trialId,
            String trial,
            boolean isClosed,
            int position,
            long motherId,
            @Nullable Long limbId,
            @Nullable String limb,
            int arm,
            long assignedRecipe,
            @Nullable String code,
            @Nullable Long actualRecipe,
            @Nullable Boolean rooted) {

        /** Whether what stands there was set as it was dealt. */
        boolean isAsDealt() {
            return Long.valueOf(assignedRecipe).equals(actualRecipe);
        }

        /** How an arm is called. */
        public String letter() {
            return TrialSlots.letter(arm);
        }
    }

    static String letter(int arm) {
        return String.valueOf((char) ('A' + arm));
    }

    /** By id; those that do not exist are left out. */
    @Transactional(readOnly = true)
    public Map<Long, Slot> find(Collection<Long> ids) {
        return ids.isEmpty()
                ? Map.of()
                : rows.of(ids).stream().collect(Collectors.toMap(Slot::id, Function.identity()));
    }

    /** Layers have been set there. */
    @Transactional
    public void fill(Map<Long, String> codes) {
        codes.forEach(rows::fill);
    }

    List<Slot> ofTrial(long trial) {
        return rows.ofTrial(trial);
    }

    /** Places of all trials, by trial. */
    Map<Long, List<Slot>> all() {
        return rows.all().stream().collect(Collectors.groupingBy(Slot::trialId));
    }

    List<Slot> ofLayer(String code) {
        return rows.ofLayer(code);
    }
}
