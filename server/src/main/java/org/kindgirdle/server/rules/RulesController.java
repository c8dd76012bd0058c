package org.kindgirdle.server.rules;

import jakarta.validation.Valid;
import java.util.Map;
import java.util.UUID;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The house rules over HTTP. */
@RestController
@RequestMapping("/api/v1/house-rules")
class RulesController {

    private final HouseRuleBook rules;
    private final CommandLedger commands;

    RulesController(HouseRuleBook rules, CommandLedger commands) {
        this.rules = rules;
        this.commands = commands;
    }

    @GetMapping
    RulesView houseRules() {
        Map.Entry<Integer, HouseRules> now = rules.inForce();
        return RulesView.of(now.getKey(), now.getValue());
    }

    @PutMapping
    RulesView saveHouseRules(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody RulesEdit edit) {
        return commands.once(id, "house rules", edit, RulesView.class, () -> rules.save(edit));
    }
}
