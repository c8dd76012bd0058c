package org.kindgirdle.server.journal;

import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** Records after which a layer goes on by another recipe than the one that it was set by. */
@Component
final class MadeOtherwise {

    private static final String RECIPE = "details.recipeId";

    private final Phrases phrases;

    MadeOtherwise(Phrases phrases) {
        this.phrases = phrases;
    }

    /**
     * The record with the version of the recipe that is in force, where whoever sent it named a recipe.
     *
     * @throws ProblemException if the recipe is none by which that is done
     */
    LayerRecord complete(LayerRecord sent, NurserySnapshot nursery) {
        if (sent instanceof LayerRecord.Rerung rerung && rerung.recipeId() != null) {
            return rerung.by(
                    rerung.recipeId(),
                    version(
                            nursery,
                            rerung.recipeId(),
                            rerung.recipeNumber(),
                            recipe -> recipe.method() == Method.AIR
                                    && recipe.wound().isRing(),
                            "madeBy.ring",
                            "madeBy.ring.choose"));
        }
        if (sent instanceof LayerRecord.StoodInWater stood) {
            return new LayerRecord.StoodInWater(
                    stood.recipeId(),
                    version(
                            nursery,
                            stood.recipeId(),
                            stood.recipeNumber(),
                            recipe -> recipe.method() == Method.JAR,
                            "madeBy.jar",
                            "madeBy.jar.choose"),
                    stood.leavesLeft());
        }
        return sent;
    }

    /** Without a ring of its own it can't be ringed as before: somebody has to say how. */
    void check(LayerRecord what, LayerContext context) {
        Recipe recipe = context.recipe();
        if (what instanceof LayerRecord.Rerung rerung
                && rerung.recipeId() == null
                && recipe.method() == Method.FOIL_START) {
            throw ProblemException.invalid(RECIPE, "", phrases.say("madeBy.ring"), phrases.say("madeBy.foil"));
        }
        if (what instanceof LayerRecord.StoodInWater && recipe.method() != Method.AIR) {
            throw ProblemException.invalid(
                    RECIPE, recipe.method(), phrases.say("madeBy.air"), phrases.say("madeBy.whole"));
        }
    }

    private int version(
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
                        RECIPE, recipeId, phrases.say("madeBy.known"), phrases.say("madeBy.unknown")));
        int version = number == null ? inForce.number() : number;
        if (version < 1 || version > inForce.number()) {
            throw ProblemException.invalid(
                    "details.recipeNumber",
                    version,
                    Refusals.say("record.recipeNumber.allowed", "number", inForce.number()),
                    phrases.say("madeBy.version"));
        }
        if (!fits.test(nursery.recipe(recipeId, version))) {
            throw ProblemException.invalid(RECIPE, inForce.name(), phrases.say(allowed), phrases.say(message));
        }
        return version;
    }
}
