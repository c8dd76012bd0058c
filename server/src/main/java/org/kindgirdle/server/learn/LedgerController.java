package org.kindgirdle.server.learn;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.formats.SeasonSheets;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.projection.WhatMoves;
import org.kindgirdle.server.sentences.Refusals;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What worked, over HTTP. */
@RestController
@RequestMapping("/api/v1")
class LedgerController {

    private final Ledger ledger;
    private final ReadyTimes times;
    private final Comparisons comparisons;
    private final Backtests backtests;
    private final SeasonReports reports;
    private final CommandLedger commands;

    LedgerController(
            Ledger ledger,
            ReadyTimes times,
            Comparisons comparisons,
            Backtests backtests,
            SeasonReports reports,
            CommandLedger commands) {
        this.ledger = ledger;
        this.times = times;
        this.comparisons = comparisons;
        this.backtests = backtests;
        this.reports = reports;
        this.commands = commands;
    }

    /** Layers counted by what they have in common. */
    @GetMapping("/ledger")
    LedgerView.LedgerTable ledgerTable(
            @RequestParam(defaultValue = "SPECIES") LedgerBy by, @Valid @ParameterObject LayerQuery query) {
        return ledger.table(by, query);
    }

    /** When the balls of a species become full. */
    @GetMapping("/ready-times")
    ReadyTimes.ReadyTimesView readyTimes(@Valid @ParameterObject LayerQuery query) {
        return times.of(query);
    }

    /** What came of a year, on paper: a page of totals and one for each species. */
    @GetMapping(value = "/season-report", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> seasonReport(@RequestParam @Within(low = 1900, high = 2199) int year) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"season-" + year + ".pdf\"")
                .body(SeasonSheets.of(reports.of(year)));
    }

    /** The dates as they were said, held against what happened. */
    @GetMapping("/backtests")
    Backtests.BacktestView backtests(@Valid @ParameterObject LayerQuery query) {
        return backtests.of(query);
    }

    /** What the dates of a species rest on. */
    @GetMapping("/species/{code}/learned-time")
    ReadyTimes.SettledTime learnedTime(@PathVariable String code) {
        return times.settled(code);
    }

    /** What would move if they rested on something else; it writes nothing. */
    @PostMapping("/species/{code}/learned-time/previews")
    WhatMoves.Moves previewLearnedTime(@PathVariable String code, @Valid @RequestBody ReadyTimes.SettleTime edit) {
        return times.moves(code, edit);
    }

    @PutMapping("/species/{code}/learned-time")
    ReadyTimes.SettledTime settleLearnedTime(
            @PathVariable String code,
            @RequestHeader("Command-Id") UUID id,
            @Valid @RequestBody ReadyTimes.SettleTime edit) {
        return commands.once(
                id, "learned time of " + code, edit, ReadyTimes.SettledTime.class, () -> times.settle(code, edit));
    }

    /** Two shares side by side. */
    @GetMapping("/comparisons")
    LedgerView.SideBySide comparison(
            @RequestParam(defaultValue = "The first") @NotBlank @Size(max = 80) String nameA,
            @RequestParam @Within(low = 0, high = 1e9) int rootedA,
            @RequestParam @Within(low = 0, high = 1e9) int setA,
            @RequestParam(defaultValue = "The second") @NotBlank @Size(max = 80) String nameB,
            @RequestParam @Within(low = 0, high = 1e9) int rootedB,
            @RequestParam @Within(low = 0, high = 1e9) int setB) {
        return comparisons.of(nameA, share("rootedA", rootedA, setA), nameB, share("rootedB", rootedB, setB));
    }

    private static Share share(String field, int rooted, int set) {
        if (rooted > set) {
            throw ProblemException.invalid(
                    field,
                    rooted,
                    Refusals.say("comparison.rooted.allowed", "set", set),
                    Refusals.say("comparison.rooted"));
        }
        return new Share(rooted, set);
    }
}
