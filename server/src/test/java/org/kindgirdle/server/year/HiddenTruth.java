package org.kindgirdle.server.year;

import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import tools.jackson.databind.JsonNode;

/** What is really the matter with each layer: nobody sees it but by looking. */
final class HiddenTruth {

    /** Some never root, whatever one does. */
    private static final double NEVER_P = .12;

    private static final double[] TROUBLE_P = {.05, .03, .03, .01, .02, .01};
    private static final List<String> TROUBLES =
            List.of("DRY", "WRAP_OPEN", "BRIDGED", "TOP_DEAD", "ALGAE", "DETACHED");
    private static final double DROOP_P = .07;
    private static final double MOULD_P = .01;
    private static final double DIES_P = .5;
    private static final double GROWS_P = .4;

    private final Random random;
    private final Map<String, Double> thermalDays = new HashMap<>();

    HiddenTruth(long seed) {
        this.random = new Random(seed);
    }

    /** A new ring is a new chance. */
    void ring(String code) {
        thermalDays.remove(code);
    }

    /** What a look finds: the stage by the heat that it had, against the heat that it needs. */
    Map<String, Object> look(JsonNode layer) {
        String code = layer.path("code").asString();
        double had = layer.at("/forecast/thermalDays").asDouble();
        double needs = thermalDays.computeIfAbsent(code, id -> drawn(layer));
        double share = needs < 0 ? Math.min(.4, had / -needs) : had / needs;
        RootStage stage = RootStage.at(HouseRules.SHIPPED, share);
        int density = stage.isAtLeast(RootStage.FILLED)
                ? 3
                : stage.isAtLeast(RootStage.ROOTED) ? 2 : stage.isAtLeast(RootStage.INITIALS) ? 1 : 0;
        Set<String> conditions = new LinkedHashSet<>();
        for (int i = 0; i < TROUBLE_P.length; i++) {
            if (random.nextDouble() < TROUBLE_P[i]) {
                conditions.add(TROUBLES.get(i));
            }
        }
        return Map.of(
                "stage",
                stage,
                "sectors",
                Collections.nCopies(8, density),
                "fillPercent",
                density * 33,
                "conditions",
                conditions);
    }

    /** Lognormal about what the profile says for the species, as the software believes; below 0 for those that never root. */
    private double drawn(JsonNode layer) {
        double d50 = switch (layer.at("/species/code").asString()) {
            case "CYDOBL" -> 38;
            case "COTCOG" -> 48;
            case "FEISEL" -> 62;
            default -> 60;
        };
        double needs = d50 * Math.exp(.27 * random.nextGaussian());
        return random.nextDouble() < NEVER_P ? -needs : needs;
    }

    /** What is seen on a plant. */
    Set<String> signs(JsonNode layer, boolean growing) {
        Set<String> signs = new LinkedHashSet<>();
        if (random.nextDouble() < DROOP_P) {
            signs.add("DROOP");
        } else if (random.nextDouble() < MOULD_P) {
            signs.add("MOULD");
        } else {
            signs.add("TURGID");
        }
        if (growing && !layer.at("/plant/rung").asString().equals("TENT")) {
            if (random.nextDouble() < GROWS_P) {
                signs.add("NEW_GROWTH");
            }
            if (random.nextDouble() < GROWS_P) {
                signs.add("ROOTS_AT_EDGE");
            }
        }
        return signs;
    }

    /** An opened ball shows a rotten collar, or nothing. */
    boolean isRotten() {
        return random.nextDouble() < DIES_P;
    }
}
