package org.kindgirdle.core.lived;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.SpeciesProfileBuilder;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.truth.Kind;

/** The profiles that the product ships with, and what kind of plant each is taken for in a made-up world. */
final class ShippedSpecies {

    private static final Path FILE = Path.of("../server/src/main/resources/species.csv");
    private static final Map<String, SpeciesProfile> ALL = read();

    private ShippedSpecies() {}

    static SpeciesProfile of(String code) {
        SpeciesProfile found = ALL.get(code);
        if (found == null) {
            throw new IllegalArgumentException("no species " + code);
        }
        return found;
    }

    /** As its profile has it; what it really is differs from that. */
    static Kind kind(SpeciesProfile species) {
        return new Kind(
                species.cardinals().baseC(),
                species.cardinals().optimumC(),
                species.cardinals().ceilingC(),
                species.d50ThermalDays(),
                species.sigma(),
                switch (species.difficulty()) {
                    case EASY -> .1;
                    case MODERATE -> .27;
                    case DIFFICULT -> .5;
                },
                species.bridgesReadily() ? .2 : .07,
                species.leafCm2(),
                species.habit() == Habit.DECIDUOUS,
                species.frostHardyToC());
    }

    private static Map<String, SpeciesProfile> read() {
        try {
            List<String> lines = Files.readAllLines(FILE);
            List<String> names = List.of(lines.get(0).split(",", -1));
            Map<String, SpeciesProfile> all = new HashMap<>();
            for (String line : lines.subList(1, lines.size())) {
                Row row = new Row(names, line.split(",", -1));
                all.put(row.text("code"), profile(row));
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SpeciesProfile profile(Row row) {
        return SpeciesProfileBuilder.builder()
                .code(row.text("code"))
                .botanical(row.text("botanical"))
                .common(row.text("common"))
                .difficulty(Difficulty.valueOf(row.text("difficulty")))
                .d50ThermalDays(row.number("d50_thermal_days"))
                .sigma(row.number("sigma"))
                .cardinals(new CardinalTemperatures(
                        row.number("base_c"), row.number("optimum_c"), row.number("ceiling_c")))
                .opensAtMeanC(row.number("opens_at_mean_c"))
                .leafCm2(row.number("leaf_cm2"))
                .habit(Habit.valueOf(row.text("habit")))
                .frostHardyToC(row.number("frost_hardy_to_c"))
                .bridgesReadily(row.is("bridges_readily"))
                .preformedRoots(row.is("preformed_roots"))
                .resproutsFromBareTrunk(row.is("resprouts_from_bare_trunk"))
                .buryNodesOk(row.is("bury_nodes_ok"))
                .ownRoots(OwnRoots.valueOf(row.text("own_roots")))
                .twoSeasons(row.is("two_seasons"))
                .regulated(row.text("regulated"))
                .hazards(row.text("hazards"))
                .note(row.text("note"))
                .needsWinter(null)
                .build();
    }

    private record Row(List<String> names, String[] cells) {

        String text(String name) {
            return cells[names.indexOf(name)];
        }

        double number(String name) {
            return Double.parseDouble(text(name));
        }

        boolean is(String name) {
            return Boolean.parseBoolean(text(name));
        }
    }
}
