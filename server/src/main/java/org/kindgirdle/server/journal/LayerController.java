package org.kindgirdle.server.journal;

import jakarta.validation.Valid;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Layers over HTTP. */
@RestController
@RequestMapping("/api/v1")
class LayerController {

    private final LayerJournal journal;
    private final LayerPages pages;
    private final LayerList list;
    private final CommandLedger commands;
    private final Reprojection reprojection;

    LayerController(
            LayerJournal journal, LayerPages pages, LayerList list, CommandLedger commands, Reprojection reprojection) {
        this.journal = journal;
        this.pages = pages;
        this.list = list;
        this.commands = commands;
        this.reprojection = reprojection;
    }

    /**
     * @param recorded the same answer however often the record is sent
     * @param layer as it stands now
     */
    record RecordAnswer(Recorded recorded, LayerPage layer) {}

    @GetMapping("/layers")
    LayerList.LayerLines find(
            @RequestParam(required = false) @Nullable LayerPhase phase,
            @RequestParam(required = false) @Nullable Long motherId,
            @RequestParam(required = false) @Nullable String q,
            @RequestParam(defaultValue = "due") String sort,
            @RequestParam(required = false) @Nullable String cursor,
            @RequestParam(defaultValue = "100") @Within(low = 1, high = 500) Integer limit) {
        reprojection.turnDay();
        return list.find(phase, motherId, q, sort, cursor, limit);
    }

    @GetMapping("/layers/{code}")
    LayerPage page(@PathVariable String code) {
        return pages.page(code(code));
    }

    @PostMapping("/layers/{code}/records")
    @ResponseStatus(HttpStatus.CREATED)
    RecordAnswer add(
            @PathVariable String code, @RequestHeader("Command-Id") UUID id, @Valid @RequestBody RecordRequest record) {
        if (record.kind() == RecordKind.SET) {
            throw ProblemException.invalid("kind", "SET", "any other kind", "Layers are set in batches.");
        }
        Recorded recorded = commands.once(
                id, "record " + code(code), record, Recorded.class, () -> journal.append(code(code), id, record));
        return new RecordAnswer(recorded, pages.page(code(code)));
    }

    private static String code(String typed) {
        return LayerCode.parse(typed)
                .orElseThrow(() -> ProblemException.invalid(
                        "code",
                        typed,
                        "five signs like 7KM-4X, the last of them a check",
                        "This is no layer's code: a sign is wrong or two are swapped."));
    }
}
