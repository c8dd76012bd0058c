package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.server.problem.Within;

/** Batches that are to be set, and what their day asks for. */
final class PlannedView {

    private PlannedView() {}

    /** @param batch as it will be sent; its own day counts for nothing */
    record PlannedEdit(
            @NotNull LocalDate day, @NotNull @Valid SetRequest batch) {}

    record Dropping(@NotNull @Within(low = 0, high = 1e9) Long version) {}

    /** @param isLate whether its day is past */
    record Planned(
            long id,
            LocalDate day,
            boolean isLate,
            String mother,
            String what,
            String place,
            String recipe,
            int layers,
            String madeBy,
            SetRequest batch,
            long version) {}

    /**
     * What a day at the bench uses.
     *
     * @param batches of the day, in the order of the places
     * @param additives each in the unit of its label
     * @param filmCm2 to wrap with; {@code foilCm2} to cover with
     * @param containers pods, bags and pots, by recipe
     * @param minutes of work
     */
    record ShoppingListView(
            LocalDate day,
            List<Planned> batches,
            int layers,
            List<IngredientView> ingredients,
            List<AdditiveView> additives,
            double filmCm2,
            double foilCm2,
            int ties,
            List<ContainerCount> containers,
            int labels,
            List<HormoneAmount> hormones,
            double minutes) {}

    /** @param dryL as it comes out of its bag */
    record IngredientView(String name, double wetL, double dryL) {}

    record AdditiveView(String name, double amount, MediumMix.DoseUnit unit) {}

    record ContainerCount(String recipe, int count) {}

    record HormoneAmount(double ppm, double ml) {}
}
