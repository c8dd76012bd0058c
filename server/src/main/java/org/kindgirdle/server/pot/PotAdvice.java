package org.kindgirdle.server.pot;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.pot.PotFit;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which of the house's pots takes a layer, and whether it stands in the wind of a place. */
@Service
class PotAdvice {

    private static final Rule USUAL_STEM_MM = Rule.of("pot.usual-stem");

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final Supplies supplies;
    private final CurrentPerson person;
    private final Phrases phrases;

    PotAdvice(LiveLayers layers, Snapshots snapshots, Supplies supplies, CurrentPerson person, Phrases phrases) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.supplies = supplies;
        this.person = person;
        this.phrases = phrases;
    }

    /**
     * @param placeId where it is to stand; null for where it is
     * @param stemHeightMm null for what is usual
     * @param leaves null for those that were left when it was severed
     */
    @Transactional(readOnly = true)
    public PotAdviceView of(
            String code, @Nullable Long placeId, @Nullable Double stemHeightMm, @Nullable Integer leaves) {
        NurserySnapshot nursery = snapshots.take();
        LiveLayers.Live one = layers.one(code);
        PlaceView place = place(nursery, placeId == null ? one.placeId() : placeId);
        HouseRules rules = nursery.rules();
        double height = stemHeightMm == null ? rules.of(USUAL_STEM_MM) : stemHeightMm;
        int left = leaves == null ? leavesLeft(one) : leaves;
        double wind = place.stand().windMs(rules);
        PotFit.Plant plant = plant(one, height, left);
        List<PotFit> fits = supplies.get().pots().stream()
                .map(pot -> PotFit.of(rules, pot, plant, wind))
                .toList();
        PotFit chosen = PotFit.smallest(fits).orElse(null);
        return new PotAdviceView(
                Objects.requireNonNull(place.id()),
                place.name(),
                wind,
                plant.ballDiameterMm(),
                plant.ballLengthMm(),
                plant.ballMl(),
                height,
                left,
                chosen == null ? null : chosen.pot().name(),
                fits.stream().map(PotAdvice::view).toList(),
                advice(chosen, fits, plant, place, wind, new Format(person.units(), nursery.today())),
                ladder(one, nursery));
    }

    /** The ball with the plant on it. */
    static PotFit.Plant plant(LiveLayers.Live one, double stemHeightMm, int leaves) {
        RingAndBall ball = one.projection().ball();
        Recipe recipe = one.context().recipe();
        double mediumMl = ball.mediumMl();
        return new PotFit.Plant(
                ball.ballDiameterMm(),
                ball.ballLengthMm(),
                mediumMl,
                mediumMl * recipe.medium().wetDensityKgL(one.context().rules()),
                leaves * one.context().species().leafCm2(),
                stemHeightMm,
                ball.diameterMm());
    }

    /** What was left on it when it was severed; before that, all of it. */
    static int leavesLeft(LiveLayers.Live one) {
        return one.inForce().stream()
                .map(LayerEvent::what)
                .filter(LayerRecord.Severed.class::isInstance)
                .map(what -> ((LayerRecord.Severed) what).leavesLeft())
                .filter(Objects::nonNull)
                .reduce((a, b) -> b)
                .orElse(one.projection().state().set().leavesTaken(one.context().rules()));
    }

    private static PlaceView place(NurserySnapshot nursery, long placeId) {
        return nursery.walk().stream()
                .filter(place -> Objects.equals(place.id(), placeId))
                .findFirst()
                .orElseThrow(() -> ProblemException.invalid(
                        "placeId", placeId, Refusals.say("place.unknown.allowed"), Refusals.say("place.unknown")));
    }

    private static PotAdviceView.PotView view(PotFit fit) {
        return new PotAdviceView.PotView(
                fit.pot().name(),
                fit.pot().volumeMl(),
                fit.fits(),
                fit.fillMl(),
                fit.massKg(),
                fit.stability().tipsAtMs(),
                fit.stability().stands(),
                fit.stability().ballastKg());
    }

    private List<String> advice(
            @Nullable PotFit chosen,
            List<PotFit> fits,
            PotFit.Plant plant,
            PlaceView place,
            double wind,
            Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("ball", format.lengthMm(plant.ballDiameterMm()));
        values.put("long", format.lengthMm(plant.ballLengthMm()));
        values.put("place", place.name());
        if (chosen == null) {
            return List.of(phrases.say("pot.none", values));
        }
        List<String> advice = new ArrayList<>();
        values.put("pot", chosen.pot().name());
        values.put("fill", format.volumeMl(chosen.fillMl()));
        advice.add(phrases.say("pot.smallest", values));
        values.put("tips", format.wind(chosen.stability().tipsAtMs()));
        values.put("wind", format.wind(wind));
        if (chosen.stability().stands()) {
            advice.add(phrases.say(wind > 0 ? "pot.stands" : "pot.stands.calm", values));
            return advice;
        }
        HousePot heavier = PotFit.smallestThatStands(fits).map(PotFit::pot).orElse(null);
        values.put("heavier", heavier == null ? "" : heavier.name());
        values.put("ballast", format.massG(1000 * chosen.stability().ballastKg()));
        advice.add(phrases.say(heavier == null ? "pot.tips" : "pot.tips.heavier", values));
        return advice;
    }

    private static Ladder ladder(LiveLayers.Live one, NurserySnapshot nursery) {
        LayerState state = one.projection().state();
        boolean leafless = one.context().isLeafless(nursery.today());
        return leafless
                ? Ladder.DORMANT
                : state.plant() == null ? Ladder.IN_LEAF : state.plant().ladder();
    }
}
