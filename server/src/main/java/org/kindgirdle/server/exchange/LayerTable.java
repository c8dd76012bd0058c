package org.kindgirdle.server.exchange;

import jakarta.validation.Validator;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.journal.WholeJournals;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Layers, one a row, with their journals in brief: what a nursery that kept a spreadsheet has. Everything that was recorded
 * of them is in the records.
 */
@Component
class LayerTable implements Table {

    static final String CODE = "code";
    static final String LABEL = "label";
    static final String MOTHER = "mother";
    static final String LIMB = "limb";
    static final String RECIPE = "recipe";
    static final String SET_ON = "set_on";
    static final String FULL_ON = "full_on";
    static final String SEVERED_ON = "severed_on";
    static final String LEAVES_BEFORE = "leaves_before";
    static final String LEAVES_LEFT = "leaves_left";
    static final String POTTED_ON = "potted_on";
    static final String FIRST_MEDIUM = "first_medium";
    static final String POT_ML = "pot_ml";
    static final String RELEASED_ON = "released_on";
    static final String DESTINATION = "destination";
    static final String LOST_ON = "lost_on";
    static final String LOSS_CAUSE = "loss_cause";
    static final String LOSS_WORDS = "loss_words";
    static final String NOTE = "note";

    /** Of the mother, which is made from them if it is not here yet. */
    static final String SPECIES = "species";

    static final String VARIETY = "variety";
    static final String PLACE = "place";

    /** What the record of its setting says, by the names of the columns. */
    static final List<Shape.Place> SET = Shape.of(LayerRecord.Setting.class).places();

    private static final List<Column> COLUMNS = columnsOf();

    private final WholeJournals journals;
    private final JournalIntake journalIntake;
    private final Snapshots snapshots;
    private final Refs refs;
    private final Mothers mothers;
    private final SpeciesProfiles species;
    private final Validator validator;
    private final CurrentPerson person;
    private final BusinessClock clock;
    private final JsonMapper json;

    LayerTable(
            WholeJournals journals,
            JournalIntake journalIntake,
            Snapshots snapshots,
            Refs refs,
            Mothers mothers,
            SpeciesProfiles species,
            Validator validator,
            CurrentPerson person,
            BusinessClock clock,
            JsonMapper json) {
        this.journals = journals;
        this.journalIntake = journalIntake;
        this.snapshots = snapshots;
        this.refs = refs;
        this.mothers = mothers;
        this.species = species;
        this.validator = validator;
        this.person = person;
        this.clock = clock;
        this.json = json;
    }

    private static List<Column> columnsOf() {
        List<Column> all = new ArrayList<>(List.of(
                Column.of(CODE, Column.CellKind.NAME),
                Column.of(LABEL, Column.CellKind.TEXT),
                ofMother(MOTHER, Column.CellKind.NAME, "one that is not here is made if its species is said")
                        .asNeeded(),
                Column.of(LIMB, Column.CellKind.NAME),
                Column.of(RECIPE, Column.CellKind.NAME).asNeeded(),
                Column.of(SET_ON, Column.CellKind.DATE).asNeeded()));
        SET.forEach(place -> all.add(
                place.column().name().equals("diameter_mm")
                        ? place.column().asNeeded()
                        : place.column().asOptional()));
        all.addAll(List.of(
                Column.of(FULL_ON, Column.CellKind.DATE),
                Column.of(SEVERED_ON, Column.CellKind.DATE),
                Column.of(LEAVES_BEFORE, Column.CellKind.WHOLE),
                Column.of(LEAVES_LEFT, Column.CellKind.WHOLE),
                Column.of(POTTED_ON, Column.CellKind.DATE),
                code(FIRST_MEDIUM, FirstMedium.class),
                Column.of(POT_ML, Column.CellKind.NUMBER),
                Column.of(RELEASED_ON, Column.CellKind.DATE),
                code(DESTINATION, LayerRecord.Destination.class),
                Column.of(LOST_ON, Column.CellKind.DATE),
                code(LOSS_CAUSE, LossCause.class),
                Column.of(LOSS_WORDS, Column.CellKind.TEXT),
                Column.of(NOTE, Column.CellKind.TEXT),
                ofMother(SPECIES, Column.CellKind.NAME, "of a mother that is not here yet"),
                ofMother(VARIETY, Column.CellKind.TEXT, "of a mother that is not here yet"),
                ofMother(PLACE, Column.CellKind.NAME, "where such a mother stands"),
                code("phase", LayerPhase.class).asReadOnly()));
        return List.copyOf(all);
    }

    private static Column ofMother(String name, Column.CellKind kind, String words) {
        return new Column(name, kind, false, false, List.of(), null, words);
    }

    private static Column code(String name, Class<?> of) {
        return new Column(name, Column.CellKind.CODE, false, false, Shape.codes(of), null, "");
    }

    @Override
    public String name() {
        return "layers";
    }

    @Override
    public List<Column> columns() {
        return COLUMNS;
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        Digests digests = new Digests();
        journals.each(life -> {
            ObjectNode row = digests.of(life);
            if (row != null) {
                List<@Nullable JsonNode> values = new ArrayList<>();
                COLUMNS.forEach(column -> values.add(row.get(column.name())));
                to.accept(values);
            }
        });
    }

    @Override
    public Intake intake(Tally tally) {
        MissingMothers missing =
                new MissingMothers(mothers, species, validator, refs.places().now());
        return new LayerIntake(this::house, missing, person.id(), clock, json, tally);
    }

    private LayerIntake.House house() {
        return new LayerIntake.House(
                journals,
                journalIntake,
                snapshots.take(),
                refs.mothers().now(),
                refs.limbs().now(),
                refs.recipes().now(),
                new Digests());
    }

    private static @Nullable String code(@Nullable Enum<?> said) {
        return said == null ? null : said.name();
    }

    /** What a row says of a layer that is here. */
    final class Digests {

        private final NurserySnapshot nursery = snapshots.take();
        private final Ref.Known limbs = refs.limbs().now();

        /** Null if the layer was taken back. */
        @Nullable
        ObjectNode of(WholeJournals.Life life) {
            Set<UUID> counting = Replay.counting(
                    life.entries().stream().map(WholeJournals.Entry::event).toList());
            ObjectNode row = json.createObjectNode();
            var mother = nursery.mother(life.motherId());
            row.put(CODE, life.code());
            row.put(MOTHER, mother.code());
            row.put(RECIPE, nursery.recipe(life.recipeId()).name());
            row.put(SPECIES, mother.speciesCode());
            row.put(VARIETY, mother.variety());
            row.put(PLACE, nursery.place(mother.placeId()).name());
            row.put("phase", life.phase().name());
            if (life.limbId() != null) {
                row.put(LIMB, limbs.name(life.limbId()));
            }
            for (WholeJournals.Entry entry : life.entries()) {
                if (counting.contains(entry.event().id())) {
                    say(row, entry.event().what(), entry.event().on(), entry.note());
                }
            }
            return row.has(SET_ON) ? row : null;
        }

        private void say(ObjectNode row, LayerRecord what, LocalDate on, String note) {
            if (what instanceof LayerRecord.Setting set) {
                row.put(SET_ON, on.toString());
                row.put(NOTE, note);
                JsonNode tree = json.valueToTree(set);
                SET.forEach(place -> row.set(place.column().name(), place.in(tree)));
            } else if (what instanceof LayerRecord.Looked looked) {
                if (looked.stage().compareTo(RootStage.FILLED) >= 0 && !row.has(FULL_ON)) {
                    row.put(FULL_ON, on.toString());
                }
            } else if (what instanceof LayerRecord.Severed severed) {
                row.put(SEVERED_ON, on.toString());
                row.put(LEAVES_BEFORE, severed.leavesBefore());
                row.put(LEAVES_LEFT, severed.leavesLeft());
            } else if (what instanceof LayerRecord.Potted potted) {
                if (!row.has(POTTED_ON)) {
                    row.put(POTTED_ON, on.toString());
                    row.put(FIRST_MEDIUM, code(potted.medium()));
                    row.put(POT_ML, potted.potMl());
                }
            } else if (what instanceof LayerRecord.Released released) {
                row.put(RELEASED_ON, on.toString());
                row.put(DESTINATION, code(released.destination()));
            } else if (what instanceof LayerRecord.Lost lost) {
                row.put(LOST_ON, on.toString());
                row.put(LOSS_CAUSE, Objects.requireNonNull(lost.cause()).name());
                row.put(LOSS_WORDS, lost.words());
            }
        }
    }
}
