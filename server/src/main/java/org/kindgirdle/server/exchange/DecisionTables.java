package org.kindgirdle.server.exchange;

import java.util.List;
import org.kindgirdle.server.exchange.Column.CellKind;
import org.kindgirdle.server.exchange.RawTable.Cell;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The tables of what was decided: a file can add to them, and changes nothing in them. */
@Component
class DecisionTables {

    private final JdbcTemplate jdbc;
    private final Refs refs;

    DecisionTables(JdbcTemplate jdbc, Refs refs) {
        this.jdbc = jdbc;
        this.refs = refs;
    }

    List<Table> all() {
        return List.of(
                learnedTimes(), leafRecords(), targets(), trials(), trialArms(), trialPlaces(), plannedBatches());
    }

    private Table learnedTimes() {
        return new RawTable(
                "learned-times",
                "learned_time",
                List.of("species_code", "made_on", "d50_thermal_days"),
                List.of(
                        Cell.of("species_code", CellKind.NAME),
                        Cell.of("made_on", CellKind.DATE),
                        Cell.maybe("d50_thermal_days", CellKind.NUMBER),
                        Cell.maybe("sigma", CellKind.NUMBER),
                        Cell.of("records", CellKind.WHOLE),
                        Cell.of("made_by", CellKind.TEXT)),
                "",
                jdbc);
    }

    private Table leafRecords() {
        return new RawTable(
                "leaf-records",
                "leaf_record",
                List.of("place", "species_code", "kind", "seen_on"),
                List.of(
                        Cell.ref("place", "place_id", refs.places(), true),
                        Cell.of("species_code", CellKind.NAME),
                        Cell.of("kind", CellKind.NAME),
                        Cell.of("seen_on", CellKind.DATE),
                        Cell.of("made_by", CellKind.TEXT),
                        Cell.of("made_on", CellKind.DATE),
                        Cell.maybe("taken_back_on", CellKind.DATE)),
                "",
                jdbc);
    }

    private Table targets() {
        return new RawTable(
                "targets",
                "target",
                List.of("name", "counts_from"),
                List.of(
                        Cell.of("name", CellKind.TEXT),
                        Cell.of("counts_from", CellKind.DATE),
                        Cell.of("species_code", CellKind.NAME),
                        Cell.text("variety"),
                        Cell.ref("place", "place_id", refs.places(), true),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("wood", CellKind.TEXT),
                        Cell.of("diameter_mm", CellKind.NUMBER),
                        Cell.of("wanted", CellKind.WHOLE),
                        Cell.of("wanted_by", CellKind.DATE),
                        Cell.of("confidence", CellKind.NUMBER),
                        Cell.of("layers", CellKind.WHOLE),
                        Cell.of("made_by", CellKind.TEXT),
                        Cell.of("made_on", CellKind.DATE),
                        Cell.maybe("closed_on", CellKind.DATE)),
                "version = 0",
                jdbc);
    }

    private Table trials() {
        return new RawTable(
                "trials",
                "trial",
                List.of("name"),
                List.of(
                        Cell.of("name", CellKind.TEXT),
                        Cell.of("question", CellKind.TEXT),
                        Cell.of("share", CellKind.NUMBER),
                        Cell.of("other_share", CellKind.NUMBER),
                        Cell.of("significance", CellKind.NUMBER),
                        Cell.of("power", CellKind.NUMBER),
                        Cell.of("per_arm", CellKind.WHOLE),
                        Cell.of("seed", CellKind.WHOLE),
                        Cell.of("made_by", CellKind.TEXT),
                        Cell.of("made_on", CellKind.DATE),
                        Cell.maybe("closed_on", CellKind.DATE),
                        Cell.maybe("decided_arm", CellKind.WHOLE),
                        Cell.maybe("decided_by", CellKind.TEXT),
                        Cell.maybe("decided_on", CellKind.DATE),
                        Cell.maybe("decided_note", CellKind.TEXT)),
                "version = 0",
                jdbc);
    }

    private Table trialArms() {
        return new RawTable(
                "trial-arms",
                "trial_arm",
                List.of("trial", "number"),
                List.of(
                        Cell.ref("trial", "trial_id", refs.trials(), true),
                        Cell.of("number", CellKind.WHOLE),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("recipe_number", CellKind.WHOLE)),
                "",
                jdbc);
    }

    private Table trialPlaces() {
        return new RawTable(
                "trial-places",
                "trial_slot",
                List.of("trial", "position"),
                List.of(
                        Cell.ref("trial", "trial_id", refs.trials(), true),
                        Cell.of("position", CellKind.WHOLE),
                        Cell.ref("mother", "mother_id", refs.mothers(), true),
                        Cell.ref("limb", "limb_id", refs.limbs(), false),
                        Cell.of("arm", CellKind.WHOLE),
                        Cell.ref("layer", "layer_id", refs.layers(), false)),
                "",
                jdbc);
    }

    private Table plannedBatches() {
        return new RawTable(
                "planned-batches",
                "planned_batch",
                List.of("for_day", "mother", "recipe", "request"),
                List.of(
                        Cell.of("for_day", CellKind.DATE),
                        Cell.ref("mother", "mother_id", refs.mothers(), true),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("request", CellKind.TEXT),
                        Cell.of("made_by", CellKind.TEXT),
                        Cell.of("made_on", CellKind.DATE),
                        Cell.maybe("batch_id", CellKind.UUID),
                        Cell.of("dropped", CellKind.YES_NO)),
                "version = 0",
                jdbc);
    }
}
