package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.site.Sites;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * The stand-in for a station: weather around the site's normals from a fixed seed. Each day depends on its date alone,
 * so that it is the same in whatever order days are asked for; warm and cold spells last as the noise of the days before
 * fades.
 */
@Component
@ConditionalOnProperty(name = "kindgirdle.station", havingValue = "simulated")
class SimulatedStation implements Station {

    private static final long SEED = 520_426;
    private static final int FORECAST_DAYS = 7;

    /** A spell fades by this factor a day, and is forgotten after so many days. */
    private static final double FADING = .72;

    private static final int MEMORY_DAYS = 16;
    private static final double SPELL_C = 1.5;

    /** A forecast is off by this much for each day that it looks ahead, C. */
    private static final double FORECAST_ERROR_C = .35;

    private final Sites sites;

    SimulatedStation(Sites sites) {
        this.sites = sites;
    }

    @Override
    public List<WeatherDay> measured(LocalDate from, LocalDate to) {
        MonthlyNormals normals = normals();
        return Stream.iterate(from, day -> day.isBefore(to), day -> day.plusDays(1))
                .map(day -> day(normals, day, 0, day))
                .toList();
    }

    @Override
    public List<WeatherDay> forecast(LocalDate issuedOn) {
        MonthlyNormals normals = normals();
        return IntStream.range(0, FORECAST_DAYS)
                .mapToObj(ahead -> day(normals, issuedOn.plusDays(ahead), ahead, issuedOn))
                .toList();
    }

    private MonthlyNormals normals() {
        SiteView site = sites.site();
        return new MonthlyNormals(site.minC(), site.maxC());
    }

    private static WeatherDay day(MonthlyNormals normals, LocalDate day, int ahead, LocalDate issuedOn) {
        double spell = 0;
        double weight = 1;
        for (int back = 0; back < MEMORY_DAYS; back++) {
            spell += weight * SPELL_C * noise(day.minusDays(back), 1).nextGaussian();
            weight *= FADING;
        }
        Random own = noise(day, 2);
        // a cloudy day has a smaller range, a clear one a greater
        double cloud = own.nextDouble();
        double range = (normals.maxC(day.getDayOfYear()) - normals.minC(day.getDayOfYear())) * (1.4 - .8 * cloud);
        double mean = (normals.maxC(day.getDayOfYear()) + normals.minC(day.getDayOfYear())) / 2 + spell;
        double error =
                ahead * FORECAST_ERROR_C * noise(day, 7 + issuedOn.toEpochDay()).nextGaussian();
        double wind = 2.5 + 2.2 * Math.abs(own.nextGaussian());
        double rain = cloud > .62 ? -Math.log(1 - own.nextDouble()) * 5 * cloud : 0;
        return new WeatherDay(
                day, tenth(mean + error - range / 2), tenth(mean + error + range / 2), tenth(wind), tenth(rain));
    }

    private static Random noise(LocalDate day, long what) {
        Random random = new Random(SEED + 7_919 * day.toEpochDay() + 104_729 * what);
        // the first numbers of neighbouring seeds are alike
        random.nextDouble();
        random.nextDouble();
        return random;
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
