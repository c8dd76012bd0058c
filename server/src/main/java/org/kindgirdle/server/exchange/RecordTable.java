package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.journal.WholeJournals;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The journal: one record a row, with what it says in the columns of its kind. It is only ever added to. The verdicts
 * that were given are in the nursery file.
 */
@Component
class RecordTable implements Table {

    static final String ID = "id";
    static final String LAYER = "layer";
    static final String KIND = "kind";
    static final String OCCURRED_AT = "occurred_at";
    static final String RECORDED_AT = "recorded_at";
    static final String CLOCK_OFFSET_DAYS = "clock_offset_days";
    static final String BY = "by";
    static final String CORRECTS = "corrects";
    static final String NOTE = "note";
    static final String READY10_ON = "ready10_on";
    static final String READY50_ON = "ready50_on";
    static final String READY90_ON = "ready90_on";
    static final String BATCH = "batch";
    static final String MOTHER = "mother";
    static final String LIMB = "limb";
    static final String RECIPE = "recipe";
    static final String RECIPE_VERSION = "recipe_version";

    private final WholeJournals journals;
    private final JournalIntake journalIntake;
    private final Refs refs;
    private final CurrentPerson person;
    private final BusinessClock clock;
    private final JsonMapper json;
    private final Map<RecordKind, List<Shape.Place>> details = new LinkedHashMap<>();
    private final List<Column> columns;

    RecordTable(
            WholeJournals journals,
            JournalIntake journalIntake,
            Refs refs,
            CurrentPerson person,
            BusinessClock clock,
            JsonMapper json) {
        this.journals = journals;
        this.journalIntake = journalIntake;
        this.refs = refs;
        this.person = person;
        this.clock = clock;
        this.json = json;
        for (RecordKind kind : RecordKind.values()) {
            Class<? extends LayerRecord> type = WholeJournals.type(kind);
            details.put(kind, Shape.of(type).ref("placeId", refs.places()).places());
        }
        this.columns = columnsOf();
    }

    private List<Column> columnsOf() {
        Map<String, Column> all = new LinkedHashMap<>();
        for (Column column : List.of(
                Column.of(ID, Column.CellKind.UUID).asNeeded(),
                Column.of(LAYER, Column.CellKind.NAME).asNeeded(),
                new Column(KIND, Column.CellKind.CODE, true, false, Shape.codes(RecordKind.class), null, ""),
                Column.of(OCCURRED_AT, Column.CellKind.INSTANT).asNeeded(),
                Column.of(RECORDED_AT, Column.CellKind.INSTANT),
                Column.of(CLOCK_OFFSET_DAYS, Column.CellKind.WHOLE),
                Column.of(BY, Column.CellKind.NAME),
                Column.of(CORRECTS, Column.CellKind.UUID),
                Column.of(NOTE, Column.CellKind.TEXT),
                Column.of(READY10_ON, Column.CellKind.DATE),
                Column.of(READY50_ON, Column.CellKind.DATE),
                Column.of(READY90_ON, Column.CellKind.DATE),
                Column.of(BATCH, Column.CellKind.UUID),
                Column.of(MOTHER, Column.CellKind.NAME),
                Column.of(LIMB, Column.CellKind.NAME),
                Column.of(RECIPE, Column.CellKind.NAME),
                Column.of(RECIPE_VERSION, Column.CellKind.WHOLE))) {
            all.put(column.name(), column);
        }
        details.values()
                .forEach(places -> places.forEach(place -> {
                    Column one = place.column();
                    Column before = all.putIfAbsent(one.name(), one.asOptional());
                    boolean isAlike = before == null
                            || before.kind() == one.kind() && before.codes().equals(one.codes());
                    if (!isAlike) {
                        throw new IllegalStateException("two kinds of record mean different things by " + one.name());
                    }
                }));
        return List.copyOf(all.values());
    }

    @Override
    public String name() {
        return "records";
    }

    @Override
    public List<Column> columns() {
        return columns;
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        Ref.Known people = refs.people().now();
        Ref.Known places = refs.places().now();
        Ref.Known mothers = refs.mothers().now();
        Ref.Known limbs = refs.limbs().now();
        Ref.Known recipes = refs.recipes().now();
        journals.each(life -> life.entries().forEach(entry -> {
            ObjectNode row = json.createObjectNode();
            row.put(ID, entry.event().id().toString());
            row.put(LAYER, life.code());
            row.put(KIND, entry.kind().name());
            row.put(OCCURRED_AT, entry.event().occurredAt().toString());
            row.put(RECORDED_AT, entry.event().recordedAt().toString());
            row.put(CLOCK_OFFSET_DAYS, entry.clockOffsetDays());
            row.put(BY, people.name(entry.personId()));
            put(row, CORRECTS, entry.event().corrects());
            row.put(NOTE, entry.note());
            put(row, READY10_ON, entry.ready10On());
            put(row, READY50_ON, entry.ready50On());
            put(row, READY90_ON, entry.ready90On());
            if (entry.kind() == RecordKind.SET) {
                row.put(BATCH, life.batchId().toString());
                row.put(MOTHER, mothers.name(life.motherId()));
                if (life.limbId() != null) {
                    row.put(LIMB, limbs.name(life.limbId()));
                }
                row.put(RECIPE, recipes.name(life.recipeId()));
                row.put(RECIPE_VERSION, life.recipeNumber());
            }
            JsonNode tree = json.valueToTree(entry.event().what());
            for (Shape.Place place : details.getOrDefault(entry.kind(), List.of())) {
                JsonNode value = place.in(tree);
                if (value != null && !value.isNull()) {
                    row.set(
                            place.column().name(),
                            place.ref() == null
                                    ? value
                                    : json.getNodeFactory().stringNode(String.valueOf(places.name(value.asLong()))));
                }
            }
            List<@Nullable JsonNode> values = new ArrayList<>();
            columns.forEach(column -> values.add(row.get(column.name())));
            to.accept(values);
        }));
    }

    private static void put(ObjectNode row, String column, @Nullable Object value) {
        if (value != null) {
            row.put(column, value.toString());
        }
    }

    @Override
    public Intake intake(Tally tally) {
        return new RecordIntake(
                new RecordIntake.House(
                        journals,
                        journalIntake,
                        refs.people().now(),
                        refs.places().now(),
                        refs.mothers().now(),
                        refs.limbs().now(),
                        refs.recipes().now()),
                details,
                person.id(),
                clock,
                json,
                tally);
    }
}
