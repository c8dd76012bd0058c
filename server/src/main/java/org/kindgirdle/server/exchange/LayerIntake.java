package org.kindgirdle.server.exchange;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.journal.WholeJournals;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
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

    /** What describes its mother, not the layer. */
    private static final Set<String> OF_MOTHER = Set.of(LayerTable.SPECIES, LayerTable.VARIETY, LayerTable.PLACE);

    private final Supplier<House> houses;
    private final MissingMothers missing;
    private final long personId;
    private final LayerRows rows;
    private final ZoneId zone;
    private final Instant now;
    private final int clockOffsetDays;
    private final Tally tally;
    private final List<Line> held = new ArrayList<>();
    private House house;

    /** What the rows refer to, and where they go. */
    record House(
            WholeJournals journals,
            JournalIntake journalIntake,
            NurserySnapshot nursery,
            Ref.Known mothers,
            Ref.Known limbs,
            Ref.Known recipes,
            LayerTable.Digests digests) {}

    private record Line(ObjectNode cells, long number) {}

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
        this.rows = new LayerRows(json, clock.today());
        this.zone = clock.zone();
        this.now = clock.systemNow();
        this.clockOffsetDays = clock.offsetDays();
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
        List<LayerRows.ReadLayer> good = new ArrayList<>();
        for (Line line : held) {
            try {
                RowException motherless = refused.get(line.number);
                // another row may have said more of the same mother
                if (motherless != null && !isHere(line)) {
                    throw motherless;
                }
                good.add(rows.read(line.cells, line.number, house));
            } catch (RowException bad) {
                tally.wrong(line.number, bad.wrong());
            }
        }
        held.clear();
        keep(good);
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

    private void keep(List<LayerRows.ReadLayer> good) {
        Set<UUID> setIds = new HashSet<>();
        Set<String> codes = new HashSet<>();
        good.forEach(row -> {
            setIds.add(row.setId());
            if (row.code() != null) {
                codes.add(row.code());
            }
        });
        Map<UUID, String> bySet = house.journals.layersOf(setIds);
        codes.addAll(bySet.values());
        Map<String, WholeJournals.Life> here = new HashMap<>();
        house.journals.of(codes).forEach(life -> here.put(life.code(), life));
        List<JournalIntake.Whole> fresh = new ArrayList<>();
        List<JournalIntake.More> more = new ArrayList<>();
        for (LayerRows.ReadLayer row : good) {
            String code = row.code() != null ? row.code() : bySet.get(row.setId());
            WholeJournals.Life life = code == null ? null : here.get(code);
            if (life == null) {
                add(row, fresh);
            } else {
                compare(row, life, more);
            }
        }
        if (tally.keeps()) {
            if (!fresh.isEmpty()) {
                house.journalIntake.load(fresh);
            }
            if (!more.isEmpty()) {
                house.journalIntake.append(more);
            }
        }
    }

    private void add(LayerRows.ReadLayer row, List<JournalIntake.Whole> fresh) {
        String species = RowCells.text(row.cells(), LayerTable.SPECIES);
        String here = house.nursery.mother(row.motherId()).speciesCode();
        if (species == null || species.equals(here)) {
            fresh.add(whole(row));
            tally.count(Table.RowOutcome.NEW);
        } else {
            String mother = RowCells.need(row.cells(), LayerTable.MOTHER);
            tally.wrong(
                    row.line(),
                    List.of(new Wrong(
                            LayerTable.SPECIES,
                            species,
                            Refusals.say("import.mother.other", "mother", mother, "here", here))));
        }
    }

    private void compare(LayerRows.ReadLayer row, WholeJournals.Life life, List<JournalIntake.More> more) {
        ObjectNode known = house.digests.of(life);
        if (known == null) {
            tally.wrong(
                    row.line(),
                    List.of(new Wrong("", "", Refusals.say("import.layer.takenBack", "code", life.code()))));
            return;
        }
        List<Wrong> other = new ArrayList<>();
        Set<String> added = new HashSet<>();
        row.cells().propertyStream().forEach(cell -> {
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
                        Refusals.say(
                                "import.layer.otherwise",
                                "code",
                                life.code(),
                                "known",
                                now == null || now.isNull()
                                        ? Refusals.say("import.layer.nothing")
                                        : "\"" + now.asString() + "\"")));
            }
        });
        if (!other.isEmpty()) {
            tally.wrong(row.line(), other);
            return;
        }
        List<JournalIntake.Noted> records = row.deeds().stream()
                .filter(deed -> added.contains(deed.column()))
                .map(deed -> noted(row, deed))
                .toList();
        if (records.isEmpty()) {
            tally.count(Table.RowOutcome.SAME);
        } else {
            more.add(new JournalIntake.More(life.code(), records));
            tally.count(Table.RowOutcome.CHANGED);
        }
    }

    private static boolean same(JsonNode one, JsonNode other) {
        return one.isNumber() && other.isNumber()
                ? one.doubleValue() == other.doubleValue()
                : one.asString().equals(other.asString());
    }

    private JournalIntake.Whole whole(LayerRows.ReadLayer row) {
        List<JournalIntake.Noted> records = new ArrayList<>();
        Instant at = at(LocalDate.parse(row.cells().get(LayerTable.SET_ON).asString()), 0);
        records.add(new JournalIntake.Noted(
                row.setId(), at, now, clockOffsetDays, personId, null, row.set(), row.note(), null));
        row.deeds().forEach(deed -> records.add(noted(row, deed)));
        UUID batch = LayerRows.id(
                "batch",
                row.motherId() + "/" + row.recipe().id() + "/" + row.cells().get(LayerTable.SET_ON));
        return new JournalIntake.Whole(
                row.code(),
                batch,
                row.motherId(),
                row.limbId(),
                Objects.requireNonNull(row.recipe().id()),
                row.recipe().number(),
                records);
    }

    private JournalIntake.Noted noted(LayerRows.ReadLayer row, LayerRows.Deed deed) {
        return new JournalIntake.Noted(
                LayerRows.id(deed.column(), row.setId().toString()),
                at(deed.on(), 1 + row.deeds().indexOf(deed)),
                now,
                clockOffsetDays,
                personId,
                null,
                deed.what(),
                "",
                null);
    }

    private Instant at(LocalDate day, int minutes) {
        return day.atTime(MORNING).plusMinutes(minutes).atZone(zone).toInstant();
    }
}
