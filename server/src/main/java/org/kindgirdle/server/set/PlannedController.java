package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Planned batches over HTTP. */
@RestController
@RequestMapping("/api/v1")
class PlannedController {

    private final PlannedBatches planned;
    private final CommandLedger commands;

    PlannedController(PlannedBatches planned, CommandLedger commands) {
        this.planned = planned;
        this.commands = commands;
    }

    @GetMapping("/planned-batches")
    List<PlannedView.Planned> plannedBatches() {
        return planned.open();
    }

    @PostMapping("/planned-batches")
    @ResponseStatus(HttpStatus.CREATED)
    PlannedView.Planned planBatch(
            @RequestHeader("Command-Id") UUID id, @Valid @RequestBody PlannedView.PlannedEdit edit) {
        return commands.once(id, "plan batch", edit, PlannedView.Planned.class, () -> planned.plan(edit));
    }

    @PostMapping("/planned-batches/{plannedId}/dropping")
    PlannedView.Planned dropPlannedBatch(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long plannedId,
            @Valid @RequestBody PlannedView.Dropping dropping) {
        return commands.once(
                id,
                "drop planned batch " + plannedId,
                dropping,
                PlannedView.Planned.class,
                () -> planned.drop(plannedId, dropping.version()));
    }

    @GetMapping("/shopping-lists/{day}")
    PlannedView.ShoppingListView shoppingList(@PathVariable LocalDate day) {
        return planned.list(day);
    }
}
