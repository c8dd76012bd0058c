package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.site.Sites;
import org.kindgirdle.server.time.BusinessClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The weather of the site: read, typed in, imported, and fetched from the station if there is one. */
@Service
public class Weather {

    private static final Logger LOG = LoggerFactory.getLogger(Weather.class);

    /** How far back the station is asked when nothing is there yet, days. */
    private static final int FIRST_FETCH_DAYS = 550;

    private static final int MAX_DAYS_SHOWN = 1100;

    private final WeatherStore store;
    private final Sites sites;
    private final NurseryLock lock;
    private final BusinessClock clock;
    private final ApplicationEventPublisher events;
    private final Optional<Station> station;

    Weather(
            WeatherStore store,
            Sites sites,
            NurseryLock lock,
            BusinessClock clock,
            ApplicationEventPublisher events,
            ObjectProvider<Station> station) {
        this.store = store;
        this.sites = sites;
        this.lock = lock;
        this.clock = clock;
        this.events = events;
        this.station = Optional.ofNullable(station.getIfAvailable());
    }

    /** What is known as of a day. */
    @Transactional(readOnly = true)
    public KnownWeather known(LocalDate asOf) {
        return store.known(asOf);
    }

    /** How a day is known. */
    public enum DayKind {
        MEASURED,
        FORECAST,
        NORMAL
    }

    /** A day with how it is known. */
    public record KnownDay(DayKind kind, WeatherDay day) {}

    /** Every day of the half-open span [from, to): measured, forecast or normal. */
    @Transactional(readOnly = true)
    public List<KnownDay> days(LocalDate from, LocalDate to) {
        if (!to.isAfter(from) || to.isAfter(from.plusDays(MAX_DAYS_SHOWN))) {
            throw ProblemException.invalid(
                    "to",
                    to.toString(),
                    Refusals.say("weather.span.allowed", "from", from, "latest", from.plusDays(MAX_DAYS_SHOWN)),
                    Refusals.say("weather.span"));
        }
        SiteView site = sites.site();
        MonthlyNormals normals = new MonthlyNormals(site.minC(), site.maxC());
        Map<LocalDate, KnownDay> known = new HashMap<>();
        store.forecast(clock.today()).forEach(day -> known.put(day.on(), new KnownDay(DayKind.FORECAST, day)));
        store.measured(from, to).forEach(day -> known.put(day.on(), new KnownDay(DayKind.MEASURED, day)));
        List<KnownDay> all = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(to); day = day.plusDays(1)) {
            KnownDay one = known.get(day);
            int dayOfYear = day.getDayOfYear();
            all.add(
                    one != null
                            ? one
                            : new KnownDay(
                                    DayKind.NORMAL,
                                    new WeatherDay(day, normals.minC(dayOfYear), normals.maxC(dayOfYear), null, null)));
        }
        return all;
    }

    /** Every day that was measured, the first first. */
    @Transactional(readOnly = true)
    public List<WeatherDay> measured() {
        return store.measured(LocalDate.of(1, 1, 1), LocalDate.of(9999, 12, 31));
    }

    /** Measured days among some. */
    @Transactional(readOnly = true)
    Map<LocalDate, WeatherDay> measuredAmong(List<WeatherDay> days) {
        if (days.isEmpty()) {
            return Map.of();
        }
        LocalDate first =
                days.stream().map(WeatherDay::on).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                days.stream().map(WeatherDay::on).max(LocalDate::compareTo).orElseThrow();
        Map<LocalDate, WeatherDay> known = new HashMap<>();
        store.measured(first, last.plusDays(1)).forEach(day -> known.put(day.on(), day));
        Map<LocalDate, WeatherDay> among = new HashMap<>();
        days.forEach(day -> {
            WeatherDay now = known.get(day.on());
            if (now != null) {
                among.put(day.on(), now);
            }
        });
        return among;
    }

    /** Keeps a day that somebody typed in; it replaces what was known of it. */
    @Transactional
    public void type(WeatherDay day) {
        lock.holdForChange();
        store.put(List.of(day), WeatherStore.Source.TYPED);
        events.publishEvent(new MasterDataChanged("weather"));
    }

    /** Keeps imported days; each replaces what was known of it. */
    @Transactional
    public void take(List<WeatherDay> days) {
        lock.holdForChange();
        store.put(days, WeatherStore.Source.IMPORTED);
        events.publishEvent(new MasterDataChanged("weather"));
    }

    /** Whether a station gives the weather by itself. */
    public boolean hasStation() {
        return station.isPresent();
    }

    /**
     * Fetches what the station has measured up to yesterday and its forecast of today, if that has not been done. The
     * layers are not reckoned anew: whoever calls does that. A station that does not answer holds nobody up: it is asked
     * for all that is missing when the next day begins.
     *
     * @return whether anything came
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean fetch(LocalDate today) {
        if (station.isEmpty() || !sites.hasSite() || store.hasForecast(today)) {
            return false;
        }
        LocalDate from = store.lastMeasured()
                .map(last -> last.plusDays(1))
                .filter(day -> day.isAfter(today.minusDays(FIRST_FETCH_DAYS)))
                .orElse(today.minusDays(FIRST_FETCH_DAYS));
        List<WeatherDay> measured;
        List<WeatherDay> forecast;
        try {
            measured = station.get().measured(from, today);
            forecast = station.get().forecast(today);
        } catch (RuntimeException silent) {
            LOG.warn("The weather station gave nothing for {} to {}: the normals stand in for it", from, today, silent);
            return false;
        }
        lock.holdForChange();
        store.put(measured, WeatherStore.Source.STATION);
        store.putForecast(today, forecast);
        return true;
    }
}
