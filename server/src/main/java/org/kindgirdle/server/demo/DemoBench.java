package org.kindgirdle.server.demo;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.server.learn.TrialView;
import org.kindgirdle.server.learn.Trials;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import org.springframework.stereotype.Component;

/** What the made-up nursery keeps at its bench, and a question that it asks. */
@Component
class DemoBench {

    private static final long SEED = 1031;

    private final Supplies supplies;
    private final Trials trials;

    DemoBench(Supplies supplies, Trials trials) {
        this.supplies = supplies;
        this.trials = trials;
    }

    void stock() {
        SuppliesView now = supplies.get();
        Map<Medium, MediumMix> mixes = new EnumMap<>(now.mixes());
        mixes.put(
                Medium.COIR_PERLITE,
                new MediumMix(
                        List.of(new MediumMix.Ingredient("Coir", 3, 6), new MediumMix.Ingredient("Perlite", 1, 1)),
                        List.of(new MediumMix.Additive("Root fungi", 2, MediumMix.DoseUnit.G))));
        supplies.save(new SuppliesView(
                mixes,
                List.of(
                        new HouseContainer("Slim pod", Wrap.HINGED_POD, 220, 38, 90, 62),
                        new HouseContainer("Fat pod", Wrap.HINGED_POD, 480, 55, 110, 86),
                        new HouseContainer("Filled bag", Wrap.SLIT_BAG, 400, 10, 120, 80)),
                List.of(
                        new HouseHormone(
                                "Powder 0.3 %", HouseHormone.Form.POWDER, 3000, "C-118", LocalDate.of(2027, 3, 31)),
                        new HouseHormone("Gel 0.8 %", HouseHormone.Form.GEL, 8000, "C-102", LocalDate.of(2026, 6, 30)),
                        new HouseHormone("Liquid 1 %", HouseHormone.Form.LIQUID, 10_000, "L-77", null)),
                now.pots(),
                now.pottingMix(),
                now.version()));
    }

    /** Two ways of one thing, dealt over two mothers and not yet set. */
    void ask(Map<String, Long> mothers, Map<String, Long> recipes) {
        trials.begin(new TrialView.TrialEdit(
                "Foil or clear",
                "Do more quinces root under foil than under clear film?",
                List.of(id(recipes, "Moss and foil"), id(recipes, "Clear film")),
                new TrialView.SizeQuery(.65, .9, .05, .8),
                List.of(
                        new TrialView.TrialPlaceEdit(id(mothers, "QU-01"), null, 8),
                        new TrialView.TrialPlaceEdit(id(mothers, "QU-02"), null, 8)),
                SEED));
    }

    private static long id(Map<String, Long> ids, String name) {
        return Objects.requireNonNull(ids.get(name), name);
    }
}
