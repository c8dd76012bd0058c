package org.kindgirdle.server.learn;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.learn.RecipeDifference;
import org.kindgirdle.server.problem.Within;

/** A trial as it is asked for and shown. */
public final class TrialView {

    private TrialView() {}

    /**
     * @param recipeIds the arms, the usual way first
     * @param seed to deal the places with; one is drawn if it is left out
     */
    public record TrialEdit(
            @NotBlank @Size(max = 80) String name,
            @NotBlank @Size(max = 300) String question,

            @NotNull @Size(min = 2, max = 6, message = "must have {min} to {max} recipes")
            List<@NotNull Long> recipeIds,

            @NotNull @Valid SizeQuery size,

            @NotNull @Size(min = 1, max = 400, message = "must have {min} to {max} entries")
            List<@NotNull @Valid TrialPlaceEdit> places,

            @Nullable Long seed) {}

    /**
     * @param share of layers expected to root in one arm, and {@code otherShare} in another, if they differ at all
     * @param significance of the test, like .05
     * @param power the chance to find the difference, like .8
     */
    public record SizeQuery(
            @NotNull @Within(low = .01, high = .99) Double share,
            @NotNull @Within(low = .01, high = .99) Double otherShare,
            @NotNull @Within(low = .001, high = .3) Double significance,
            @NotNull @Within(low = .5, high = .99) Double power) {}

    /**
     * @param limbId if it is on record
     * @param count places on it
     */
    public record TrialPlaceEdit(
            @NotNull Long motherId,
            @Nullable Long limbId,
            @NotNull @Within(low = 1, high = 100) Integer count) {}

    public record Closing(
            @NotNull @Within(low = 0, high = 1e9) Long version) {}

    /** @param sentence what it takes, in words */
    public record TrialSizeView(int perArm, int inAll, String sentence) {}

    /**
     * @param differences of this arm from the first
     * @param assigned places dealt to it
     * @param set of those, as they were dealt; {@code setOtherwise} with another recipe
     */
    public record ArmView(
            int number,
            String letter,
            long recipeId,
            int recipeNumber,
            String recipe,
            Set<RecipeDifference> differences,
            int assigned,
            int set,
            int setOtherwise) {}

    public record TrialLine(
            long id,
            String name,
            String question,
            List<ArmView> arms,
            int places,
            int set,
            int perArm,
            LocalDate madeOn,
            @Nullable LocalDate closedOn) {}

    /** @param remarks what the software has to say: that arms differ in more than one thing, that they are too few */
    public record TrialPage(
            TrialLine line,
            SizeQuery size,
            long seed,
            String madeBy,
            List<String> remarks,
            List<TrialSlotView> places,
            long version) {}

    /**
     * @param arm that it was dealt
     * @param layer that stands there; null if none does yet
     * @param actualRecipe what was done there
     */
    public record TrialSlotView(
            long slotId,
            int position,
            long motherId,
            String mother,
            @Nullable Long limbId,
            @Nullable String limb,
            int arm,
            @Nullable String layer,
            @Nullable String actualRecipe) {}

    /** Which trial a layer is part of. */
    public record OfLayer(long trialId, String trial, String arm, String assigned, boolean asAssigned) {}
}
