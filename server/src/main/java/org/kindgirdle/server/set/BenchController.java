package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The bench over HTTP. */
@RestController
@RequestMapping("/api/v1")
class BenchController {

    private final Bench bench;
    private final CommandLedger commands;

    BenchController(Bench bench, CommandLedger commands) {
        this.bench = bench;
        this.commands = commands;
    }

    record BatchSet(UUID batchId, List<String> codes) {}

    /** Reckons rows; nothing is written. */
    @PostMapping("/set-previews")
    SetPreview previewSet(@Valid @RequestBody SetRequest request) {
        return bench.preview(request);
    }

    @PostMapping("/batches")
    @ResponseStatus(HttpStatus.CREATED)
    BatchSet setBatch(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SetRequest request) {
        return commands.once(id, "batch", request, BatchSet.class, () -> new BatchSet(id, bench.set(id, request)));
    }
}
