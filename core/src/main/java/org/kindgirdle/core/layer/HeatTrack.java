package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.ThermalSums;

/** The thermal days of one ring, through every cover that it has had. */
final class HeatTrack {

    private record Leg(LocalDate from, Cover cover, ThermalSums sums) {}

    private final List<Leg> legs = new ArrayList<>();
    private final double speed;

    HeatTrack(LayerState state, LayerContext context, double speed) {
        this.speed = speed;
        Cover cover = context.recipe().cover();
        LocalDate ring = state.ringedOn();
        for (LayerState.CoverFrom change : state.covers()) {
            if (!change.on().isAfter(ring)) {
                cover = change.cover();
            }
        }
        legs.add(new Leg(ring, cover, context.sums().apply(cover)));
        for (LayerState.CoverFrom change : state.covers()) {
            if (change.on().isAfter(ring)) {
                legs.add(new Leg(change.on(), change.cover(), context.sums().apply(change.cover())));
            }
        }
    }

    /** G from the ring, its day in full, to the end of a day. */
    double throughDay(LocalDate day) {
        double sum = 0;
        LocalDate end = day.plusDays(1);
        for (int i = 0; i < legs.size(); i++) {
            LocalDate to = i + 1 < legs.size() && legs.get(i + 1).from().isBefore(end)
                    ? legs.get(i + 1).from()
                    : end;
            sum += legs.get(i).sums().between(legs.get(i).from(), to);
        }
        return speed * sum;
    }

    /** The first day by whose end G reaches so many thermal days; empty beyond the horizon. */
    Optional<LocalDate> dayReaching(double thermalDays) {
        double left = thermalDays / speed;
        for (int i = 0; i < legs.size() - 1; i++) {
            Leg leg = legs.get(i);
            LocalDate end = legs.get(i + 1).from();
            double inLeg = leg.sums().between(leg.from(), end);
            if (inLeg >= left) {
                return leg.sums().firstDayReaching(leg.from(), left);
            }
            left -= inLeg;
        }
        Leg last = legs.get(legs.size() - 1);
        return last.sums().firstDayReaching(last.from(), left);
    }

    Cover coverNow() {
        return legs.get(legs.size() - 1).cover();
    }
}
