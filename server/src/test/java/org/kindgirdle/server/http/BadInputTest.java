package org.kindgirdle.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.Client.Answer;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is sent to whichever endpoint: refused with a reason, and nothing written. */
@ExtendWith(NurseryExtension.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BadInputTest {

    private static final Set<String> OPEN = Set.of("/api/v1/session", "/api/v1/first-owner");

    /** What is reckoned and not kept, for whoever may look. */
    private static final Set<String> SUMS = Set.of(
            "/api/v1/set-previews",
            "/api/v1/set-drawings",
            "/api/v1/sums/hormone",
            "/api/v1/sums/ball",
            "/api/v1/sums/medium",
            "/api/v1/sums/cover");

    /** By what stands in them, not by how many rows there are. */
    private static final List<String> TABLES = List.of(
            "layer",
            "layer_event",
            "command",
            "mother",
            "mother_event",
            "mother_origin",
            "limb",
            "target",
            "price_list",
            "supplies",
            "planned_batch",
            "trial",
            "trial_slot",
            "layer_photo",
            "saved_filter",
            "import_file",
            "import_mapping",
            "place",
            "recipe",
            "recipe_version",
            "species_profile",
            "person");

    private final TestNursery nursery;
    private final String code;
    private final String before;

    BadInputTest(TestNursery nursery) {
        this.nursery = nursery;
        this.code =
                nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY, 1).get(0);
        this.before = rows();
    }

    /** Every endpoint that writes, from the API's own description, so that none can be forgotten. */
    static Stream<String> writing() {
        return ApiDocument.operations(List.of("post", "put", "delete"));
    }

    static Stream<String> withBody() {
        return writing().filter(operation -> !operation.startsWith("DELETE"));
    }

    /** A picture may be larger than all else, and so may a file of the nursery's own records. */
    static Stream<String> withSmallBody() {
        return withBody()
                .filter(operation ->
                        !operation.endsWith("/photos") && !operation.equals("PUT /api/v1/imports/{fileId}"));
    }

    static Stream<String> notForViewers() {
        return writing()
                .filter(operation -> !operation.contains("/me/"))
                .filter(operation -> !SUMS.contains(operation.split(" ")[1]))
                .filter(operation -> !OPEN.contains(operation.split(" ")[1]));
    }

    /** What is done with a file goes by the file's own UUID, in the address, and a preview writes nothing. */
    static Stream<String> commands() {
        return withBody()
                .filter(operation -> operation.matches(
                        ".*(batches|records|mothers|places|recipes|species|site|house-rules|imports).*"))
                .filter(operation -> !operation.contains("preview")
                        && !operation.contains("/imports/{fileId}")
                        && !operation.contains("planned"));
    }

    static Stream<String> closed() {
        return ApiDocument.operations(List.of("get", "post", "put", "delete"))
                .filter(operation -> !OPEN.contains(operation.split(" ")[1]));
    }

    @AfterEach
    void nothingWasWritten() {
        assertThat(rows()).isEqualTo(before);
    }

    @ParameterizedTest
    @MethodSource("closed")
    void nobody_is_let_in_without_a_session(String operation) {
        Client stranger = nursery.anonymous();
        stranger.get("/api/v1/session");
        assertRefused(send(stranger, operation, "{}", true), 401);
    }

    @ParameterizedTest
    @MethodSource("writing")
    void nothing_is_taken_without_the_token(String operation) {
        assertRefused(send(nursery.owner(), operation, "{}", false), 403);
    }

    @ParameterizedTest
    @MethodSource("notForViewers")
    void a_viewer_changes_nothing_but_the_own_units_and_session(String operation) {
        assertRefused(send(nursery.viewer(), operation, "{}", true), 403);
    }

    @ParameterizedTest
    @MethodSource("withBody")
    void a_body_that_is_no_json_or_empty_or_of_the_wrong_kind_is_explained(String operation) {
        for (String body : List.of("", "{", "[]", "\"text\"", "{\"unheardOf\": 1}", "{}", "NaN", "null")) {
            Answer answer = assertRefused(send(nursery.owner(), operation, body, true), 400);
            assertThat(answer.body().path("violations").size()).as(body).isPositive();
        }
    }

    @ParameterizedTest
    @MethodSource("withSmallBody")
    void more_than_a_megabyte_is_too_much(String operation) {
        String body = "{\"note\": \"" + "x".repeat(1_000_000) + "\"}";
        assertRefused(send(nursery.owner(), operation, body, true), 413);
    }

    @Test
    void ten_megabytes_are_no_other_than_one() {
        String body = "{\"note\": \"" + "x".repeat(10_000_000) + "\"}";
        assertRefused(send(nursery.owner(), "POST /api/v1/batches", body, true), 413);
    }

    @ParameterizedTest
    @MethodSource("commands")
    void a_command_needs_its_uuid(String operation) {
        String method = operation.split(" ")[0];
        assertRefused(nursery.owner().send(method, path(operation), null, "{}", true), 400);
        Answer answer = nursery.owner().send(method, path(operation), null, validBody(operation), true);
        assertRefused(answer, 400);
        assertThat(answer.fields()).contains("Command-Id");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            diameterMm | "0.5 mm" | rows[0].diameterMm | from 1 to 200 mm
            diameterMm | 900 | rows[0].diameterMm | from 1 to 200 mm
            diameterMm | "NaN" | rows[0].diameterMm | Type a number and one of: mm
            diameterMm | NaN | rows[0] | NaN
            diameterMm | "20" | rows[0].diameterMm | Type a number and one of: mm
            diameterMm | "3 furlongs" | rows[0].diameterMm | Type a number and one of: mm
            diameterMm | null | rows[0].diameterMm | must be there
            diameterMm | true | rows[0].diameterMm | a number
            wood | "OAK" | rows[0].wood | one of SOFT, ONE_TWO
            wood | 1 | rows[0].wood | one of SOFT, ONE_TWO
            leavesBeyond | -1 | rows[0].leavesBeyond | from 0 to 5000
            leavesBeyond | 2.5 | rows[0].leavesBeyond | a number
            leavesBeyond | "many" | rows[0].leavesBeyond | a number
            leanDeg | 1e400 | rows[0].leanDeg | from 0 to 180
            specimen | "yes" | rows[0].specimen | true or false
            """)
    void a_branch_that_can_not_be_is_named_with_its_value_and_range(
            String field, String value, String where, String message) {
        Map<String, Object> row = new HashMap<>(TestNursery.row("18 mm"));
        row.put(field, "@");
        Map<String, Object> batch = new HashMap<>(nursery.batch(nursery.field(), TODAY, 1));
        batch.put("rows", List.of(row));
        String body = Client.json(batch).replace("\"@\"", value);
        for (String path : List.of("/api/v1/set-previews", "/api/v1/batches")) {
            Answer answer = assertRefused(nursery.grower().send("POST", path, UUID.randomUUID(), body, true), 400);
            assertThat(answer.fields()).contains(where);
            assertThat(answer.body().path("violations").toString()).contains(message);
        }
    }

    @Test
    void all_that_is_wrong_with_a_batch_is_said_at_once_and_none_of_it_is_set() {
        Map<String, Object> batch = new HashMap<>(nursery.batch(nursery.field(), TODAY, 1));
        batch.put(
                "rows",
                List.of(
                        TestNursery.row("18 mm"),
                        TestNursery.row(0),
                        TestNursery.row(300),
                        TestNursery.row(-1),
                        TestNursery.row(301)));
        Answer answer = assertRefused(nursery.grower().post("/api/v1/batches", batch), 400);
        assertThat(answer.fields())
                .as("from the first row to the last")
                .containsExactly(
                        "rows[1].diameterMm", "rows[2].diameterMm", "rows[3].diameterMm", "rows[4].diameterMm");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            LOOKED | {"stage": "ROOTED", "sectors": [1,1,1], "fillPercent": 5, "conditions": []} | 8
            LOOKED | {"stage": "ROOTED", "sectors": [1,1,1,1,1,1,1,4], "fillPercent": 5, "conditions": []} | from 0 to 3
            LOOKED | {"stage": "ROOTED", "sectors": [1,1,1,1,1,1,1,1], "fillPercent": 101, "conditions": []} | from 0 to 100
            LOOKED | {"stage": "BLOOMING", "sectors": [1,1,1,1,1,1,1,1], "fillPercent": 1, "conditions": []} | one of NONE, CALLUS
            LOOKED | {"stage": "ROOTED", "sectors": [1,1,1,1,1,1,1,1], "fillPercent": 1, "conditions": ["BORED"]} | one of DRY
            LOOKED | {} | must be there
            TOPPED_UP | {"waterMl": -1} | from 0 to 20000
            TOPPED_UP | {"waterMl": "2 mm"} | unknown unit
            TOPPED_UP | {"waterMl": 1, "extra": 2} | no field 'extra'
            RERUNG | {"ringMm": 0} | from 1 to 300
            SEVERED | {"leavesBefore": 4, "leavesLeft": 5} | from 0 to 4
            POTTED | {"medium": "CONCRETE", "potMl": 1} | one of LIGHT_MIX
            MOVED | {"rung": "ROOF"} | one of TENT
            OBSERVED | {"signs": [null]} | must be there
            LOST | {"cause": "BORED"} | one of TOO_LATE
            SET | {} | Layers are set in batches
            WITHDRAWN | {} | Say which record is taken back
            DANCED | {} | one of SET
            """)
    void a_record_that_can_not_be_is_explained(String kind, String details, String message) {
        Answer answer = assertRefused(
                nursery.grower()
                        .send(
                                "POST",
                                "/api/v1/layers/" + code + "/records",
                                UUID.randomUUID(),
                                "{\"kind\": \"" + kind + "\", \"details\": " + details + "}",
                                true),
                400);
        assertThat(answer.body().path("violations").toString()).contains(message);
    }

    @ParameterizedTest
    @CsvSource({
        "/api/v1/layers?limit=0", "/api/v1/layers?limit=501", "/api/v1/layers?limit=many",
        "/api/v1/layers?sort=colour", "/api/v1/layers?cursor=%21%21", "/api/v1/layers?cursor=YXxi",
        "/api/v1/layers?phase=LIMBO", "/api/v1/layers?motherId=x", "/api/v1/layers/7KM-4Z",
        "/api/v1/mothers/x"
    })
    void a_question_that_can_not_be_is_explained(String path) {
        Answer answer = assertRefused(nursery.viewer().get(path), 400);
        assertThat(answer.fields()).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "/api/v1/layers/@",
        "/api/v1/mothers/99999999",
        "/api/v1/species/NOSUCH",
        "/api/v1/nothing",
        "/api/nothing",
    })
    void what_is_not_there_is_not_found(String path) {
        assertRefused(nursery.owner().get(path.replace("@", LayerCode.of(LayerCode.CAPACITY - 1))), 404);
    }

    /** Each was a 500, or was taken, once. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            {"kind": "NOTED", "details": null} | details
            {"kind": "NOTED", "details": []} | details
            {"kind": "SEVERED", "details": {"leavesBefore": 99999999999, "leavesLeft": 4}} | details.leavesBefore
            {"kind": "LOOKED", "details": {"stage": "CALLUS", "sectors": [9999999999,0,0,0,0,0,0,0], "fillPercent": 5, "conditions": []}} | details.sectors[0]
            {"kind": "LOOKED", "details": {"stage": "CALLUS", "sectors": [0,0,0,0,0,0,0,0], "fillPercent": 5, "conditions": [null]}} | details.conditions[0]
            {"kind": "CUT_PLANNED", "details": {"cutOn": "0001-01-01"}} | details.cutOn
            {"kind": "CUT_PLANNED", "details": {"cutOn": "9999-12-31"}} | details.cutOn
            {"kind": "CUT_PLANNED", "details": {"cutOn": "+99999-12-31"}} | details.cutOn
            {"kind": "DEFERRED", "details": {"jobs": ["DANCE"], "until": "2026-07-20"}} | details.jobs
            {"kind": "DEFERRED", "details": {"jobs": ["=1+1"], "until": "2026-07-20"}} | details.jobs
            {"kind": "TOPPED_UP", "details": {"watrMl": 5}} | details.watrMl
            {"kind": "TOPPED_UP", "details": {"waterMl": "４０ mL"}} | details.waterMl
            {"kind": "POTTED", "details": {"medium": "LIGHT_MIX", "potMl": 900, "pot": "a\\u0007b"}} | details.pot
            {"kind": "NOTED", "details": {}, "note": "bell\\u0007"} | note
            {"kind": "NOTED", "details": {}, "note": "turned \\u202Eround"} | note
            """)
    void what_was_never_meant_is_named_by_its_field(String body, String field) {
        Answer answer = assertRefused(
                nursery.grower().send("POST", "/api/v1/layers/" + code + "/records", UUID.randomUUID(), body, true),
                400);
        assertThat(answer.fields()).contains(field);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            /api/v1/layer-records | {"kind": "NOTED", "codes": [null], "details": {}} | codes[0]
            /api/v1/layer-records | {"kind": "TOPPED_UP", "codes": ["7KM-4X"], "details": {"watrMl": 5}} | details.watrMl
            /api/v1/layer-records | {"kind": "NOTED", "codes": ["7KM-4X"], "details": null} | details
            /api/v1/sums/hormone | {"stock": "SOLID", "purityPercent": 1e-320, "targetPpm": 1000, "volumeMl": 100} | purityPercent
            """)
    void lists_with_holes_and_sums_without_sense_are_refused(String path, String body, String field) {
        String sent = body.replace("7KM-4X", code);
        Answer answer = assertRefused(nursery.grower().send("POST", path, UUID.randomUUID(), sent, true), 400);
        assertThat(answer.fields()).contains(field);
    }

    @Test
    void a_mix_that_is_nothing_is_named() {
        ObjectNode supplies =
                (ObjectNode) nursery.owner().get("/api/v1/supplies").expect(200).body();
        ((ObjectNode) supplies.path("mixes")).putNull("MOSS");
        Answer answer = assertRefused(nursery.owner().put("/api/v1/supplies", supplies), 400);
        assertThat(answer.fields().toString()).contains("mixes");
    }

    @ParameterizedTest
    @CsvSource({
        "/api/v1/layers?q=%FF",
        "/api/v1/layers?limit=%EF%BC%92",
        "/api/v1/layers?limit=1e1",
        "/api/v1/layers?limit=99999999999",
        "/api/v1/weather?from=0001-01-01&to=0001-02-01",
        "/api/v1/weather?from=9999-12-30&to=9999-12-31",
        "/api/v1/weather?from=7/1/26&to=7/2/26",
        "/api/v1/round?on=2026-02-30"
    })
    void an_address_is_read_in_one_way_or_not_at_all(String path) {
        assertRefused(nursery.viewer().get(path), 400);
    }

    @Test
    void a_day_far_off_is_told_the_days_that_are_taken() {
        assertThat(nursery.viewer()
                        .get("/api/v1/weather?from=0001-01-01&to=2026-02-01")
                        .body()
                        .toString())
                .contains("from 1900-01-01 to 2199-12-31");
        assertThat(nursery.viewer()
                        .get("/api/v1/weather?from=7/1/26&to=2026-02-01")
                        .body()
                        .toString())
                .contains("a date like 2026-07-10");
    }

    @Test
    void a_body_is_json_and_a_picture_is_no_form() {
        for (String type : List.of("application/yaml", "text/yaml", "application/xml", "text/plain")) {
            Answer answer = nursery.grower()
                    .upload(
                            "/api/v1/layers/" + code + "/records",
                            UUID.randomUUID(),
                            type,
                            "kind: NOTED\ndetails: {}\n".getBytes(StandardCharsets.UTF_8));
            assertRefused(answer, 415);
            assertThat(answer.body().path("detail").asString())
                    .isEqualTo(Refusals.say("body.contentType.detail", "allowed", "application/json"));
        }
        for (String type : List.of("application/x-www-form-urlencoded", "multipart/form-data; boundary=x")) {
            assertRefused(
                    nursery.grower()
                            .upload(
                                    "/api/v1/layers/" + code + "/photos",
                                    UUID.randomUUID(),
                                    type,
                                    "photo=1".getBytes(StandardCharsets.UTF_8)),
                    415);
        }
    }

    @ParameterizedTest
    @CsvSource({"TRACE", "CONNECT", "FOO", "PROPFIND", "PATCH"})
    void odd_methods_and_broken_lines_are_refused_as_everything_is(String method) throws IOException {
        for (String head : List.of(method + " /api/v1/session HTTP/1.1", method + " no line at all")) {
            String said = raw(head + "\r\nHost: here\r\nConnection: close\r\n\r\n");
            assertThat(said).matches("(?s)HTTP/1.1 4\\d\\d .*");
            assertThat(said).contains("application/problem+json").doesNotContain("<html", "Tomcat");
        }
    }

    @Test
    void a_body_that_stops_arriving_is_refused_in_words() throws IOException {
        String said = raw("POST /api/v1/session HTTP/1.1\r\nHost: here\r\nConnection: close\r\n"
                + "Cookie: XSRF-TOKEN=0a-same\r\nX-XSRF-TOKEN: 0a-same\r\n"
                + "Content-Type: application/json\r\nContent-Length: 400\r\n\r\n{");
        assertThat(said).startsWith("HTTP/1.1 408 ").contains("application/problem+json", Refusals.say("body.slow"));
    }

    @Test
    void a_name_that_is_there_twice_in_an_address_is_shown_with_both_values() {
        Answer answer = assertRefused(nursery.viewer().get("/api/v1/season-report?year=2026&year=four"), 400);
        assertThat(answer.body().toString()).contains("[2026, four]").doesNotContain("Ljava");
    }

    private String raw(String request) throws IOException {
        int port = Integer.parseInt(nursery.base().replaceFirst(".*:", ""));
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void a_record_can_not_be_dated_ahead_of_now() {
        Answer answer = assertRefused(
                nursery.record(
                        code, Map.of("kind", "NOTED", "details", Map.of(), "occurredAt", "2027-01-01T00:00:00Z")),
                400);
        assertThat(answer.fields()).containsExactly("occurredAt");
    }

    @Test
    void a_quantity_of_normals_may_carry_its_unit_but_not_another() {
        Map<String, Object> place = Map.of(
                "name", "Hot corner",
                "walkingOrder", 9,
                "exposure", "FULL",
                "minShiftC", "90 F",
                "maxShiftC", "2 mm",
                "vpdFactor", 1,
                "frosts", "SITE",
                "winterLowC", 1,
                "stand", "OPEN",
                "version", 0);
        Answer answer = assertRefused(nursery.owner().post("/api/v1/places", place), 400);
        assertThat(answer.body().toString()).contains("unknown unit 'mm'");
    }

    private Answer send(Client client, String operation, String body, boolean withToken) {
        return client.send(operation.split(" ")[0], path(operation), UUID.randomUUID(), body, withToken);
    }

    private String path(String operation) {
        return operation
                .split(" ")[1]
                .replace("layers/{code}", "layers/" + code)
                .replace("species/{code}", "species/CYDOBL")
                .replaceAll("\\{\\w+}", "1");
    }

    private String validBody(String operation) {
        String path = operation.split(" ")[1];
        if (path.endsWith("records")) {
            return Client.json(TestNursery.look("NONE", 0));
        }
        if (path.endsWith("batches") || path.endsWith("previews")) {
            return Client.json(nursery.batch(nursery.field(), TODAY, 1));
        }
        if (path.contains("mothers")) {
            return Client.json(TestNursery.motherBody("X-1", "CYDOBL", nursery.field()));
        }
        return path.contains("recipes")
                ? Client.json(TestNursery.recipeBody("Another"))
                : Client.json(nursery.owner()
                        .get(path.contains("places") ? "/api/v1/places" : path.replace("{code}", "CYDOBL"))
                        .body()
                        .valueStream()
                        .findFirst()
                        .orElseThrow());
    }

    private static Answer assertRefused(Answer answer, int status) {
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(status);
        assertThat(answer.headers().get("content-type").toString()).contains("application/problem+json");
        assertThat(answer.body().path("title").asString()).isNotBlank();
        assertThat(answer.body().path("detail").asString()).isNotBlank();
        assertThat(answer.body().toString()).doesNotContain("org.kindgirdle", "Exception", "java.");
        return answer;
    }

    private String rows() {
        return nursery.sql()
                .queryForList("checksum table " + String.join(", ", TABLES))
                .toString();
    }
}
