package org.kindgirdle.server.mothers;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The mothers and their limbs over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class MotherController {

    private final Mothers mothers;
    private final Limbs limbs;
    private final CommandLedger commands;

    MotherController(Mothers mothers, Limbs limbs, CommandLedger commands) {
        this.mothers = mothers;
        this.limbs = limbs;
        this.commands = commands;
    }

    @GetMapping("/mothers")
    List<MotherView> mothers() {
        return mothers.all();
    }

    @GetMapping("/mothers/{motherId}")
    MotherView mother(@PathVariable long motherId) {
        return mothers.one(motherId);
    }

    @PostMapping("/mothers")
    @ResponseStatus(HttpStatus.CREATED)
    MotherView addMother(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody MotherView edit) {
        MotherView fresh = edit.withId(null);
        return commands.once(id, "mother", fresh, MotherView.class, () -> mothers.save(fresh));
    }

    @PutMapping("/mothers/{motherId}")
    MotherView saveMother(
            @RequestHeader("Command-Id") UUID id, @PathVariable long motherId, @Valid @RequestBody MotherView edit) {
        MotherView known = edit.withId(motherId);
        return commands.once(id, "mother " + motherId, known, MotherView.class, () -> mothers.save(known));
    }

    /** It is no longer used. */
    @PostMapping("/mothers/{motherId}/retirement")
    MotherView retireMother(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long motherId,
            @Valid @RequestBody MotherChanges.Retirement why) {
        return commands.once(
                id, "retire mother " + motherId, why, MotherView.class, () -> mothers.retire(motherId, why));
    }

    /** It is used again. */
    @PostMapping("/mothers/{motherId}/return")
    MotherView returnMother(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long motherId,
            @Valid @RequestBody MotherChanges.Return why) {
        return commands.once(
                id, "return mother " + motherId, why, MotherView.class, () -> mothers.takeBack(motherId, why));
    }

    /** Its tag was wrong. */
    @PostMapping("/mothers/{motherId}/relabelling")
    MotherView relabelMother(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long motherId,
            @Valid @RequestBody MotherChanges.Relabelling what) {
        return commands.once(
                id, "relabel mother " + motherId, what, MotherView.class, () -> mothers.relabel(motherId, what));
    }

    /** Two records were of one plant. */
    @PostMapping("/mothers/{motherId}/merger")
    MotherView mergeMother(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long motherId,
            @Valid @RequestBody MotherChanges.Merger merger) {
        return commands.once(
                id, "merge mother " + motherId, merger, MotherView.class, () -> mothers.merge(motherId, merger));
    }

    @GetMapping("/mothers/{motherId}/limbs")
    List<LimbView> limbsOfMother(@PathVariable long motherId) {
        return limbs.of(motherId);
    }

    @PostMapping("/mothers/{motherId}/limbs")
    @ResponseStatus(HttpStatus.CREATED)
    LimbView addLimb(
            @RequestHeader("Command-Id") UUID id, @PathVariable long motherId, @Valid @RequestBody LimbView edit) {
        LimbView fresh = edit.with(null, motherId);
        return commands.once(id, "limb of " + motherId, fresh, LimbView.class, () -> limbs.save(fresh));
    }

    @PutMapping("/limbs/{limbId}")
    LimbView saveLimb(
            @RequestHeader("Command-Id") UUID id, @PathVariable long limbId, @Valid @RequestBody LimbView edit) {
        LimbView known = edit.with(limbId, edit.motherId());
        return commands.once(id, "limb " + limbId, known, LimbView.class, () -> limbs.save(known));
    }
}
