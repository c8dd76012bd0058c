package org.kindgirdle.core.truth;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A climate as a weather service would tell it.
 *
 * @param name for people
 * @param latitude degrees, south negative
 * @param minC mean minimum of each month, January first
 * @param maxC mean maximum of each month
 * @param restless spread of a day's mean round its normal in winter, C; summers have two thirds of it
 * @param wetDays share of days with rain, by month
 */
public record Clime(
        String name, double latitude, List<Double> minC, List<Double> maxC, double restless, List<Double> wetDays) {

    private static final int YEARS = 60;
    private static final long ALMANAC_SEED = 60_606;

    public static final Clime LOWLAND = new Clime(
            "9 N lowland",
            9,
            List.of(23.0, 23.2, 23.8, 24.4, 24.2, 23.6, 23.2, 23.2, 23.2, 23.2, 23.2, 23.0),
            List.of(31.0, 32.0, 32.8, 33.0, 32.0, 31.0, 30.4, 30.4, 31.0, 31.0, 30.8, 30.6),
            .9,
            List.of(.15, .1, .1, .25, .5, .6, .6, .6, .6, .6, .45, .25));

    public static final Clime MONSOON = new Clime(
            "18 N monsoon",
            18,
            List.of(14.0, 16.0, 19.5, 23.0, 25.0, 25.0, 24.5, 24.5, 24.0, 22.0, 18.0, 14.5),
            List.of(29.0, 32.0, 35.0, 37.5, 37.0, 33.5, 31.5, 31.0, 32.0, 32.0, 30.0, 28.5),
            1.6,
            List.of(.03, .03, .05, .1, .25, .6, .75, .75, .6, .3, .1, .04));

    public static final Clime SUBTROPICAL = new Clime(
            "30 N humid subtropical",
            30,
            List.of(3.0, 4.5, 8.0, 12.5, 17.0, 21.0, 22.5, 22.2, 19.5, 13.0, 7.5, 4.0),
            List.of(15.0, 17.0, 21.0, 25.5, 29.5, 32.5, 33.5, 33.3, 31.0, 26.0, 20.5, 16.0),
            3.6,
            List.of(.33, .33, .33, .28, .3, .4, .45, .4, .3, .22, .28, .32));

    public static final Clime CONTINENTAL = new Clime(
            "45 N continental",
            45,
            List.of(-14.0, -12.0, -5.5, 2.0, 8.0, 13.5, 16.0, 14.5, 9.5, 3.5, -3.5, -10.5),
            List.of(-4.0, -1.5, 5.0, 13.5, 20.5, 25.5, 28.0, 27.0, 22.0, 14.5, 5.5, -1.5),
            4.6,
            List.of(.3, .28, .32, .35, .38, .36, .32, .32, .3, .3, .32, .32));

    public static final Clime MARITIME = new Clime(
            "52 N maritime",
            52,
            List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
            List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2),
            2.8,
            List.of(.55, .45, .42, .4, .38, .38, .4, .42, .42, .5, .55, .55));

    public static final Clime TEMPERATE = new Clime(
            "37 S temperate",
            -37,
            List.of(13.5, 13.8, 12.2, 9.8, 8.0, 6.0, 5.3, 5.9, 7.2, 8.6, 10.3, 12.0),
            List.of(26.0, 26.2, 24.0, 20.5, 16.8, 14.0, 13.4, 14.8, 17.0, 19.6, 22.0, 24.2),
            2.6,
            List.of(.25, .22, .28, .35, .42, .45, .48, .48, .45, .4, .35, .3));

    /** Two that nothing was tuned in. */
    public static final Clime DRY = new Clime(
            "35 N dry inland",
            35,
            List.of(-1.0, 1.0, 4.5, 8.5, 13.0, 18.0, 21.0, 20.0, 15.5, 9.5, 3.5, 0.0),
            List.of(11.0, 14.0, 19.0, 24.0, 29.5, 35.0, 37.5, 36.5, 32.0, 25.0, 17.0, 12.0),
            3.2,
            List.of(.2, .2, .18, .12, .08, .03, .03, .03, .05, .1, .14, .2));

    public static final Clime NORTHERN = new Clime(
            "60 N coast",
            60,
            List.of(-6.0, -6.5, -3.5, .5, 5.5, 10.0, 12.5, 11.5, 7.5, 3.5, -1.0, -4.5),
            List.of(-.5, -.5, 3.0, 8.5, 15.0, 19.0, 21.5, 20.0, 14.5, 8.5, 3.5, .5),
            4.0,
            List.of(.45, .4, .35, .32, .32, .35, .38, .42, .42, .48, .5, .48));

    /** Those in which the product is lived through. */
    public static List<Clime> six() {
        return List.of(LOWLAND, MONSOON, SUBTROPICAL, CONTINENTAL, MARITIME, TEMPERATE);
    }

    /** Those and the two that nothing was tuned in. */
    public static List<Clime> eight() {
        List<Clime> all = new ArrayList<>(six());
        all.add(DRY);
        all.add(NORTHERN);
        return all;
    }

    public Clime {
        minC = List.copyOf(minC);
        maxC = List.copyOf(maxC);
        wetDays = List.copyOf(wetDays);
    }

    /** A value of a day of the year between its months, with the slope of a cosine. */
    static double between(List<Double> months, int dayOfYear) {
        double at = (dayOfYear - 15.5) / 365.25 * 12;
        int before = Math.floorMod((int) Math.floor(at), 12);
        double share = (1 - Math.cos(Math.PI * (at - Math.floor(at)))) / 2;
        return months.get(before) * (1 - share) + months.get((before + 1) % 12) * share;
    }

    /** The middle of the warm half of the year. */
    int midsummer() {
        return latitude >= 0 ? 200 : 18;
    }

    /**
     * What an almanac of sixty years would say of its frosts, as days of the year.
     *
     * @param lowestC the lowest night of one winter in ten, C
     */
    public record Almanac(Optional<Frosts> frosts, double lowestC) {}

    /**
     * @param firstEarly one year in ten has frost before it
     * @param firstAverage the mean first frost
     * @param lastAverage the mean last frost
     * @param lastLate one year in ten has frost after it
     */
    public record Frosts(int firstEarly, int firstAverage, int lastAverage, int lastLate) {}

    /** The frosts of a place that is warmer than the open by so much at night, C. */
    public Almanac almanac(double nightsWarmerC) {
        List<Integer> firsts = new ArrayList<>();
        List<Integer> lasts = new ArrayList<>();
        List<Double> lows = new ArrayList<>();
        Sky sky = new Sky(this, 2101, YEARS + 1, ALMANAC_SEED);
        for (int year = 0; year < YEARS; year++) {
            int first = -1;
            int last = -1;
            double low = 99;
            for (int i = 0; i < 365; i++) {
                double night = sky.at(year * 365 + midsummer() + i).minC() + nightsWarmerC;
                low = Math.min(low, night);
                if (night < 0) {
                    first = first < 0 ? i : first;
                    last = i;
                }
            }
            lows.add(low);
            if (first >= 0) {
                firsts.add(first);
                lasts.add(last);
            }
        }
        lows.sort(null);
        firsts.sort(null);
        lasts.sort(null);
        double lowest = lows.get(YEARS / 10);
        if (firsts.size() < YEARS / 5) {
            return new Almanac(Optional.empty(), lowest);
        }
        int tenth = firsts.size() / 10;
        return new Almanac(
                Optional.of(new Frosts(
                        dayOfYear(firsts.get(tenth)),
                        dayOfYear(mean(firsts)),
                        dayOfYear(mean(lasts) + 1),
                        dayOfYear(lasts.get(lasts.size() - 1 - tenth) + 1))),
                lowest);
    }

    private int dayOfYear(int sinceMidsummer) {
        return (midsummer() + sinceMidsummer - 1) % 365 + 1;
    }

    private static int mean(List<Integer> days) {
        return (int) Math.round(days.stream().mapToInt(day -> day).average().orElseThrow());
    }
}
