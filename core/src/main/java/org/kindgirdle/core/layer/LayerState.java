package org.kindgirdle.core.layer;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.BallAsWrapped;

/**
 * What the journal of a layer says, with no weather and no rule in it yet.
 *
 * @param set as it was set, with what was wanted otherwise since
 * @param ringMm width of the last ring that was measured, 0 where none was cut; null if none was measured
 * @param ringsSince rings cut again since that one, which nobody measured
 * @param rerung the last ring, where it was cut again; null if it was not
 * @param wrapped the ball as it was wrapped last; null for the one that its ring asks for
 * @param ringedOn the last ring
 * @param looks since the last ring, oldest first
 * @param looksEver looks at every ring it has had
 * @param wrapsSeen looks at the wrap alone since the last ring, oldest first
 * @param topUps times that water was added
 * @param conditions found and not yet mended
 * @param covers changes of cover, oldest first
 * @param wateredOn the day the ball was last wet through
 * @param propped whether the limb is held up, by a prop or by what its tip rests on
 * @param letGo whether its wrap is off and the limb heals, to be ringed again in another season
 * @param rescoredOn when empty sectors were last scarred again since the ring; null if they were not
 * @param stubTidied whether the mother was seen to after the severing
 * @param deferred what was put off with nothing recorded since; null if nothing is
 * @param cutPlannedOn the day on which it is to be severed; null if none was settled on
 * @param plant after severance; null before it
 * @param placeId where the plant stands; null before severance, and for where its mother stands
 * @param lossWords what it was lost by, where no cause says it; empty otherwise
 * @param endedOn the day it was released or lost; null while it lives
 * @param madeBy the recipe by which it was ringed again, or stood in water, last; null for the one it was set by
 * @param lastOn the day of the newest record
 * @param newsOn the day of the newest record by which another step may follow: no remark, and no water alone
 * @param conflicts events that could not be applied, with the reason
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
public record LayerState(
        LayerPhase phase,
        LayerRecord.Setting set,
        LocalDate setOn,
        @Nullable Double ringMm,
        int ringsSince,
        LayerRecord.@Nullable Rerung rerung,
        @Nullable BallAsWrapped wrapped,
        LocalDate ringedOn,
        int attempts,
        int rescores,
        boolean bridgedBefore,
        List<LookOn> looks,
        int looksEver,
        List<WrapOn> wrapsSeen,
        int topUps,
        Set<Condition> conditions,
        List<CoverFrom> covers,
        LocalDate wateredOn,
        boolean propped,
        boolean upsized,
        boolean cleanedOut,
        boolean letGo,
        @Nullable LocalDate rescoredOn,
        @Nullable WorkOn lastDecision,
        boolean stubTidied,
        @Nullable DeferredOn deferred,
        @Nullable LocalDate cutPlannedOn,
        @Nullable PlantState plant,
        @Nullable Long placeId,
        @Nullable LossCause lossCause,
        String lossWords,
        @Nullable LocalDate endedOn,
        @Nullable MadeBy madeBy,
        LocalDate lastOn,
        LocalDate newsOn,
        List<Conflict> conflicts) {

    private static final int MIN_LOOKS_WITHOUT = 2;

    /** A look and its day. */
    public record LookOn(LocalDate on, LayerRecord.Looked look) {}

    /** A look at the wrap alone and its day. */
    public record WrapOn(LocalDate on, LayerRecord.WrapSeen seen) {}

    /** A cover and the first day it counts. */
    public record CoverFrom(LocalDate on, Cover cover) {}

    /**
     * A version of a recipe, by its numbers in the nursery, and the day since when it goes by it.
     *
     * @param before the one that it went by until then; null if that is the one that it was set by
     */
    public record MadeBy(
            long recipeId,
            int recipeNumber,
            LocalDate since,
            @Nullable MadeBy before) {}

    /** A piece of work and its day. */
    public record WorkOn(LocalDate on, Work work) {}

    /** Jobs that were put off, and the day of that. */
    public record DeferredOn(LocalDate on, LayerRecord.Deferred what) {}

    /** An event that does not fit what came before it. */
    public record Conflict(UUID event, Reason reason) {}

    /**
     * Roots that were found, and then no more.
     *
     * @param had the last look that found any
     * @param goneOn the day of the first look that did not
     */
    public record RootsLost(LookOn had, LocalDate goneOn) {}

    /** Why an event could not be applied. */
    public enum Reason {
        NOT_SET_YET,
        SET_TWICE,
        NO_LONGER_ON_MOTHER,
        NOT_SEVERED,
        NOT_POTTED,
        ALREADY_POTTED,
        FINISHED,
        /** it came from a page of before, and could only be kept as a remark */
        NOT_UNDERSTOOD
    }

    public LayerState {
        looks = List.copyOf(looks);
        wrapsSeen = List.copyOf(wrapsSeen);
        conditions = Set.copyOf(conditions);
        covers = List.copyOf(covers);
        conflicts = List.copyOf(conflicts);
    }

    /** At the last look since the ring; NONE before any, and after it was cleaned out. */
    public RootStage stage() {
        return hasNoBall() ? RootStage.NONE : last().look().stage();
    }

    /**
     * As they were seen last since the ring; empty before any look, and after it was cleaned out. Null if nobody looked
     * round it.
     */
    public @Nullable Sectors sectors() {
        if (hasNoBall()) {
            return Sectors.empty();
        }
        Sectors seen = null;
        for (LookOn one : looks) {
            seen = one.look().sectors() == null ? seen : one.look().sectors();
        }
        return seen;
    }

    /**
     * How much of the ball was rooted, 0 to 100 %: as it was said last of the stage that was seen last; null if nobody
     * said it of that.
     */
    public @Nullable Double fillPercent() {
        if (hasNoBall()) {
            return Double.valueOf(0);
        }
        Double said = null;
        for (LookOn one : looks) {
            boolean isThat =
                    one.look().stage() == last().look().stage() && one.look().fillPercent() != null;
            said = isThat ? one.look().fillPercent() : said;
        }
        return said;
    }

    /** The same, or what the house takes for its stage where nobody said. */
    public double fillTakenPercent(HouseRules rules) {
        Double said = fillPercent();
        return said == null ? last().look().fillTakenPercent(rules) : said;
    }

    /** What a sum may need and nobody measured. */
    public Set<Unmeasured> unmeasured() {
        Set<Unmeasured> all = EnumSet.noneOf(Unmeasured.class);
        addIf(all, Unmeasured.RING, ringMm == null || ringsSince > 0);
        addIf(all, Unmeasured.WOOD, set.wood() == null);
        addIf(all, Unmeasured.POSITION, set.position() == null);
        addIf(all, Unmeasured.LEAVES, set.leavesBeyond() == null);
        addIf(all, Unmeasured.FROM_UNION, set.fromUnionMm() == null);
        addIf(all, Unmeasured.LEAN, set.leanDeg() == null);
        addIf(all, Unmeasured.SECTORS, sectors() == null);
        addIf(all, Unmeasured.FILL, fillPercent() == null);
        return all;
    }

    private static void addIf(Set<Unmeasured> all, Unmeasured one, boolean is) {
        if (is) {
            all.add(one);
        }
    }

    private boolean hasNoBall() {
        return looks.isEmpty() || cleanedOut || letGo;
    }

    /**
     * The look from which on it was found full; null if the last one did not find it so. A single look between that found
     * less is taken for a slip of the eye: roots do not go back.
     */
    public @Nullable LocalDate fullOn() {
        LocalDate full = null;
        int less = 0;
        for (LookOn one : looks) {
            boolean isFull = one.look().stage().isAtLeast(RootStage.FILLED);
            less = isFull ? 0 : less + 1;
            full = isFull && full == null ? one.on() : less > 1 ? null : full;
        }
        return less > 0 ? null : full;
    }

    /**
     * What had rooted since the ring and is gone: the last look that found first tips or more, where no look since did, two
     * at least; one alone may have erred. Null where nothing was lost.
     */
    public @Nullable RootsLost rootsLost() {
        LookOn had = null;
        LocalDate goneOn = null;
        int without = 0;
        for (LookOn one : looks) {
            boolean hasRoots = one.look().stage().isAtLeast(RootStage.INITIALS);
            had = hasRoots ? one : had;
            without = hasRoots ? 0 : without + 1;
            goneOn = without == 1 ? one.on() : goneOn;
        }
        return had == null || goneOn == null || without < MIN_LOOKS_WITHOUT ? null : new RootsLost(had, goneOn);
    }

    private LookOn last() {
        return looks.get(looks.size() - 1);
    }
}
