package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** One thing that happened to a layer. What a record holds is what was seen or done, never what was concluded. */
public sealed interface LayerRecord {

    /**
     * The layer was set.
     *
     * @param diameterMm of the branch under the ring
     * @param ringMm width of the ring as cut; 0 where nothing was cut
     * @param leavesBeyond leaves or buds on the tip side
     * @param fromUnionMm from the ball to where the limb joins
     * @param leanDeg of the limb from upright
     * @param hand who set it, as the nursery calls them; empty if nobody said
     * @param hormone which of the house's hormones, with its lot; empty if nobody said
     */
    record Setting(
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
            @Nullable String hormone)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if a value is outside the range that is given for it
         * @throws MissingValueException if there is no wood, position or school
         */
        public Setting {
            Require.within("diameterMm", diameterMm, RingAndBall.MIN_DIAMETER_MM, RingAndBall.MAX_DIAMETER_MM);
            Require.within("ringMm", ringMm, 0, 300);
            Require.within("leavesBeyond", leavesBeyond, 0, 5000);
            Require.within("fromUnionMm", fromUnionMm, 0, 20_000);
            Require.within("leanDeg", leanDeg, 0, 180);
            Require.present("wood", wood);
            Require.present("position", position);
            Require.present("school", school);
            // records older than these questions have no answer to them
            hand = hand == null ? "" : hand;
            hormone = hormone == null ? "" : hormone;
        }

        /** The same with some of its leaves taken off. */
        Setting with(int leaves) {
            return new Setting(
                    diameterMm,
                    ringMm,
                    wood,
                    position,
                    leaves,
                    fromUnionMm,
                    leanDeg,
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
                    wood,
                    position,
                    leavesBeyond,
                    fromUnionMm,
                    leanDeg,
                    chosen.school(),
                    chosen.specimen(),
                    chosen.fruitToKeep(),
                    hand,
                    hormone);
        }
    }

    /** @param fillPercent how much of the ball is rooted, 0 to 100 */
    record Looked(RootStage stage, Sectors sectors, double fillPercent, Set<Condition> conditions)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if fillPercent is outside 0 to 100
         * @throws MissingValueException if there is no stage, sectors or conditions
         */
        public Looked {
            Require.present("stage", stage);
            Require.present("sectors", sectors);
            Require.within("fillPercent", fillPercent, 0, 100);
            conditions = Set.copyOf(Require.present("conditions", conditions));
        }
    }

    /** @param waterMl added to the ball */
    record ToppedUp(double waterMl) implements LayerRecord {
        /** @throws OutOfRangeException if waterMl is outside 0 to 20 000 */
        public ToppedUp {
            Require.within("waterMl", waterMl, 0, 20_000);
        }
    }

    /**
     * Ringed again, or for the first time where nothing was cut before, with fresh medium and wrap.
     *
     * @param ringMm width of the new ring
     * @param recipeId of the recipe by which it was ringed, and goes on; null for the one that it went by
     * @param recipeNumber which version of that; null where the recipe is
     */
    record Rerung(
            double ringMm,
            @Nullable Long recipeId,
            @Nullable Integer recipeNumber) implements LayerRecord {
        /** @throws OutOfRangeException if ringMm is outside 1 to 300 */
        public Rerung {
            Require.within("ringMm", ringMm, 1, 300);
        }

        public Rerung(double ringMm) {
            this(ringMm, null, null);
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
                Require.within("leavesLeft", leavesLeft, 0, 5000);
            }
        }
    }

    /** @param cover the new cover, where the work changed it */
    record Tended(Work work, @Nullable Cover cover) implements LayerRecord {
        /** @throws MissingValueException if there is no work */
        public Tended {
            Require.present("work", work);
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
     * @param leavesBefore leaves on it before any were taken
     * @param leavesLeft leaves that were left, halved ones counted as one
     * @param leavesHalved how many of those were cut in half
     * @param leafCm2 area of one whole leaf; null for the one of its species' profile
     * @param shelter where it went; null if nobody said
     * @param fruitLeft whether a few flowers or fruit were left on, to hold back top growth
     * @param placeId of the place where it stands now; null for where its mother stands
     */
    record Severed(
            int leavesBefore,
            int leavesLeft,
            @Nullable Integer leavesHalved,
            @Nullable Double leafCm2,
            @Nullable Shelter shelter,
            @Nullable Boolean fruitLeft,
            @Nullable Long placeId)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if leavesBefore is outside 0 to 5000, leavesLeft is outside 0 to leavesBefore,
         *     leavesHalved is outside 0 to leavesLeft or leafCm2 is outside 0.1 to 20 000
         */
        public Severed {
            Require.within("leavesBefore", leavesBefore, 0, 5000);
            Require.within("leavesLeft", leavesLeft, 0, leavesBefore);
            // records older than these questions have no answer to them
            leavesHalved = leavesHalved == null ? 0 : leavesHalved;
            Require.within("leavesHalved", leavesHalved, 0, leavesLeft);
            fruitLeft = fruitLeft != null && fruitLeft;
            if (leafCm2 != null) {
                Require.within("leafCm2", leafCm2, 0.1, 20_000);
            }
        }

        public Severed(int leavesBefore, int leavesLeft) {
            this(leavesBefore, leavesLeft, 0, null, null, false, null);
        }

        /** Whole leaves that draw as much as what was left, halved ones as half. */
        public double leavesDrawing() {
            return leavesLeft - (leavesHalved == null ? 0 : leavesHalved) / 2.0;
        }
    }

    /**
     * Potted up, or on from a moss tray.
     *
     * @param potMl volume of the pot; 0 for straight into the ground
     * @param ladder the way that it is to go; null for the one that its medium asks
     * @param pot which of the house's pots; empty if nobody said
     * @param oldMedium what became of the ball; null if nobody said
     * @param circlingTrimmed whether roots that circled were cut
     * @param placeId of the place where it stands now; null for where it stood
     */
    record Potted(
            FirstMedium medium,
            double potMl,
            @Nullable Ladder ladder,
            @Nullable String pot,
            @Nullable OldMedium oldMedium,
            @Nullable Boolean circlingTrimmed,
            @Nullable Long placeId)
            implements LayerRecord {
        /**
         * @throws OutOfRangeException if potMl is outside 0 to 500 000
         * @throws MissingValueException if there is no medium
         */
        public Potted {
            Require.present("medium", medium);
            Require.within("potMl", potMl, 0, 500_000);
            pot = pot == null ? "" : pot;
            circlingTrimmed = circlingTrimmed != null && circlingTrimmed;
        }

        public Potted(FirstMedium medium, double potMl, @Nullable Ladder ladder) {
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
     * @param buriedNodes how many nodes of the stem went under the ground; 0 unless it was planted out
     */
    record Released(Destination destination, @Nullable Integer buriedNodes) implements LayerRecord {
        /**
         * @throws OutOfRangeException if buriedNodes is outside 0 to 20
         * @throws MissingValueException if there is no destination
         */
        public Released {
            Require.present("destination", destination);
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

    /** It is dead, or given up. */
    record Lost(LossCause cause) implements LayerRecord {
        /** @throws MissingValueException if there is no cause */
        public Lost {
            Require.present("cause", cause);
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
