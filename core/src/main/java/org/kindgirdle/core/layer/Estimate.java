package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;

/**
 * What was known of the date of a full ball after a ring or a look, by the weather, profile and rules of today: so that
 * what the look taught is seen by itself.
 *
 * @param on day of the ring or look
 * @param stage that was found; null for the ring
 * @param q10 first day with a tenth of the probability, null beyond the horizon; q50 and q90 alike
 */
public record Estimate(
        LocalDate on,
        @Nullable RootStage stage,
        @Nullable LocalDate q10,
        @Nullable LocalDate q50,
        @Nullable LocalDate q90) {

    /** One for the last ring and one for each look since, oldest first; none for what was never on a mother. */
    public static List<Estimate> sinceTheRing(List<LayerEvent> journal, LayerContext context) {
        Set<UUID> counting = Replay.counting(journal);
        List<LayerEvent> events = journal.stream()
                .filter(event -> counting.contains(event.id()))
                .sorted(LayerEvent.ORDER)
                .toList();
        List<Estimate> all = new ArrayList<>();
        boolean isSet = false;
        for (int i = 0; i < events.size(); i++) {
            LayerRecord what = events.get(i).what();
            isSet |= what instanceof LayerRecord.Setting;
            boolean isRing = what instanceof LayerRecord.Setting || what instanceof LayerRecord.Rerung;
            if (!isSet || !isRing && !(what instanceof LayerRecord.Looked)) {
                continue;
            }
            LocalDate on = events.get(i).on();
            LayerProjection.RootForecast forecast = Projector.project(Replay.of(events.subList(0, i + 1)), context, on)
                    .forecast();
            if (forecast == null) {
                // a look that came too late, at what was off its mother already
                continue;
            }
            if (isRing) {
                all.clear();
            }
            RootStage stage = what instanceof LayerRecord.Looked look ? look.stage() : null;
            all.add(new Estimate(on, stage, forecast.q10(), forecast.q50(), forecast.q90()));
        }
        return all;
    }
}
