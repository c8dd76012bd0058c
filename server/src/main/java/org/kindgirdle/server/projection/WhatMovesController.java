package org.kindgirdle.server.projection;

import jakarta.validation.Valid;
import org.kindgirdle.server.rules.HouseRuleBook;
import org.kindgirdle.server.rules.RulesEdit;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.kindgirdle.server.species.SpeciesView;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Previews of changes: they write nothing. */
@RestController
@RequestMapping("/api/v1")
class WhatMovesController {

    private final WhatMoves whatMoves;
    private final HouseRuleBook rules;
    private final SpeciesProfiles species;

    WhatMovesController(WhatMoves whatMoves, HouseRuleBook rules, SpeciesProfiles species) {
        this.whatMoves = whatMoves;
        this.rules = rules;
        this.species = species;
    }

    @PostMapping("/house-rules/previews")
    WhatMoves.Moves previewHouseRules(@Valid @RequestBody RulesEdit edit) {
        return whatMoves.ofRules(edit.on(rules.inForce().getValue()));
    }

    @PostMapping("/species/{code}/previews")
    WhatMoves.Moves previewProfile(@PathVariable String code, @Valid @RequestBody SpeciesView edit) {
        species.one(code);
        return whatMoves.ofProfile(edit.profile());
    }
}
