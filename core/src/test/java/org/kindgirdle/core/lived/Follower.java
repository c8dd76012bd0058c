package org.kindgirdle.core.lived;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.harden.WinterCare;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.pot.FirstMediumAdvice;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.sever.DayAhead;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Trouble;
import org.kindgirdle.core.truth.Young;
import org.kindgirdle.core.verdict.Level;

/** Somebody who does on each round what the rules say, and writes down what was seen and done, with eyes that err. */
final class Follower extends Grower {

    private static final int MAX_DEEDS = 12;
    private static final int INDOORS_AHEAD_DAYS = 14;
    private static final double POT_ML = 3000;
    private static final double CURES = .7;

    private final List<LayerEvent> journal = new ArrayList<>();
    private final Watch watch;
    private @Nullable LayerState state;
    private @Nullable TimeToReady kept;

    Follower(Plant plant, Nursery nursery, Hands hands, Luck rounds, Watch watch) {
        super(plant, nursery, hands, rounds);
        this.watch = watch;
    }

    @Override
    void day(LocalDate today) {
        if (journal.isEmpty()) {
            write(today, plant.begun.set());
        }
        LayerProjection now = project(today);
        watch.dawn(now, context(), journal.size(), today);
        LocalDate cut = now.state().cutPlannedOn();
        if (!isRound(today) && !today.equals(cut)) {
            return;
        }
        Set<String> done = new HashSet<>();
        for (int deed = 0; deed < MAX_DEEDS && !isOver() && hands.haveTime(); deed++) {
            if (now.state().phase() != LayerPhase.ON_MOTHER && seesItsEnd(today)) {
                return;
            }
            Optional<Job> next = next(now, today, done);
            if (next.isEmpty()) {
                break;
            }
            done.add(next.get().code());
            int before = journal.size();
            act(next.get(), now, today);
            if (journal.size() > before) {
                watch.done(next.get(), today, journal.get(journal.size() - 1).what());
            }
            if (!isOver()) {
                now = project(today);
            }
        }
        if (!isOver() && plant.young != null && hands.haveTime()) {
            winter(now, today);
        }
        watch.dusk(isOver() ? null : project(today), journal.size());
    }

    private static Optional<Job> next(LayerProjection now, LocalDate today, Set<String> done) {
        LocalDate next = nextRound(today);
        return now.jobs().stream()
                .filter(job -> !done.contains(job.code()))
                .filter(job -> !job.from().isAfter(today) && job.by().isBefore(next))
                .findFirst();
    }

    private LayerContext context() {
        LayerState known = state();
        Spot stands = known.placeId() == null ? Spot.FIELD : Spot.of(known.placeId());
        return nursery.context(plant.begun.species(), plant.begun.recipe(), stands)
                .keeping(kept);
    }

    private LayerState state() {
        if (state == null) {
            state = Replay.of(journal);
        }
        return state;
    }

    private LayerProjection project(LocalDate today) {
        LayerProjection now = Projector.project(state(), context(), today);
        kept = now.forecast() == null ? null : now.forecast().ready();
        return now;
    }

    private void write(LocalDate day, LayerRecord what) {
        Instant at = day.atTime(9, 0).toInstant(ZoneOffset.UTC).plusSeconds(journal.size());
        worksOn(what);
        journal.add(new LayerEvent(new UUID(plant.begun.number(), journal.size()), day, at, at, null, what));
        state = null;
        watch.story(day, what, plant.toString());
    }

    /** The hands' work of which a record tells; what is only written down takes none, and potting is a part of the cut. */
    private void worksOn(LayerRecord what) {
        if (what instanceof LayerRecord.Looked || what instanceof LayerRecord.Observed) {
            hands.work(Job.LOOK);
        } else if (what instanceof LayerRecord.ToppedUp) {
            hands.work(Job.TOP_UP);
        } else if (what instanceof LayerRecord.Severed) {
            hands.work(Job.SEVER);
        } else if (what instanceof LayerRecord.Rerung) {
            hands.work(NextStep.RERING.name());
        } else if (what instanceof LayerRecord.Tended tended) {
            hands.work(tended.work().name());
        } else if (what instanceof LayerRecord.Moved) {
            hands.work("MOVE");
        }
    }

    private void act(Job job, LayerProjection now, LocalDate today) {
        if (now.hardening() != null) {
            harden(job, now, now.hardening(), today);
            return;
        }
        NextStep step = Objects.requireNonNull(now.verdict()).step();
        switch (job.code()) {
            case Job.LOOK -> look(today);
            case Job.TOP_UP -> water(today);
            case Job.SEVER -> sever(now, today);
            default -> {
                if (step.isSevering() && job.code().equals(step.name())) {
                    cutOrPlan(now, step, job, today);
                } else {
                    work(job, now, today);
                }
            }
        }
    }

    private void look(LocalDate today) {
        if (plant.ball.has(Trouble.TOP_DEAD)) {
            write(today, seen(EnumSet.of(Condition.TOP_DEAD)));
            return;
        }
        write(today, seen(conditions()));
    }

    private LayerRecord.Looked seen(Set<Condition> conditions) {
        List<Integer> sectors = new ArrayList<>();
        for (int i = 0; i < Sectors.COUNT; i++) {
            sectors.add(plant.ball.sectorAsRead(i));
        }
        RootStage stage = RootStage.values()[plant.ball.stageAsRead()];
        if (stage.isAtLeast(RootStage.INITIALS) && sectors.stream().allMatch(one -> one == 0)) {
            sectors.set(0, 1);
        }
        return new LayerRecord.Looked(stage, new Sectors(sectors), plant.ball.fillAsRead(), conditions);
    }

    private Set<Condition> conditions() {
        Set<Condition> all = EnumSet.noneOf(Condition.class);
        for (Trouble one : plant.ball.troubles(true)) {
            all.add(
                    switch (one) {
                        case DRY -> Condition.DRY;
                        case SOGGY -> Condition.WET;
                        case ROTTEN -> Condition.ROT;
                        case BRIDGED -> Condition.BRIDGED;
                        case TORN -> Condition.WRAP_OPEN;
                        case EMPTIED -> Condition.MEDIUM_LOST;
                        case ANTS -> Condition.PESTS;
                        case GREEN -> Condition.ALGAE;
                        case TURNED -> Condition.SLIPPED;
                        case PINCHED -> Condition.CONSTRICTED;
                        case WILTED -> Condition.TOP_WILTED;
                        case TOP_DEAD -> Condition.TOP_DEAD;
                        case BROKEN_OFF -> Condition.DETACHED;
                    });
        }
        return all;
    }

    private void water(LocalDate today) {
        plant.ball.fill(1);
        // whoever waters sees what hangs open
        if (plant.begun.recipe().method() == Method.JAR) {
            write(today, new LayerRecord.Tended(Work.CHANGE_WATER, null));
        } else {
            write(today, new LayerRecord.ToppedUp(100.0));
        }
        if (plant.ball.has(Trouble.TORN) || plant.ball.has(Trouble.BROKEN_OFF) || plant.ball.has(Trouble.TOP_DEAD)) {
            look(today);
        }
    }

    private void work(Job job, LayerProjection now, LocalDate today) {
        String code = job.code();
        if (code.equals(NextStep.LOST.name())) {
            lost(today, LossCause.TOP_DIED);
        } else if (code.equals(NextStep.ABANDON.name())) {
            lost(today, LossCause.NO_ROOTS);
        } else if (code.equals(NextStep.RERING.name())) {
            double mm = RingAndBall.againMm(Nursery.RULES, now.state().ringMm());
            plant.ringAgain(mm);
            write(today, new LayerRecord.Rerung(mm));
        } else {
            Work work = code.equals(AlsoDo.COVER_NOW.name()) ? Work.COVER : Work.valueOf(code);
            Cover cover = work == Work.COVER ? Cover.FOIL : null;
            carryOut(work);
            write(today, new LayerRecord.Tended(work, cover));
        }
    }

    private void carryOut(Work work) {
        switch (work) {
            case REWET, SOAK, RESCORE, CHANGE_WATER -> plant.ball.fill(1);
            case REWRAP -> plant.ball.wrapAgain();
            case CUT_BRIDGE -> plant.ball.cutBridge();
            case VENT -> plant.ball.drain();
            case TREAT_PESTS -> plant.ball.mend(Trouble.ANTS);
            case LOOSEN_TIE -> plant.ball.mend(Trouble.PINCHED);
            case CLEAN_OUT -> plant.ball.mend(Trouble.ROTTEN, Trouble.TORN, Trouble.TURNED);
            case COVER -> {
                plant.ball.mend(Trouble.GREEN);
                plant.cover(Cover.FOIL);
            }
            case PROTECT -> plant.ball.fleece();
            default -> {}
        }
    }

    /** On the best of the days till the last on which it may be; at once where there is no choice. */
    private void cutOrPlan(LayerProjection now, NextStep step, Job job, LocalDate today) {
        LocalDate planned = now.state().cutPlannedOn();
        boolean urgent = step == NextStep.RESCUE || step == NextStep.SEVER_SOON || step == NextStep.SEVER_TO_COVER;
        if (urgent || planned != null && !planned.isAfter(today)) {
            sever(now, today);
            return;
        }
        List<DayAhead> week = new ArrayList<>();
        for (LocalDate day = today; !day.isAfter(job.by()) && week.size() < 7; day = day.plusDays(1)) {
            week.add(DayAhead.at(Nursery.RULES, nursery.climate(Spot.FIELD), day));
        }
        BestDay best = BestDay.of(Nursery.RULES, week);
        LocalDate on = best.best()
                .or(() -> best.leastBad().map(BestDay.Ranked::day))
                .map(DayAhead::on)
                .orElse(today);
        if (on.equals(today)) {
            sever(now, today);
        } else {
            write(today, new LayerRecord.CutPlanned(on));
        }
    }

    private void sever(LayerProjection now, LocalDate today) {
        LayerState was = now.state();
        int leaves = plant.inLeaf() ? was.set().leavesBeyond() : 0;
        LeafBalance balance = LeafBalance.of(
                Nursery.RULES,
                LeafBalance.supplyCm2PerMl(Nursery.RULES),
                now.ball().mediumMl(),
                was.fillPercent() / 100,
                was.stage(),
                leaves,
                plant.begun.species().leafCm2(),
                nursery.climate(Spot.TUNNEL).vpdKpaOn(today),
                Shelter.MIST_TENT);
        plant.sever(balance.keep(), Spot.TUNNEL);
        write(
                today,
                new LayerRecord.Severed(leaves, balance.keep(), 0, null, Shelter.MIST_TENT, false, Spot.TUNNEL.id()));
    }

    private void harden(Job job, LayerProjection now, HardenVerdict verdict, LocalDate today) {
        Young young = Objects.requireNonNull(plant.young);
        PlantState was = Objects.requireNonNull(now.state().plant());
        if (job.code().equals(Job.TIDY_STUB)) {
            write(today, new LayerRecord.Tended(Work.TIDY_STUB, null));
            return;
        }
        if (job.code().equals(Job.LOOK)) {
            observe(young, today);
            return;
        }
        switch (verdict.step()) {
            case POT_UP -> pot(young, now, today);
            case POT_ON -> {
                young.pot();
                write(today, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, POT_ML, Ladder.IN_LEAF));
            }
            case STEP_UP, RELEASE -> {
                boolean fresh = !was.seen().isEmpty()
                        && was.seen().get(was.seen().size() - 1).on().equals(today);
                if (young.droops() || young.mould() || young.sheds()) {
                    if (!fresh) {
                        observe(young, today);
                    }
                } else if (verdict.step() == PlantStep.RELEASE) {
                    write(today, new LayerRecord.Released(LayerRecord.Destination.SALE));
                    release();
                } else {
                    Rung to = Objects.requireNonNull(verdict.to());
                    move(to, to == Rung.OPEN ? Spot.FIELD : plant.spot, today);
                }
            }
            case STEP_BACK -> {
                Rung to = Objects.requireNonNull(verdict.to());
                young.takeLeafOff(HardenRules.leafOffShare(Nursery.RULES));
                move(to, plant.spot == Spot.FIELD && was.ladder() != Ladder.GROUND ? Spot.TUNNEL : plant.spot, today);
            }
            case OPEN_AND_LOOK -> {
                if (plant.luck.strikes(Luck.Question.MOULD, -today.toEpochDay(), CURES)) {
                    young.open();
                }
                young.takeLeafOff(HardenRules.leafOffShare(Nursery.RULES));
                observe(young, today);
            }
            case HOLD_UNDER_COVER -> move(Rung.LIGHT, Spot.TUNNEL, today);
            default -> observe(young, today);
        }
    }

    private void pot(Young young, LayerProjection now, LocalDate today) {
        boolean fewRoots = !now.state().stage().isAtLeast(RootStage.FILLED);
        boolean out = plant.begun.plantedOut() && !fewRoots && roomInTheGround(today);
        if (out) {
            young.plantOut();
            plant.move(Rung.SHADE, Spot.FIELD);
            write(
                    today,
                    new LayerRecord.Potted(FirstMedium.GROUND, 0.0, Ladder.GROUND, "", null, false, Spot.FIELD.id()));
            return;
        }
        young.pot();
        Ladder ladder = plant.inLeaf() ? fewRoots ? Ladder.MOSS_TRAY : Ladder.IN_LEAF : Ladder.DORMANT;
        FirstMedium medium = ladder == Ladder.MOSS_TRAY ? FirstMedium.MOSS_STAGE : FirstMedium.LIGHT_MIX;
        write(today, new LayerRecord.Potted(medium, POT_ML, ladder));
    }

    /** Whether nothing is said against it. */
    private boolean roomInTheGround(LocalDate today) {
        PlaceClimate field = nursery.climate(Spot.FIELD);
        return FirstMediumAdvice.of(
                                Nursery.RULES,
                                FirstMedium.GROUND,
                                field.frosts()
                                        .map(frosts -> frosts.daysToFrost(today))
                                        .orElse(null),
                                plant.begun.species(),
                                field.winterLowC())
                        .level()
                        .compareTo(Level.WARN)
                > 0;
    }

    private void move(Rung to, Spot where, LocalDate today) {
        plant.move(to, where);
        write(today, new LayerRecord.Moved(to, where.id(), null));
    }

    private void observe(Young young, LocalDate today) {
        Set<PlantSign> signs = EnumSet.noneOf(PlantSign.class);
        if (young.droops()) {
            signs.add(PlantSign.DROOP);
        }
        if (young.sheds()) {
            signs.add(PlantSign.LEAF_DROP);
        }
        if (young.mould()) {
            signs.add(PlantSign.MOULD);
        }
        if (signs.isEmpty()) {
            signs.add(PlantSign.TURGID);
        }
        if (young.hasNewGrowth()) {
            signs.add(PlantSign.NEW_GROWTH);
        }
        if (young.rootsAtEdge()) {
            signs.add(PlantSign.ROOTS_AT_EDGE);
        }
        write(today, new LayerRecord.Observed(signs));
    }

    /** What the winter's list asks for. */
    private void winter(LayerProjection now, LocalDate today) {
        PlantState was = now.state().plant();
        if (was == null || plant.spot == Spot.HOUSE || was.ladder() == Ladder.GROUND) {
            return;
        }
        WinterCare.of(
                        Nursery.RULES,
                        was,
                        nursery.climate(plant.spot),
                        plant.begun.species(),
                        nursery.seasons(plant.begun.species()).leafless(),
                        today)
                .filter(care -> care.need() == WinterCare.Need.FROST_FREE)
                .filter(care -> care.by().isBefore(today.plusDays(INDOORS_AHEAD_DAYS)))
                .ifPresent(care -> move(was.rung() == Rung.OPEN ? Rung.LIGHT : was.rung(), Spot.HOUSE, today));
    }

    private boolean seesItsEnd(LocalDate today) {
        Young young = plant.young;
        if (young == null || young.alive()) {
            return false;
        }
        lost(
                today,
                switch (young.end()) {
                    case "frozen" -> LossCause.WINTER;
                    case "wilted" -> LossCause.WILTED_AFTER;
                    default -> LossCause.COLLAR_ROT;
                });
        lose(young.end());
        return true;
    }

    private void lost(LocalDate today, LossCause cause) {
        write(today, new LayerRecord.Lost(cause));
        lose(cause.name());
    }
}
