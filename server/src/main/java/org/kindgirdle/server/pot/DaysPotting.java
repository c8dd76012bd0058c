package org.kindgirdle.server.pot;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.kindgirdle.core.harden.MossTray;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.pot.PotChoice;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is to be potted today, with pots and mix. */
@Service
class DaysPotting {

    private static final Rule SPARE = Rule.of("pot.spare");
    private static final double ML_A_LITRE = 1000;

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final Supplies supplies;

    DaysPotting(LiveLayers layers, Snapshots snapshots, Supplies supplies) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.supplies = supplies;
    }

    @Transactional(readOnly = true)
    public PottingView view() {
        NurserySnapshot nursery = snapshots.take();
        SuppliesView stock = supplies.get();
        LocalDate today = nursery.today();
        LiveLayers.ToPot asked = layers.toPot(today);
        List<PottingView.ToPot> plants = new ArrayList<>();
        for (LiveLayers.Live one : asked.severed()) {
            plants.add(line(one, PottingView.Why.SEVERED, stock, nursery));
        }
        List<PottingView.Tray> trays = new ArrayList<>();
        for (LiveLayers.Live one : asked.inMoss()) {
            boolean out = one.projection().hardening() != null
                    && one.projection().hardening().step() == PlantStep.POT_ON;
            if (out) {
                plants.add(line(one, PottingView.Why.OUT_OF_MOSS, stock, nursery));
            } else {
                trays.add(tray(one, nursery));
            }
        }
        for (LiveLayers.Live one : asked.toCut()) {
            plants.add(line(one, PottingView.Why.CUT_TODAY, stock, nursery));
        }
        double litres = nursery.rules().of(SPARE)
                * plants.stream().mapToDouble(PottingView.ToPot::fillMl).sum()
                / ML_A_LITRE;
        return new PottingView(
                today,
                plants,
                litres,
                stock.pottingMix().amounts(litres),
                shelf(plants),
                trays.stream()
                        .sorted(Comparator.comparing(PottingView.Tray::until))
                        .toList());
    }

    private static List<PottingView.PotsNeeded> shelf(List<PottingView.ToPot> plants) {
        Map<String, Integer> counts = new TreeMap<>();
        plants.stream()
                .map(PottingView.ToPot::pot)
                .filter(Objects::nonNull)
                .forEach(pot -> counts.merge(pot, 1, Integer::sum));
        return counts.entrySet().stream()
                .map(one -> new PottingView.PotsNeeded(one.getKey(), one.getValue()))
                .toList();
    }

    private static PottingView.ToPot line(
            LiveLayers.Live one, PottingView.Why why, SuppliesView stock, NurserySnapshot nursery) {
        RingAndBall ball = one.projection().ball();
        PotChoice choice = PotChoice.smallest(
                        nursery.rules(), stock.pots(), ball.ballDiameterMm(), ball.ballLengthMm(), ball.mediumMl())
                .orElse(null);
        return new PottingView.ToPot(
                one.code(),
                why,
                one.context().species().common(),
                one.mother().variety(),
                one.mother().code(),
                nursery.place(one.placeId()).name(),
                choice == null ? null : choice.pot().name(),
                choice == null ? 0 : choice.fillMl());
    }

    private static PottingView.Tray tray(LiveLayers.Live one, NurserySnapshot nursery) {
        HouseRules rules = nursery.rules();
        MossTray tray = MossTray.of(
                rules, Objects.requireNonNull(one.projection().state().plant()));
        return new PottingView.Tray(
                one.code(),
                one.context().species().common(),
                one.mother().variety(),
                nursery.place(one.placeId()).name(),
                tray.since(),
                tray.until(),
                tray.waterLowMm(),
                tray.waterHighMm());
    }
}
