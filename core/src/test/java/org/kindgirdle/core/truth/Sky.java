package org.kindgirdle.core.truth;

import static org.kindgirdle.core.truth.Luck.Question.COLD_NIGHT;
import static org.kindgirdle.core.truth.Luck.Question.HEAT_WAVE;
import static org.kindgirdle.core.truth.Luck.Question.LATE_FROST;
import static org.kindgirdle.core.truth.Luck.Question.RAIN;
import static org.kindgirdle.core.truth.Luck.Question.RAIN_AMOUNT;
import static org.kindgirdle.core.truth.Luck.Question.WARM_DAY;
import static org.kindgirdle.core.truth.Luck.Question.WARM_YEAR;
import static org.kindgirdle.core.truth.Luck.Question.WIND;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * Years of weather round a climate's normals: a warm day is followed by a warm one, a dry one by a dry one; some summers
 * have heat waves, some springs a late frost.
 */
public final class Sky {

    private static final double MEMORY = .78;
    private static final double NIGHTS_OWN = .45;

    private final LocalDate first;
    private final Air[] days;

    /** @param firstYear from its first of January, so many years, each of 365 days and what leap days add */
    public Sky(Clime clime, int firstYear, int years, long seed) {
        this.first = LocalDate.of(firstYear, 1, 1);
        this.days = new Air[years * 366];
        Luck luck = new Luck(seed);
        double warm = 0;
        boolean wet = true;
        int hotDays = 0;
        double hotter = 0;
        double drought = 0;
        for (int i = 0; i < days.length; i++) {
            LocalDate day = first.plusDays(i);
            int doy = day.getDayOfYear();
            boolean summer = summer(clime, doy) > 0;
            double spread = clime.restless() * (1 - Math.max(0, summer(clime, doy)) / 3);
            warm = MEMORY * warm + Math.sqrt(1 - MEMORY * MEMORY) * spread * luck.bell(WARM_DAY, i);
            double wetShare = Clime.between(clime.wetDays(), doy);
            // a wet day is followed by a wet one more often than chance would have it
            wet = luck.strikes(RAIN, i, wet ? Math.min(.95, wetShare + .25) : wetShare * .7);
            drought = wet ? 0 : drought + 1;
            if (summer && hotDays == 0 && luck.strikes(HEAT_WAVE, i, 1 / 150.0)) {
                hotDays = 4 + (int) (6 * luck.even(HEAT_WAVE, -i));
                hotter = clime.restless() * (1.2 + luck.even(HEAT_WAVE, -i - 1_000_000));
            }
            double heat = hotDays > 0 ? hotter : 0;
            hotDays = Math.max(0, hotDays - 1);
            double year = .25 * clime.restless() * luck.bell(WARM_YEAR, day.getYear());
            double night = NIGHTS_OWN * spread * luck.bell(COLD_NIGHT, i) + (wet ? .6 : -.6);
            double late = isSpring(clime, doy) && luck.strikes(LATE_FROST, i, .012) ? -1.2 * clime.restless() : 0;
            double min = Clime.between(clime.minC(), doy) + year + warm + night + late + heat / 2;
            double max = Clime.between(clime.maxC(), doy) + year + warm + heat + (wet ? -1.2 : .8);
            double wind = Math.max(.3, 3 + 2.2 * luck.bell(WIND, i) + (wet ? 1.2 : 0));
            double rain = wet ? -6 * Math.log(1 - luck.even(RAIN_AMOUNT, i)) : 0;
            double dryness = wet ? .55 : 1 + Math.min(.5, .05 * drought);
            days[i] = new Air(min, Math.max(max, min + 1), wind, rain, dryness);
        }
    }

    /** 1 at midsummer, -1 at midwinter. */
    private static double summer(Clime clime, int doy) {
        return Math.cos(2 * Math.PI * (doy - clime.midsummer()) / 365.25);
    }

    private static boolean isSpring(Clime clime, int doy) {
        int since = Math.floorMod(doy - clime.midsummer(), 365);
        return since > 240 && since < 320;
    }

    /** The first day that there is. */
    public LocalDate first() {
        return first;
    }

    /** The weather of a day. */
    public Air on(LocalDate day) {
        return days[(int) ChronoUnit.DAYS.between(first, day)];
    }

    Air at(int index) {
        return days[index];
    }
}
