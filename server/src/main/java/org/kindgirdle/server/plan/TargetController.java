package org.kindgirdle.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.problem.Within;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The targets over HTTP. */
@RestController
@RequestMapping("/api/v1/targets")
class TargetController {

    private final Targets targets;
    private final CommandLedger commands;

    TargetController(Targets targets, CommandLedger commands) {
        this.targets = targets;
        this.commands = commands;
    }

    record Closing(@NotNull @Within(low = 0, high = 1e9) Long version) {}

    @GetMapping
    List<TargetView> targets() {
        return targets.open();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    TargetView addTarget(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody TargetEdit edit) {
        return commands.once(id, "target", edit, TargetView.class, () -> targets.add(edit));
    }

    /** It is no longer pursued. */
    @PostMapping("/{targetId}/closing")
    TargetView closeTarget(
            @RequestHeader("Command-Id") UUID id, @PathVariable long targetId, @Valid @RequestBody Closing closing) {
        return commands.once(
                id,
                "close target " + targetId,
                closing,
                TargetView.class,
                () -> targets.close(targetId, closing.version()));
    }
}
