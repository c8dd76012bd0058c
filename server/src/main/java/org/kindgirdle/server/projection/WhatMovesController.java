package org.kindgirdle.server.projection;

import jakarta.validation.Valid;
import org.kindgirdle.server.nursery.Nursery;
import org.kindgirdle.server.nursery.RulesEdit;
import org.kindgirdle.server.nursery.SpeciesView;
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
    private final Nursery nursery;

    WhatMovesController(WhatMoves whatMoves, Nursery nursery) {
        this.whatMoves = whatMoves;
        this.nursery = nursery;
    }

    @PostMapping("/house-rules/previews")
    WhatMoves.Moves ofRules(@Valid @RequestBody RulesEdit edit) {
        return whatMoves.ofRules(edit.on(nursery.rules().getValue()));
    }

    @PostMapping("/species/{code}/previews")
    WhatMoves.Moves ofProfile(@PathVariable String code, @Valid @RequestBody SpeciesView edit) {
        nursery.species(code);
        return whatMoves.ofProfile(edit.profile());
    }
}
