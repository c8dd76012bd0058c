package org.kindgirdle.core.set;

import java.util.ArrayList;
import java.util.List;
import org.kindgirdle.core.climate.Cover;

/** What the hands do, in order, for a method, wound and recipe; the words are made elsewhere. */
public final class Checklist {

    private Checklist() {}

    /** One step; its name is its stable id. */
    public enum Step {
        WATER_THE_MOTHER,
        TRY_THE_BARK,
        CLEAN_BLADE,
        STRIP_LEAVES_UNDER_THE_BALL,
        TAKE_OFF_FRUIT_BEYOND,
        UPPER_CUT,
        LOWER_CUT,
        SLIT,
        PEEL,
        SCRAPE,
        ROUGHEN,
        PULL_ONE_LEAF,
        TIGHTEN_WIRE,
        /** milky sap keeps hormone off the wood */
        STOP_LATEX,
        DRESS_WITH_HORMONE,
        SQUEEZE_MEDIUM,
        SLIT_THE_BAG,
        WRAP_TIGHT,
        TIE,
        COVER,
        PROP,
        FOIL_ROUND_THE_STEM,
        LEAVE_TWO_NODES_BETWEEN,
        SPLIT_POT_ROUND_THE_STEM,
        KEEP_A_SHOOT_IN_THE_LIGHT,
        BEND_AND_PIN,
        BURY,
        CUT_OFF_WITH_THE_BALL,
        STAND_IN_WATER,
        CUT_THE_CUTTING,
        INSERT,
        TENT,
        LABEL;

        /** What to beware of at this step; empty for nothing. */
        public List<Caution> cautions() {
            return switch (this) {
                case TRY_THE_BARK, CUT_THE_CUTTING -> List.of(Caution.BLADE, Caution.SAP);
                case STRIP_LEAVES_UNDER_THE_BALL -> List.of(Caution.SAP);
                case CLEAN_BLADE, UPPER_CUT, LOWER_CUT, SLIT, SCRAPE, ROUGHEN, CUT_OFF_WITH_THE_BALL ->
                    List.of(Caution.BLADE);
                case PEEL, PULL_ONE_LEAF -> List.of(Caution.SAP);
                case DRESS_WITH_HORMONE -> List.of(Caution.HORMONE);
                case SQUEEZE_MEDIUM -> List.of(Caution.MEDIUM);
                default -> List.of();
            };
        }
    }

    /** Dangers, each shown at the step where it bites. */
    public enum Caution {
        /** cut away from the hand; a thin branch can snap */
        BLADE,
        /** the species' own hazards */
        SAP,
        /** its label; gloves; no food containers */
        HORMONE,
        /** gloves, dust mask, wash cuts */
        MEDIUM
    }

    /**
     * @param needsProp what the sums of the load say
     * @param latex whether the plant bleeds milky sap
     */
    public static List<Step> of(Recipe recipe, boolean needsProp, boolean latex) {
        List<Step> steps = new ArrayList<>(of(recipe, needsProp));
        int hormone = steps.indexOf(Step.DRESS_WITH_HORMONE);
        if (latex && hormone >= 0) {
            steps.add(hormone, Step.STOP_LATEX);
        }
        return List.copyOf(steps);
    }

    /** Of a plant without milky sap. */
    public static List<Step> of(Recipe recipe, boolean needsProp) {
        Wound wound = recipe.wound();
        double hormonePpm = recipe.hormonePpm();
        List<Step> steps = new ArrayList<>();
        switch (recipe.method()) {
            case AIR, SOFT_TIP, SUCKER -> layered(steps, recipe, needsProp);
            case JAR -> {
                layered(steps, recipe, false);
                steps.add(Step.CUT_OFF_WITH_THE_BALL);
                steps.add(Step.STAND_IN_WATER);
            }
            case FOIL_START ->
                steps.addAll(List.of(
                        Step.STRIP_LEAVES_UNDER_THE_BALL, Step.LEAVE_TWO_NODES_BETWEEN, Step.FOIL_ROUND_THE_STEM));
            case POT_STOOL -> {
                wounded(steps, wound, hormonePpm);
                steps.addAll(
                        List.of(Step.SPLIT_POT_ROUND_THE_STEM, Step.SQUEEZE_MEDIUM, Step.KEEP_A_SHOOT_IN_THE_LIGHT));
            }
            case GROUND -> {
                wounded(steps, wound, hormonePpm);
                steps.addAll(List.of(Step.BEND_AND_PIN, Step.BURY, Step.KEEP_A_SHOOT_IN_THE_LIGHT));
            }
            case CUTTING -> {
                steps.add(Step.CLEAN_BLADE);
                steps.add(Step.CUT_THE_CUTTING);
                hormone(steps, hormonePpm);
                steps.addAll(List.of(Step.INSERT, Step.TENT));
            }
        }
        steps.add(Step.LABEL);
        return List.copyOf(steps);
    }

    private static void layered(List<Step> steps, Recipe recipe, boolean needsProp) {
        wounded(steps, recipe.wound(), recipe.hormonePpm());
        steps.add(Step.SQUEEZE_MEDIUM);
        if (recipe.wrap() == Wrap.SLIT_BAG) {
            steps.add(Step.SLIT_THE_BAG);
        }
        steps.addAll(List.of(Step.WRAP_TIGHT, Step.TIE));
        if (recipe.cover() != Cover.CLEAR) {
            steps.add(Step.COVER);
        }
        if (needsProp) {
            steps.add(Step.PROP);
        }
    }

    private static void wounded(List<Step> steps, Wound wound, double hormonePpm) {
        if (wound.isRing()) {
            steps.addAll(List.of(Step.WATER_THE_MOTHER, Step.TRY_THE_BARK));
        }
        if (wound != Wound.UNWOUNDED) {
            steps.add(Step.CLEAN_BLADE);
        }
        steps.addAll(List.of(Step.STRIP_LEAVES_UNDER_THE_BALL, Step.TAKE_OFF_FRUIT_BEYOND));
        switch (wound) {
            case RING_SCRAPED -> ring(steps, true);
            case RING_UNSCRAPED -> ring(steps, false);
            case RING_AND_TOURNIQUET -> {
                ring(steps, true);
                steps.add(Step.TIGHTEN_WIRE);
            }
            case TOURNIQUET -> steps.add(Step.TIGHTEN_WIRE);
            case BARK_SCRAPED -> steps.add(Step.ROUGHEN);
            case LEAF_STRIPPED -> steps.add(Step.PULL_ONE_LEAF);
            case UNWOUNDED -> {}
        }
        hormone(steps, hormonePpm);
    }

    private static void ring(List<Step> steps, boolean scraped) {
        steps.addAll(List.of(Step.UPPER_CUT, Step.LOWER_CUT, Step.SLIT, Step.PEEL));
        if (scraped) {
            steps.add(Step.SCRAPE);
        }
    }

    private static void hormone(List<Step> steps, double hormonePpm) {
        if (hormonePpm > 0) {
            steps.add(Step.DRESS_WITH_HORMONE);
        }
    }
}
