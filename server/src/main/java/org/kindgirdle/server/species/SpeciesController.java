package org.kindgirdle.server.species;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.core.growth.SpeciesProfile;
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

/** The species over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class SpeciesController {

    private final SpeciesProfiles profiles;
    private final CommandLedger commands;

    SpeciesController(SpeciesProfiles profiles, CommandLedger commands) {
        this.profiles = profiles;
        this.commands = commands;
    }

    @GetMapping("/species")
    List<SpeciesView> allSpecies() {
        return profiles.all();
    }

    @GetMapping("/species/{code}")
    SpeciesView oneSpecies(@PathVariable String code) {
        return profiles.one(code);
    }

    /** What the reset goes back to. */
    @GetMapping("/species/{code}/shipped")
    SpeciesProfile shippedProfile(@PathVariable String code) {
        return profiles.shipped(code);
    }

    @PostMapping("/species")
    @ResponseStatus(HttpStatus.CREATED)
    SpeciesView addSpecies(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SpeciesView edit) {
        return commands.once(id, "species", edit, SpeciesView.class, () -> profiles.add(edit));
    }

    @PutMapping("/species/{code}")
    SpeciesView saveSpecies(
            @RequestHeader("Command-Id") UUID id, @PathVariable String code, @Valid @RequestBody SpeciesView edit) {
        return commands.once(id, "species " + code, edit, SpeciesView.class, () -> profiles.save(code, edit));
    }
}
