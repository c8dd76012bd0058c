package org.kindgirdle.server.exchange;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.journal.WholeJournals;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.records.SaidDates;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Adds records to the journal. One that is here already stays as it is. */
final class RecordIntake implements Table.Intake {

    private static final int AT_ONCE = 2000;

    private static final List<String> NEEDED =
            List.of(RecordTable.ID, RecordTable.LAYER, RecordTable.KIND, RecordTable.OCCURRED_AT);

    private final House house;
    private final Map<RecordKind, List<Shape.Place>> details;
    private final long personId;
    private final Instant earliest;
    private final Instant latest;
    private final Instant now;
    private final JsonMapper json;
    private final Tally tally;
    private final Map<UUID, ReadRecord> held = new LinkedHashMap<>();
    /** Layers that this file sets, while it is only looked through. */
    private final Set<String> begun = new HashSet<>();

    /** What the rows refer to, and where they go. */
    record House(
            WholeJournals journals,
            JournalIntake journalIntake,
            Ref.Known people,
            Ref.Known places,
            Ref.Known mothers,
            Ref.Known limbs,
            Ref.Known recipes) {}

    /** @param setting what a layer begins with; null but in a row that sets one */
    private record ReadRecord(
            long line,
            String layer,
            RecordKind kind,
            JournalIntake.Noted noted,
            @Nullable Setting setting) {}

    private record Setting(
            UUID batchId, long motherId, @Nullable Long limbId, long recipeId, int recipeNumber) {}

    RecordIntake(
            House house,
            Map<RecordKind, List<Shape.Place>> details,
            long personId,
            BusinessClock clock,
            JsonMapper json,
            Tally tally) {
        this.house = house;
        this.details = details;
        this.personId = personId;
        this.latest = clock.now();
        this.earliest = clock.today()
                .minusYears(JournalIntake.MAX_YEARS_BACK)
                .atStartOfDay(clock.zone())
                .toInstant();
        this.now = clock.systemNow();
        this.json = json;
        this.tally = tally;
    }

    @Override
    public void take(ObjectNode cells, long line) {
        try {
            ReadRecord row = row(cells, line);
            ReadRecord twin = held.putIfAbsent(row.noted.id(), row);
            if (twin != null) {
                throw new RowException(RecordTable.ID, Refusals.say("import.id.twice", "line", twin.line));
            }
        } catch (RowException refused) {
            tally.wrong(line, refused.wrong());
        }
        if (held.size() >= AT_ONCE) {
            finish();
        }
    }

    @Override
    public void finish() {
        Set<String> codes = new HashSet<>();
        held.values().forEach(row -> codes.add(row.layer));
        Map<UUID, String> here = house.journals.layersOf(held.keySet());
        codes.addAll(here.values());
        Map<String, WholeJournals.Life> layers = new HashMap<>();
        house.journals.of(codes).forEach(life -> layers.put(life.code(), life));
        Map<String, List<ReadRecord>> fresh = new LinkedHashMap<>();
        Map<String, List<ReadRecord>> more = new LinkedHashMap<>();
        for (ReadRecord row : held.values()) {
            String layer = here.get(row.noted.id());
            if (layer != null) {
                compare(row, layer, layers.get(layer));
            } else if (row.setting != null && (layers.containsKey(row.layer) || begun.contains(row.layer))) {
                tally.wrong(
                        row.line,
                        List.of(new Wrong(RecordTable.LAYER, row.layer, Refusals.say("import.record.setByOther"))));
            } else {
                (layers.containsKey(row.layer) || begun.contains(row.layer) ? more : fresh)
                        .computeIfAbsent(row.layer, code -> new ArrayList<>())
                        .add(row);
                tally.count(Table.RowOutcome.NEW);
            }
        }
        held.clear();
        write(fresh, more);
    }

    private void write(Map<String, List<ReadRecord>> fresh, Map<String, List<ReadRecord>> more) {
        List<JournalIntake.Whole> whole = new ArrayList<>();
        fresh.forEach((code, rows) -> {
            Setting setting = rows.stream()
                    .map(ReadRecord::setting)
                    .filter(one -> one != null)
                    .findFirst()
                    .orElse(null);
            if (setting == null) {
                tally.wrong(
                        rows.get(0).line,
                        List.of(new Wrong(RecordTable.LAYER, code, Refusals.say("import.record.noLayer"))));
                return;
            }
            begun.add(code);
            List<JournalIntake.Noted> records =
                    new ArrayList<>(rows.stream().map(ReadRecord::noted).toList());
            records.sort((a, b) -> a.at().compareTo(b.at()));
            whole.add(new JournalIntake.Whole(
                    code,
                    setting.batchId,
                    setting.motherId,
                    setting.limbId,
                    setting.recipeId,
                    setting.recipeNumber,
                    records));
        });
        if (!tally.keeps()) {
            return;
        }
        if (!whole.isEmpty()) {
            house.journalIntake.load(whole);
        }
        if (!more.isEmpty()) {
            house.journalIntake.append(more.entrySet().stream()
                    .map(one -> new JournalIntake.More(
                            one.getKey(),
                            one.getValue().stream().map(ReadRecord::noted).toList()))
                    .toList());
        }
    }

    private void compare(ReadRecord row, String layer, WholeJournals.@Nullable Life life) {
        WholeJournals.Entry known = life == null
                ? null
                : life.entries().stream()
                        .filter(entry -> entry.event().id().equals(row.noted.id()))
                        .findFirst()
                        .orElse(null);
        boolean same = known != null
                && layer.equals(row.layer)
                && known.event().what().equals(row.noted.what())
                && known.event().occurredAt().equals(row.noted.at())
                && known.note().equals(row.noted.note());
        if (same) {
            tally.count(Table.RowOutcome.SAME);
        } else {
            tally.wrong(
                    row.line,
                    List.of(new Wrong(RecordTable.ID, "", Refusals.say("import.record.otherwise", "layer", layer))));
        }
    }

    private ReadRecord row(ObjectNode cells, long line) {
        RowCells.checkThere(cells, NEEDED, Refusals.say("import.record.needs"));
        RecordKind kind = RecordKind.valueOf(RowCells.need(cells, RecordTable.KIND));
        String typed = RowCells.need(cells, RecordTable.LAYER);
        String layer = LayerCode.parse(typed)
                .orElseThrow(() -> new RowException(RecordTable.LAYER, Refusals.say("import.layer")));
        Instant at = Instant.parse(RowCells.need(cells, RecordTable.OCCURRED_AT));
        if (at.isAfter(latest) || at.isBefore(earliest)) {
            throw new RowException(
                    RecordTable.OCCURRED_AT, Refusals.say("import.occurredAt", "earliest", earliest, "latest", latest));
        }
        String recordedAt = RowCells.text(cells, RecordTable.RECORDED_AT);
        String by = RowCells.text(cells, RecordTable.BY);
        String corrects = RowCells.text(cells, RecordTable.CORRECTS);
        JournalIntake.Noted noted = new JournalIntake.Noted(
                UUID.fromString(RowCells.need(cells, RecordTable.ID)),
                at,
                recordedAt == null ? now : Instant.parse(recordedAt),
                cells.path(RecordTable.CLOCK_OFFSET_DAYS).asInt(0),
                by == null ? personId : house.people.id(RecordTable.BY, by),
                corrects == null ? null : UUID.fromString(corrects),
                details(kind, cells),
                cells.path(RecordTable.NOTE).asString(""),
                said(cells));
        return new ReadRecord(line, layer, kind, noted, kind == RecordKind.SET ? setting(cells) : null);
    }

    private static @Nullable SaidDates said(ObjectNode cells) {
        LocalDate q10 = RowCells.date(cells, RecordTable.READY10_ON);
        LocalDate q50 = RowCells.date(cells, RecordTable.READY50_ON);
        LocalDate q90 = RowCells.date(cells, RecordTable.READY90_ON);
        return q10 == null && q50 == null && q90 == null ? null : new SaidDates(q10, q50, q90);
    }

    private Setting setting(ObjectNode cells) {
        String mother = RowCells.text(cells, RecordTable.MOTHER);
        String recipe = RowCells.text(cells, RecordTable.RECIPE);
        if (mother == null || recipe == null) {
            throw new RowException(
                    mother == null ? RecordTable.MOTHER : RecordTable.RECIPE, Refusals.say("import.recipe"));
        }
        String batch = RowCells.text(cells, RecordTable.BATCH);
        String limb = RowCells.text(cells, RecordTable.LIMB);
        return new Setting(
                batch == null ? UUID.fromString(RowCells.need(cells, RecordTable.ID)) : UUID.fromString(batch),
                house.mothers.id(RecordTable.MOTHER, mother),
                limb == null ? null : house.limbs.id(RecordTable.LIMB, limb),
                house.recipes.id(RecordTable.RECIPE, recipe),
                cells.path(RecordTable.RECIPE_VERSION).asInt(1));
    }

    private LayerRecord details(RecordKind kind, ObjectNode cells) {
        ObjectNode tree = json.createObjectNode();
        for (Shape.Place place : details.getOrDefault(kind, List.of())) {
            JsonNode value = cells.get(place.column().name());
            boolean empty = value == null || value.isNull();
            if (!empty) {
                place.set(
                        tree,
                        place.ref() == null
                                ? value
                                : json.getNodeFactory()
                                        .numberNode(
                                                house.places.id(place.column().name(), value.asString())));
            } else if (place.column().kind() == Column.CellKind.CODES) {
                place.set(tree, json.createArrayNode());
            }
        }
        return RowCells.record(json, tree, WholeJournals.type(kind));
    }
}
