package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.truth.Air;
import org.kindgirdle.core.truth.Clime;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Sky;

/**
 * A nursery in a made-up climate: what its records know of the weather on each day, which is what was measured, a
 * forecast that errs, and the normals; and the weather as it comes.
 */
final class Nursery {

    static final int FIRST_YEAR = 2031;
    static final HouseRules RULES = HouseRules.SHIPPED;

    private static final int YEARS = 6;
    private static final int FORECAST_DAYS = 7;

    private final Clime clime;
    private final Sky sky;
    private final Luck luck;
    private final Map<Spot, FrostCalendar> frosts = new EnumMap<>(Spot.class);
    private final Map<Spot, Double> lows = new EnumMap<>(Spot.class);
    private final Map<Spot, Map<LocalDate, DayTemperatures>> measured = new EnumMap<>(Spot.class);
    private final Map<LocalDate, Double> wind = new HashMap<>();
    private final Map<Spot, PlaceClimate> climates = new EnumMap<>(Spot.class);
    private final Map<String, Seasons> seasons = new HashMap<>();
    private final Map<String, @Nullable DaysOfYear> leafless = new HashMap<>();
    private final Map<SumsOf, ThermalSums.Earlier> sums = new HashMap<>();
    private final Map<SumsOf, LocalDate> madeOn = new HashMap<>();
    private LocalDate today = LocalDate.of(FIRST_YEAR, 1, 1);

    private record SumsOf(String species, Cover cover, boolean inSoil) {}

    Nursery(Clime clime, long seed) {
        this.clime = clime;
        this.sky = new Sky(clime, FIRST_YEAR, YEARS, seed);
        this.luck = new Luck(seed).of(4_711);
        for (Spot spot : Spot.values()) {
            Clime.Almanac almanac = clime.almanac(spot.nightsWarmerC);
            if (spot != Spot.HOUSE) {
                almanac.frosts().ifPresent(found -> frosts.put(spot, calendar(found)));
            }
            lows.put(spot, spot == Spot.HOUSE ? 2 : almanac.lowestC());
            measured.put(spot, new HashMap<>());
        }
        dawn(today);
    }

    private static FrostCalendar calendar(Clime.Frosts found) {
        return new FrostCalendar(
                day(found.firstAverage()), day(found.firstEarly()), day(found.lastAverage()), day(found.lastLate()));
    }

    private static MonthDay day(int dayOfYear) {
        return MonthDay.from(LocalDate.ofYearDay(2001, dayOfYear));
    }

    /** A day begins: yesterday has been measured, and there is a new forecast. */
    void dawn(LocalDate day) {
        while (today.isBefore(day)) {
            for (Spot spot : Spot.values()) {
                measured.get(spot).put(today, temperatures(air(spot, today), 0));
            }
            wind.put(today, air(Spot.FIELD, today).windMs());
            today = today.plusDays(1);
        }
        climates.clear();
        seasons.clear();
    }

    LocalDate today() {
        return today;
    }

    Clime clime() {
        return clime;
    }

    /** The weather as it comes. */
    Air air(Spot spot, LocalDate day) {
        return spot.air(sky.on(day));
    }

    /** What is known of a place's climate today. */
    PlaceClimate climate(Spot spot) {
        return climates.computeIfAbsent(spot, this::known);
    }

    private PlaceClimate known(Spot spot) {
        Map<LocalDate, DayTemperatures> days = new HashMap<>(measured.get(spot));
        Map<LocalDate, Double> winds = new HashMap<>();
        for (int ahead = 0; ahead <= FORECAST_DAYS; ahead++) {
            LocalDate day = today.plusDays(ahead);
            double error = .3 * ahead * luck.bell(Luck.Question.WARM_DAY, day.toEpochDay() * 10 + ahead);
            days.put(day, temperatures(air(spot, day), error));
            winds.put(day, air(spot, day).windMs());
        }
        MonthlyNormals normals =
                new MonthlyNormals(clime.minC(), clime.maxC()).plus(spot.nightsWarmerC, spot.daysWarmerC);
        return new PlaceClimate(
                clime.latitude(),
                normals,
                frosts.get(spot),
                lows.get(spot),
                spot == Spot.FIELD ? 1 : .8,
                0,
                days,
                spot == Spot.FIELD ? winds : Map.of());
    }

    private static DayTemperatures temperatures(Air air, double errorC) {
        return new DayTemperatures(air.minC() + errorC, air.maxC() + errorC);
    }

    /** The year of a species in the field. */
    Seasons seasons(SpeciesProfile species) {
        return seasons.computeIfAbsent(
                species.code(), code -> new Seasons(RULES, climate(Spot.FIELD), species, leafless(species)));
    }

    private @Nullable DaysOfYear leafless(SpeciesProfile species) {
        return leafless.computeIfAbsent(
                species.code(),
                code -> Phenology.leafless(RULES, climate(Spot.FIELD), species).orElse(null));
    }

    /** All that a layer's projection depends on, today. */
    LayerContext context(SpeciesProfile species, Recipe recipe, Spot stands) {
        boolean inSoil = recipe.method() == Method.GROUND;
        return new LayerContext(
                climate(Spot.FIELD),
                Exposure.PART,
                species,
                RootingTime.ofProfile(species),
                recipe,
                null,
                Vigour.NORMAL,
                RootRun.GROUND,
                RULES,
                true,
                cover -> sums(species, cover, inSoil),
                climate(stands),
                climate(Spot.FIELD),
                seasons(species),
                null);
    }

    private ThermalSums sums(SpeciesProfile species, Cover cover, boolean inSoil) {
        SumsOf key = new SumsOf(species.code(), cover, inSoil);
        PlaceClimate field = climate(Spot.FIELD);
        ThermalSums.Earlier earlier = sums.get(key);
        PlaceClimate climate = inSoil ? field.inTheGround(RULES) : field;
        if (earlier != null && madeOn.getOrDefault(key, LocalDate.MIN).equals(today)) {
            return earlier.sums();
        }
        ThermalSums now = new ThermalSums(
                RULES,
                climate,
                species.cardinals(),
                Exposure.PART,
                cover,
                leafless(species),
                LocalDate.of(FIRST_YEAR, 1, 1),
                LocalDate.of(FIRST_YEAR + YEARS - 1, 12, 31),
                earlier);
        sums.put(key, new ThermalSums.Earlier(now, climate));
        madeOn.put(key, today);
        return now;
    }
}
