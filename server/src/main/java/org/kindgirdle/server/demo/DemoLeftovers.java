package org.kindgirdle.server.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;

/**
 * Three loquats whose paper tags were typed in late, so that the demo has what a busy week leaves behind: a full ball
 * still on its mother, a layer severed and not yet potted, and one that birds pulled apart.
 */
@Component
class DemoLeftovers {

    private static final String MOTHER = "LQ-01";
    private static final String RECIPE = "Moss and foil";
    private static final LocalDate SET_ON = LocalDate.of(2026, 4, 14);
    private static final LocalDate PULLED_APART = LocalDate.of(2026, 5, 19);
    private static final List<LocalDate> LOOKS =
            List.of(LocalDate.of(2026, 5, 29), LocalDate.of(2026, 6, 19), LocalDate.of(2026, 7, 7));
    private static final LocalDate SEVERED = LocalDate.of(2026, 7, 10);
    private static final int LEAVES = 14;
    private static final int WATERED_EVERY = 12;
    private static final double WATER_ML = 130;

    /** At the last look it has had a little more than its whole way. */
    private static final double SHARE_AT_LAST_LOOK = 1.03;

    private final Snapshots snapshots;
    private final LayerJournal journal;
    private final BusinessClock clock;
    private final Random random = new Random(717);

    DemoLeftovers(Snapshots snapshots, LayerJournal journal, BusinessClock clock) {
        this.snapshots = snapshots;
        this.journal = journal;
        this.clock = clock;
    }

    void record(Map<String, Long> mothers, Map<String, Long> recipes, LocalDate today) {
        long mother = Objects.requireNonNull(mothers.get(MOTHER));
        long recipe = Objects.requireNonNull(recipes.get(RECIPE));
        NurserySnapshot nursery = snapshots.take(today);
        LayerContext context = nursery.context(mother, recipe, 1);
        double diameterMm = 17;
        LayerRecord.Setting set = new LayerRecord.Setting(
                diameterMm,
                RingAndBall.of(context.rules(), diameterMm, context.species().bridgesReadily(), false)
                        .ringMm(),
                Wood.ONE_TWO,
                Position.BELOW_NODE,
                LEAVES,
                400,
                25,
                School.IN_LEAF,
                false,
                false,
                "Ivo Sandmoor",
                "");
        LayerJournal.NewLayer layer = new LayerJournal.NewLayer(mother, null, recipe, 1, set, at(SET_ON), "");
        List<String> codes = journal.set(id(), List.of(layer, layer, layer));
        for (String code : codes.subList(0, 2)) {
            LOOKS.forEach(day -> append(code, day, look(set, context, day)));
            for (LocalDate day = SET_ON.plusDays(WATERED_EVERY);
                    day.isBefore(SEVERED);
                    day = day.plusDays(WATERED_EVERY)) {
                append(code, day, new LayerRecord.ToppedUp(WATER_ML));
            }
        }
        append(codes.get(1), SEVERED, new LayerRecord.Severed(LEAVES, LEAVES / 2));
        append(codes.get(2), PULLED_APART, new LayerRecord.Lost(LossCause.ANIMALS));
    }

    /** What a look finds that day on a layer which is just full at the last one. */
    private LayerRecord.Looked look(LayerRecord.Setting set, LayerContext context, LocalDate day) {
        double share = SHARE_AT_LAST_LOOK
                * thermalDays(set, context, day)
                / thermalDays(set, context, LOOKS.get(LOOKS.size() - 1));
        RootStage stage = RootStage.at(HouseRules.SHIPPED, share);
        boolean rooted = stage.isAtLeast(RootStage.INITIALS);
        int density = stage.isAtLeast(RootStage.FILLED) ? 3 : stage.isAtLeast(RootStage.ROOTED) ? 2 : rooted ? 1 : 0;
        double fill = rooted ? 5 * Math.round(20 * Math.min(1, Math.pow((share - .5) / .5, 2))) : 0;
        return new LayerRecord.Looked(stage, new Sectors(Collections.nCopies(Sectors.COUNT, density)), fill, Set.of());
    }

    private double thermalDays(LayerRecord.Setting set, LayerContext context, LocalDate day) {
        LayerEvent event = new LayerEvent(new UUID(0, 0), SET_ON, at(SET_ON), at(SET_ON), null, set);
        return Objects.requireNonNull(Projector.project(Replay.of(List.of(event)), context, day)
                        .forecast())
                .thermalDays();
    }

    private void append(String code, LocalDate day, LayerRecord what) {
        journal.append(code, id(), what, at(day), null, "from the paper tag");
    }

    private UUID id() {
        return new UUID(random.nextLong(), random.nextLong());
    }

    private Instant at(LocalDate day) {
        return day.atTime(LocalTime.MIDNIGHT).atZone(clock.zone()).toInstant();
    }
}
