package org.kindgirdle.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.OwnRoots;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.SpeciesProfileBuilder;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

/** One site with layers of one species, set through spring and looked at up to three times. */
final class Nursery {

    static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    private static final SpeciesProfile MEDLAR = species(60);

    private Nursery() {}

    /** @param d50 thermal days to a full ball */
    static SpeciesProfile species(double d50) {
        return SpeciesProfileBuilder.builder()
                .code("MESGER")
                .botanical("Mespilus germanica")
                .common("medlar")
                .difficulty(Difficulty.MODERATE)
                .d50ThermalDays(d50)
                .sigma(.3)
                .cardinals(new CardinalTemperatures(5, 22, 36))
                .opensAtMeanC(9)
                .leafCm2(30)
                .habit(Habit.DECIDUOUS)
                .frostHardyToC(-25)
                .bridgesReadily(true)
                .preformedRoots(false)
                .resproutsFromBareTrunk(false)
                .buryNodesOk(true)
                .ownRoots(OwnRoots.GOOD)
                .twoSeasons(false)
                .regulated("")
                .hazards("")
                .note("")
                .needsWinter(null)
                .build();
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

    /** The context of all layers, its thermal sums yet to be built: what a new day of weather leaves. */
    static LayerContext context() {
        PlaceClimate climate = climate();
        Map<Cover, ThermalSums> built = new EnumMap<>(Cover.class);
        return new LayerContext(
                climate,
                Exposure.PART,
                MEDLAR,
                RootingTime.ofProfile(MEDLAR),
                new Recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0, 0),
                null,
                Vigour.NORMAL,
                RootRun.GROUND,
                HouseRules.SHIPPED,
                true,
                cover -> built.computeIfAbsent(
                        cover,
                        one -> new ThermalSums(
                                HouseRules.SHIPPED,
                                climate,
                                MEDLAR.cardinals(),
                                Exposure.PART,
                                one,
                                Phenology.leafless(HouseRules.SHIPPED, climate, MEDLAR)
                                        .orElse(null),
                                LocalDate.of(2026, 1, 1),
                                LocalDate.of(2028, 12, 31))),
                climate,
                climate,
                Seasons.expected(HouseRules.SHIPPED, climate, MEDLAR),
                null);
    }

    static List<List<LayerEvent>> journals(int layers) {
        List<List<LayerEvent>> journals = new ArrayList<>(layers);
        for (int layer = 0; layer < layers; layer++) {
            LocalDate set = LocalDate.of(2026, 5, 1).plusDays(layer % 40);
            List<LayerEvent> journal = new ArrayList<>();
            journal.add(event(
                    layer,
                    0,
                    set,
                    new LayerRecord.Setting(
                            12 + layer % 15,
                            30,
                            Wood.ONE_TWO,
                            Position.BELOW_NODE,
                            12,
                            200,
                            30,
                            School.IN_LEAF,
                            false,
                            false,
                            "",
                            "")));
            for (int look = 1; look <= layer % 4; look++) {
                RootStage stage = look == 1 ? RootStage.CALLUS : look == 2 ? RootStage.INITIALS : RootStage.ROOTED;
                int density = Math.max(0, look - 1);
                journal.add(event(
                        layer,
                        look,
                        set.plusDays(9L * look),
                        new LayerRecord.Looked(
                                stage, new Sectors(Collections.nCopies(8, density)), 15.0 * density, Set.of())));
            }
            journals.add(journal);
        }
        return journals;
    }

    private static LayerEvent event(int layer, int number, LocalDate on, LayerRecord what) {
        return new LayerEvent(
                new UUID(layer, number),
                on,
                on.atTime(10, 0).toInstant(ZoneOffset.UTC),
                Instant.EPOCH.plusSeconds(number),
                null,
                what);
    }
}
