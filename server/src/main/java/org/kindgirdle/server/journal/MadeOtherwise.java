package org.kindgirdle.server.journal;

import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.nursery.RecipeView;
import org.kindgirdle.server.problem.ProblemException;

/** Records after which a layer goes on by another recipe than the one that it was set by. */
final class MadeOtherwise {

    private static final String RECIPE = "details.recipeId";

    private MadeOtherwise() {}

    /**
     * The record with the version of the recipe that is in force, where whoever sent it named a recipe.
     *
     * @throws ProblemException if the recipe is none by which that is done
     */
    static LayerRecord complete(LayerRecord sent, NurserySnapshot nursery) {
        if (sent instanceof LayerRecord.Rerung rerung && rerung.recipeId() != null) {
            return new LayerRecord.Rerung(
                    rerung.ringMm(),
                    rerung.recipeId(),
                    version(
                            nursery,
                            rerung.recipeId(),
                            rerung.recipeNumber(),
                            recipe -> recipe.method() == Method.AIR
                                    && recipe.wound().isRing(),
                            "a recipe of air layering with a ring",
                            "It is ringed: choose a recipe by which a ring is cut on a limb and wrapped there."));
        }
        if (sent instanceof LayerRecord.StoodInWater stood) {
            return new LayerRecord.StoodInWater(
                    stood.recipeId(),
                    version(
                            nursery,
                            stood.recipeId(),
                            stood.recipeNumber(),
                            recipe -> recipe.method() == Method.JAR,
                            "a recipe whose method is JAR",
                            "It stands in water: choose a recipe for a jar, or add one in House."),
                    stood.leavesLeft());
        }
        return sent;
    }

    /** Without a ring of its own it can't be ringed as before: somebody has to say how. */
    static void check(LayerRecord what, LayerContext context) {
        Recipe recipe = context.recipe();
        if (what instanceof LayerRecord.Rerung rerung
                && rerung.recipeId() == null
                && recipe.method() == Method.FOIL_START) {
            throw ProblemException.invalid(
                    RECIPE,
                    "",
                    "a recipe of air layering with a ring",
                    "There is foil on it and no ball. Say by which recipe it is ringed and wrapped.");
        }
        if (what instanceof LayerRecord.StoodInWater && recipe.method() != Method.AIR) {
            throw ProblemException.invalid(
                    RECIPE,
                    recipe.method(),
                    "an air layer",
                    "Only a limb with balls on it can be cut and stood in water whole.");
        }
    }

    private static int version(
            NurserySnapshot nursery,
            long recipeId,
            @Nullable Integer number,
            Predicate<Recipe> fits,
            String allowed,
            String message) {
        RecipeView inForce = nursery.recipes().stream()
                .filter(one -> Long.valueOf(recipeId).equals(one.id()))
                .findFirst()
                .orElseThrow(() -> ProblemException.invalid(
                        RECIPE, recipeId, "the id of a recipe", "There is no such recipe. Choose one of the list."));
        int version = number == null ? inForce.number() : number;
        if (version < 1 || version > inForce.number()) {
            throw ProblemException.invalid(
                    "details.recipeNumber",
                    version,
                    "from 1 to " + inForce.number(),
                    "The recipe has no such version.");
        }
        if (!fits.test(nursery.recipe(recipeId, version))) {
            throw ProblemException.invalid(RECIPE, inForce.name(), allowed, message);
        }
        return version;
    }
}
