package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.learn.LearnedSupply;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;

/** What a severed plant says of the leaf that a ball carries. */
public final class SeveredPlant {

    private static final Rule WATCH_DAYS = Rule.of("sever.watch");

    /** The first days decide, and their air counts. */
    private static final int FIRST_DAYS = 7;

    private SeveredPlant() {}

    /**
     * Empty if it was not severed, if nobody said where it went, if it had no leaf or no roots at all, if it died of
     * something else meanwhile, or if it has not been watched long enough yet.
     *
     * @param journal of the layer
     * @param layer the same as of today
     */
    public static Optional<LearnedSupply.Plant> of(
            List<LayerEvent> journal, LayerProjection layer, LayerContext context, LocalDate today) {
        HouseRules rules = context.rules();
        LayerState state = layer.state();
        Set<UUID> counting = Replay.counting(journal);
        LayerEvent cut = journal.stream()
                .filter(event -> counting.contains(event.id()) && event.what() instanceof LayerRecord.Severed)
                .max(Comparator.comparing(LayerEvent::on))
                .orElse(null);
        if (cut == null || !(cut.what() instanceof LayerRecord.Severed severed) || severed.shelter() == null) {
            return Optional.empty();
        }
        LocalDate until = cut.on().plusDays(rules.count(WATCH_DAYS));
        boolean drooped = journal.stream()
                .filter(event -> counting.contains(event.id()) && !event.on().isAfter(until))
                .anyMatch(event -> event.what() instanceof LayerRecord.Observed seen
                        && (seen.signs().contains(PlantSign.DROOP)
                                || seen.signs().contains(PlantSign.CURL)));
        boolean died = state.phase() == LayerPhase.LOST && !state.lastOn().isAfter(until);
        if (died && state.lossCause() != LossCause.WILTED_AFTER || !died && today.isBefore(until)) {
            return Optional.empty();
        }
        if (severed.leavesDrawing().isEmpty() || state.fillPercent() == null) {
            // what nobody measured teaches nothing
            return Optional.empty();
        }
        double supply =
                LeafBalance.supplyCm2(rules, 1, layer.ball().mediumMl(), state.fillPercent() / 100, state.stage());
        double asked =
                severed.leavesDrawing().getAsDouble() * leafDraw(rules, severed, severed.shelter(), context, cut.on());
        return supply > 0 && asked > 0
                ? Optional.of(new LearnedSupply.Plant(asked / supply, drooped || died))
                : Optional.empty();
    }

    private static double leafDraw(
            HouseRules rules, LayerRecord.Severed severed, Shelter shelter, LayerContext context, LocalDate from) {
        double vpdKpa = 0;
        for (int day = 0; day < FIRST_DAYS; day++) {
            vpdKpa += context.climate().vpdKpaOn(from.plusDays(day)) / FIRST_DAYS;
        }
        double leafCm2 = severed.leafCm2() == null ? context.species().leafCm2() : severed.leafCm2();
        return LeafBalance.drawCm2(rules, leafCm2, vpdKpa, shelter);
    }
}
