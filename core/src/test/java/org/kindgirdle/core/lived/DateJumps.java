package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;

/**
 * Dates of one layer that moved from one day to the next by more than three days' growth: of the season that the date or the
 * day lies in, and of what the days that were measured or forecast meanwhile have turned out to be.
 */
final class DateJumps {

    private static final double MAX_DAYS_GROWTH = 3;
    private static final int FORECAST_DAYS = 8;
    private static final int SEASON_DAYS = 10;

    private @Nullable ThermalSums sumsBefore;

    /** In words; empty if none did. */
    List<String> between(LayerProjection before, LayerProjection now, LayerContext known, LocalDate today) {
        List<String> jumps = new ArrayList<>();
        if (before.forecast() == null || now.forecast() == null) {
            return jumps;
        }
        ThermalSums sums = sums(now, known);
        double news = news(sums, today);
        jump("q10", before.forecast().q10(), now.forecast().q10(), sums, news, today, jumps);
        jump("q50", before.forecast().q50(), now.forecast().q50(), sums, news, today, jumps);
        jump("q90", before.forecast().q90(), now.forecast().q90(), sums, news, today, jumps);
        sumsBefore = sums;
        return jumps;
    }

    private double news(ThermalSums is, LocalDate today) {
        ThermalSums was = sumsBefore;
        LocalDate from = today.minusDays(2);
        LocalDate to = today.plusDays(FORECAST_DAYS + 1L);
        return was == null ? 0 : Math.abs(was.between(from, to) - is.between(from, to));
    }

    private static ThermalSums sums(LayerProjection now, LayerContext known) {
        Cover cover = known.recipe().cover();
        for (var change : now.state().covers()) {
            cover = change.cover();
        }
        return known.sums().apply(cover);
    }

    private static void jump(
            String which,
            @Nullable LocalDate was,
            @Nullable LocalDate is,
            ThermalSums sums,
            double news,
            LocalDate today,
            List<String> jumps) {
        if (was == null || is == null || was.equals(is)) {
            return;
        }
        LocalDate from = was.isBefore(is) ? was : is;
        LocalDate to = was.isBefore(is) ? is : was;
        double moved = sums.between(from, to);
        LocalDate season = today.plusYears(1);
        double best = Math.max(
                best(sums, season.minusDays(SEASON_DAYS), season.plusDays(SEASON_DAYS)),
                best(sums, from.minusDays(SEASON_DAYS), to.plusDays(SEASON_DAYS)));
        if (moved > MAX_DAYS_GROWTH * best + news) {
            jumps.add(which + " " + was + " to " + is + ", " + Math.round(10 * moved / best) / 10.0 + " days' growth");
        }
    }

    /** The most that a day of those grows. */
    private static double best(ThermalSums sums, LocalDate from, LocalDate to) {
        double best = 0;
        for (long i = 0; i < ChronoUnit.DAYS.between(from, to); i++) {
            best = Math.max(best, sums.between(from.plusDays(i), from.plusDays(i + 1)));
        }
        return best;
    }
}
