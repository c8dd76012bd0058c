package org.kindgirdle.server.exchange;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads rows of a nursery's layers, each with its life in brief. */
final class LayerRows {

    private static final List<String> NEEDED =
            List.of(LayerTable.MOTHER, LayerTable.RECIPE, LayerTable.SET_ON, "diameter_mm");

    private final JsonMapper json;
    private final LocalDate today;
    private final Map<String, Integer> alike = new HashMap<>();
    private final Map<String, Long> lines = new HashMap<>();

    LayerRows(JsonMapper json, LocalDate today) {
        this.json = json;
        this.today = today;
    }

    /** One thing of a life. */
    record Deed(String column, LocalDate on, LayerRecord what) {}

    /** A row that can be taken. @param setId of the record that sets it */
    record ReadLayer(
            long line,
            ObjectNode cells,
            @Nullable String code,
            UUID setId,
            long motherId,
            @Nullable Long limbId,
            RecipeView recipe,
            LayerRecord.Setting set,
            String note,
            List<Deed> deeds) {}

    /** The same for the same row of the same file, whenever it is taken in. */
    static UUID id(String what, String of) {
        return UUID.nameUUIDFromBytes(("layer row " + what + "/" + of).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * @param line of the file
     * @throws RowException if it can't be taken
     */
    ReadLayer read(ObjectNode cells, long line, LayerIntake.House house) {
        RowCells.checkThere(cells, NEEDED, Refusals.say("import.layer.needs"));
        String code = code(cells, line);
        String motherCode = RowCells.need(cells, LayerTable.MOTHER);
        long mother = house.mothers().id(LayerTable.MOTHER, motherCode);
        String limbName = RowCells.text(cells, LayerTable.LIMB);
        Long limb = limbName == null
                ? null
                : house.limbs()
                        .id(
                                LayerTable.LIMB,
                                limbName.startsWith(motherCode + "/") ? limbName : motherCode + "/" + limbName);
        RecipeView recipe =
                house.nursery().recipe(house.recipes().id(LayerTable.RECIPE, RowCells.need(cells, LayerTable.RECIPE)));
        LocalDate setOn = RowCells.date(cells, LayerTable.SET_ON);
        LayerRecord.Setting set = set(cells, recipe);
        List<Deed> deeds = deeds(cells, Objects.requireNonNull(setOn));
        String label = RowCells.text(cells, LayerTable.LABEL);
        String note = cells.path(LayerTable.NOTE).asString("");
        return new ReadLayer(
                line,
                cells,
                code,
                setId(code, label, motherCode + "/" + setOn + "/" + set.diameterMm(), line),
                mother,
                limb,
                recipe,
                set,
                label == null ? note : ("Label " + label + ". " + note).strip(),
                deeds);
    }

    private @Nullable String code(ObjectNode cells, long line) {
        String typed = RowCells.text(cells, LayerTable.CODE);
        if (typed == null) {
            return null;
        }
        String code = LayerCode.parse(typed).orElse(null);
        if (code == null) {
            throw new RowException(LayerTable.CODE, Refusals.say("import.code"));
        }
        Long earlier = lines.putIfAbsent("code " + code, line);
        if (earlier != null) {
            throw new RowException(LayerTable.CODE, Refusals.say("import.code.twice", "line", earlier));
        }
        return code;
    }

    private UUID setId(@Nullable String code, @Nullable String label, String content, long line) {
        if (code != null) {
            return id("code", code);
        }
        if (label != null) {
            Long earlier = lines.putIfAbsent("label " + label, line);
            if (earlier != null) {
                throw new RowException(LayerTable.LABEL, Refusals.say("import.label.twice", "line", earlier));
            }
            return id("label", label);
        }
        // several were set alike on one day: the first such row is the first of them, whenever the file is taken in
        return id("set", content + "/" + alike.merge(content, 1, Integer::sum));
    }

    private LayerRecord.Setting set(ObjectNode cells, RecipeView recipe) {
        ObjectNode tree = json.createObjectNode();
        for (Shape.Place place : LayerTable.SET) {
            JsonNode value = cells.get(place.column().name());
            if (value != null && !value.isNull()) {
                place.set(tree, value);
            }
        }
        if (!tree.has("school")) {
            tree.put("school", recipe.school().name());
        }
        for (String flag : List.of("specimen", "fruitToKeep")) {
            if (!tree.has(flag)) {
                tree.put(flag, false);
            }
        }
        if (!tree.has("ringMm") && !recipe.recipe().wound().isRing()) {
            // where no bark comes off there is no ring to measure
            tree.put("ringMm", 0);
        }
        return RowCells.record(json, tree, LayerRecord.Setting.class);
    }

    private static @Nullable Integer whole(ObjectNode cells, String column) {
        JsonNode value = cells.path(column);
        return value.isMissingNode() || value.isNull() ? null : Integer.valueOf(value.asInt());
    }

    private List<Deed> deeds(ObjectNode cells, LocalDate setOn) {
        List<Deed> deeds = new ArrayList<>();
        LocalDate fullOn = RowCells.date(cells, LayerTable.FULL_ON);
        if (fullOn != null) {
            deeds.add(new Deed(
                    LayerTable.FULL_ON, fullOn, new LayerRecord.Looked(RootStage.FILLED, null, null, Set.of())));
        }
        LocalDate severedOn = RowCells.date(cells, LayerTable.SEVERED_ON);
        if (severedOn != null) {
            Integer before = whole(cells, LayerTable.LEAVES_BEFORE);
            Integer left = whole(cells, LayerTable.LEAVES_LEFT);
            deeds.add(new Deed(
                    LayerTable.SEVERED_ON,
                    severedOn,
                    kept(
                            LayerTable.LEAVES_LEFT,
                            () -> new LayerRecord.Severed(before, left, 0, null, null, false, null))));
        }
        LocalDate pottedOn = RowCells.date(cells, LayerTable.POTTED_ON);
        if (pottedOn != null) {
            String medium = RowCells.text(cells, LayerTable.FIRST_MEDIUM);
            JsonNode pot = cells.path(LayerTable.POT_ML);
            deeds.add(new Deed(
                    LayerTable.POTTED_ON,
                    pottedOn,
                    kept(
                            LayerTable.POT_ML,
                            () -> new LayerRecord.Potted(
                                    medium == null ? null : FirstMedium.valueOf(medium),
                                    pot.isNumber() ? Double.valueOf(pot.doubleValue()) : null,
                                    null))));
        }
        LocalDate releasedOn = RowCells.date(cells, LayerTable.RELEASED_ON);
        if (releasedOn != null) {
            String where = RowCells.text(cells, LayerTable.DESTINATION);
            deeds.add(new Deed(
                    LayerTable.RELEASED_ON,
                    releasedOn,
                    new LayerRecord.Released(where == null ? null : LayerRecord.Destination.valueOf(where))));
        }
        LocalDate lostOn = RowCells.date(cells, LayerTable.LOST_ON);
        if (lostOn != null) {
            String cause = RowCells.text(cells, LayerTable.LOSS_CAUSE);
            if (cause == null) {
                throw new RowException(LayerTable.LOSS_CAUSE, Refusals.say("import.lossCause", "on", lostOn));
            }
            deeds.add(new Deed(
                    LayerTable.LOST_ON,
                    lostOn,
                    kept(
                            LayerTable.LOSS_WORDS,
                            () -> new LayerRecord.Lost(
                                    LossCause.valueOf(cause), RowCells.text(cells, LayerTable.LOSS_WORDS)))));
        }
        checkOrder(deeds, setOn);
        return deeds;
    }

    private void checkOrder(List<Deed> deeds, LocalDate setOn) {
        LocalDate before = setOn;
        String last = LayerTable.SET_ON;
        LocalDate earliest = today.minusYears(JournalIntake.MAX_YEARS_BACK);
        if (setOn.isBefore(earliest) || setOn.isAfter(today)) {
            throw new RowException(
                    LayerTable.SET_ON, Refusals.say("import.setOn", "earliest", earliest, "today", today));
        }
        Set<String> done = new HashSet<>();
        for (Deed deed : deeds) {
            if (deed.on.isAfter(today) || deed.on.isBefore(before)) {
                throw new RowException(
                        deed.column, Refusals.say("import.after", "before", before, "last", last, "today", today));
            }
            before = deed.on;
            last = deed.column;
            done.add(deed.column);
        }
        if (done.contains(LayerTable.POTTED_ON) && !done.contains(LayerTable.SEVERED_ON)) {
            throw new RowException(LayerTable.SEVERED_ON, Refusals.say("import.potted"));
        }
        if (done.contains(LayerTable.RELEASED_ON) && !done.contains(LayerTable.POTTED_ON)) {
            throw new RowException(LayerTable.POTTED_ON, Refusals.say("import.released"));
        }
        if (done.contains(LayerTable.RELEASED_ON) && done.contains(LayerTable.LOST_ON)) {
            throw new RowException(LayerTable.LOST_ON, Refusals.say("import.releasedAndLost"));
        }
    }

    private static LayerRecord kept(String column, Supplier<LayerRecord> record) {
        try {
            return record.get();
        } catch (IllegalArgumentException refused) {
            throw new RowException(column, refused.getMessage() + ".");
        }
    }
}
