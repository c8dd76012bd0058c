package org.kindgirdle.server.journal;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;

/** Writes rows of layers past the entities, of which there would be hundreds of thousands. */
final class LayerInsert {

    private static final List<String> COLUMNS = List.of(
            "number",
            "code",
            "batch_id",
            "mother_id",
            "set_mother_id",
            "limb_id",
            "recipe_id",
            "recipe_number",
            "method",
            "hand",
            "wood",
            "position",
            "set_on",
            "revision",
            "phase",
            "stage",
            "fill_percent",
            "stands_at",
            "cut_on",
            "step",
            "also_do",
            "ready10_on",
            "ready50_on",
            "ready90_on",
            "job",
            "job_from",
            "job_by",
            "rung",
            "rooted",
            "established",
            "loss_cause",
            "ready_low",
            "ready_high",
            "full_on",
            "severed_on",
            "ended_on",
            "minutes",
            "medium_ml",
            "film_cm2",
            "conflicts",
            "profile_number",
            "rules_number",
            "as_of",
            "reckoned_from");

    private static final String SQL = "insert into layer (id, " + String.join(", ", COLUMNS)
            + ") values (next value for layer_seq" + ", ?".repeat(COLUMNS.size()) + ")";

    private LayerInsert() {}

    /** @return the ids under which they are kept, by their numbers */
    static Map<Integer, Long> write(JdbcTemplate jdbc, List<Layer> layers) {
        jdbc.batchUpdate(SQL, layers, layers.size(), (statement, layer) -> {
            statement.setInt(1, layer.number);
            statement.setString(2, layer.code);
            statement.setString(3, layer.batchId.toString());
            statement.setLong(4, layer.motherId);
            statement.setLong(5, layer.setMotherId);
            statement.setObject(6, layer.limbId);
            statement.setLong(7, layer.recipeId);
            statement.setInt(8, layer.recipeNumber);
            statement.setString(9, layer.method.name());
            statement.setString(10, layer.hand);
            statement.setString(11, layer.wood);
            statement.setString(12, layer.position);
            statement.setObject(13, layer.setOn);
            statement.setInt(14, layer.revision);
            statement.setString(15, layer.phase.name());
            statement.setString(16, layer.stage.name());
            statement.setDouble(17, layer.fillPercent);
            statement.setObject(18, layer.standsAt);
            statement.setObject(19, layer.cutOn);
            statement.setString(20, layer.step);
            statement.setString(21, layer.alsoDo);
            statement.setObject(22, layer.ready10On);
            statement.setObject(23, layer.ready50On);
            statement.setObject(24, layer.ready90On);
            statement.setString(25, layer.job);
            statement.setObject(26, layer.jobFrom);
            statement.setObject(27, layer.jobBy);
            statement.setString(28, layer.rung == null ? null : layer.rung.name());
            statement.setObject(29, layer.rooted);
            statement.setObject(30, layer.established);
            statement.setString(31, layer.lossCause == null ? null : layer.lossCause.name());
            statement.setObject(32, layer.readyLow);
            statement.setObject(33, layer.readyHigh);
            statement.setObject(34, layer.fullOn);
            statement.setObject(35, layer.severedOn);
            statement.setObject(36, layer.endedOn);
            statement.setObject(37, layer.minutes);
            statement.setDouble(38, layer.mediumMl);
            statement.setDouble(39, layer.filmCm2);
            statement.setInt(40, layer.conflicts);
            statement.setInt(41, layer.profileNumber);
            statement.setInt(42, layer.rulesNumber);
            statement.setObject(43, layer.asOf);
            statement.setString(44, layer.reckonedFrom);
        });
        List<Integer> numbers = new ArrayList<>();
        layers.forEach(layer -> numbers.add(layer.number));
        Map<Integer, Long> ids = new HashMap<>();
        jdbc.query(
                "select number, id from layer where number in (" + "?,".repeat(numbers.size() - 1) + "?)",
                row -> {
                    ids.put(row.getInt(1), row.getLong(2));
                },
                numbers.toArray());
        return ids;
    }
}
