package org.kindgirdle.core.layer;

import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

/** A quince on a cool maritime island, and a journal that is easily written. */
final class Carrow {

    static final LocalDate SET_ON = LocalDate.of(2026, 5, 28);

    static final SpeciesProfile QUINCE = quince(38);

    private final List<LayerEvent> journal = new ArrayList<>();

    static SpeciesProfile quince(double d50) {
        return ProfileBuilder.quince().time(d50).build();
    }

    static PlaceClimate climate() {
        return new PlaceClimate(
                52,
                new MonthlyNormals(
                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                        List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6)),
                -4.5,
                1,
                Map.of());
    }

    static final Recipe RING =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 2000, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0, 0);

    static LayerContext context(SpeciesProfile species) {
        return context(species, climate(), RING, true);
    }

    static LayerContext context(SpeciesProfile species, PlaceClimate climate, Recipe recipe, boolean coverAtHand) {
        Map<Cover, ThermalSums> built = new HashMap<>();
        return new LayerContext(
                climate,
                Exposure.PART,
                species,
                RootingTime.ofProfile(species),
                recipe,
                null,
                Vigour.NORMAL,
                RootRun.GROUND,
                HouseRules.SHIPPED,
                coverAtHand,
                cover -> built.computeIfAbsent(
                        cover,
                        one -> new ThermalSums(
                                HouseRules.SHIPPED,
                                climate,
                                species.cardinals(),
                                Exposure.PART,
                                one,
                                Phenology.leafless(HouseRules.SHIPPED, climate, species)
                                        .orElse(null),
                                LocalDate.of(2026, 1, 1),
                                LocalDate.of(2028, 12, 31))),
                climate,
                climate,
                Seasons.expected(HouseRules.SHIPPED, climate, species),
                null);
    }

    Carrow set() {
        return set(0, 0);
    }

    Carrow set(double fromUnionMm, double leanDeg) {
        return on(
                SET_ON,
                new LayerRecord.Setting(
                        16,
                        30,
                        Wood.ONE_TWO,
                        Position.BELOW_NODE,
                        12,
                        fromUnionMm,
                        leanDeg,
                        School.IN_LEAF,
                        false,
                        false,
                        "",
                        ""));
    }

    /** As foil or an unwounded shoot is: nothing was cut. */
    Carrow setWithoutARing() {
        return on(
                SET_ON,
                new LayerRecord.Setting(
                        16, 0, Wood.ONE_TWO, Position.BELOW_NODE, 12, 0, 0, School.IN_LEAF, false, false, "", ""));
    }

    Carrow setOn(LocalDate day, School school, boolean specimen) {
        return on(
                day,
                new LayerRecord.Setting(
                        16, 30, Wood.ONE_TWO, Position.BELOW_NODE, 12, 0, 0, school, specimen, false, "", ""));
    }

    LayerProjection asOf(LocalDate day, LayerContext context) {
        return Projector.project(Replay.of(journal), context, day);
    }

    Carrow look(LocalDate on, RootStage stage, int density, Condition... conditions) {
        return on(
                on,
                new LayerRecord.Looked(
                        stage, new Sectors(Collections.nCopies(8, density)), 30.0 * density, Set.of(conditions)));
    }

    Carrow on(LocalDate on, LayerRecord what) {
        journal.add(event(on, null, what));
        return this;
    }

    Carrow correct(int index, LayerRecord what) {
        LayerEvent wrong = journal.get(index);
        journal.add(new LayerEvent(
                new UUID(1, journal.size()),
                wrong.on(),
                wrong.occurredAt(),
                Instant.EPOCH.plusSeconds(journal.size()),
                wrong.id(),
                what));
        return this;
    }

    LayerEvent event(LocalDate on, @org.jspecify.annotations.Nullable UUID corrects, LayerRecord what) {
        return new LayerEvent(
                new UUID(1, journal.size()),
                on,
                on.atTime(10, 0).toInstant(ZoneOffset.UTC),
                Instant.EPOCH.plusSeconds(journal.size()),
                corrects,
                what);
    }

    List<LayerEvent> journal() {
        return List.copyOf(journal);
    }

    LayerProjection asOf(LocalDate day) {
        return Projector.project(Replay.of(journal), context(QUINCE), day);
    }
}
