package org.kindgirdle.server.exchange;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
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
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.journal.Lives;
import org.kindgirdle.server.journal.Loading;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.nursery.RecipeView;
import org.kindgirdle.server.time.BusinessClock;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes layers in from rows. A layer that is here already, by its code, its old label or what was set where and when,
 * is not set again: what the row knows more of its life is added to its journal.
 */
final class LayerIntake implements Table.Intake {

    private static final int AT_ONCE = 500;
    private static final LocalTime MORNING = LocalTime.of(8, 0);

    /** What is added to a layer that is here; anything else about it is mended on its page. */
    private static final Set<String> LIFE = Set.of(
            LayerTable.FULL_ON,
            LayerTable.SEVERED_ON,
            LayerTable.LEAVES_BEFORE,
            LayerTable.LEAVES_LEFT,
            LayerTable.POTTED_ON,
            LayerTable.FIRST_MEDIUM,
            LayerTable.POT_ML,
            LayerTable.RELEASED_ON,
            LayerTable.DESTINATION,
            LayerTable.LOST_ON,
            LayerTable.LOSS_CAUSE);

    private static final List<String> NEEDED =
            List.of(LayerTable.MOTHER, LayerTable.RECIPE, LayerTable.SET_ON, "diameter_mm");

    /** What describes its mother, not the layer. */
    private static final Set<String> OF_MOTHER = Set.of(LayerTable.SPECIES, LayerTable.VARIETY, LayerTable.PLACE);

    private final Supplier<House> houses;
    private final MissingMothers missing;
    private final long personId;
    private final LocalDate today;
    private final ZoneId zone;
    private final Instant now;
    private final int clockOffsetDays;
    private final JsonMapper json;
    private final Tally tally;
    private final List<Line> held = new ArrayList<>();
    private final Map<String, Integer> alike = new HashMap<>();
    private final Map<String, Long> lines = new HashMap<>();
    private House house;

    /** What the rows refer to, and where they go. */
    record House(
            Lives lives,
            Loading loading,
            NurserySnapshot nursery,
            Ref.Known mothers,
            Ref.Known limbs,
            Ref.Known recipes,
            LayerTable.Digests digests) {}

    private record Line(ObjectNode cells, long number) {}

    /** One thing of a life. */
    private record Deed(String column, LocalDate on, LayerRecord what) {}

    /** A row that can be taken. @param setId of the record that sets it */
    private record Row(
            long line,
            ObjectNode cells,
            @Nullable String code,
            UUID setId,
            long motherId,
            @Nullable Long limbId,
            RecipeView recipe,
            LayerRecord.Set set,
            String note,
            List<Deed> deeds) {}

    /** @param houses the house as it is at the moment */
    LayerIntake(
            Supplier<House> houses,
            MissingMothers missing,
            long personId,
            BusinessClock clock,
            JsonMapper json,
            Tally tally) {
        this.houses = houses;
        this.house = houses.get();
        this.missing = missing;
        this.personId = personId;
        // asked once: there may be a hundred thousand rows
        this.today = clock.today();
        this.zone = clock.zone();
        this.now = clock.systemNow();
        this.clockOffsetDays = clock.offsetDays();
        this.json = json;
        this.tally = tally;
    }

    @Override
    public void take(ObjectNode cells, long line) {
        held.add(new Line(cells, line));
        if (held.size() >= AT_ONCE) {
            finish();
        }
    }

    @Override
    public void finish() {
        Map<Long, RowException> refused = makeMothers();
        List<Row> rows = new ArrayList<>();
        for (Line line : held) {
            try {
                RowException motherless = refused.get(line.number);
                // another row may have said more of the same mother
                if (motherless != null && !isHere(line)) {
                    throw motherless;
                }
                rows.add(row(line.cells, line.number));
            } catch (RowException bad) {
                tally.wrong(line.number, bad.wrong());
            }
        }
        held.clear();
        keep(rows);
    }

    /** @return lines that name a mother which can't be made */
    private Map<Long, RowException> makeMothers() {
        Map<Long, RowException> refused = new HashMap<>();
        Set<String> made = new HashSet<>();
        for (Line line : held) {
            String code = RowCells.text(line.cells, LayerTable.MOTHER);
            if (code == null || isHere(line) || made.contains(code)) {
                continue;
            }
            try {
                missing.make(code, line.cells);
                made.add(code);
                tally.mother(code);
            } catch (RowException bad) {
                refused.put(line.number, bad);
            }
        }
        if (!made.isEmpty()) {
            house = houses.get();
        }
        return refused;
    }

    private boolean isHere(Line line) {
        return house.mothers.byName().containsKey(RowCells.need(line.cells, LayerTable.MOTHER));
    }

    private void keep(List<Row> rows) {
        Set<UUID> setIds = new HashSet<>();
        Set<String> codes = new HashSet<>();
        rows.forEach(row -> {
            setIds.add(row.setId);
            if (row.code != null) {
                codes.add(row.code);
            }
        });
        Map<UUID, String> bySet = house.lives.layersOf(setIds);
        codes.addAll(bySet.values());
        Map<String, Lives.Life> here = new HashMap<>();
        house.lives.of(codes).forEach(life -> here.put(life.code(), life));
        List<Loading.Whole> fresh = new ArrayList<>();
        List<Loading.More> more = new ArrayList<>();
        for (Row row : rows) {
            String code = row.code != null ? row.code : bySet.get(row.setId);
            Lives.Life life = code == null ? null : here.get(code);
            if (life == null) {
                add(row, fresh);
            } else {
                compare(row, life, more);
            }
        }
        if (tally.keeps()) {
            if (!fresh.isEmpty()) {
                house.loading.load(fresh);
            }
            if (!more.isEmpty()) {
                house.loading.append(more);
            }
        }
    }

    private void add(Row row, List<Loading.Whole> fresh) {
        String species = RowCells.text(row.cells, LayerTable.SPECIES);
        String here = house.nursery.mother(row.motherId).speciesCode();
        if (species == null || species.equals(here)) {
            fresh.add(whole(row));
            tally.count(Table.Fate.NEW);
        } else {
            String mother = RowCells.need(row.cells, LayerTable.MOTHER);
            tally.wrong(
                    row.line,
                    List.of(new Wrong(
                            LayerTable.SPECIES,
                            species,
                            "Mother " + mother + " is " + here + ". Two plants need two codes.")));
        }
    }

    private void compare(Row row, Lives.Life life, List<Loading.More> more) {
        ObjectNode known = house.digests.of(life);
        if (known == null) {
            tally.wrong(row.line, List.of(new Wrong("", "", "Layer " + life.code() + " was taken back here.")));
            return;
        }
        List<Wrong> other = new ArrayList<>();
        Set<String> added = new HashSet<>();
        row.cells.propertyStream().forEach(cell -> {
            String column = cell.getKey();
            JsonNode now = known.get(column);
            if (cell.getValue().isNull()
                    || OF_MOTHER.contains(column)
                    || column.equals(LayerTable.LABEL)
                    || column.equals(LayerTable.NOTE)) {
                return;
            }
            if ((now == null || now.isNull()) && LIFE.contains(column)) {
                added.add(column);
            } else if (now == null || now.isNull() || !same(now, cell.getValue())) {
                other.add(new Wrong(
                        column,
                        "",
                        "Layer " + life.code() + " is here already with "
                                + (now == null || now.isNull() ? "nothing" : "\"" + now.asString() + "\"")
                                + ". A file does not change what was recorded; correct it on the layer's page."));
            }
        });
        if (!other.isEmpty()) {
            tally.wrong(row.line, other);
            return;
        }
        List<Loading.Noted> records = row.deeds.stream()
                .filter(deed -> added.contains(deed.column))
                .map(deed -> noted(row, deed))
                .toList();
        if (records.isEmpty()) {
            tally.count(Table.Fate.SAME);
        } else {
            more.add(new Loading.More(life.code(), records));
            tally.count(Table.Fate.CHANGED);
        }
    }

    private static boolean same(JsonNode one, JsonNode other) {
        return one.isNumber() && other.isNumber()
                ? one.doubleValue() == other.doubleValue()
                : one.asString().equals(other.asString());
    }

    private Loading.Whole whole(Row row) {
        List<Loading.Noted> records = new ArrayList<>();
        Instant at = at(LocalDate.parse(row.cells.get(LayerTable.SET_ON).asString()), 0);
        records.add(new Loading.Noted(row.setId, at, now, clockOffsetDays, personId, null, row.set, row.note, null));
        row.deeds.forEach(deed -> records.add(noted(row, deed)));
        UUID batch = id("batch", row.motherId + "/" + row.recipe.id() + "/" + row.cells.get(LayerTable.SET_ON));
        return new Loading.Whole(
                row.code,
                batch,
                row.motherId,
                row.limbId,
                Objects.requireNonNull(row.recipe.id()),
                row.recipe.number(),
                records);
    }

    private Loading.Noted noted(Row row, Deed deed) {
        return new Loading.Noted(
                id(deed.column, row.setId.toString()),
                at(deed.on, 1 + row.deeds.indexOf(deed)),
                now,
                clockOffsetDays,
                personId,
                null,
                deed.what,
                "",
                null);
    }

    private Instant at(LocalDate day, int minutes) {
        return day.atTime(MORNING).plusMinutes(minutes).atZone(zone).toInstant();
    }

    /** The same for the same row of the same file, whenever it is taken in. */
    private static UUID id(String what, String of) {
        return UUID.nameUUIDFromBytes(("layer row " + what + "/" + of).getBytes(StandardCharsets.UTF_8));
    }

    private Row row(ObjectNode cells, long line) {
        RowCells.checkThere(cells, NEEDED, "A layer must have this.");
        String code = code(cells, line);
        String motherCode = RowCells.need(cells, LayerTable.MOTHER);
        long mother = house.mothers.id(LayerTable.MOTHER, motherCode);
        String limbName = RowCells.text(cells, LayerTable.LIMB);
        Long limb = limbName == null
                ? null
                : house.limbs.id(
                        LayerTable.LIMB,
                        limbName.startsWith(motherCode + "/") ? limbName : motherCode + "/" + limbName);
        RecipeView recipe =
                house.nursery.recipe(house.recipes.id(LayerTable.RECIPE, RowCells.need(cells, LayerTable.RECIPE)));
        LocalDate setOn = RowCells.date(cells, LayerTable.SET_ON);
        LayerRecord.Set set = set(cells, mother, recipe);
        List<Deed> deeds = deeds(cells, Objects.requireNonNull(setOn));
        String label = RowCells.text(cells, LayerTable.LABEL);
        String note = cells.path(LayerTable.NOTE).asString("");
        return new Row(
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
            throw new RowException(
                    LayerTable.CODE,
                    "This is no code of Kind Girdle, like 7KM-4X. If it is the nursery's own, let it be the label.");
        }
        Long earlier = lines.putIfAbsent("code " + code, line);
        if (earlier != null) {
            throw new RowException(LayerTable.CODE, "Line " + earlier + " has the same code.");
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
                throw new RowException(
                        LayerTable.LABEL,
                        "Line " + earlier + " has the same label. Each layer has a label of its own.");
            }
            return id("label", label);
        }
        // several were set alike on one day: the first such row is the first of them, whenever the file is taken in
        return id("set", content + "/" + alike.merge(content, 1, Integer::sum));
    }

    private LayerRecord.Set set(ObjectNode cells, long mother, RecipeView recipe) {
        ObjectNode tree = json.createObjectNode();
        for (Shape.Place place : LayerTable.SET) {
            JsonNode value = cells.get(place.column().name());
            if (value != null && !value.isNull()) {
                tree.set(place.field(), value);
            }
        }
        usual(tree, "wood", Wood.ONE_TWO.name());
        usual(tree, "position", Position.BETWEEN_NODES.name());
        usual(tree, "school", recipe.school().name());
        for (String number : List.of("leavesBeyond", "fromUnionMm", "leanDeg")) {
            if (!tree.has(number)) {
                tree.put(number, 0);
            }
        }
        for (String flag : List.of("specimen", "fruitToKeep")) {
            if (!tree.has(flag)) {
                tree.put(flag, false);
            }
        }
        if (!tree.has("ringMm")) {
            tree.put("ringMm", usualRingMm(tree.path("diameterMm").doubleValue(), mother, recipe));
        }
        return RowCells.record(json, tree, LayerRecord.Set.class);
    }

    /** The width that the recipe asks of such a branch. */
    private double usualRingMm(double diameterMm, long mother, RecipeView recipe) {
        if (!recipe.recipe().wound().isRing() || !(diameterMm >= 1 && diameterMm <= 200)) {
            return 0;
        }
        var species = house.nursery
                .species(house.nursery.mother(mother).speciesCode())
                .profile();
        return recipe.recipe()
                .ball(house.nursery.rules(), diameterMm, species.bridgesReadily(), false)
                .ringMm();
    }

    private static void usual(ObjectNode tree, String field, String code) {
        if (!tree.has(field)) {
            tree.put(field, code);
        }
    }

    private List<Deed> deeds(ObjectNode cells, LocalDate setOn) {
        List<Deed> deeds = new ArrayList<>();
        LocalDate fullOn = RowCells.date(cells, LayerTable.FULL_ON);
        if (fullOn != null) {
            deeds.add(new Deed(
                    LayerTable.FULL_ON,
                    fullOn,
                    new LayerRecord.Looked(
                            RootStage.FILLED, new Sectors(Collections.nCopies(Sectors.COUNT, 3)), 100, Set.of())));
        }
        LocalDate severedOn = RowCells.date(cells, LayerTable.SEVERED_ON);
        if (severedOn != null) {
            int before = cells.path(LayerTable.LEAVES_BEFORE).asInt(0);
            int left = cells.path(LayerTable.LEAVES_LEFT).asInt(before);
            deeds.add(new Deed(
                    LayerTable.SEVERED_ON,
                    severedOn,
                    kept(LayerTable.LEAVES_LEFT, () -> new LayerRecord.Severed(before, left))));
        }
        LocalDate pottedOn = RowCells.date(cells, LayerTable.POTTED_ON);
        if (pottedOn != null) {
            String medium = RowCells.text(cells, LayerTable.FIRST_MEDIUM);
            double pot = cells.path(LayerTable.POT_ML).doubleValue(0);
            deeds.add(new Deed(
                    LayerTable.POTTED_ON,
                    pottedOn,
                    kept(
                            LayerTable.POT_ML,
                            () -> new LayerRecord.Potted(
                                    medium == null ? FirstMedium.LIGHT_MIX : FirstMedium.valueOf(medium), pot, null))));
        }
        LocalDate releasedOn = RowCells.date(cells, LayerTable.RELEASED_ON);
        if (releasedOn != null) {
            String where = RowCells.text(cells, LayerTable.DESTINATION);
            deeds.add(new Deed(
                    LayerTable.RELEASED_ON,
                    releasedOn,
                    new LayerRecord.Released(
                            where == null ? LayerRecord.Destination.SALE : LayerRecord.Destination.valueOf(where))));
        }
        LocalDate lostOn = RowCells.date(cells, LayerTable.LOST_ON);
        if (lostOn != null) {
            String cause = RowCells.text(cells, LayerTable.LOSS_CAUSE);
            if (cause == null) {
                throw new RowException(
                        LayerTable.LOSS_CAUSE,
                        "It was lost on " + lostOn + ", but of what is not said. Choose the cause that comes nearest.");
            }
            deeds.add(new Deed(LayerTable.LOST_ON, lostOn, new LayerRecord.Lost(LossCause.valueOf(cause))));
        }
        checkOrder(deeds, setOn);
        return deeds;
    }

    private void checkOrder(List<Deed> deeds, LocalDate setOn) {
        LocalDate before = setOn;
        String last = LayerTable.SET_ON;
        LocalDate earliest = today.minusYears(Loading.MOST_YEARS_BACK);
        if (setOn.isBefore(earliest) || setOn.isAfter(today)) {
            throw new RowException(LayerTable.SET_ON, "It must be from " + earliest + " to today, " + today + ".");
        }
        Set<String> done = new HashSet<>();
        for (Deed deed : deeds) {
            if (deed.on.isAfter(today) || deed.on.isBefore(before)) {
                throw new RowException(
                        deed.column,
                        "It must be from " + before + ", the day of " + last + ", to today, " + today + ".");
            }
            before = deed.on;
            last = deed.column;
            done.add(deed.column);
        }
        if (done.contains(LayerTable.POTTED_ON) && !done.contains(LayerTable.SEVERED_ON)) {
            throw new RowException(LayerTable.SEVERED_ON, "It was potted, so it was severed: say when.");
        }
        if (done.contains(LayerTable.RELEASED_ON) && !done.contains(LayerTable.POTTED_ON)) {
            throw new RowException(LayerTable.POTTED_ON, "It was released, so it was severed and potted: say when.");
        }
        if (done.contains(LayerTable.RELEASED_ON) && done.contains(LayerTable.LOST_ON)) {
            throw new RowException(LayerTable.LOST_ON, "It can't be released and lost.");
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
