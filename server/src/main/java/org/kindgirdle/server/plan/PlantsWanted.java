package org.kindgirdle.server.plan;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.ReleaseBy;
import org.kindgirdle.core.learn.Odds;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.plan.NumbersWanted;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.server.layers.SpeciesCounts;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;

/**
 * Plants that are wanted, with what the house knows of getting them.
 *
 * @param rooting share that roots; {@code establishing} of those
 * @param latestSetOn the last day from today on to set layers for them; null if there is none
 */
record PlantsWanted(
        NumbersQuery query,
        RecipeView recipe,
        LayerContext context,
        Odds.Estimate rooting,
        Odds.Estimate establishing,
        ReleaseBy release,
        @Nullable LocalDate latestSetOn) {

    /** @param seen how the finished layers of the species went */
    static PlantsWanted of(NumbersQuery query, NurserySnapshot nursery, SpeciesCounts.Counts seen) {
        LocalDate today = nursery.today();
        RecipeView recipe = nursery.recipe(query.recipeId());
        LayerContext context =
                nursery.context(query.placeId(), query.speciesCode(), recipe.recipe(), Vigour.NORMAL, RootRun.GROUND);
        Odds.Estimate rooting = Odds.rooting(
                context.rules(),
                context.species().difficulty(),
                context.factors(query.woodOrUsual()).odds(),
                seen.rooted());
        ReleaseBy release = ReleaseBy.of(context, today, query.by());
        SettingWindows windows = context.windows(
                recipe.recipe().cover(), context.factors(query.woodOrUsual()), recipe.school(), RootStage.NONE);
        return new PlantsWanted(
                query,
                recipe,
                context,
                rooting,
                Odds.establishing(context.rules(), seen.established()),
                release,
                release.latestSetOn(context.rules(), windows, today).orElse(null));
    }

    /** That a layer is released. */
    Chances released() {
        return rooting.chances().then(establishing.chances());
    }

    /** How many to set, if none is there yet. */
    int layers() {
        try {
            return NumbersWanted.layers(released(), query.wanted(), query.confidence());
        } catch (IllegalArgumentException hopeless) {
            throw ProblemException.invalid(
                    "wanted", query.wanted(), Refusals.say("wanted.hopeless.allowed"), hopeless.getMessage());
        }
    }
}
