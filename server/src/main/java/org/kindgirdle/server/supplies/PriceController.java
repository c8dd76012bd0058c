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

/** What the nursery pays, over HTTP. */
@RestController
@RequestMapping("/api/v1/prices")
class PriceController {

    private final PriceLists lists;
    private final CommandLedger commands;

    PriceController(PriceLists lists, CommandLedger commands) {
        this.lists = lists;
        this.commands = commands;
    }

    @GetMapping
    PricesView prices() {
        return lists.get();
    }

    @PutMapping
    PricesView savePrices(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody PricesView edit) {
        return commands.once(id, "prices", edit, PricesView.class, () -> lists.save(edit));
    }
}
