package org.kindgirdle.server.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.io.BufferedOutputStream;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Unit;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.Confirmation;
import org.kindgirdle.server.security.SecurityEventKind;
import org.kindgirdle.server.security.SecurityLog;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.site.Sites;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.filter.ShallowEtagHeaderFilter;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The records in and out over HTTP. */
@RestController
@RequestMapping("/api/v1")
class ExchangeController {

    private static final String CSV = "text/csv;charset=UTF-8";

    /** What is gathered before it is sent, bytes. */
    private static final int BUFFER = 1 << 16;

    private final Tables tables;
    private final Imports imports;
    private final NurseryWriter nurseries;
    private final NurserySchema schema;
    private final Sites sites;
    private final JsonMapper json;
    private final Confirmation confirmation;
    private final SecurityLog log;

    ExchangeController(
            Tables tables,
            Imports imports,
            NurseryWriter nurseries,
            NurserySchema schema,
            Sites sites,
            JsonMapper json,
            Confirmation confirmation,
            SecurityLog log) {
        this.confirmation = confirmation;
        this.log = log;
        this.schema = schema;
        this.json = json;
        this.tables = tables;
        this.imports = imports;
        this.nurseries = nurseries;
        this.sites = sites;
    }

    /** @param units in which a file's numbers may be; the first is the table's own */
    record ColumnView(
            String name,
            Column.CellKind kind,
            boolean needed,
            boolean readOnly,
            List<String> codes,
            List<String> units,
            String range,
            String example) {}

    record TableView(String name, List<ColumnView> columns) {}

    /** @param nursery the name of the nursery, where another one is to take its place; else null */
    record TakeRequest(
            @Nullable @Valid Mapping mapping,
            @Nullable @Size(max = 80) String nursery) {}

    record TableChoice(@NotBlank @Size(max = 40) String table) {}

    /** Every table that goes out and comes in. */
    @GetMapping("/tables")
    List<TableView> tables() {
        return tables.all().stream()
                .map(table -> new TableView(
                        table.name(),
                        table.columns().stream().map(ExchangeController::view).toList()))
                .toList();
    }

    static ColumnView view(Column column) {
        List<String> units = column.dimension() == null
                ? List.of()
                : Arrays.stream(Unit.values())
                        .filter(unit -> unit.dimension() == column.dimension())
                        .map(Unit::symbol)
                        .toList();
        return new ColumnView(
                column.name(),
                column.kind(),
                column.needed(),
                column.readOnly(),
                column.codes(),
                units,
                column.range(),
                Cells.example(column.kind()));
    }

    /** A table as CSV. */
    @GetMapping(value = "/tables/{name}", produces = "text/csv")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv"))
    void table(@PathVariable String name, HttpServletRequest request, HttpServletResponse response) throws IOException {
        Table table = tables.of(name);
        log.record(SecurityEventKind.EXPORTED, "table " + name);
        streamed(request);
        response.setContentType(CSV);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"");
        BufferedWriter to =
                new BufferedWriter(new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8), BUFFER);
        CsvOut.write(table, to);
        to.flush();
    }

    /** The whole nursery in one file. */
    @GetMapping(value = "/nursery-file", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(mediaType = MediaType.APPLICATION_JSON_VALUE))
    void nurseryFile(HttpServletRequest request, HttpServletResponse response) throws IOException {
        log.record(SecurityEventKind.EXPORTED, "whole nursery");
        streamed(request);
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"nursery.json\"");
        nurseries.write(new BufferedOutputStream(response.getOutputStream(), BUFFER));
    }

    /** What a nursery file looks like, as a JSON Schema. */
    @GetMapping("/nursery-schema")
    Map<String, Object> nurserySchema() {
        return json.convertValue(schema.schema(), new TypeReference<Map<String, Object>>() {});
    }

    /** What is larger than the memory is sent as it is made, and gets no ETag. */
    private static void streamed(HttpServletRequest request) {
        ShallowEtagHeaderFilter.disableContentCaching(request);
    }

    /** Sends a file: a table as {@code text/csv}, a whole nursery as {@code application/json}. */
    @PutMapping(
            value = "/imports/{fileId}",
            consumes = {"text/csv", MediaType.APPLICATION_JSON_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    Imports.ImportView sendImport(
            @PathVariable UUID fileId, @RequestParam @NotBlank @Size(max = 200) String name, HttpServletRequest request)
            throws IOException {
        boolean isNursery = String.valueOf(request.getContentType()).startsWith(MediaType.APPLICATION_JSON_VALUE);
        return imports.add(fileId, name, isNursery, request.getInputStream());
    }

    @GetMapping("/imports/{fileId}")
    Imports.ImportView importedFile(@PathVariable UUID fileId) {
        return imports.view(fileId);
    }

    /** What stands in one of its columns. */
    @GetMapping("/imports/{fileId}/words")
    List<Imports.WordCount> wordsOfImport(@PathVariable UUID fileId, @RequestParam String column) {
        return imports.words(fileId, column);
    }

    /** How it would be read as another table. */
    @PostMapping("/imports/{fileId}/suggestions")
    Mapping suggestMapping(@PathVariable UUID fileId, @Valid @RequestBody TableChoice choice) {
        return imports.suggestion(fileId, choice.table());
    }

    /** Looks through it; nothing is written. */
    @PostMapping("/imports/{fileId}/looks")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Imports.ImportView lookThroughImport(@PathVariable UUID fileId, @Valid @RequestBody TakeRequest how) {
        return imports.begin(fileId, how.mapping(), true);
    }

    /** Takes it, all or nothing. Sent again, it is taken once. */
    @PostMapping("/imports/{fileId}/takings")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Imports.ImportView takeImport(@PathVariable UUID fileId, @Valid @RequestBody TakeRequest how) {
        boolean isNursery = imports.view(fileId).nursery();
        if (isNursery && sites.hasSite()) {
            String name = sites.site().name();
            if (!name.equals(how.nursery())) {
                throw ProblemException.invalid(
                        "nursery", String.valueOf(how.nursery()), name, Refusals.say("import.nursery", "name", name));
            }
        }
        if (isNursery) {
            confirmation.require();
        }
        Imports.ImportView begun = imports.begin(fileId, how.mapping(), false);
        if (isNursery) {
            log.record(SecurityEventKind.NURSERY_TAKEN, begun.name());
        }
        return begun;
    }

    /** Stops what is at work on it; what was written so far is taken back. */
    @PostMapping("/imports/{fileId}/stops")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Imports.ImportView stopImport(@PathVariable UUID fileId) {
        imports.cancel(fileId);
        return imports.view(fileId);
    }

    /** Forgets a file. */
    @DeleteMapping("/imports/{fileId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void dropImport(@PathVariable UUID fileId) {
        imports.drop(fileId);
    }
}
