package org.kindgirdle.server.supplies;

import jakarta.validation.Valid;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the bench keeps in stock, over HTTP. */
@RestController
@RequestMapping("/api/v1/supplies")
class SuppliesController {

    private final Supplies supplies;
    private final CommandLedger commands;

    SuppliesController(Supplies supplies, CommandLedger commands) {
        this.supplies = supplies;
        this.commands = commands;
    }

    @GetMapping
    SuppliesView supplies() {
        return supplies.get();
    }

    @PutMapping
    SuppliesView saveSupplies(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SuppliesView edit) {
        return commands.once(id, "supplies", edit, SuppliesView.class, () -> supplies.save(edit));
    }
}
