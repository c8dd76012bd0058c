package org.kindgirdle.server.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.truth.Air;
import org.kindgirdle.core.truth.Ball;
import org.kindgirdle.core.truth.Clime;
import org.kindgirdle.core.truth.Kind;
import org.kindgirdle.core.truth.Leaves;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Sky;
import org.kindgirdle.core.truth.Trouble;
import org.kindgirdle.core.truth.Wrapping;
import org.kindgirdle.core.truth.Young;

/** What is really the matter with each layer, in a world that owes nothing to the model: nobody sees it but by looking. */
final class HiddenTruth {

    private static final double RING_MM = 25;
    private static final double THICK_MM = 14;
    private static final double MEDIUM_ML = 280;
    private static final double LEAKS = .009;
    private static final double FOIL_C = 1.5;

    /** As the profiles have them: what they are differs from that. */
    private static final Map<String, Kind> BELIEVED = Map.of(
            "CYDOBL", new Kind(5, 22, 36, 38, .25, .1, .2, 30, true, -25),
            "COTCOG", new Kind(6, 23, 36, 48, .28, .27, .07, 30, true, -25),
            "FEISEL", new Kind(9, 24, 38, 62, .3, .27, .07, 15, false, -9),
            "ERIJAP", new Kind(10, 25, 38, 60, .28, .27, .2, 120, false, -8));

    private final Luck luck;
    private final Sky sky;
    private final Map<String, Truth> layers = new HashMap<>();

    private static final class Truth {
        private final Kind kind;
        private final Luck luck;
        private final Ball ball;
        private final Leaves leaves;
        private final double indoorsC;
        private final LocalDate setOn;
        private @Nullable Young young;
        private String rung = "TENT";

        Truth(Kind kind, Luck luck, double indoorsC, LocalDate setOn, double meanC) {
            this.kind = kind;
            this.luck = luck;
            this.indoorsC = indoorsC;
            this.setOn = setOn;
            this.leaves = new Leaves(kind, meanC);
            this.ball = new Ball(
                    kind,
                    new Wrapping(true, RING_MM, THICK_MM, MEDIUM_ML, LEAKS, .5, FOIL_C, false, false, true, 1, 1),
                    luck,
                    1);
        }
    }

    HiddenTruth(long seed, int firstYear) {
        this.luck = new Luck(seed);
        this.sky = new Sky(Clime.MARITIME, firstYear, 5, seed);
    }

    /** A layer is set; it lives from then on. */
    void set(String code, String species, double indoorsC, LocalDate on) {
        Kind kind = Objects.requireNonNull(BELIEVED.get(species)).asItIs(luck.of(species.hashCode()));
        layers.put(code, new Truth(kind, luck.of(code.hashCode()), indoorsC, on, air(on).meanC()));
    }

    /** The weather of a day. */
    Air air(LocalDate day) {
        return sky.on(day);
    }

    /** A day goes by for all of them. */
    void pass(LocalDate day) {
        for (Truth one : layers.values()) {
            if (day.isBefore(one.setOn)) {
                continue;
            }
            Air air = one.indoorsC == 0 ? air(day) : air(day).shifted(one.indoorsC, 2 * one.indoorsC, .1);
            one.leaves.pass(air);
            if (one.young == null) {
                one.ball.pass(air, day.toEpochDay(), one.leaves.inLeaf());
            } else {
                one.young.pass(air.shifted(3, 4, .1), day.toEpochDay(), stand(one.rung), one.leaves.inLeaf());
            }
        }
    }

    private static Young.Stand stand(String rung) {
        return switch (rung) {
            case "TENT" -> new Young.Stand(.2, .3);
            case "SHADE" -> new Young.Stand(.3, .6);
            case "HALF" -> new Young.Stand(.55, .75);
            case "LIGHT" -> new Young.Stand(.8, .9);
            default -> new Young.Stand(1, 1.05);
        };
    }

    private Truth of(String code) {
        return Objects.requireNonNull(layers.get(code));
    }

    /** What a look finds, with eyes that err. */
    Map<String, Object> look(String code) {
        Ball ball = of(code).ball;
        RootStage stage = RootStage.values()[ball.stageAsRead()];
        List<Integer> sectors = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            sectors.add(ball.sectorAsRead(i));
        }
        if (stage.isAtLeast(RootStage.INITIALS) && sectors.stream().allMatch(one -> one == 0)) {
            sectors.set(0, 1);
        }
        Set<String> conditions = new LinkedHashSet<>();
        for (Trouble one : ball.troubles(true)) {
            conditions.add(
                    switch (one) {
                        case DRY -> "DRY";
                        case SOGGY -> "WET";
                        case ROTTEN -> "ROT";
                        case BRIDGED -> "BRIDGED";
                        case TORN -> "WRAP_OPEN";
                        case EMPTIED -> "MEDIUM_LOST";
                        case ANTS -> "PESTS";
                        case GREEN -> "ALGAE";
                        case TURNED -> "SLIPPED";
                        case PINCHED -> "CONSTRICTED";
                        case WILTED -> "TOP_WILTED";
                        case TOP_DEAD -> "TOP_DEAD";
                        case BROKEN_OFF -> "DETACHED";
                    });
        }
        return Map.of("stage", stage, "sectors", sectors, "fillPercent", ball.fillAsRead(), "conditions", conditions);
    }

    void water(String code) {
        of(code).ball.fill(1);
    }

    void ring(String code, double mm) {
        of(code).ball.ring(mm, 1);
    }

    /** A piece of work, by its name. */
    void work(String code, String work) {
        Ball ball = of(code).ball;
        switch (work) {
            case "REWET", "SOAK", "RESCORE" -> ball.fill(1);
            case "REWRAP" -> ball.wrapAgain();
            case "CUT_BRIDGE" -> ball.cutBridge();
            case "VENT" -> ball.drain();
            case "TREAT_PESTS" -> ball.mend(Trouble.ANTS);
            case "LOOSEN_TIE" -> ball.mend(Trouble.PINCHED);
            case "CLEAN_OUT" -> ball.mend(Trouble.ROTTEN, Trouble.TORN, Trouble.TURNED);
            case "COVER" -> ball.mend(Trouble.GREEN);
            case "PROTECT" -> ball.fleece();
            default -> {
                // nothing that roots notice
            }
        }
    }

    void sever(String code, int leaves) {
        Truth one = of(code);
        double cm2 = one.kind.leafCm2();
        one.young = new Young(one.kind, one.luck, one.ball.rootedMl(), leaves * cm2, 12 * cm2);
    }

    void pot(String code) {
        young(code).pot();
    }

    void move(String code, String rung) {
        of(code).rung = rung;
    }

    /** Opened, looked at, and a quarter of its leaf off. */
    void open(String code) {
        young(code).open();
        young(code).takeLeafOff(.25);
    }

    boolean lives(String code) {
        Young young = of(code).young;
        return young == null || young.alive();
    }

    private Young young(String code) {
        return Objects.requireNonNull(of(code).young);
    }

    /** What is seen on a plant. */
    Set<String> signs(String code) {
        Young young = young(code);
        Set<String> signs = new LinkedHashSet<>();
        if (young.droops()) {
            signs.add("DROOP");
        }
        if (young.sheds()) {
            signs.add("LEAF_DROP");
        }
        if (young.mould()) {
            signs.add("MOULD");
        }
        if (signs.isEmpty()) {
            signs.add("TURGID");
        }
        if (young.hasNewGrowth()) {
            signs.add("NEW_GROWTH");
        }
        if (young.rootsAtEdge()) {
            signs.add("ROOTS_AT_EDGE");
        }
        return signs;
    }
}
