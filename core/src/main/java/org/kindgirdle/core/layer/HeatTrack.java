package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.set.Wood;

/** The thermal days of one ring, through every cover that it has had and by every recipe that it has gone by. */
final class HeatTrack {

    /**
     * A span of days under one cover, by one recipe.
     *
     * @param speed of the recipe on the wood, above 0
     */
    private record Leg(LocalDate from, Cover cover, double speed, ThermalSums sums) {

        double between(LocalDate to) {
            return speed * sums.between(from, to);
        }

        Optional<LocalDate> dayReaching(double thermalDays) {
            return sums.firstDayReaching(from, thermalDays / speed);
        }
    }

    private final List<Leg> legs = new ArrayList<>();
    private final double speed;

    HeatTrack(LayerState state, LayerContext context) {
        this(state, context, context.factors(state.set().woodTaken()).speed());
    }

    /** @param speed of the recipe that it goes by now, on its wood */
    HeatTrack(LayerState state, LayerContext context, double speed) {
        this.speed = speed;
        LocalDate ring = state.ringedOn();
        LayerState.MadeBy madeBy = state.madeBy();
        LocalDate otherwise = madeBy == null || context.before() == null ? ring : madeBy.since();
        Cover cover = context.wrappedBy(state).cover();
        for (LayerState.CoverFrom change : state.covers()) {
            if (!change.on().isAfter(ring)) {
                cover = change.cover();
            }
        }
        leg(ring, cover, otherwise, state.set().woodTaken(), context);
        for (LayerState.CoverFrom change : state.covers()) {
            if (change.on().isAfter(ring)) {
                if (otherwise.isAfter(last().from()) && otherwise.isBefore(change.on())) {
                    leg(otherwise, coverNow(), otherwise, state.set().woodTaken(), context);
                }
                leg(change.on(), change.cover(), otherwise, state.set().woodTaken(), context);
            }
        }
        if (otherwise.isAfter(last().from())) {
            leg(otherwise, coverNow(), otherwise, state.set().woodTaken(), context);
        }
    }

    private void leg(LocalDate from, Cover cover, LocalDate otherwise, Wood wood, LayerContext context) {
        double byThen = from.isBefore(otherwise) ? context.speedBefore(wood) : this.speed;
        legs.add(new Leg(from, cover, byThen, context.sums().apply(cover)));
    }

    private Leg last() {
        return legs.get(legs.size() - 1);
    }

    /** G from the ring, its day in full, to the end of a day. */
    double throughDay(LocalDate day) {
        double sum = 0;
        LocalDate end = day.plusDays(1);
        for (int i = 0; i < legs.size(); i++) {
            LocalDate to = i + 1 < legs.size() && legs.get(i + 1).from().isBefore(end)
                    ? legs.get(i + 1).from()
                    : end;
            sum += legs.get(i).between(to);
        }
        return sum;
    }

    /** The first day by whose end G reaches so many thermal days; empty beyond the horizon. */
    Optional<LocalDate> dayReaching(double thermalDays) {
        double left = thermalDays;
        for (int i = 0; i < legs.size() - 1; i++) {
            Leg leg = legs.get(i);
            double inLeg = leg.between(legs.get(i + 1).from());
            if (inLeg >= left) {
                return leg.dayReaching(left);
            }
            left -= inLeg;
        }
        return last().dayReaching(left);
    }

    Cover coverNow() {
        return last().cover();
    }
}
