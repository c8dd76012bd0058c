package org.kindgirdle.core.climate;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The climate of one place of the nursery: the site's normals with the place's shifts, replaced day by day by what was
 * measured or is forecast, and the frosts that reach it.
 */
public final class PlaceClimate {

    private static final int DAYS_OF_YEAR = 366;
    private static final int COMMON_YEAR = 365;
    private static final double MAX_WIND_MS = 80;
    private static final double FREEZING_C = 0;

    private static final Rule GROUND_SWING = Rule.of("ground.swing");
    private static final Rule HOT_ABOVE_NORMAL_C = Rule.of("climate.hot-above-normal");

    private final double latitude;
    private final MonthlyNormals normals;
    // looked up a great many times for each layer: interpolated once
    private final DayTemperatures[] normalDays = new DayTemperatures[DAYS_OF_YEAR + 1];
    private final Sun[] suns = new Sun[DAYS_OF_YEAR + 1];
    private final int coldestDayOfYear;
    private final int warmestDayOfYear;
    // the highest mean so far, from the coldest day on, and the lowest so far, from the warmest day on
    private final double[] risen;
    private final double[] fallen;
    private final @Nullable FrostCalendar frosts;
    private final double winterLowC;
    private final double vpdFactor;
    private final double dewDepressionC;
    private final Map<LocalDate, DayTemperatures> known;
    private final Map<LocalDate, Double> windMs;
    private final Map<DrynessKey, double[]> dryness = new ConcurrentHashMap<>();

    /**
     * @param latitude degrees, south negative
     * @param normals the normals with the place's shifts already in them
     * @param frosts when it freezes here; null where it never does
     * @param winterLowC the lowest night of a usual winter here, C
     * @param vpdFactor what the place makes of the site's vapour pressure deficit, above 0
     * @param known measured and forecast days, shifted like the normals
     * @param dewDepressionC how far the dew point lies below the night's minimum, 0 to 10 C; 0 but on an arid site
     * @param windMs the wind of measured and forecast days where it is known, 0 to 80 m/s
     * @throws OutOfRangeException if a value is outside the range that is given for it
     */
    public PlaceClimate(
            double latitude,
            MonthlyNormals normals,
            @Nullable FrostCalendar frosts,
            double winterLowC,
            double vpdFactor,
            double dewDepressionC,
            Map<LocalDate, DayTemperatures> known,
            Map<LocalDate, Double> windMs) {
        this.latitude = Require.within("latitude", latitude, -90, 90);
        this.normals = normals;
        for (int day = 1; day <= DAYS_OF_YEAR; day++) {
            normalDays[day] = new DayTemperatures(normals.minC(day), normals.maxC(day));
            suns[day] = Sun.over(latitude, day);
        }
        this.coldestDayOfYear = extremeDayOfYear(-1);
        this.warmestDayOfYear = extremeDayOfYear(1);
        this.risen = runningExtreme(coldestDayOfYear, 1);
        this.fallen = runningExtreme(warmestDayOfYear, -1);
        this.frosts = frosts;
        this.winterLowC = Require.within("winter low", winterLowC, -70, 40);
        this.vpdFactor = Require.within("VPD factor", vpdFactor, 0.05, 5);
        this.dewDepressionC = Require.within("dew depression", dewDepressionC, 0, 10);
        // looked up for every day of every sum: in an immutable map the keys of neighbouring days collide
        this.known = new HashMap<>(known);
        this.windMs = Map.copyOf(windMs);
        this.windMs.forEach((day, wind) -> Require.within("wind of " + day, wind, 0, MAX_WIND_MS));
    }

    /** A place with dew, of whose wind nothing is known. */
    public PlaceClimate(
            double latitude,
            MonthlyNormals normals,
            @Nullable FrostCalendar frosts,
            double winterLowC,
            double vpdFactor,
            Map<LocalDate, DayTemperatures> known) {
        this(latitude, normals, frosts, winterLowC, vpdFactor, 0, known, Map.of());
    }

    /**
     * How warm the soil is here at the depth of a ground layer: the mean of the day as in the air, with a share of its
     * swing. A wave of warmth that goes down through soil is left with exp(-z / D) of itself at a depth z; D is about 0.11
     * m for the wave of a day in moist loam (van Wijk and de Vries 1963), which leaves 0.45 at 0.09 m.
     */
    public PlaceClimate inTheGround(HouseRules rules) {
        double swing = rules.of(GROUND_SWING);
        Map<LocalDate, DayTemperatures> below = new HashMap<>();
        known.forEach((day, air) -> below.put(day, air.swinging(swing)));
        return new PlaceClimate(
                latitude, normals.swinging(swing), frosts, winterLowC, vpdFactor, dewDepressionC, below, windMs);
    }

    /** The wind of a day, m/s; empty where it is not known. */
    public Optional<Double> windMsOn(LocalDate day) {
        return Optional.ofNullable(windMs.get(day));
    }

    /** Degrees, south negative, -90 to 90. */
    public double latitude() {
        return latitude;
    }

    /** The lowest night of a usual winter, C. */
    public double winterLowC() {
        return winterLowC;
    }

    /** When it freezes here; empty where it never does. */
    public Optional<FrostCalendar> frosts() {
        return Optional.ofNullable(frosts);
    }

    /** A day as it was measured or is forecast; else as the normals have it. */
    public DayTemperatures on(LocalDate day) {
        DayTemperatures actual = known.get(day);
        return actual != null ? actual : normalOn(day.getDayOfYear());
    }

    /**
     * The normal of a day of the year, 1 to 366.
     *
     * @throws OutOfRangeException if day of the year is outside 1 to 366
     */
    public DayTemperatures normalOn(int dayOfYear) {
        Require.within("day of the year", dayOfYear, 1, DAYS_OF_YEAR);
        return normalDays[dayOfYear];
    }

    /** The sun above the place on a day. */
    public Sun sunOn(LocalDate day) {
        return suns[day.getDayOfYear()];
    }

    /**
     * From where on a day is hot here, C: what counts as hot anywhere, or well above what is usual for the day where that
     * is more, so that a hot climate has its mild days too.
     *
     * @param anywhereC hot anywhere
     */
    public double hotAboveC(HouseRules rules, LocalDate day, double anywhereC) {
        return Math.max(anywhereC, normalOn(day.getDayOfYear()).maxC() + rules.of(HOT_ABOVE_NORMAL_C));
    }

    /**
     * The first measured or forecast day of so many from a day on that falls below freezing; empty where none does.
     *
     * @param days 0 or more
     */
    public Optional<LocalDate> knownFrost(LocalDate from, int days) {
        return knownNightDownTo(Math.nextDown(FREEZING_C), from, days);
    }

    /**
     * The first measured or forecast day of so many from a day on whose night is as cold as that or colder; empty where none
     * is.
     *
     * @param days 0 or more
     */
    public Optional<LocalDate> knownNightDownTo(double minC, LocalDate from, int days) {
        for (int ahead = 0; ahead < days; ahead++) {
            LocalDate day = from.plusDays(ahead);
            DayTemperatures actual = known.get(day);
            if (actual != null && actual.minC() <= minC) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    /** The vapour pressure deficit of the place on a day, kPa. */
    public double vpdKpaOn(LocalDate day) {
        return on(day).vpdKpa(dewDepressionC) * vpdFactor;
    }

    /**
     * How dry the air is over the days of the half-open span [from, to), kPa times days, each day at least so dry.
     *
     * @param leastKpa what a day counts at least
     */
    public double drynessKpaDays(LocalDate from, LocalDate to, double leastKpa) {
        double sum = 0;
        for (int year = from.getYear(); year <= to.getYear() && from.isBefore(to); year++) {
            double[] sums = dryness.computeIfAbsent(new DrynessKey(year, leastKpa), this::drynessOf);
            int first = year == from.getYear() ? from.getDayOfYear() - 1 : 0;
            int end = year == to.getYear() ? to.getDayOfYear() - 1 : sums.length - 1;
            sum += sums[end] - sums[first];
        }
        return sum;
    }

    private double[] drynessOf(DrynessKey key) {
        LocalDate first = LocalDate.of(key.year(), 1, 1);
        double[] sums = new double[first.lengthOfYear() + 1];
        for (int i = 0; i + 1 < sums.length; i++) {
            sums[i + 1] = sums[i] + Math.max(key.leastKpa(), vpdKpaOn(first.plusDays(i)));
        }
        return sums;
    }

    private record DrynessKey(int year, double leastKpa) {}

    /** The mean of the seven days that end with this one, C. */
    public double sevenDayMeanC(LocalDate day) {
        double sum = 0;
        for (int back = 0; back < 7; back++) {
            sum += on(day.minusDays(back)).meanC();
        }
        return sum / 7;
    }

    /** The day of the year with the lowest mean normal: where one growing year ends and the next begins. */
    public int coldestDayOfYear() {
        return coldestDayOfYear;
    }

    /** The day of the year with the highest mean normal. */
    public int warmestDayOfYear() {
        return warmestDayOfYear;
    }

    /** Whether a day's temperatures are the normals, neither measured nor forecast. */
    public boolean isNormal(LocalDate day) {
        return !known.containsKey(day);
    }

    /** The first day of the year, from the coldest on, whose mean normal reaches so many C; empty if none does. */
    public Optional<Integer> warmsTo(double meanC) {
        return firstReaching(risen, coldestDayOfYear, 1, meanC);
    }

    /** The first day of the year, from the warmest on, whose mean normal is down to so many C; empty if none is. */
    public Optional<Integer> coolsTo(double meanC) {
        return firstReaching(fallen, warmestDayOfYear, -1, meanC);
    }

    private double[] runningExtreme(int from, int sign) {
        double[] extremes = new double[COMMON_YEAR];
        for (int i = 0; i < COMMON_YEAR; i++) {
            double mean = normalDays[(from - 1 + i) % COMMON_YEAR + 1].meanC();
            extremes[i] = i == 0 || sign * mean > sign * extremes[i - 1] ? mean : extremes[i - 1];
        }
        return extremes;
    }

    private static Optional<Integer> firstReaching(double[] extremes, int from, int sign, double meanC) {
        Require.within("meanC", meanC, -100, 100);
        if (sign * extremes[COMMON_YEAR - 1] < sign * meanC) {
            return Optional.empty();
        }
        int low = 0;
        int high = COMMON_YEAR - 1;
        while (low < high) {
            int middle = (low + high) / 2;
            if (sign * extremes[middle] >= sign * meanC) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return Optional.of((from - 1 + low) % COMMON_YEAR + 1);
    }

    private int extremeDayOfYear(int sign) {
        int extreme = 1;
        for (int day = 2; day <= COMMON_YEAR; day++) {
            double more = sign * (normalDays[day].meanC() - normalDays[extreme].meanC());
            // of several coldest days the last is where the year turns
            if (more > 0 || more == 0 && sign < 0) {
                extreme = day;
            }
        }
        return extreme;
    }
}
