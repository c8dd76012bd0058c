package org.kindgirdle.server.sever;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.SeveredPlant;
import org.kindgirdle.core.learn.LearnedSupply;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of the severed plants, as the leaf that a ball carries. */
@Service
class SupplyFigure {

    private static final List<LayerPhase> OFF_THE_MOTHER =
            List.of(LayerPhase.SEVERED, LayerPhase.POTTED, LayerPhase.RELEASED, LayerPhase.LOST);

    /** Older plants than the newest of these say nothing more. */
    private static final int MAX_PLANTS = 1000;

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final Phrases phrases;

    SupplyFigure(LiveLayers layers, Snapshots snapshots, Phrases phrases) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.phrases = phrases;
    }

    @Transactional(readOnly = true)
    public SeveringView.SupplyView view() {
        NurserySnapshot nursery = snapshots.take();
        double house = LeafBalance.supplyCm2PerMl(nursery.rules());
        double shipped = LeafBalance.supplyCm2PerMl(HouseRules.SHIPPED);
        // learned from the figure as it ships: what the house has taken over came from the same plants
        LearnedSupply learned = LearnedSupply.from(nursery.rules(), shipped, plants(nursery.today()));
        String key = learned.plants() == 0 ? "supply.none" : "supply.learned";
        return new SeveringView.SupplyView(
                house,
                shipped,
                learned.cm2PerMl(),
                learned.low(),
                learned.high(),
                learned.plants(),
                learned.wilted(),
                phrases.say(
                        key,
                        Map.of(
                                "house", figure(house),
                                "shipped", figure(shipped),
                                "learned", figure(learned.cm2PerMl()),
                                "low", figure(learned.low()),
                                "high", figure(learned.high()),
                                "plants", String.valueOf(learned.plants()),
                                "wilted", String.valueOf(learned.wilted()))));
    }

    private List<LearnedSupply.Plant> plants(LocalDate today) {
        List<LearnedSupply.Plant> plants = new ArrayList<>();
        for (LiveLayers.Live one : layers.lately(OFF_THE_MOTHER, MAX_PLANTS)) {
            SeveredPlant.of(one.journal(), one.projection(), one.context(), today)
                    .ifPresent(plants::add);
        }
        return plants;
    }

    private static String figure(double cm2PerMl) {
        return String.format(Locale.ROOT, "%.1f", cm2PerMl);
    }
}
