package org.kindgirdle.server.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;

/**
 * Plays the season day by day from a fixed seed: each layer has a true time to ready drawn from its species' own
 * distribution, what a look finds follows from it, and the propagator does what the core says, on round days.
 */
@Component
class DemoSeason {

    private static final String UNDER_COVER = "Tunnel 1";
    private static final String OUT_OF_DOORS = "Standing ground";

    private static final List<String> HANDS = List.of("Maren Tollwick", "Ivo Sandmoor");

    private static final long SEED = 20260710;

    /** The last days in which nobody has been round yet, so that there is something to do. */
    private static final int IDLE_DAYS = 4;

    /** Leaves enough are beyond it on every limb of the demo, with the ball counted in. */
    private static final double ABOVE_THE_FIRST_MM = 320;

    /** A ball, and the least gap to the next. */
    private static final double A_LAYER_MM = 300;

    private final Snapshots snapshots;
    private final LayerJournal journal;
    private final BusinessClock clock;
    private final Weather weather;

    DemoSeason(Snapshots snapshots, LayerJournal journal, BusinessClock clock, Weather weather) {
        this.snapshots = snapshots;
        this.journal = journal;
        this.clock = clock;
        this.weather = weather;
    }

    private static final class Sim {
        final String code;
        final DemoPlan.BatchPlan plan;
        final long motherId;
        final long recipeId;
        final int index;
        final double truth;
        final List<LayerEvent> events = new ArrayList<>();
        /** what its looks leave, so that it is worked out once a look and not once a day */
        @Nullable
        TimeToReady kept;

        LocalDate wakesOn = LocalDate.MIN;
        /** nearer the tip of the same limb: they come off first */
        final List<Sim> nearerTip = new ArrayList<>();

        boolean severed;
        boolean troubled;

        Sim(String code, DemoPlan.BatchPlan plan, long motherId, long recipeId, int index, double truth) {
            this.code = code;
            this.plan = plan;
            this.motherId = motherId;
            this.recipeId = recipeId;
            this.index = index;
            this.truth = truth;
        }
    }

    void play(Map<String, Long> mothers, Map<String, LimbView> limbs, Map<String, Long> recipes, LocalDate today) {
        Random random = new Random(SEED);
        List<Sim> layers = new ArrayList<>();
        for (LocalDate day = DemoPlan.FIRST_DAY; !day.isAfter(today); day = day.plusDays(1)) {
            clock.moveTo(day);
            weather.fetch(day);
            for (DemoPlan.BatchPlan batch : DemoPlan.BATCHES) {
                if (batch.on().equals(day)) {
                    set(
                            batch,
                            day,
                            Objects.requireNonNull(mothers.get(batch.mother())),
                            limbs.get(batch.mother() + " / " + batch.limb()),
                            Objects.requireNonNull(recipes.get(batch.recipe())),
                            layers,
                            random);
                }
            }
            boolean round = day.getDayOfWeek() == DayOfWeek.TUESDAY || day.getDayOfWeek() == DayOfWeek.FRIDAY;
            if (!round || day.isAfter(today.minusDays(IDLE_DAYS))) {
                continue;
            }
            List<Sim> awake = new ArrayList<>();
            for (Sim layer : layers) {
                if (!layer.wakesOn.isAfter(day)) {
                    awake.add(layer);
                }
            }
            if (!awake.isEmpty()) {
                NurserySnapshot nursery = snapshots.take(day);
                boolean last = !day.plusDays(4).isBefore(today.minusDays(IDLE_DAYS));
                for (Sim layer : awake) {
                    visit(layer, nursery, day, last, random);
                }
            }
        }
    }

    private void set(
            DemoPlan.BatchPlan batch,
            LocalDate day,
            long motherId,
            @Nullable LimbView limb,
            long recipeId,
            List<Sim> layers,
            Random random) {
        NurserySnapshot nursery = snapshots.take(day);
        LayerContext context = nursery.context(motherId, recipeId, 1);
        List<LayerJournal.NewLayer> rows = new ArrayList<>();
        List<LayerRecord.Setting> records = new ArrayList<>();
        for (int i = 0; i < batch.count(); i++) {
            double mm = Math.round((batch.diameterMm() + 3 * (random.nextDouble() - .5)) * 2) / 2.0;
            double ring = RingAndBall.of(context.rules(), mm, context.species().bridgesReadily(), false)
                    .ringMm();
            LayerRecord.Setting set = new LayerRecord.Setting(
                    mm,
                    ring,
                    Wood.ONE_TWO,
                    i % 2 == 0 ? Position.BELOW_NODE : Position.BETWEEN_NODES,
                    6 + random.nextInt(10),
                    fromUnionMm(limb, i, random),
                    batch.leanDeg(),
                    School.IN_LEAF,
                    false,
                    false,
                    HANDS.get(i % HANDS.size()),
                    "");
            records.add(set);
            rows.add(new LayerJournal.NewLayer(
                    motherId, limb == null ? null : limb.id(), recipeId, 1, set, at(day), ""));
        }
        UUID batchId = new UUID(random.nextLong(), random.nextLong());
        List<String> codes = journal.set(batchId, rows);
        TimeToReady prior = TimeToReady.prior(
                context.time().d50ThermalDays(), context.time().sigma());
        for (int i = 0; i < codes.size(); i++) {
            Sim layer =
                    new Sim(codes.get(i), batch, motherId, recipeId, i, prior.quantile(.05 + .9 * random.nextDouble()));
            layer.events.add(event(day, records.get(i), new UUID(random.nextLong(), random.nextLong())));
            layer.wakesOn = day.plusDays(3);
            if (limb != null) {
                layer.nearerTip.addAll(layers.subList(layers.size() - i, layers.size()));
            }
            layers.add(layer);
        }
    }

    /** On a limb one under the other, from where the leaves wanted end. */
    private static double fromUnionMm(@Nullable LimbView limb, int index, Random random) {
        double anywhere = Math.round(250 + 500 * random.nextDouble());
        return limb == null ? anywhere : limb.lengthMm() - ABOVE_THE_FIRST_MM - index * A_LAYER_MM;
    }

    /** What the propagator does at a layer on a round day. */
    private void visit(Sim layer, NurserySnapshot nursery, LocalDate day, boolean last, Random random) {
        LayerContext context = context(layer, nursery);
        boolean first = last && layer.index == 0 && !layer.troubled;
        boolean spoil = first && !layer.plan.trouble().isEmpty();
        for (int deed = 0; deed < 4; deed++) {
            LayerProjection now = Projector.project(Replay.of(layer.events), context.keeping(layer.kept), day);
            layer.kept = now.forecast() == null ? null : now.forecast().ready();
            if (spoil && now.verdict() != null) {
                layer.troubled = true;
                layer.wakesOn = LocalDate.MAX;
                append(layer, day, look(now, layer, layer.plan.trouble(), random), random);
                return;
            }
            if (first && layer.plan.droops() && now.state().phase() == LayerPhase.POTTED) {
                layer.troubled = true;
                append(layer, day, new LayerRecord.Observed(Set.of(PlantSign.DROOP)), random);
                return;
            }
            Job job = now.jobs().stream().min(Comparator.comparing(Job::from)).orElse(null);
            if (job == null) {
                layer.wakesOn = LocalDate.MAX;
                return;
            }
            if (job.from().isAfter(day)) {
                boolean calm = layer.plan.trouble().isEmpty() && !layer.plan.droops();
                layer.wakesOn = calm ? job.from() : day.plusDays(1);
                return;
            }
            if (!respond(layer, now, job, context, nursery, random)) {
                return;
            }
        }
    }

    private static LayerContext context(Sim layer, NurserySnapshot nursery) {
        LayerContext onMother = nursery.context(layer.motherId, layer.recipeId, 1);
        Long standsAt = Replay.of(layer.events).placeId();
        return standsAt == null ? onMother : onMother.standingIn(nursery.climate(standsAt));
    }

    /** @return whether something else may be done today */
    private boolean respond(
            Sim layer, LayerProjection now, Job job, LayerContext context, NurserySnapshot nursery, Random random) {
        LocalDate day = nursery.today();
        HardenVerdict hardening = now.hardening();
        if (job.code().equals(Job.TIDY_STUB)) {
            append(layer, day, new LayerRecord.Tended(Work.TIDY_STUB, null), new Random(layer.code.hashCode()));
            return true;
        }
        if (hardening != null) {
            return harden(layer, now, hardening, nursery, random);
        }
        if (job.code().equals(Job.TOP_UP)) {
            double water = Objects.requireNonNull(now.forecast()).topUp().waterToAddG(10);
            append(layer, day, new LayerRecord.ToppedUp((double) Math.round(water)), random);
            return true;
        }
        if (job.code().equals(Job.LOOK)) {
            append(layer, day, look(now, layer, Set.of(), random), random);
            return true;
        }
        NextStep step = Objects.requireNonNull(now.verdict()).step();
        if (job.code().equals(step.name()) && step.isSevering()) {
            if (layer.nearerTip.stream().anyMatch(other -> !other.severed)) {
                layer.wakesOn = day.plusDays(1);
                return false;
            }
            layer.severed = true;
            append(layer, day, cut(now, context, nursery), random);
            append(layer, day, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 3000.0, null), random);
            return false;
        }
        for (Work work : Work.values()) {
            if (work.name().equals(job.code())) {
                append(layer, day, new LayerRecord.Tended(work, null), random);
                return true;
            }
        }
        layer.wakesOn = day.plusDays(3);
        return false;
    }

    /** With the leaf that its roots carry, into the tent. */
    static LayerRecord.Severed cut(LayerProjection now, LayerContext context, NurserySnapshot nursery) {
        LayerState state = now.state();
        int leaves = state.set().leavesBeyond();
        LeafBalance balance = LeafBalance.of(
                context.rules(),
                LeafBalance.supplyCm2PerMl(context.rules()),
                now.ball().mediumMl(),
                state.fillPercent() / 100,
                state.stage(),
                leaves,
                context.species().leafCm2(),
                context.climate().vpdKpaOn(nursery.today()),
                Shelter.MIST_TENT);
        return new LayerRecord.Severed(
                leaves, balance.keep(), 0, null, Shelter.MIST_TENT, false, placeOf(nursery, UNDER_COVER));
    }

    /** Out of the tunnel as soon as it bears half shade. */
    static LayerRecord.Moved stepUp(Rung to, NurserySnapshot nursery) {
        return new LayerRecord.Moved(to, to == Rung.HALF ? placeOf(nursery, OUT_OF_DOORS) : null, null);
    }

    private static @Nullable Long placeOf(NurserySnapshot nursery, String name) {
        return nursery.walk().stream()
                .filter(place -> place.name().equals(name))
                .map(PlaceView::id)
                .findFirst()
                .orElse(null);
    }

    private boolean harden(
            Sim layer, LayerProjection now, HardenVerdict verdict, NurserySnapshot nursery, Random random) {
        LocalDate day = nursery.today();
        if (verdict.step() == PlantStep.STEP_UP && verdict.to() != null) {
            append(layer, day, stepUp(verdict.to(), nursery), random);
            return true;
        }
        if (verdict.step() == PlantStep.RELEASE) {
            append(layer, day, new LayerRecord.Released(LayerRecord.Destination.SALE), random);
            return false;
        }
        if (verdict.step() == PlantStep.STEP_BACK && verdict.to() != null) {
            append(layer, day, new LayerRecord.Moved(verdict.to()), random);
            append(layer, day, new LayerRecord.Observed(Set.of(PlantSign.TURGID)), random);
            return false;
        }
        boolean open = Objects.requireNonNull(now.state().plant()).rung() == Rung.OPEN;
        boolean droops = !open && random.nextInt(6) == 0;
        Set<PlantSign> signs = droops
                ? Set.of(PlantSign.DROOP)
                : open
                        ? Set.of(PlantSign.TURGID, PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH)
                        : Set.of(PlantSign.TURGID);
        append(layer, day, new LayerRecord.Observed(signs), random);
        return false;
    }

    private static LayerRecord.Looked look(LayerProjection now, Sim layer, Set<Condition> conditions, Random random) {
        return look(Objects.requireNonNull(now.forecast()).thermalDays() / layer.truth, conditions, random);
    }

    /** What a look finds where so much of the way to a full ball is gone. */
    static LayerRecord.Looked look(double share, Set<Condition> conditions, Random random) {
        RootStage stage = RootStage.at(HouseRules.SHIPPED, share);
        List<Integer> sectors = new ArrayList<>();
        for (int i = 0; i < Sectors.COUNT; i++) {
            double density = (share - .5) * 4 + random.nextGaussian() * .7;
            int most = stage.isAtLeast(RootStage.ROOTED) ? 3 : 1;
            int least = stage.isAtLeast(RootStage.FILLED) ? 2 : 0;
            sectors.add(
                    stage.isAtLeast(RootStage.INITIALS)
                            ? (int) Math.max(least, Math.min(most, Math.round(density)))
                            : 0);
        }
        double fill = stage.isAtLeast(RootStage.INITIALS)
                ? Math.min(100, 5 * Math.round(20 * Math.max(.05, Math.pow((share - .5) / .5, 2))))
                : 0;
        return new LayerRecord.Looked(stage, new Sectors(sectors), fill, conditions);
    }

    private void append(Sim layer, LocalDate day, LayerRecord what, Random random) {
        UUID id = new UUID(random.nextLong(), random.nextLong());
        Instant at = at(day).plusSeconds(layer.events.size());
        journal.append(layer.code, id, what, at, null, "");
        layer.events.add(new LayerEvent(id, day, at, at, null, what));
    }

    private LayerEvent event(LocalDate day, LayerRecord what, UUID id) {
        return new LayerEvent(id, day, at(day), at(day), null, what);
    }

    /** The start of the day: no record of the demo lies ahead of the hour at which it is loaded. */
    private Instant at(LocalDate day) {
        return day.atTime(LocalTime.MIDNIGHT).atZone(clock.zone()).toInstant();
    }
}
