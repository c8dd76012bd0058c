package org.kindgirdle.server.nursery;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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

/** The master data over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class NurseryController {

    private final Nursery nursery;
    private final CommandLedger commands;

    NurseryController(Nursery nursery, CommandLedger commands) {
        this.nursery = nursery;
        this.commands = commands;
    }

    @GetMapping("/site")
    SiteView site() {
        return nursery.site();
    }

    @PutMapping("/site")
    SiteView saveSite(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SiteView edit) {
        return commands.once(id, "site", edit, SiteView.class, () -> nursery.save(edit));
    }

    @GetMapping("/places")
    List<PlaceView> places() {
        return nursery.places();
    }

    @PostMapping("/places")
    @ResponseStatus(HttpStatus.CREATED)
    PlaceView addPlace(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody PlaceView edit) {
        PlaceView fresh = with(edit, null);
        return commands.once(id, "place", fresh, PlaceView.class, () -> nursery.save(fresh));
    }

    @PutMapping("/places/{placeId}")
    PlaceView savePlace(
            @RequestHeader("Command-Id") UUID id, @PathVariable long placeId, @Valid @RequestBody PlaceView edit) {
        PlaceView known = with(edit, placeId);
        return commands.once(id, "place " + placeId, known, PlaceView.class, () -> nursery.save(known));
    }

    @GetMapping("/species")
    List<SpeciesView> species() {
        return nursery.species();
    }

    @GetMapping("/species/{code}")
    SpeciesView species(@PathVariable String code) {
        return nursery.species(code);
    }

    /** What the reset goes back to. */
    @GetMapping("/species/{code}/shipped")
    SpeciesProfile shipped(@PathVariable String code) {
        return nursery.shipped(code);
    }

    @PostMapping("/species")
    @ResponseStatus(HttpStatus.CREATED)
    SpeciesView addSpecies(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SpeciesView edit) {
        return commands.once(id, "species", edit, SpeciesView.class, () -> nursery.add(edit));
    }

    @PutMapping("/species/{code}")
    SpeciesView saveSpecies(
            @RequestHeader("Command-Id") UUID id, @PathVariable String code, @Valid @RequestBody SpeciesView edit) {
        return commands.once(id, "species " + code, edit, SpeciesView.class, () -> nursery.save(code, edit));
    }

    @GetMapping("/recipes")
    List<RecipeView> recipes() {
        return nursery.recipes();
    }

    @PostMapping("/recipes")
    @ResponseStatus(HttpStatus.CREATED)
    RecipeView addRecipe(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody RecipeView edit) {
        RecipeView fresh = with(edit, null);
        return commands.once(id, "recipe", fresh, RecipeView.class, () -> nursery.save(fresh));
    }

    @PutMapping("/recipes/{recipeId}")
    RecipeView saveRecipe(
            @RequestHeader("Command-Id") UUID id, @PathVariable long recipeId, @Valid @RequestBody RecipeView edit) {
        RecipeView known = with(edit, recipeId);
        return commands.once(id, "recipe " + recipeId, known, RecipeView.class, () -> nursery.save(known));
    }

    private static PlaceView with(PlaceView edit, @Nullable Long id) {
        return new PlaceView(
                id,
                edit.name(),
                edit.walkingOrder(),
                edit.exposure(),
                edit.minShiftC(),
                edit.maxShiftC(),
                edit.vpdFactor(),
                edit.frosts(),
                edit.ownFrosts(),
                edit.winterLowC(),
                edit.stand(),
                edit.version());
    }

    private static RecipeView with(RecipeView edit, @Nullable Long id) {
        return new RecipeView(id, edit.name(), edit.school(), edit.recipe(), edit.number(), edit.version());
    }
}
