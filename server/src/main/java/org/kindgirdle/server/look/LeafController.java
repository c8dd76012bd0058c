package org.kindgirdle.server.look;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.species.LeafKind;
import org.kindgirdle.server.species.LeafRecordView;
import org.kindgirdle.server.species.LeafRecords;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Leaf-out and leaf fall over HTTP. */
@RestController
@RequestMapping("/api/v1")
class LeafController {

    private final LeafSeasons seasons;
    private final LeafRecords records;
    private final Snapshots snapshots;
    private final CommandLedger commands;

    LeafController(LeafSeasons seasons, LeafRecords records, Snapshots snapshots, CommandLedger commands) {
        this.seasons = seasons;
        this.records = records;
        this.snapshots = snapshots;
        this.commands = commands;
    }

    /** @param on the day on which it was seen to be so, today or before */
    record LeafRequest(
            @NotNull Long placeId,
            @NotNull @Size(max = 12) String speciesCode,
            @NotNull LeafKind kind,
            @NotNull LocalDate on) {}

    @GetMapping("/leaf-seasons")
    List<LeafSeasons.LeafSeason> leafSeasons() {
        return seasons.all(snapshots.take());
    }

    /** Another of the same kind in the same season is taken back by it. */
    @PostMapping("/leaf-records")
    @ResponseStatus(HttpStatus.CREATED)
    LeafRecordView recordLeaves(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody LeafRequest request) {
        return commands.once(
                id,
                "leaf record",
                request,
                LeafRecordView.class,
                () -> records.record(request.placeId(), request.speciesCode(), request.kind(), request.on()));
    }

    /** Takes one back that was wrong. */
    @DeleteMapping("/leaf-records/{recordId}")
    LeafRecordView takeLeafRecordBack(@RequestHeader("Command-Id") UUID id, @PathVariable long recordId) {
        return commands.once(id, "leaf record " + recordId, "", LeafRecordView.class, () -> records.takeBack(recordId));
    }
}
