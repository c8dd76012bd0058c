package org.kindgirdle.server.exchange;

import java.util.List;
import org.kindgirdle.server.exchange.Column.Kind;
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
                        Cell.of("species_code", Kind.NAME),
                        Cell.of("made_on", Kind.DATE),
                        Cell.maybe("d50_thermal_days", Kind.NUMBER),
                        Cell.maybe("sigma", Kind.NUMBER),
                        Cell.of("records", Kind.WHOLE),
                        Cell.of("made_by", Kind.TEXT)),
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
                        Cell.of("species_code", Kind.NAME),
                        Cell.of("kind", Kind.NAME),
                        Cell.of("seen_on", Kind.DATE),
                        Cell.of("made_by", Kind.TEXT),
                        Cell.of("made_on", Kind.DATE),
                        Cell.maybe("taken_back_on", Kind.DATE)),
                "",
                jdbc);
    }

    private Table targets() {
        return new RawTable(
                "targets",
                "target",
                List.of("name", "counts_from"),
                List.of(
                        Cell.of("name", Kind.TEXT),
                        Cell.of("counts_from", Kind.DATE),
                        Cell.of("species_code", Kind.NAME),
                        Cell.text("variety"),
                        Cell.ref("place", "place_id", refs.places(), true),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("wood", Kind.TEXT),
                        Cell.of("diameter_mm", Kind.NUMBER),
                        Cell.of("wanted", Kind.WHOLE),
                        Cell.of("wanted_by", Kind.DATE),
                        Cell.of("confidence", Kind.NUMBER),
                        Cell.of("layers", Kind.WHOLE),
                        Cell.of("made_by", Kind.TEXT),
                        Cell.of("made_on", Kind.DATE),
                        Cell.maybe("closed_on", Kind.DATE)),
                "version = 0",
                jdbc);
    }

    private Table trials() {
        return new RawTable(
                "trials",
                "trial",
                List.of("name"),
                List.of(
                        Cell.of("name", Kind.TEXT),
                        Cell.of("question", Kind.TEXT),
                        Cell.of("share", Kind.NUMBER),
                        Cell.of("other_share", Kind.NUMBER),
                        Cell.of("significance", Kind.NUMBER),
                        Cell.of("power", Kind.NUMBER),
                        Cell.of("per_arm", Kind.WHOLE),
                        Cell.of("seed", Kind.WHOLE),
                        Cell.of("made_by", Kind.TEXT),
                        Cell.of("made_on", Kind.DATE),
                        Cell.maybe("closed_on", Kind.DATE),
                        Cell.maybe("decided_arm", Kind.WHOLE),
                        Cell.maybe("decided_by", Kind.TEXT),
                        Cell.maybe("decided_on", Kind.DATE),
                        Cell.maybe("decided_note", Kind.TEXT)),
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
                        Cell.of("number", Kind.WHOLE),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("recipe_number", Kind.WHOLE)),
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
                        Cell.of("position", Kind.WHOLE),
                        Cell.ref("mother", "mother_id", refs.mothers(), true),
                        Cell.ref("limb", "limb_id", refs.limbs(), false),
                        Cell.of("arm", Kind.WHOLE),
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
                        Cell.of("for_day", Kind.DATE),
                        Cell.ref("mother", "mother_id", refs.mothers(), true),
                        Cell.ref("recipe", "recipe_id", refs.recipes(), true),
                        Cell.of("request", Kind.TEXT),
                        Cell.of("made_by", Kind.TEXT),
                        Cell.of("made_on", Kind.DATE),
                        Cell.maybe("batch_id", Kind.UUID),
                        Cell.of("dropped", Kind.YES_NO)),
                "version = 0",
                jdbc);
    }
}
