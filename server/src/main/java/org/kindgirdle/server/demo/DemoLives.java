package org.kindgirdle.server.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
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
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.journal.JournalIntake;
import org.kindgirdle.server.learn.TrialSlots;
import org.kindgirdle.server.records.SaidDates;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.stereotype.Component;

/**
 * Plays seasons with many layers. Each layer has a hidden life drawn from {@link DemoTruth}, which nobody in the nursery
 * knows; what is found follows from it, and the propagators do what the core says, on their round days.
 */
@Component
class DemoLives {

    /** A plant whose hidden life is to fail does so within so many days of its severance. */
    private static final int FAILS_WITHIN_DAYS = 40;

    /** Deeds in one visit. */
    private static final int MAX_DEEDS = 4;

    private final Snapshots snapshots;
    private final JournalIntake journalIntake;
    private final TrialSlots slots;

    DemoLives(Snapshots snapshots, JournalIntake journalIntake, TrialSlots slots) {
        this.snapshots = snapshots;
        this.journalIntake = journalIntake;
        this.slots = slots;
    }

    /** Layers set together on one mother. */
    record Batch(String mother, String recipe, LocalDate on, int count, double diameterMm) {}

    /**
     * What is played.
     *
     * @param trials places of trials that were dealt, with the day of their setting
     * @param first day of it
     * @param until the day after the last on which anybody goes round
     * @param rounds days of the week on which somebody goes round
     * @param lastCut after this day nobody has found the time to sever
     * @param over whether what is left by then is sold or given up; what is not over is followed round by round
     * @param seed of its chances
     */
    record Season(
            List<Batch> batches,
            List<DemoTrials.Dealt> trials,
            LocalDate first,
            LocalDate until,
            Set<DayOfWeek> rounds,
            LocalDate lastCut,
            boolean over,
            long seed) {}

    /** A layer with its hidden life. */
    private static final class Life {
        final UUID batchId;
        final long motherId;
        final long recipeId;
        final @Nullable Long slotId;
        final DemoTruth.HiddenLife hiddenLife;
        final Random random;
        final List<LayerEvent> events = new ArrayList<>();
        /** what was said after each record, by its number, while the ball filled */
        final Map<Integer, SaidDates> said = new HashMap<>();

        /** what its looks leave, so that it is worked out once a look and not once a day */
        @Nullable
        TimeToReady kept;

        LocalDate wakesOn = LocalDate.MIN;
        boolean over;

        Life(
                UUID batchId,
                long motherId,
                long recipeId,
                @Nullable Long slotId,
                DemoTruth.HiddenLife hiddenLife,
                long seed) {
            this.batchId = batchId;
            this.motherId = motherId;
            this.recipeId = recipeId;
            this.slotId = slotId;
            this.hiddenLife = hiddenLife;
            this.random = new Random(seed);
        }
    }

    /** @param personId who recorded it all */
    void play(Season season, Map<String, Long> mothers, Map<String, Long> recipes, DemoTruth truth, long personId) {
        List<Life> lives = new ArrayList<>();
        Random random = new Random(season.seed());
        for (LocalDate day = season.first(); day.isBefore(season.until()); day = day.plusDays(1)) {
            set(day, season, mothers, recipes, truth, lives, random);
            if (!season.rounds().contains(day.getDayOfWeek())) {
                continue;
            }
            LocalDate today = day;
            List<Life> awake = lives.stream()
                    .filter(life -> !life.over && !life.wakesOn.isAfter(today))
                    .toList();
            if (!awake.isEmpty()) {
                NurserySnapshot nursery = snapshots.take(day);
                // each has its own chances, whoever is visited first
                awake.parallelStream().forEach(life -> visit(life, season, nursery, today));
            }
        }
        if (season.over()) {
            lives.stream().filter(life -> !life.over).forEach(life -> end(life, season.until()));
        }
        write(lives, personId);
    }

    private void write(List<Life> lives, long personId) {
        List<String> codes = journalIntake.load(lives.stream()
                .map(life -> new JournalIntake.Whole(
                        null,
                        life.batchId,
                        life.motherId,
                        null,
                        life.recipeId,
                        1,
                        IntStream.range(0, life.events.size())
                                .mapToObj(i -> noted(life, i, personId))
                                .toList()))
                .toList());
        Map<Long, String> filled = new HashMap<>();
        for (int i = 0; i < lives.size(); i++) {
            Long slot = lives.get(i).slotId;
            if (slot != null) {
                filled.put(slot, codes.get(i));
            }
        }
        slots.fill(filled);
    }

    private static JournalIntake.Noted noted(Life life, int number, long personId) {
        LayerEvent event = life.events.get(number);
        return new JournalIntake.Noted(
                event.id(), event.occurredAt(), personId, event.what(), "", life.said.get(number));
    }

    private void set(
            LocalDate day,
            Season season,
            Map<String, Long> mothers,
            Map<String, Long> recipes,
            DemoTruth truth,
            List<Life> lives,
            Random random) {
        for (Batch batch : season.batches()) {
            if (batch.on().equals(day)) {
                UUID id = new UUID(random.nextLong(), random.nextLong());
                for (int i = 0; i < batch.count(); i++) {
                    long mother = Objects.requireNonNull(mothers.get(batch.mother()));
                    long recipe = Objects.requireNonNull(recipes.get(batch.recipe()));
                    lives.add(begun(id, mother, recipe, null, batch.diameterMm(), day, truth, random));
                }
            }
        }
        UUID id = new UUID(random.nextLong(), random.nextLong());
        for (DemoTrials.Dealt dealt : season.trials()) {
            if (dealt.on().equals(day)) {
                lives.add(begun(id, dealt.motherId(), dealt.recipeId(), dealt.slotId(), 15, day, truth, random));
            }
        }
    }

    private Life begun(
            UUID batch,
            long mother,
            long recipe,
            @Nullable Long slot,
            double usualMm,
            LocalDate day,
            DemoTruth truth,
            Random random) {
        NurserySnapshot nursery = snapshots.take(day);
        LayerContext context = nursery.context(mother, recipe, 1);
        double mm = Math.round((usualMm + 4 * (random.nextDouble() - .5)) * 2) / 2.0;
        Wood wood = random.nextInt(5) == 0 ? Wood.THREE_FOUR : Wood.ONE_TWO;
        LayerRecord.Setting set = new LayerRecord.Setting(
                mm,
                context.recipe().wound().isRing()
                        ? RingAndBall.of(context.rules(), mm, context.species().bridgesReadily(), false)
                                .ringMm()
                        : 0,
                wood,
                random.nextBoolean() ? Position.BELOW_NODE : Position.BETWEEN_NODES,
                6 + random.nextInt(10),
                250 + random.nextInt(500),
                10 + random.nextInt(40),
                School.IN_LEAF,
                false,
                false,
                random.nextBoolean() ? "Maren Tollwick" : "Ivo Sandmoor",
                "");
        Life life = new Life(batch, mother, recipe, slot, truth.hiddenLife(context, wood, random), random.nextLong());
        append(life, day, set);
        sayAfter(life, Projector.project(Replay.of(life.events), context, day), day);
        life.wakesOn = day.plusDays(5);
        return life;
    }

    private static void visit(Life life, Season season, NurserySnapshot nursery, LocalDate day) {
        LayerContext onMother = nursery.context(life.motherId, life.recipeId, 1);
        for (int deed = 0; deed < MAX_DEEDS && !life.over; deed++) {
            LayerState state = Replay.of(life.events);
            if (meetsItsEnd(life, state, day)) {
                return;
            }
            Long standsAt = state.placeId();
            LayerContext context =
                    (standsAt == null ? onMother : onMother.standingIn(nursery.climate(standsAt))).keeping(life.kept);
            LayerProjection now = Projector.project(state, context, day);
            life.kept = now.forecast() == null ? null : now.forecast().ready();
            sayAfter(life, now, day);
            boolean knifeIsIdle = day.isAfter(season.lastCut());
            Job job = now.jobs().stream()
                    .filter(one -> !knifeIsIdle || !isCut(one, now))
                    .min(Comparator.comparing(Job::from))
                    .orElse(null);
            if (job == null) {
                life.wakesOn = day.plusDays(7);
                return;
            }
            if (job.from().isAfter(day)) {
                // warm days bring water forward from the day on which it was due
                life.wakesOn = season.over() ? job.from() : day.plusDays(1);
                return;
            }
            if (!respond(life, now, job, context, nursery)) {
                life.wakesOn = day.plusDays(3);
                return;
            }
        }
    }

    private static boolean isCut(Job job, LayerProjection now) {
        NextStep step = now.verdict() == null ? null : now.verdict().step();
        return step != null && step.isSevering() && job.code().equals(step.name());
    }

    private static void sayAfter(Life life, LayerProjection now, LocalDate day) {
        int last = life.events.size() - 1;
        SaidDates dates = SaidDates.of(now);
        if (dates != null && life.events.get(last).on().equals(day)) {
            life.said.put(last, dates);
        }
    }

    /** What befalls it, whatever anybody does. */
    private static boolean meetsItsEnd(Life life, LayerState state, LocalDate day) {
        long age = day.toEpochDay() - state.setOn().toEpochDay();
        DemoTruth.HiddenLife hiddenLife = life.hiddenLife;
        if (state.phase() == LayerPhase.ON_MOTHER
                && hiddenLife.mishap() != null
                && age >= hiddenLife.mishapAfterDays()) {
            return lost(life, day, hiddenLife.mishap());
        }
        if (state.phase() == LayerPhase.ON_MOTHER && !hiddenLife.roots() && age >= hiddenLife.givenUpAfterDays()) {
            return lost(life, day, hiddenLife.noRootsBy());
        }
        boolean winterCame = day.getYear() > state.setOn().getYear() && day.getMonthValue() >= 3;
        if (state.phase() == LayerPhase.ON_MOTHER && winterCame && hiddenLife.diesInWinter()) {
            return lost(life, day, LossCause.WINTER);
        }
        if (state.plant() != null && !hiddenLife.establishes()) {
            long since = day.toEpochDay() - state.plant().severedOn().toEpochDay();
            if (since >= FAILS_WITHIN_DAYS) {
                return lost(life, day, hiddenLife.failsBy());
            }
            if (since >= FAILS_WITHIN_DAYS / 3
                    && state.plant().lastDroop() == null
                    && hiddenLife.failsBy() == LossCause.WILTED_AFTER) {
                append(life, day, new LayerRecord.Observed(Set.of(PlantSign.DROOP)));
                life.wakesOn = day.plusDays(3);
                return true;
            }
        }
        return false;
    }

    private static boolean lost(Life life, LocalDate day, LossCause cause) {
        append(life, day, new LayerRecord.Lost(cause));
        life.over = true;
        return true;
    }

    /** @return whether something else may be done today */
    private static boolean respond(
            Life life, LayerProjection now, Job job, LayerContext context, NurserySnapshot nursery) {
        LocalDate day = nursery.today();
        HardenVerdict hardening = now.hardening();
        if (job.code().equals(Job.TIDY_STUB)) {
            append(life, day, new LayerRecord.Tended(Work.TIDY_STUB, null));
            return true;
        }
        if (hardening != null) {
            return harden(life, now, hardening, nursery);
        }
        if (job.code().equals(Job.TOP_UP)) {
            double water = Objects.requireNonNull(now.forecast()).topUp().waterToAddG(10);
            append(life, day, new LayerRecord.ToppedUp((double) Math.round(water)));
            return true;
        }
        NextStep step = Objects.requireNonNull(now.verdict()).step();
        if (job.code().equals(Job.LOOK)) {
            append(life, day, look(now, life));
            return true;
        }
        if (step == NextStep.RERING) {
            append(life, day, new LayerRecord.Rerung(Math.max(20, now.ball().ringMm() * 1.25)));
            return true;
        }
        if (step == NextStep.ABANDON || step == NextStep.LOST) {
            lost(life, day, life.hiddenLife.noRootsBy());
            return false;
        }
        if (step.isSevering()) {
            append(life, day, DemoSeason.cut(now, context, nursery));
            append(life, day, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 3000.0, null));
            return true;
        }
        for (Work work : Work.values()) {
            if (work.name().equals(job.code())) {
                append(life, day, new LayerRecord.Tended(work, null));
                return true;
            }
        }
        return false;
    }

    private static boolean harden(Life life, LayerProjection now, HardenVerdict verdict, NurserySnapshot nursery) {
        LocalDate day = nursery.today();
        if (verdict.step() == PlantStep.STEP_UP && verdict.to() != null) {
            append(life, day, DemoSeason.stepUp(verdict.to(), nursery));
            return true;
        }
        if (verdict.step() == PlantStep.STEP_BACK && verdict.to() != null) {
            append(life, day, new LayerRecord.Moved(verdict.to()));
            return true;
        }
        if (verdict.step() == PlantStep.RELEASE) {
            append(life, day, new LayerRecord.Released(LayerRecord.Destination.SALE));
            life.over = true;
            return false;
        }
        boolean open = Objects.requireNonNull(now.state().plant()).rung() == Rung.OPEN;
        append(
                life,
                day,
                new LayerRecord.Observed(
                        open
                                ? Set.of(PlantSign.TURGID, PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH)
                                : Set.of(PlantSign.TURGID)));
        return false;
    }

    private static LayerRecord.Looked look(LayerProjection now, Life life) {
        double share = Objects.requireNonNull(now.forecast()).thermalDays() / life.hiddenLife.thermalDays();
        if (!life.hiddenLife.roots()) {
            // callus, and nothing more
            share = Math.min(share, RootStage.CALLUS.beginsAt(HouseRules.SHIPPED));
        }
        return DemoSeason.look(share, Set.of(), life.random);
    }

    private static void end(Life life, LocalDate day) {
        LayerState state = Replay.of(life.events);
        append(
                life,
                day,
                state.plant() == null
                        ? new LayerRecord.Lost(LossCause.TOO_LATE)
                        : new LayerRecord.Released(LayerRecord.Destination.SALE));
        life.over = true;
    }

    private static void append(Life life, LocalDate day, LayerRecord what) {
        UUID id = new UUID(life.random.nextLong(), life.random.nextLong());
        Instant at = day.atTime(LocalTime.MIDNIGHT)
                .plusHours(7)
                .toInstant(ZoneOffset.UTC)
                .plusSeconds(life.events.size());
        life.events.add(new LayerEvent(id, day, at, at, null, what));
    }
}
