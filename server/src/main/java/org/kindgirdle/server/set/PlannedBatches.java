package org.kindgirdle.server.set;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.kindgirdle.core.plan.Effort;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches planned onto days, and the shopping list of a day. */
@Service
class PlannedBatches {

    private final PlannedBatchRepository rows;
    private final Snapshots snapshots;
    private final Supplies supplies;
    private final CurrentPerson person;

    PlannedBatches(PlannedBatchRepository rows, Snapshots snapshots, Supplies supplies, CurrentPerson person) {
        this.rows = rows;
        this.snapshots = snapshots;
        this.supplies = supplies;
        this.person = person;
    }

    /** Those that are still to be set, by day. */
    @Transactional(readOnly = true)
    List<PlannedView.Planned> open() {
        NurserySnapshot nursery = snapshots.take();
        return rows.findByBatchIdNullAndDroppedFalseOrderByForDayAscIdAsc().stream()
                .map(row -> view(row, nursery))
                .toList();
    }

    @Transactional
    PlannedView.Planned plan(PlannedView.PlannedEdit edit) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate today = nursery.today();
        if (edit.day().isBefore(today) || edit.day().isAfter(today.plusYears(1))) {
            throw ProblemException.invalid(
                    "day",
                    edit.day(),
                    Refusals.say("between.allowed", "first", today, "last", today.plusYears(1)),
                    Refusals.say("plannedBatch.day"));
        }
        MotherView mother = nursery.mother(edit.batch().motherId());
        if (!mother.inUse()) {
            throw ProblemException.invalid(
                    "batch.motherId",
                    mother.code(),
                    Refusals.say("mother.unused.allowed"),
                    Refusals.say("mother.unused"));
        }
        RecipeView recipe = nursery.recipe(edit.batch().recipeId());
        PlannedBatchRow row = new PlannedBatchRow(edit.batch().planned());
        row.forDay = edit.day();
        row.motherId = edit.batch().motherId();
        row.recipeId = recipe.id() == null ? edit.batch().recipeId() : recipe.id();
        row.madeBy = person.fullName();
        row.madeOn = today;
        return view(rows.saveAndFlush(row), nursery);
    }

    @Transactional
    PlannedView.Planned drop(long id, long version) {
        PlannedBatchRow row = rows.findById(id).orElseThrow(() -> ProblemException.notFound("planned batch", id));
        NurserySnapshot nursery = snapshots.take();
        if (version != row.version || !row.isOpen()) {
            throw ProblemException.conflict(
                    Refusals.say("quicker.title"),
                    row.batchId == null ? Refusals.say("plannedBatch.dropped") : Refusals.say("plannedBatch.set"),
                    Map.of("current", view(row, nursery)));
        }
        row.dropped = true;
        return view(rows.saveAndFlush(row), nursery);
    }

    /** Whether it is set already, or dropped. */
    @Transactional(readOnly = true)
    boolean isDone(long id) {
        return !rows.findById(id)
                .orElseThrow(() -> ProblemException.notFound("planned batch", id))
                .isOpen();
    }

    /** It has become a batch. One that is done already stays what it became first. */
    @Transactional
    void done(long id, UUID batch) {
        rows.findById(id).filter(PlannedBatchRow::isOpen).ifPresent(row -> row.batchId = batch);
    }

    @Transactional(readOnly = true)
    PlannedView.ShoppingListView list(LocalDate day) {
        NurserySnapshot nursery = snapshots.take();
        SuppliesView stock = supplies.get();
        List<PlannedBatchRow> planned = rows.findByBatchIdNullAndDroppedFalseAndForDayOrderByIdAsc(day).stream()
                .sorted(Comparator.comparing(row -> place(row, nursery).walkingOrder()))
                .toList();
        List<ShoppingList.Batch> batches = new ArrayList<>();
        Map<String, Integer> containers = new LinkedHashMap<>();
        Map<String, MediumMix.DoseUnit> units = new LinkedHashMap<>();
        for (PlannedBatchRow row : planned) {
            SetRequest request = row.request;
            RecipeView recipe = nursery.recipe(row.recipeId);
            MediumMix mix = stock.mix(recipe.recipe().medium());
            mix.additives().forEach(one -> units.put(one.name(), one.unit()));
            for (SetRequest.RowRequest branch : request.rows()) {
                batches.add(batch(branch.diameterMm(), recipe.recipe(), mix, row, nursery));
            }
            if (recipe.recipe().wrap().isContainer()) {
                containers.merge(recipe.name(), request.rows().size(), Integer::sum);
            }
        }
        ShoppingList list = ShoppingList.of(nursery.rules(), batches);
        List<PlannedView.IngredientView> ingredients = new ArrayList<>();
        list.ingredients()
                .forEach((name, amount) ->
                        ingredients.add(new PlannedView.IngredientView(name, amount.wetL(), amount.dryL())));
        List<PlannedView.AdditiveView> additives = new ArrayList<>();
        list.doses()
                .forEach((name, amount) -> additives.add(
                        new PlannedView.AdditiveView(name, amount, units.getOrDefault(name, MediumMix.DoseUnit.G))));
        return new PlannedView.ShoppingListView(
                day,
                planned.stream().map(row -> view(row, nursery)).toList(),
                list.labels(),
                ingredients,
                additives,
                list.filmCm2(),
                list.foilCm2(),
                list.ties(),
                containers.entrySet().stream()
                        .map(one -> new PlannedView.ContainerCount(one.getKey(), one.getValue()))
                        .toList(),
                list.labels(),
                list.hormoneMl().entrySet().stream()
                        .map(one -> new PlannedView.HormoneAmount(one.getKey(), one.getValue()))
                        .toList(),
                list.minutes());
    }

    private static ShoppingList.Batch batch(
            double diameterMm, Recipe recipe, MediumMix mix, PlannedBatchRow row, NurserySnapshot nursery) {
        boolean bridges = nursery.species(nursery.mother(row.motherId).speciesCode())
                .profile()
                .bridgesReadily();
        return new ShoppingList.Batch(
                1,
                recipe.ball(nursery.rules(), diameterMm, bridges, false),
                recipe,
                mix,
                Effort.minutesToSet(nursery.rules(), recipe.isReadyBag()));
    }

    private static PlaceView place(PlannedBatchRow row, NurserySnapshot nursery) {
        return nursery.place(nursery.mother(row.motherId).placeId());
    }

    private PlannedView.Planned view(PlannedBatchRow row, NurserySnapshot nursery) {
        MotherView mother = nursery.mother(row.motherId);
        SetRequest request = row.request;
        String common = nursery.species(mother.speciesCode()).profile().common();
        return new PlannedView.Planned(
                row.id == null ? 0 : row.id,
                row.forDay,
                row.forDay.isBefore(nursery.today()),
                mother.code(),
                mother.variety().isBlank() ? common : common + " " + mother.variety(),
                place(row, nursery).name(),
                nursery.recipe(row.recipeId).name(),
                request.rows().size(),
                row.madeBy,
                request,
                row.version);
    }
}
