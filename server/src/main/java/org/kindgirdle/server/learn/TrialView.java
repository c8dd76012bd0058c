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
            TrialResult result,
            @Nullable TrialDecision decision,
            List<TrialSlotView> places,
            long version) {}

    /**
     * What came of it so far, of what was set as it was dealt.
     *
     * @param decided places of which it is known whether the layer rooted, and {@code open} those of which it is not
     * @param verdict in words; it says so where it is too early for one
     * @param others each further arm beside the first
     */
    public record TrialResult(int decided, int open, String verdict, List<ArmResult> arms, List<AgainstFirst> others) {}

    /** @param mothers the same apart by mother */
    public record ArmResult(
            int number,
            String letter,
            String recipe,
            LedgerView.LedgerFigure rooted,
            int open,
            List<OnMother> mothers) {}

    public record OnMother(String mother, int n, int of) {}

    /**
     * An arm beside the first.
     *
     * @param blocked difference of this arm less the first within mothers, with its interval; null where no mother has
     *     both
     */
    public record AgainstFirst(
            String letter,
            LedgerView.SideBySide side,
            @Nullable Double blocked,
            @Nullable Double blockedLow,
            @Nullable Double blockedHigh,
            @Nullable String blockedSentence) {}

    /** @param arm that is done from then on */
    public record TrialDecision(int arm, String recipe, String by, LocalDate on, String note) {}

    /** @param note why, and above all if the numbers do not say it */
    public record TrialChoice(
            @NotNull @Within(low = 0, high = 5) Integer arm,
            @NotNull @Size(max = 300) String note,
            @NotNull @Within(low = 0, high = 1e9) Long version) {}

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
