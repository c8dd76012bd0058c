package org.kindgirdle.server.plan;

import java.time.LocalDate;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.nursery.RecipeView;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The window for one start date, for a mother and a recipe. */
@RestController
@RequestMapping("/api/v1/windows")
class WindowController {

    private final Snapshots snapshots;

    WindowController(Snapshots snapshots) {
        this.snapshots = snapshots;
    }

    @GetMapping
    @Transactional(readOnly = true)
    public SettingWindow window(
            @RequestParam long motherId,
            @RequestParam long recipeId,
            @RequestParam LocalDate startOn,
            @RequestParam(defaultValue = "ONE_TWO") Wood wood) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate first = nursery.today().minusYears(1);
        LocalDate last = LocalDate.of(nursery.today().getYear() + 1, 12, 31);
        if (startOn.isBefore(first) || startOn.isAfter(last)) {
            throw ProblemException.invalid(
                    "startOn",
                    startOn.toString(),
                    "from " + first + " to " + last,
                    "Windows are reckoned that far only.");
        }
        RecipeView recipe = nursery.recipe(recipeId);
        LayerContext context = nursery.context(motherId, recipeId, recipe.number());
        return context.windows(context.recipe().cover(), context.factors(wood), recipe.school(), RootStage.NONE)
                .on(startOn);
    }
}
