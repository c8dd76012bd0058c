package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.BallAsWrapped;
import org.kindgirdle.core.sever.Shelter;

/** Plays the journal of one layer from its first record to its last. */
public final class Replay {

    /** What ails the top or the branch, whatever becomes of the ball. */
    private static final Set<Condition> ON_THE_TOP =
            EnumSet.of(Condition.TOP_WILTED, Condition.TOP_DEAD, Condition.DETACHED, Condition.PESTS);

    private @Nullable LayerEvent setEvent;
    private LayerRecord.@Nullable Chosen chosen;
    private @Nullable LocalDate cutPlannedOn;
    private LayerPhase phase = LayerPhase.ON_MOTHER;
    private @Nullable Double ringMm;
    private int ringsSince;
    private LayerRecord.@Nullable Rerung rerung;
    private @Nullable BallAsWrapped wrapped;
    private final List<LayerState.WrapOn> wrapsSeen = new ArrayList<>();
    private LocalDate ringedOn = LocalDate.MIN;
    private int attempts;
    private int rescores;
    private boolean bridgedBefore;
    private final List<LayerState.LookOn> looks = new ArrayList<>();
    private int looksEver;
    private int topUps;
    private final Set<Condition> conditions = EnumSet.noneOf(Condition.class);
    private final List<LayerState.CoverFrom> covers = new ArrayList<>();
    private LocalDate wateredOn = LocalDate.MIN;
    private boolean propped;
    private boolean upsized;
    private boolean cleanedOut;
    private boolean letGo;
    private @Nullable LocalDate rescoredOn;
    private LayerState.@Nullable WorkOn lastDecision;
    private boolean stubTidied;
    private LayerState.@Nullable DeferredOn deferred;
    private LocalDate severedOn = LocalDate.MIN;
    private @Nullable LocalDate mossSince;
    private Ladder ladder = Ladder.IN_LEAF;
    private Rung rung = Rung.TENT;
    private LocalDate rungSince = LocalDate.MIN;
    private int seenBefore;
    private @Nullable Long placeId;
    private final List<PlantState.Seen> seen = new ArrayList<>();
    private @Nullable LossCause lossCause;
    private String lossWords = "";
    private LayerState.@Nullable MadeBy madeBy;
    private @Nullable Integer leavesLeft;
    private @Nullable LocalDate endedOn;
    private LocalDate lastOn = LocalDate.MIN;
    private LocalDate newsOn = LocalDate.MIN;
    private final List<LayerState.Conflict> conflicts = new ArrayList<>();

    private Replay() {}

    /**
     * The state after all events, corrections counted.
     *
     * @throws IllegalArgumentException if no event that counts sets the layer
     */
    public static LayerState of(List<LayerEvent> journal) {
        Replay replay = new Replay();
        Set<UUID> counting = counting(journal);
        journal.stream()
                .filter(event -> counting.contains(event.id()))
                .sorted(LayerEvent.ORDER)
                .forEach(replay::apply);
        return replay.state();
    }

    /** The events that no event in force corrects. A withdrawn correction brings back what it replaced. */
    public static Set<UUID> counting(List<LayerEvent> journal) {
        Map<UUID, List<LayerEvent>> corrections = new HashMap<>();
        for (LayerEvent event : journal) {
            if (event.corrects() != null) {
                corrections
                        .computeIfAbsent(event.corrects(), id -> new ArrayList<>())
                        .add(event);
            }
        }
        Set<UUID> counting = new HashSet<>();
        for (LayerEvent event : journal) {
            if (isInForce(event, corrections)) {
                counting.add(event.id());
            }
        }
        return counting;
    }

    private static boolean isInForce(LayerEvent event, Map<UUID, List<LayerEvent>> corrections) {
        return corrections.getOrDefault(event.id(), List.of()).stream()
                .noneMatch(correction -> isInForce(correction, corrections));
    }

    private void apply(LayerEvent event) {
        LayerState.Reason against = against(event.what());
        if (against != null) {
            conflicts.add(new LayerState.Conflict(event.id(), against));
            return;
        }
        LocalDate on = event.on();
        LayerRecord what = event.what();
        if (what instanceof LayerRecord.Deferred later) {
            // nothing was done: what is known of the layer is as old as before
            deferred = new LayerState.DeferredOn(on, later);
            return;
        }
        if (what instanceof LayerRecord.CutPlanned plan) {
            cutPlannedOn = plan.cutOn();
            return;
        }
        if (!(what instanceof LayerRecord.Noted)) {
            deferred = null;
        }
        if (what instanceof LayerRecord.Setting set) {
            setEvent = event;
            ringMm = set.ringMm();
            wrapped = set.wrapped();
            ringedOn = on;
            wateredOn = on;
        } else if (what instanceof LayerRecord.Chosen choice) {
            chosen = choice;
        } else if (what instanceof LayerRecord.Looked look) {
            look(on, look);
        } else if (what instanceof LayerRecord.WrapSeen seenWrap) {
            wrapsSeen.add(new LayerState.WrapOn(on, seenWrap));
            // what only shows under the wrap stays as it was found
            conditions.removeAll(Condition.OUTSIDE);
            conditions.addAll(seenWrap.conditions());
        } else if (what instanceof LayerRecord.ToppedUp) {
            wateredOn = on;
            topUps++;
            conditions.remove(Condition.DRY);
        } else if (what instanceof LayerRecord.Rerung rerung) {
            ringAgain(on, rerung);
        } else if (what instanceof LayerRecord.StoodInWater stood) {
            goesOnBy(on, stood.recipeId(), stood.recipeNumber());
            leavesLeft = stood.leavesLeft() == null ? leavesLeft : stood.leavesLeft();
            wateredOn = on;
            propped = false;
            cutPlannedOn = null;
        } else if (what instanceof LayerRecord.Tended tended) {
            tend(on, tended);
        } else if (what instanceof LayerRecord.Severed severed) {
            placeId = severed.placeId();
            phase = LayerPhase.SEVERED;
            severedOn = on;
            cutPlannedOn = null;
            rung = rungIn(severed.shelter());
            rungSince = on;
            seenBefore = seen.size();
        } else if (what instanceof LayerRecord.Potted potted) {
            pot(on, potted);
        } else if (what instanceof LayerRecord.Moved moved) {
            // another place on the same rung is no new rung
            if (moved.rung() != rung) {
                rungSince = on;
                seenBefore = seen.size();
            }
            rung = moved.rung();
            placeId = moved.placeId() == null ? placeId : moved.placeId();
            ladder = moved.ladder() == null ? ladder : moved.ladder();
        } else if (what instanceof LayerRecord.Observed observed) {
            seen.add(new PlantState.Seen(on, observed.signs()));
        } else if (what instanceof LayerRecord.Released) {
            phase = LayerPhase.RELEASED;
            endedOn = on;
        } else if (what instanceof LayerRecord.Lost lost) {
            phase = LayerPhase.LOST;
            lossCause = lost.cause();
            lossWords = lost.words() == null ? "" : lost.words();
            endedOn = on;
        }
        lastOn = on;
        if (isNews(what)) {
            newsOn = on;
        }
    }

    /** Whether anything was seen, done or wanted by which another step may follow: a remark, or water alone, is none. */
    private static boolean isNews(LayerRecord what) {
        return !(what instanceof LayerRecord.Noted || what instanceof LayerRecord.ToppedUp);
    }

    private LayerState.@Nullable Reason against(LayerRecord what) {
        if (what instanceof LayerRecord.Noted || what instanceof LayerRecord.Withdrawn) {
            return setEvent == null ? LayerState.Reason.NOT_SET_YET : null;
        }
        if (what instanceof LayerRecord.Setting) {
            return setEvent == null ? null : LayerState.Reason.SET_TWICE;
        }
        if (setEvent == null) {
            return LayerState.Reason.NOT_SET_YET;
        }
        if (!phase.isLive()) {
            return LayerState.Reason.FINISHED;
        }
        if (what instanceof LayerRecord.Lost || what instanceof LayerRecord.Deferred) {
            return null;
        }
        if (what instanceof LayerRecord.Tended tended && tended.work() == Work.TIDY_STUB) {
            return phase == LayerPhase.ON_MOTHER ? LayerState.Reason.NOT_SEVERED : null;
        }
        if (what instanceof LayerRecord.Potted) {
            return phase == LayerPhase.SEVERED || mossSince != null
                    ? null
                    : phase == LayerPhase.POTTED ? LayerState.Reason.ALREADY_POTTED : LayerState.Reason.NOT_SEVERED;
        }
        if (what instanceof LayerRecord.Released) {
            return phase == LayerPhase.POTTED ? null : LayerState.Reason.NOT_POTTED;
        }
        if (what instanceof LayerRecord.Moved || what instanceof LayerRecord.Observed) {
            return phase == LayerPhase.ON_MOTHER ? LayerState.Reason.NOT_SEVERED : null;
        }
        return phase == LayerPhase.ON_MOTHER ? null : LayerState.Reason.NO_LONGER_ON_MOTHER;
    }

    /** Where it really went is where the ladder takes it up; into a tent, where nobody said. */
    private static Rung rungIn(@Nullable Shelter shelter) {
        if (shelter == null) {
            return Rung.TENT;
        }
        return switch (shelter) {
            case MIST_TENT -> Rung.TENT;
            case TUNNEL_SHADE, OPEN_SHADE -> Rung.SHADE;
            case OPEN_SUN -> Rung.OPEN;
        };
    }

    private void pot(LocalDate on, LayerRecord.Potted potted) {
        boolean inMoss = potted.medium() == FirstMedium.MOSS_STAGE;
        if (potted.ladder() != null) {
            ladder = potted.ladder();
        } else if (phase == LayerPhase.SEVERED) {
            ladder = inMoss ? Ladder.MOSS_TRAY : Ladder.IN_LEAF;
        }
        boolean saysNoOther = potted.ladder() == null || potted.ladder() == Ladder.GROUND;
        if (potted.medium() == FirstMedium.GROUND && saysNoOther) {
            ladder = Ladder.GROUND;
            rung = rung == Rung.OPEN ? Rung.OPEN : Rung.SHADE;
            rungSince = on;
            seenBefore = seen.size();
        }
        mossSince = inMoss ? on : null;
        placeId = potted.placeId() == null ? placeId : potted.placeId();
        phase = LayerPhase.POTTED;
    }

    private void look(LocalDate on, LayerRecord.Looked look) {
        looks.add(new LayerState.LookOn(on, look));
        looksEver++;
        conditions.clear();
        conditions.addAll(look.conditions());
        cleanedOut = false;
        letGo = false;
        bridgedBefore |= look.conditions().contains(Condition.BRIDGED);
    }

    private void ringAgain(LocalDate on, LayerRecord.Rerung again) {
        // where nothing was cut before, it is the first ring, and none has failed
        boolean isFirst = ringMm != null && ringMm == 0 && ringsSince == 0;
        if (!isFirst) {
            attempts++;
        }
        rerung = again;
        wrapped = again.wrapped();
        ringsSince = again.ringMm() == null ? ringsSince + 1 : 0;
        ringMm = again.ringMm() == null ? ringMm : again.ringMm();
        if (goesOnBy(on, again.recipeId(), again.recipeNumber())) {
            // its cover is the new recipe's
            covers.clear();
        }
        ringedOn = on;
        wateredOn = on;
        looks.clear();
        wrapsSeen.clear();
        cleanedOut = false;
        letGo = false;
        rescoredOn = null;
        // fresh medium and wrap on fresh wood: only what ails the top or the tie remains
        conditions.retainAll(ON_THE_TOP);
    }

    /** @return whether it goes on by another recipe */
    private boolean goesOnBy(LocalDate on, @Nullable Long recipeId, @Nullable Integer recipeNumber) {
        if (recipeId == null || recipeNumber == null) {
            return false;
        }
        madeBy = new LayerState.MadeBy(recipeId, recipeNumber, on, madeBy);
        return true;
    }

    private void tend(LocalDate on, LayerRecord.Tended tended) {
        Work work = tended.work();
        conditions.removeAll(work.mends());
        if (work.isWatering()) {
            wateredOn = on;
        }
        wrapped = tended.wrapped() == null ? wrapped : tended.wrapped();
        if (tended.cover() != null) {
            covers.add(new LayerState.CoverFrom(on, tended.cover()));
        }
        switch (work) {
            case RESCORE -> {
                rescores++;
                rescoredOn = on;
            }
            case NEXT_SEASON -> {
                // no ball is left on it: what ailed that is gone, and bark grows over the ring
                letGo = true;
                conditions.retainAll(ON_THE_TOP);
                conditions.add(Condition.BRIDGED);
            }
            case PROP, REST_TIP -> propped = true;
            case TIDY_STUB -> stubTidied = true;
            case UPSIZE -> upsized = true;
            case CLEAN_OUT -> {
                cleanedOut = true;
                conditions.add(Condition.MEDIUM_LOST);
            }
            case PROTECT, CARRY_OVER, HOLD_SPRING, HOLD_FRUIT, HOLD_DORMANT ->
                lastDecision = new LayerState.WorkOn(on, work);
            default -> {
                // mending what was found is all that the other works do
            }
        }
    }

    private LayerState state() {
        if (setEvent == null || !(setEvent.what() instanceof LayerRecord.Setting set)) {
            throw new IllegalArgumentException("the journal does not set the layer");
        }
        PlantState plant = severedOn.equals(LocalDate.MIN)
                ? null
                : new PlantState(
                        severedOn, phase != LayerPhase.SEVERED, mossSince, ladder, rung, rungSince, seen, seenBefore);
        LayerRecord.Setting wanted = chosen == null ? set : set.as(chosen);
        return LayerStateBuilder.builder()
                .phase(phase)
                .set(leavesLeft == null ? wanted : wanted.with(leavesLeft))
                .setOn(setEvent.on())
                .ringMm(ringMm)
                .ringsSince(ringsSince)
                .rerung(rerung)
                .wrapped(wrapped)
                .ringedOn(ringedOn)
                .attempts(attempts)
                .rescores(rescores)
                .bridgedBefore(bridgedBefore)
                .looks(looks)
                .looksEver(looksEver)
                .wrapsSeen(wrapsSeen)
                .topUps(topUps)
                .conditions(conditions)
                .covers(covers)
                .wateredOn(wateredOn)
                .propped(propped)
                .upsized(upsized)
                .cleanedOut(cleanedOut)
                .letGo(letGo)
                .rescoredOn(rescoredOn)
                .lastDecision(lastDecision)
                .stubTidied(stubTidied)
                .deferred(deferred)
                .cutPlannedOn(cutPlannedOn)
                .plant(plant)
                .placeId(placeId)
                .lossCause(lossCause)
                .lossWords(lossWords)
                .endedOn(endedOn)
                .madeBy(madeBy)
                .lastOn(lastOn)
                .newsOn(newsOn)
                .conflicts(conflicts)
                .build();
    }
}
