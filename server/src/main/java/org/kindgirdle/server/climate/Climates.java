package org.kindgirdle.server.climate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.CardinalTemperatures;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.site.FrostsView;
import org.kindgirdle.server.site.SiteView;
import org.springframework.stereotype.Service;

/**
 * The climates of the places and the thermal sums in them, kept under the versions that they were made from, so that an
 * edit anywhere makes new ones and no copy of the application can serve old ones.
 */
@Service
public class Climates {

    private static final int KEPT = 400;

    private final Cache<Key, ThermalSums> sums =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /** The newest of each, whatever weather it was made from. */
    private final Cache<Key, ThermalSums.Earlier> newest =
            Caffeine.newBuilder().maximumSize(KEPT / 4).build();

    private record Key(
            HouseRules rules,
            long siteVersion,
            @Nullable Long place,
            long placeVersion,
            CardinalTemperatures cardinals,
            @Nullable DaysOfYear leafless,
            Cover cover,
            boolean inTheGround,
            int from,
            int year,
            String weather) {

        Key ofAnyWeather() {
            return new Key(
                    rules, siteVersion, place, placeVersion, cardinals, leafless, cover, inTheGround, from, year, "");
        }
    }

    /** The climate of a place, with the weather as it is known. */
    public PlaceClimate climate(HouseRules rules, SiteView site, PlaceView place, KnownWeather weather) {
        FrostCalendar frosts = switch (place.frosts()) {
            case NONE -> null;
            case OWN -> calendar(place.ownFrosts());
            case SITE -> calendar(site.frosts());
        };
        Map<LocalDate, DayTemperatures> days = new HashMap<>();
        Map<LocalDate, Double> wind = new HashMap<>();
        for (Map<LocalDate, WeatherDay> known : List.of(weather.forecast(), weather.measured())) {
            known.forEach((on, day) -> {
                double min = day.minC() + place.minShiftC();
                days.put(on, new DayTemperatures(min, Math.max(min, day.maxC() + place.maxShiftC())));
                // no wind reaches what stands under a tunnel or a tent
                if (day.windMs() != null && place.stand() != Stability.Stand.COVERED) {
                    wind.put(on, day.windMs());
                }
            });
        }
        return new PlaceClimate(
                site.latitude(),
                new MonthlyNormals(site.minC(), site.maxC()).plus(place.minShiftC(), place.maxShiftC()),
                frosts,
                place.winterLowC(),
                place.vpdFactor(),
                site.arid() ? DayTemperatures.aridDewDepressionC(rules) : 0,
                days,
                wind);
    }

    private static @Nullable FrostCalendar calendar(@Nullable FrostsView frosts) {
        return frosts == null ? null : frosts.calendar();
    }

    /**
     * The thermal sums of a species at a place under a cover, for rings of some years to the end of the next.
     *
     * @param leafless days of the year without leaves; null if it keeps them
     * @param inTheGround whether it is buried: soil warms it, and neither sun nor cover
     * @param fromYear of the oldest ring that is looked up
     */
    public ThermalSums sums(
            HouseRules rules,
            SiteView site,
            PlaceView place,
            PlaceClimate climate,
            SpeciesProfile species,
            @Nullable DaysOfYear leafless,
            Cover cover,
            boolean inTheGround,
            int fromYear,
            LocalDate today,
            KnownWeather weather) {
        // the light on the bed and the cover make no difference under the soil
        Exposure exposure = inTheGround ? Exposure.SHADE : place.exposure();
        Cover over = inTheGround ? Cover.FOIL : cover;
        Key key = new Key(
                rules,
                site.version(),
                place.id(),
                place.version(),
                species.cardinals(),
                leafless,
                over,
                inTheGround,
                fromYear,
                today.getYear(),
                weather.stamp());
        ThermalSums known = sums.getIfPresent(key);
        if (known != null) {
            return known;
        }
        PlaceClimate where = inTheGround ? climate.inTheGround(rules) : climate;
        ThermalSums built = new ThermalSums(
                rules,
                where,
                species.cardinals(),
                exposure,
                over,
                leafless,
                LocalDate.of(fromYear, 1, 1),
                LocalDate.of(today.getYear() + 1, 12, 31),
                newest.getIfPresent(key.ofAnyWeather()));
        newest.put(key.ofAnyWeather(), new ThermalSums.Earlier(built, where));
        sums.put(key, built);
        return built;
    }
}
