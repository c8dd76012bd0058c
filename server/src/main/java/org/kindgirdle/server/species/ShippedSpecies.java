package org.kindgirdle.server.species;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.SpeciesProfileBuilder;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.server.opening.BeforeServing;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts the shipped species profiles into a database that lacks them; what the nursery changed stays. */
@Component
@Order(1)
class ShippedSpecies implements BeforeServing {

    private static final Map<String, SpeciesProfile> PROFILES =
            read().stream().collect(Collectors.toUnmodifiableMap(SpeciesProfile::code, Function.identity()));

    private final SpeciesProfiles profiles;
    private final SpeciesRepository species;

    ShippedSpecies(SpeciesProfiles profiles, SpeciesRepository species) {
        this.profiles = profiles;
        this.species = species;
    }

    @Override
    @Transactional
    public void prepare() {
        Set<String> known = species.findAll().stream().map(one -> one.code).collect(Collectors.toSet());
        PROFILES.values().stream()
                .filter(profile -> !known.contains(profile.code()))
                .forEach(profiles::ship);
    }

    /** As it was shipped; null of one that the nursery added. */
    static @Nullable SpeciesProfile profile(String code) {
        return PROFILES.get(code);
    }

    private static List<SpeciesProfile> read() {
        try (InputStream in = Objects.requireNonNull(ShippedSpecies.class.getResourceAsStream("/species.csv"));
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .skip(1)
                    .filter(line -> !line.isBlank())
                    .map(line -> profile(line.split(",", -1)))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SpeciesProfile profile(String[] cell) {
        return SpeciesProfileBuilder.builder()
                .code(cell[0])
                .botanical(cell[1])
                .common(cell[2])
                .difficulty(Difficulty.valueOf(cell[3]))
                .d50ThermalDays(Double.parseDouble(cell[4]))
                .sigma(Double.parseDouble(cell[5]))
                .cardinals(new CardinalTemperatures(
                        Double.parseDouble(cell[6]), Double.parseDouble(cell[7]), Double.parseDouble(cell[8])))
                .opensAtMeanC(Double.parseDouble(cell[9]))
                .leafCm2(Double.parseDouble(cell[10]))
                .habit(Habit.valueOf(cell[11]))
                .frostHardyToC(Double.parseDouble(cell[12]))
                .bridgesReadily(Boolean.parseBoolean(cell[13]))
                .preformedRoots(Boolean.parseBoolean(cell[14]))
                .resproutsFromBareTrunk(Boolean.parseBoolean(cell[15]))
                .buryNodesOk(Boolean.parseBoolean(cell[16]))
                .ownRoots(OwnRoots.valueOf(cell[17]))
                .twoSeasons(Boolean.parseBoolean(cell[18]))
                .regulated(cell[19])
                .hazards(cell[20])
                .note(cell[21])
                .needsWinter( // the shipped table does not say: what drops its leaves and bears hard frost needs a
                        // winter
                        null)
                .build();
    }
}
