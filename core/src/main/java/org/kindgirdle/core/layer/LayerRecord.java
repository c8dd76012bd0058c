package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.BallAsWrapped;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.NotOneOfException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** One thing that happened to a layer. What a record holds is what was seen or done, never what was concluded. */
public sealed interface LayerRecord {

    /**
     * The layer was set. What nobody measured is null, and taken as the house has it where a sum needs it.
     *
     * @param diameterMm of the branch under the ring
     * @param ringMm width of the ring as cut; 0 where nothing was cut, null where nobody measured it
     * @param wrapped the ball as it was wrapped; null for the one that was asked for
     * @param wood its age; null if nobody said
     * @param position on the limb; null if nobody said
     * @param leavesBeyond leaves or buds on the tip side; null if nobody counted
     * @param fromUnionMm from the ball to where the limb joins; null if nobody measured it
     * @param leanDeg of the limb from upright; null if nobody measured it
     * @param hollow whether its stem is hollow, or all pith; null if nobody said
     * @param hand who set it, as the nursery calls them; empty if nobody said
     * @param hormone which of the house's hormones, with its lot; empty if nobody said
     */
    record Setting(
            double diameterMm,
            @Nullable Double ringMm,
            @Nullable BallAsWrapped wrapped,
            @Nullable Wood wood,
            @Nullable Position position,
            @Nullable Integer leavesBeyond,
            @Nullable Double fromUnionMm,
            @Nullable Double leanDeg,
            @Nullable Boolean hollow,
            School school,
            boolean specimen,
            boolean fruitToKeep,
            @Nullable String hand,
            @Nullable String hormone)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if a value is outside the range that is given for it
         * @throws MissingValueException if there is no school
         */
        public Setting {
            Require.within("diameterMm", diameterMm, RingAndBall.MIN_DIAMETER_MM, RingAndBall.MAX_DIAMETER_MM);
            within("ringMm", ringMm, MAX_RING_MM);
            within("leavesBeyond", leavesBeyond, MAX_LEAVES);
            within("fromUnionMm", fromUnionMm, 20_000);
            within("leanDeg", leanDeg, 180);
            if (wrapped != null) {
                wrapped.checkAround(diameterMm);
            }
            Require.present("school", school);
            // records older than these questions have no answer to them
            hand = hand == null ? "" : hand;
            hormone = hormone == null ? "" : hormone;
        }

        /** With all of it measured, and the ball as it was asked for. */
        public Setting(
                double diameterMm,
                double ringMm,
                Wood wood,
                Position position,
                int leavesBeyond,
                double fromUnionMm,
                double leanDeg,
                School school,
                boolean specimen,
                boolean fruitToKeep,
                @Nullable String hand,
                @Nullable String hormone) {
            this(
                    diameterMm,
                    Double.valueOf(ringMm),
                    null,
                    wood,
                    position,
                    Integer.valueOf(leavesBeyond),
                    Double.valueOf(fromUnionMm),
                    Double.valueOf(leanDeg),
                    null,
                    school,
                    specimen,
                    fruitToKeep,
                    hand,
                    hormone);
        }

        /** The same with some of its leaves taken off. */
        Setting with(int leaves) {
            return new Setting(
                    diameterMm,
                    ringMm,
                    wrapped,
                    wood,
                    position,
                    leaves,
                    fromUnionMm,
                    leanDeg,
                    hollow,
                    school,
                    specimen,
                    fruitToKeep,
                    hand,
                    hormone);
        }

        /** The same, wanted otherwise. */
        Setting as(Chosen chosen) {
            return new Setting(
                    diameterMm,
                    ringMm,
                    wrapped,
                    wood,
                    position,
                    leavesBeyond,
                    fromUnionMm,
                    leanDeg,
                    hollow,
                    chosen.school(),
                    chosen.specimen(),
                    chosen.fruitToKeep(),
                    hand,
                    hormone);
        }

        /** Age of the wood, or the ideal one where nobody said. */
        public Wood woodTaken() {
            return wood == null ? Wood.ONE_TWO : wood;
        }

        /** Leaves beyond the ring, or as many as the house takes where nobody counted. */
        public int leavesTaken(HouseRules rules) {
            return leavesBeyond == null ? rules.count(Unmeasured.TAKEN_LEAVES) : leavesBeyond;
        }

        /** From the ball to where the limb joins, mm, or as far as the house takes where nobody measured it. */
        public double fromUnionTakenMm(HouseRules rules) {
            return fromUnionMm == null ? rules.of(Unmeasured.TAKEN_FROM_UNION) : fromUnionMm;
        }

        /** Lean of the limb from upright, degrees, or what the house takes where nobody measured it. */
        public double leanTakenDeg(HouseRules rules) {
            return leanDeg == null ? rules.of(Unmeasured.TAKEN_LEAN) : leanDeg;
        }
    }

    /** Width of the widest ring that is taken down, mm. */
    double MAX_RING_MM = 300;

    private static void within(String name, @Nullable Number value, double high) {
        if (value != null) {
            Require.within(name, value.doubleValue(), 0, high);
        }
    }

    /**
     * Looked at, with its wrap opened or through it.
     *
     * @param sectors the eight round the stem; null if nobody looked round it
     * @param fillPercent how much of the ball is rooted, 0 to 100; null if nobody said
     * @param openedBy what opened the wrap; null if it is whole, or nobody knows
     * @param bareSide where no roots are; null if nobody said
     */
    record Looked(
            RootStage stage,
            @Nullable Sectors sectors,
            @Nullable Double fillPercent,
            Set<Condition> conditions,
            @Nullable Opener openedBy,
            @Nullable Side bareSide)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if fillPercent is outside 0 to 100
         * @throws MissingValueException if there is no stage or conditions
         */
        public Looked {
            Require.present("stage", stage);
            within("fillPercent", fillPercent, 100);
            conditions = Set.copyOf(Require.present("conditions", conditions));
        }

        public Looked(
                RootStage stage, @Nullable Sectors sectors, @Nullable Double fillPercent, Set<Condition> conditions) {
            this(stage, sectors, fillPercent, conditions, null, null);
        }

        /** How much of the ball is rooted, 0 to 100 %, or what the house takes for its stage where nobody said. */
        public double fillTakenPercent(HouseRules rules) {
            return fillPercent == null ? stage.fillTakenPercent(rules) : fillPercent;
        }
    }

    /**
     * The wrap alone was looked at and felt, with nothing seen of the roots.
     *
     * @param conditions what was found of those that show without opening it
     * @param openedBy what opened the wrap; null if it is whole, or nobody knows
     */
    record WrapSeen(Set<Condition> conditions, @Nullable Opener openedBy) implements LayerRecord {
        /**
         * @throws MissingValueException if there are no conditions
         * @throws NotOneOfException if one of them shows only under the wrap
         */
        public WrapSeen {
            conditions = Set.copyOf(Require.present("conditions", conditions));
            for (Condition one : conditions) {
                Require.oneOf("conditions", one, Condition.OUTSIDE);
            }
        }
    }

    /** What opened a wrap. */
    enum Opener {
        BIRDS,
        SQUIRRELS,
        WIND,
        ANTS
    }

    /** A side of a ball: of the compass on an upright limb, upper or lower on one that leans. */
    enum Side {
        NORTH,
        EAST,
        SOUTH,
        WEST,
        UPPER,
        LOWER
    }

    /** @param waterMl added to the ball; null if nobody measured it */
    record ToppedUp(@Nullable Double waterMl) implements LayerRecord {
        /** @throws OutOfRangeException if waterMl is outside 0 to 20 000 */
        public ToppedUp {
            within("waterMl", waterMl, 20_000);
        }
    }

    /**
     * Ringed again, or for the first time where nothing was cut before, with fresh medium and wrap. What of it is said
     * counts from then on.
     *
     * @param ringMm width of the new ring as cut; null if nobody measured it
     * @param recipeId of the recipe by which it was ringed, and goes on; null for the one that it went by
     * @param recipeNumber which version of that; null where the recipe is
     * @param wound how it was cut; null for the recipe's
     * @param hormonePpm IBA, 0 for none; null for the recipe's
     * @param hormone which of the house's hormones, with its lot; null if nobody said
     * @param ballMedium fresh in the ball; null for the recipe's
     * @param wrapped the new ball as it was wrapped; null for the one that is asked for
     * @param nurseRoots whether roots higher up were kept, to nurse it; null if nobody said
     */
    record Rerung(
            @Nullable Double ringMm,
            @Nullable Long recipeId,
            @Nullable Integer recipeNumber,
            @Nullable Wound wound,
            @Nullable Double hormonePpm,
            @Nullable String hormone,
            @Nullable Medium ballMedium,
            @Nullable BallAsWrapped wrapped,
            @Nullable Boolean nurseRoots)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if ringMm is outside 1 to 300 or hormonePpm is outside 0 to 100 000
         * @throws NotOneOfException if wound takes no ring of bark off
         */
        public Rerung {
            if (ringMm != null) {
                Require.within("ringMm", ringMm, 1, MAX_RING_MM);
            }
            within("hormonePpm", hormonePpm, 100_000);
            if (wound != null) {
                Require.oneOf("wound", wound, Wound.RINGS);
            }
        }

        public Rerung(@Nullable Double ringMm, @Nullable Long recipeId, @Nullable Integer recipeNumber) {
            this(ringMm, recipeId, recipeNumber, null, null, null, null, null, null);
        }

        public Rerung(double ringMm) {
            this(ringMm, null, null);
        }

        /** The same by a version of a recipe. */
        public Rerung by(long id, int number) {
            return new Rerung(ringMm, id, number, wound, hormonePpm, hormone, ballMedium, wrapped, nurseRoots);
        }
    }

    /**
     * Its limb was cut whole and stood in water: it goes on there, with its ball and its roots, with the others on the
     * limb.
     *
     * @param recipeId of the recipe by which it goes on
     * @param recipeNumber which version of that; null before the nursery has filled it in
     * @param leavesLeft leaves that were left on beyond the ball, to draw; null if nobody counted
     */
    record StoodInWater(
            Long recipeId,
            @Nullable Integer recipeNumber,
            @Nullable Integer leavesLeft) implements LayerRecord {
        /**
         * @throws OutOfRangeException if leavesLeft is outside 0 to 5000
         * @throws MissingValueException if there is no recipeId
         */
        public StoodInWater {
            Require.present("recipeId", recipeId);
            if (leavesLeft != null) {
                Require.within("leavesLeft", leavesLeft, 0, MAX_LEAVES);
            }
        }
    }

    /**
     * Work was done on it, on its mother.
     *
     * @param cover the new cover, where the work changed it
     * @param wrapped the ball as it was wrapped, where the work made it anew; null for the one that it had
     */
    record Tended(
            Work work, @Nullable Cover cover, @Nullable BallAsWrapped wrapped) implements LayerRecord {
        /** @throws MissingValueException if there is no work */
        public Tended {
            Require.present("work", work);
        }

        public Tended(Work work, @Nullable Cover cover) {
            this(work, cover, null);
        }
    }

    /**
     * The day on which it is to be severed was settled on. It holds until it is severed or another day is settled on.
     *
     * @param cutOn the day; null to settle on none any more
     */
    record CutPlanned(@Nullable LocalDate cutOn) implements LayerRecord {}

    /** What is wanted of it was thought over: it stands in place of what was said when it was set. */
    record Chosen(School school, boolean specimen, boolean fruitToKeep) implements LayerRecord {
        /** @throws MissingValueException if there is no school */
        public Chosen {
            Require.present("school", school);
        }
    }

    /**
     * Cut off the mother, into a closed tent.
     *
     * @param leavesBefore leaves on it before any were taken; null if nobody counted
     * @param leavesLeft leaves that were left, halved ones counted as one; null if nobody counted
     * @param leavesHalved how many of those were cut in half
     * @param leafCm2 area of one whole leaf; null for the one of its species' profile
     * @param shelter where it went; null if nobody said
     * @param fruitLeft whether a few flowers or fruit were left on, to hold back top growth; null if nobody said
     * @param placeId of the place where it stands now; null for where its mother stands
     * @param aboveLimb whether it was cut above a limb of the same piece, which stays on the mother; null if nobody said
     * @param plants how many plants the piece becomes, 1 to 20, as of a fork that is parted; null for one
     */
    record Severed(
            @Nullable Integer leavesBefore,
            @Nullable Integer leavesLeft,
            @Nullable Integer leavesHalved,
            @Nullable Double leafCm2,
            @Nullable Shelter shelter,
            @Nullable Boolean fruitLeft,
            @Nullable Long placeId,
            @Nullable Boolean aboveLimb,
            @Nullable Integer plants)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if leavesBefore is outside 0 to 5000, leavesLeft is outside 0 to leavesBefore,
         *     leavesHalved is outside 0 to leavesLeft, leafCm2 is outside 0.1 to 20 000 or plants is outside 1 to 20
         */
        public Severed {
            within("leavesBefore", leavesBefore, MAX_LEAVES);
            within("leavesLeft", leavesLeft, leavesBefore == null ? MAX_LEAVES : leavesBefore);
            // records older than these questions have no answer to them
            leavesHalved = leavesHalved == null ? 0 : leavesHalved;
            within("leavesHalved", leavesHalved, leavesLeft == null ? MAX_LEAVES : leavesLeft);
            if (leafCm2 != null) {
                Require.within("leafCm2", leafCm2, 0.1, 20_000);
            }
            if (plants != null) {
                Require.within("plants", plants, 1, MAX_PLANTS);
            }
        }

        public Severed(
                @Nullable Integer leavesBefore,
                @Nullable Integer leavesLeft,
                @Nullable Integer leavesHalved,
                @Nullable Double leafCm2,
                @Nullable Shelter shelter,
                @Nullable Boolean fruitLeft,
                @Nullable Long placeId) {
            this(leavesBefore, leavesLeft, leavesHalved, leafCm2, shelter, fruitLeft, placeId, null, null);
        }

        public Severed(int leavesBefore, int leavesLeft) {
            this(leavesBefore, leavesLeft, 0, null, null, false, null);
        }

        /** Whole leaves that draw as much as what was left, halved ones as half; empty if nobody counted. */
        public OptionalDouble leavesDrawing() {
            return leavesLeft == null
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(leavesLeft - (leavesHalved == null ? 0 : leavesHalved) / 2.0);
        }

        /** How many plants the piece becomes. */
        public int plantsTaken() {
            return plants == null ? 1 : plants;
        }
    }

    /** More leaves than a layer has. */
    int MAX_LEAVES = 5000;

    /** A piece is parted into no more plants than this. */
    int MAX_PLANTS = 20;

    /**
     * Potted up, or on from a moss tray.
     *
     * @param medium null if nobody said
     * @param potMl volume of the pot, 0 for straight into the ground; null if nobody said
     * @param ladder the way that it is to go; null for the one that its medium asks
     * @param pot which of the house's pots; empty if nobody said
     * @param oldMedium what became of the ball; null if nobody said
     * @param circlingTrimmed whether roots that circled were cut; null if nobody said
     * @param placeId of the place where it stands now; null for where it stood
     */
    record Potted(
            @Nullable FirstMedium medium,
            @Nullable Double potMl,
            @Nullable Ladder ladder,
            @Nullable String pot,
            @Nullable OldMedium oldMedium,
            @Nullable Boolean circlingTrimmed,
            @Nullable Long placeId)
            implements LayerRecord {
        /** @throws OutOfRangeException if potMl is outside 0 to 500 000 */
        public Potted {
            within("potMl", potMl, 500_000);
            pot = pot == null ? "" : pot;
        }

        public Potted(@Nullable FirstMedium medium, @Nullable Double potMl, @Nullable Ladder ladder) {
            this(medium, potMl, ladder, "", null, false, null);
        }
    }

    /** What becomes of the ball when it is potted: growers disagree. */
    enum OldMedium {
        LEFT_ON,
        TEASED_OUT
    }

    /**
     * Moved to a rung of the ladder, up or back, or to another place or another way up on the same one.
     *
     * @param placeId of the place where it stands now; null for where it stood
     * @param ladder the way that it is to go from now on; null for the one that it went
     */
    record Moved(
            Rung rung, @Nullable Long placeId, @Nullable Ladder ladder) implements LayerRecord {
        /** @throws MissingValueException if there is no rung */
        public Moved {
            Require.present("rung", rung);
        }

        public Moved(Rung rung) {
            this(rung, null, null);
        }
    }

    /** @param signs that were seen on a severed layer */
    record Observed(Set<PlantSign> signs) implements LayerRecord {
        /** @throws MissingValueException if there are no signs */
        public Observed {
            signs = Set.copyOf(Require.present("signs", signs));
        }
    }

    /**
     * Its life in the nursery is over, and it lives.
     *
     * @param destination where it goes; null if nobody said
     * @param buriedNodes how many nodes of the stem went under the ground; 0 unless it was planted out
     */
    record Released(
            @Nullable Destination destination, @Nullable Integer buriedNodes) implements LayerRecord {
        /** @throws OutOfRangeException if buriedNodes is outside 0 to 20 */
        public Released {
            buriedNodes = buriedNodes == null ? 0 : buriedNodes;
            Require.within("buriedNodes", buriedNodes, 0, 20);
        }

        public Released(Destination destination) {
            this(destination, 0);
        }
    }

    /** Where a released plant goes. */
    enum Destination {
        SALE,
        PLANTED_OUT,
        MOTHER_STOCK
    }

    /**
     * It is dead, or given up.
     *
     * @param words what it died of, where none of the causes says it; empty otherwise
     */
    record Lost(LossCause cause, @Nullable String words) implements LayerRecord {
        /** @throws MissingValueException if there is no cause, or no words to one that needs them */
        public Lost {
            Require.present("cause", cause);
            words = words == null ? "" : words.strip();
            if (cause == LossCause.OTHER) {
                Require.present("words", words.isEmpty() ? null : words);
            }
        }

        public Lost(LossCause cause) {
            this(cause, "");
        }
    }

    /**
     * Jobs were put off on purpose. It holds until something else is recorded; a job that comes up meanwhile is not
     * put off.
     *
     * @param jobs codes of the jobs, 1 to 20
     * @param until the day on which they are due again, within {@link LayerProjection#MAX_DEFERRED_DAYS} days of the
     *     record
     */
    record Deferred(Set<String> jobs, LocalDate until) implements LayerRecord {
        /**
         * @throws OutOfRangeException if there is no job or more than {@link #MAX_JOBS}
         * @throws MissingValueException if there are no jobs or no day until which
         */
        public Deferred {
            jobs = Set.copyOf(Require.present("jobs", jobs));
            Require.within("jobs", jobs.size(), 1, MAX_JOBS);
            for (String job : jobs) {
                if (job.isBlank() || job.length() > MAX_JOB_CODE) {
                    throw new IllegalArgumentException(
                            "job is \"" + job + "\"; it must be a job's code of 1 to " + MAX_JOB_CODE + " letters");
                }
            }
            Require.present("until", until);
        }
    }

    /** More than a layer ever has to be done at once. */
    int MAX_JOBS = 20;

    /** Letters of the longest code of a job. */
    int MAX_JOB_CODE = 40;

    /** A remark only; the text stands with the event. */
    record Noted() implements LayerRecord {}

    /** Takes back the record that the event corrects. */
    record Withdrawn() implements LayerRecord {}
}
