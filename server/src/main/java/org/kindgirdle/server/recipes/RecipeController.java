package org.kindgirdle.server.recipes;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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

/** The recipes over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class RecipeController {

    private final Recipes recipes;
    private final CommandLedger commands;

    RecipeController(Recipes recipes, CommandLedger commands) {
        this.recipes = recipes;
        this.commands = commands;
    }

    /** The ways of layering, and what goes with each. */
    @GetMapping("/methods")
    List<MethodView> methods() {
        return MethodView.all();
    }

    @GetMapping("/recipes")
    List<RecipeView> recipes() {
        return recipes.all();
    }

    @PostMapping("/recipes")
    @ResponseStatus(HttpStatus.CREATED)
    RecipeView addRecipe(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody RecipeView edit) {
        RecipeView fresh = with(edit, null);
        return commands.once(id, "recipe", fresh, RecipeView.class, () -> recipes.save(fresh));
    }

    @PutMapping("/recipes/{recipeId}")
    RecipeView saveRecipe(
            @RequestHeader("Command-Id") UUID id, @PathVariable long recipeId, @Valid @RequestBody RecipeView edit) {
        RecipeView known = with(edit, recipeId);
        return commands.once(id, "recipe " + recipeId, known, RecipeView.class, () -> recipes.save(known));
    }

    private static RecipeView with(RecipeView edit, @Nullable Long id) {
        return RecipeViewBuilder.builder(edit).id(id).build();
    }
}
