package org.kindgirdle.server.learn;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The places of trials: which arm each was dealt, and what stands there. */
@Service
public class TrialSlots {

    private static final String SELECT = """
            select s.id, s.trial_id, s.position, s.mother_id, s.limb_id, s.arm, s.layer_id, t.name, t.closed_on,
                a.recipe_id assigned_recipe, l.code, l.recipe_id actual_recipe, l.rooted, b.name limb
            from trial_slot s
            join trial t on t.id = s.trial_id
            join trial_arm a on a.trial_id = s.trial_id and a.number = s.arm
            left join layer l on l.id = s.layer_id
            left join limb b on b.id = s.limb_id
            """;

    private final JdbcTemplate jdbc;

    TrialSlots(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
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
        Map<Long, Slot> found = new HashMap<>();
        if (!ids.isEmpty()) {
            String marks = ids.stream().map(id -> "?").collect(Collectors.joining(", "));
            read(SELECT + "where s.id in (" + marks + ")", ids.toArray()).forEach(slot -> found.put(slot.id(), slot));
        }
        return found;
    }

    /** Layers have been set there. */
    @Transactional
    public void fill(Map<Long, String> codes) {
        jdbc.batchUpdate(
                "update trial_slot set layer_id = (select id from layer where code = ?) where id = ? and layer_id is"
                        + " null",
                codes.entrySet().stream()
                        .map(one -> new Object[] {one.getValue(), one.getKey()})
                        .toList());
    }

    List<Slot> ofTrial(long trial) {
        return read(SELECT + "where s.trial_id = ? order by s.position", trial);
    }

    /** Places of all trials, by trial. */
    Map<Long, List<Slot>> all() {
        return read(SELECT + "order by s.trial_id, s.position").stream().collect(Collectors.groupingBy(Slot::trialId));
    }

    List<Slot> ofLayer(String code) {
        return read(SELECT + "where l.code = ?", code);
    }

    private List<Slot> read(String sql, Object... arguments) {
        return jdbc.query(
                sql,
                (row, number) -> new Slot(
                        row.getLong("id"),
                        row.getLong("trial_id"),
                        row.getString("name"),
                        row.getDate("closed_on") != null,
                        row.getInt("position"),
                        row.getLong("mother_id"),
                        row.getObject("limb_id", Long.class),
                        row.getString("limb"),
                        row.getInt("arm"),
                        row.getLong("assigned_recipe"),
                        row.getString("code"),
                        row.getObject("actual_recipe", Long.class),
                        row.getObject("rooted", Boolean.class)),
                arguments);
    }
}
