package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.DoubleNode;

/** A nursery's own spreadsheet of old seasons: its columns, its words, its units, its way of writing days. */
@ExtendWith(NurseryExtension.class)
class OldSpreadsheetTest {

    private static final String OLD = """
            Tag;Plant;Set;Diam (in);Rooted;Cut;Potted;Sold;Died;Why;Notes
            A-1;Quitte weiß;03.05.2022;0,75;20.07.2022;28.07.2022;28.07.2022;10.06.2023;;;"big; and good"
            A-2;Quitte weiß;03.05.2022;3/4;;;;;1.6.22;mice;

            A-3;Quitte weiß;03.05.2022;0,5;;;;;;;"two
            lines"
            """;

    private final TestNursery nursery;
    private final Sending sending;
    private final String mother;

    OldSpreadsheetTest(TestNursery nursery) {
        this.nursery = nursery;
        this.sending = new Sending(nursery.owner());
        long id = nursery.mother("LAGIND", nursery.field());
        this.mother =
                String.valueOf(nursery.sql().queryForObject("select code from mother where id = ?", String.class, id));
    }

    private Map<String, Object> mapping() {
        Map<String, Object> mapping = new HashMap<>();
        mapping.put("table", "layers");
        mapping.put("decimalComma", true);
        mapping.put(
                "columns",
                List.of(
                        source("label", "Tag", null, null, null, Map.of()),
                        source("mother", "Plant", null, null, null, Map.of("Quitte weiß", mother)),
                        source("recipe", null, "Moss and foil", null, null, Map.of()),
                        source("set_on", "Set", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("diameter_mm", "Diam (in)", null, "in", null, Map.of()),
                        source("full_on", "Rooted", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("severed_on", "Cut", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("potted_on", "Potted", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("released_on", "Sold", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("lost_on", "Died", null, null, "DAY_MONTH_YEAR", Map.of()),
                        source("loss_cause", "Why", null, null, null, Map.of("mice", "ANIMALS")),
                        source("note", "Notes", null, null, null, Map.of())));
        return mapping;
    }

    private static Map<String, Object> source(
            String column,
            @Nullable String from,
            @Nullable String always,
            @Nullable String unit,
            @Nullable String dates,
            Map<String, String> values) {
        Map<String, Object> source = new HashMap<>();
        source.put("column", column);
        source.put("from", from);
        source.put("always", always);
        source.put("unit", unit);
        source.put("dates", dates);
        source.put("values", values);
        return source;
    }

    private int layers() {
        Integer count = nursery.sql()
                .queryForObject(
                        "select count(*) from layer l join mother m on m.id = l.mother_id where m.code = ?",
                        Integer.class,
                        mother);
        return count == null ? 0 : count;
    }

    @Test
    void it_is_looked_through_taken_once_and_remembered() {
        UUID id = sending.csv(OLD, Charset.forName("windows-1252"));
        JsonNode sent = sending.view(id);
        assertThat(sent.path("header").valueStream().map(JsonNode::asString))
                .startsWith("Tag", "Plant", "Set", "Diam (in)");
        assertThat(sent.at("/sample/0/1").asString()).isEqualTo("Quitte weiß");
        JsonNode suggested = sending.suggested(id, "layers");
        assertThat(suggested
                        .path("columns")
                        .valueStream()
                        .map(one -> one.path("column").asString() + "="
                                + one.path("from").asString()))
                .contains("label=Tag", "mother=Plant", "set_on=Set", "diameter_mm=Diam (in)", "severed_on=Cut");
        assertThat(nursery.owner()
                        .get("/api/v1/imports/" + id + "/words?column=Plant")
                        .expect(200)
                        .body()
                        .toString())
                .isEqualTo("[{\"word\":\"Quitte weiß\",\"rows\":3}]");

        JsonNode looked = sending.look(id, mapping());
        assertThat(looked.at("/outcome/fresh").asInt()).as(looked.toString()).isEqualTo(3);
        assertThat(layers()).isZero();
        JsonNode taken = sending.take(id, mapping());
        assertThat(taken.path("state").asString()).isEqualTo("TAKEN");
        assertThat(layers()).isEqualTo(3);
        assertThat(sending.take(id, mapping()).path("state").asString()).isEqualTo("TAKEN");
        assertThat(layers()).isEqualTo(3);

        List<Map<String, Object>> rows = nursery.sql()
                .queryForList(
                        "select l.phase, l.loss_cause, l.full_on, e.note from layer l join layer_event e"
                                + " on e.layer_id = l.id and e.kind = 'SET' join mother m on m.id = l.mother_id"
                                + " where m.code = ? order by l.number",
                        mother);
        assertThat(rows.toString())
                .contains("phase=RELEASED", "full_on=2022-07-20", "note=Label A-1. big; and good")
                .contains("phase=LOST, loss_cause=ANIMALS")
                .contains("phase=ON_MOTHER", "note=Label A-3. two\nlines");
        String layers = sending.table("layers");
        assertThat(layers).contains(mother + ",,Moss and foil,2022-05-03,19.05,");

        // the sheet has grown: what it knows more is added, nothing is set twice
        String more = OLD.replace("A-3;Quitte weiß;03.05.2022;0,5;;", "A-3;Quitte weiß;03.05.2022;0,5;;2.8.2022");
        UUID again = sending.csv(more, StandardCharsets.UTF_8);
        assertThat(sending.view(again).path("remembered").asBoolean()).isTrue();
        JsonNode grown = sending.take(again, sending.view(again).path("mapping"));
        assertThat(grown.at("/outcome/same").asInt()).as(grown.toString()).isEqualTo(2);
        assertThat(grown.at("/outcome/changed").asInt()).isEqualTo(1);
        assertThat(layers()).isEqualTo(3);

        // a phone that sends what came with a file meanwhile is answered as if it had been the first
        String recordId = nursery.sql()
                .queryForObject(
                        "select e.uuid from layer_event e join layer l on l.id = e.layer_id join mother m"
                                + " on m.id = l.mother_id where m.code = ? and e.kind = 'LOST'",
                        String.class,
                        mother);
        String lost = nursery.sql()
                .queryForObject(
                        "select l.code from layer l join layer_event e on e.layer_id = l.id where e.uuid = ?",
                        String.class,
                        recordId);
        String records = "/api/v1/layers/" + lost + "/records";
        Map<String, Object> record = Map.of("kind", "LOST", "details", Map.of("cause", "ANIMALS"));
        nursery.grower().post(records, UUID.fromString(recordId), record).expect(201);
        Map<String, Object> different = Map.of("kind", "LOST", "details", Map.of("cause", "DRIED"));
        nursery.owner().post(records, UUID.fromString(recordId), different).expect(409);

        // what is recorded is not changed by a file
        UUID other = sending.csv(OLD.replace("A-2;Quitte weiß;03.05.2022;3/4", "A-2;Quitte weiß;04.05.2022;3/4"));
        JsonNode refused = sending.take(other, mapping());
        assertThat(refused.path("state").asString()).isEqualTo("LOOKED");
        assertThat(refused.at("/outcome/bad/0/column").asString()).isEqualTo("set_on");
        assertThat(refused.at("/outcome/bad/0/message").asString()).contains("is here already with \"2022-05-03\"");
    }

    @Test
    void every_bad_cell_is_named_by_line_and_column_and_nothing_is_written() {
        UUID id = sending.csv("""
                Tag;Plant;Set;Diam (in);Rooted;Cut;Potted;Sold;Died;Why;Notes
                B-1;Quitte weiß;03.05.2022;0,75;;;;;;;
                B-2;Birne;31.02.2022;thick;;;;;;;
                B-3;Quitte weiß;03.05.2022;0,75;;01.05.2022;;;;;
                B-4;Quitte weiß;03.05.2022;0,75;;;;;05.06.2022;;
                B-4;Quitte weiß;03.05.2022;900;;;;;;;
                ;;;;;;;;;;
                B-6;Quitte weiß;03.05.2031;0,75;;;;10.6.2031;;;
                """);
        JsonNode outcome = sending.take(id, mapping()).path("outcome");
        assertThat(outcome.path("rows").asInt()).isEqualTo(6);
        assertThat(outcome.path("bad")
                        .valueStream()
                        .map(one -> one.path("line").asInt() + " "
                                + one.path("column").asString()))
                .containsExactly(
                        "3 set_on", "3 diameter_mm", "4 severed_on", "5 loss_cause", "6 diameter_mm", "8 set_on");
        assertThat(outcome.path("bad").toString())
                .contains(
                        Refusals.say("import.noSuchDay"),
                        "\"value\":\"thick\"",
                        Refusals.say(
                                "import.after", "before", "2022-05-03", "last", "set_on", "today", TestNursery.TODAY));
        assertThat(layers()).isZero();
    }

    @Test
    void mothers_that_are_not_here_are_made_with_their_layers() {
        String sheet = """
                Tag;Plant;Kind;Variety;Set;Diam
                C-1;Wall 1;crape;Old Pink;2022-05-04;14
                C-2;Wall 1;crape;;2022-05-04;15
                C-3;Wall 2;;;2022-05-05;15
                C-4;Wall 2;crape;;2022-05-05;16
                """;
        String place =
                nursery.sql().queryForObject("select name from place where id = ?", String.class, nursery.field());
        Map<String, Object> mapping = Map.of(
                "table",
                "layers",
                "decimalComma",
                false,
                "columns",
                List.of(
                        source("label", "Tag", null, null, null, Map.of()),
                        source("mother", "Plant", null, null, null, Map.of()),
                        source("species", "Kind", null, null, null, Map.of("crape", "LAGIND")),
                        source("variety", "Variety", null, null, null, Map.of()),
                        source("place", null, place, null, null, Map.of()),
                        source("recipe", null, "Moss and foil", null, null, Map.of()),
                        source("set_on", "Set", null, null, null, Map.of()),
                        source("diameter_mm", "Diam", null, null, null, Map.of())));

        UUID id = sending.csv(sheet);
        JsonNode looked = sending.look(id, mapping).path("outcome");
        assertThat(looked.path("mothers").toString()).as(looked.toString()).isEqualTo("[\"Wall 1\",\"Wall 2\"]");
        assertThat(walls()).isEmpty();
        // mothers that a file names are made beside those who record
        JsonNode taken = Sending.whileHeld(
                nursery,
                List.of("select * from nursery_lock lock in share mode"),
                () -> sending.take(id, mapping).path("outcome"));
        assertThat(taken.path("fresh").asInt()).as(taken.toString()).isEqualTo(4);
        assertThat(walls()).containsExactly("Wall 1 LAGIND Old Pink, 2 layers", "Wall 2 LAGIND , 2 layers");
        // again: nothing is new, neither layer nor mother, though the sheet says otherwise of a mother meanwhile
        JsonNode again = sending.take(sending.csv(sheet.replace("Old Pink", "Pink")), mapping)
                .path("outcome");
        assertThat(again.path("same").asInt()).as(again.toString()).isEqualTo(4);
        assertThat(again.path("mothersMade").asInt()).isZero();

        JsonNode wrong = sending.take(sending.csv("""
                                Tag;Plant;Kind;Variety;Set;Diam
                                D-1;Wall 1;CYDOBL;;2022-05-04;14
                                D-2;Wall 3;;;2022-05-04;14
                                D-3;Wall 4;rose;;2022-05-04;14
                                D-4;What a long name for a tag;crape;;2022-05-04;14
                                D-5;Wall 5;crape;;2022-05-04;14
                                """), mapping).path("outcome");
        assertThat(wrong.path("bad")
                        .valueStream()
                        .map(one -> one.path("line").asInt() + " "
                                + one.path("column").asString()))
                .containsExactly("2 species", "3 mother", "4 species", "5 mother");
        assertThat(wrong.path("bad").toString())
                .contains(
                        Refusals.say("import.mother.other", "mother", "Wall 1", "here", "LAGIND"),
                        Refusals.say("import.mother"));
        assertThat(walls()).hasSize(2);
    }

    private List<String> walls() {
        return nursery.sql()
                .queryForList(
                        "select concat(m.code, ' ', m.species_code, ' ', m.variety, ', ', count(l.id), ' layers') from"
                                + " mother m left join layer l on l.mother_id = m.id where m.code like 'Wall %'"
                                + " group by m.id order by m.code",
                        String.class);
    }

    @Test
    void units_are_read_off_the_names_of_columns() {
        for (String name : List.of("Diam (in)", "Diam in", "diameter_in", "Thickness, in", "DIAMETER [in]")) {
            UUID id = sending.csv("Tag;Plant;Set;" + name + "\n1;a;2022-05-04;0.5\n");
            assertThat(sending.suggested(id, "layers")
                            .path("columns")
                            .valueStream()
                            .filter(one -> one.path("column").asString().equals("diameter_mm"))
                            .map(one -> one.path("unit").asString()))
                    .as(name)
                    .containsExactly("in");
        }
    }

    @Test
    void a_file_that_is_none_is_told_and_a_large_one_refused() {
        UUID open = sending.csv("code,name\n1,\"never closed\n" + "x".repeat(2_000_000));
        assertThat(sending.view(open).at("/outcome/broken").asString()).contains("line 2", "quotation mark");
        Map<String, Object> asPlaces = Map.of(
                "table",
                "places",
                "decimalComma",
                false,
                "columns",
                List.of(source("name", "name", null, null, null, Map.of())));
        UUID later = sending.csv("code,name\n" + "1,a\n".repeat(20) + "2,\"never closed\n");
        assertThat(sending.look(later, asPlaces).at("/outcome/broken").asString())
                .contains("line 22", "quotation mark");
        assertThat(sending.view(sending.csv("")).at("/outcome/broken").asString())
                .contains("is empty");
        assertThat(sending.view(sending.csv("a,a\n1,2\n")).at("/outcome/broken").asString())
                .contains("twice");

        nursery.owner()
                .putFile("/api/v1/imports/" + UUID.randomUUID() + "?name=big.csv", "text/csv", new byte[100_000_001])
                .expect(413);
        UUID half = sending.nursery("{\"format\":\"kind-girdle-nursery\",\"version\":1,\"people\":[]}".getBytes());
        assertThat(sending.look(half, null).at("/outcome/broken").asString())
                .containsPattern(Said.by("import.nursery.missing"))
                .contains("mothers");
        UUID other = sending.nursery("{\"layers\":[]}".getBytes());
        assertThat(sending.look(other, null).at("/outcome/broken").asString())
                .containsPattern(Said.by("import.nursery.version"));
        UUID cut = sending.nursery("{\"format\":\"kind-girdle-nursery\",\"version\":1,\"people\":[{\"id\":".getBytes());
        assertThat(sending.look(cut, null).at("/outcome/broken").asString())
                .containsPattern(Said.by("import.nursery.unreadable"));

        nursery.grower().get("/api/v1/nursery-file").expect(403);
        nursery.grower()
                .putFile("/api/v1/imports/" + UUID.randomUUID() + "?name=a.csv", "text/csv", "a\n1\n".getBytes())
                .expect(403);
        nursery.viewer().get("/api/v1/tables/mothers").expect(200);
        nursery.viewer().get("/api/v1/tables/people").expect(403);
        nursery.owner().get("/api/v1/tables/nothing").expect(404);
        nursery.owner()
                .post(
                        "/api/v1/imports/" + later + "/looks",
                        Map.of(
                                "mapping",
                                Map.of(
                                        "table",
                                        "places",
                                        "decimalComma",
                                        false,
                                        "columns",
                                        List.of(source("nothing", "name", null, null, null, Map.of())))))
                .expect(400);
        nursery.owner().delete("/api/v1/imports/" + open).expect(204);
        nursery.owner().get("/api/v1/imports/" + open).expect(404);
    }

    @Test
    void more_layers_than_there_are_codes_are_refused_in_words() {
        Integer next =
                nursery.sql().queryForObject("select next_value from counter where name = 'layer'", Integer.class);
        nursery.sql().update("update counter set next_value = 279840 where name = 'layer'");
        try {
            // tags that no other test has taken in: those would be here already, and need no codes
            JsonNode refused = sending.take(sending.csv(OLD.replace("A-", "B-"), StandardCharsets.UTF_8), mapping());
            assertThat(refused.at("/outcome/broken").asString()).contains("codes for 279841 layers");
            assertThat(layers()).isZero();
        } finally {
            nursery.sql().update("update counter set next_value = ? where name = 'layer'", next);
        }
    }

    @Test
    void apostrophes_keep_formulas_from_running_and_come_off_one_at_a_time() {
        assertThat(Cells.guarded("=1+1")).isEqualTo("'=1+1");
        for (String text : List.of("=a", "+a", "-a", "@a", "\ta", "'a", "''a", "a", "", "a=b", "'=a")) {
            assertThat(CsvRows.unguarded(Cells.guarded(text))).isEqualTo(text);
        }
        assertThat(Cells.text(Column.of("min_c", Column.CellKind.NUMBER), DoubleNode.valueOf(-3)))
                .isEqualTo("-3");
    }
}
