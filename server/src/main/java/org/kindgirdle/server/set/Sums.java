package org.kindgirdle.server.set;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.ContainerFit;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.HormoneMix;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
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

/** The sums of the bench on their own, with nothing saved. */
@Service
class Sums {

    private static final Rule TIES_A_BALL = Rule.of("shopping.ties");
    private static final Rule HANDLING = Rule.of("shopping.handling");

    private final Snapshots snapshots;
    private final Supplies supplies;
    private final CurrentPerson person;
    private final Phrases phrases;
    private final BenchWords words;

    Sums(Snapshots snapshots, Supplies supplies, CurrentPerson person, Phrases phrases, BenchWords words) {
        this.snapshots = snapshots;
        this.supplies = supplies;
        this.person = person;
        this.phrases = phrases;
        this.words = words;
    }

    @Transactional(readOnly = true)
    SumsView.HormoneSums hormone(SumsRequest.HormoneQuery query) {
        NurserySnapshot nursery = snapshots.take();
        double target = query.targetPpm();
        SumsView.BandView band = band(query, nursery);
        List<String> cautions = List.of(phrases.say("caution.HORMONE"));
        if (query.stock() == SumsRequest.Stock.SOLID) {
            double purity = given("purityPercent", query.purityPercent(), "above 0 to 100 %");
            double mg = HormoneMix.solidMg(target, query.volumeMl(), purity / 100);
            return new SumsView.HormoneSums(HormoneMix.percent(target), null, null, mg, band, cautions);
        }
        double stock = given("stockPpm", query.stockPpm(), "above 0 to 1000000 ppm");
        if (target > stock) {
            throw ProblemException.invalid(
                    "targetPpm",
                    target,
                    Refusals.say("sum.targetPpm.allowed", "stock", Math.round(stock)),
                    Refusals.say("sum.targetPpm"));
        }
        HormoneMix.Dilution mix = HormoneMix.dilute(stock, target, query.volumeMl());
        return new SumsView.HormoneSums(
                HormoneMix.percent(target), mix.stockMl(), mix.diluentMl(), null, band, cautions);
    }

    private static double given(String field, @Nullable Double value, String allowed) {
        if (value == null || value == 0) {
            throw ProblemException.invalid(field, value == null ? "" : value, allowed, Refusals.say("sum.label"));
        }
        return value;
    }

    private SumsView.@Nullable BandView band(SumsRequest.HormoneQuery query, NurserySnapshot nursery) {
        if (query.speciesCode() == null || query.wood() == null) {
            return null;
        }
        SpeciesProfile species = nursery.species(query.speciesCode()).profile();
        HormoneFit.Band band = HormoneFit.band(nursery.rules(), species.difficulty(), query.wood());
        HormoneFit fit = HormoneFit.of(nursery.rules(), species.difficulty(), query.wood(), query.targetPpm());
        Map<String, String> values = Map.of(
                "species", species.common(),
                "wood", phrases.say("wood.within." + query.wood()),
                "low", String.valueOf(Math.round(band.lowPpm())),
                "high", String.valueOf(Math.round(band.highPpm())));
        return new SumsView.BandView(band.lowPpm(), band.highPpm(), fit, phrases.say("sums.band." + fit, values));
    }

    @Transactional(readOnly = true)
    SumsView.BallSums ball(SumsRequest.BallQuery query) {
        NurserySnapshot nursery = snapshots.take();
        HouseRules rules = nursery.rules();
        Format format = new Format(person.units(), nursery.today());
        RingAndBall asked = RingAndBall.of(rules, query.diameterMm(), query.bridgesReadily(), query.bridgedBefore());
        RingAndBall ball = query.containerMl() > 0 ? asked.withMediumMl(query.containerMl()) : asked;
        BranchLoad load = BranchLoad.of(
                rules,
                ball.mediumMl(),
                query.medium(),
                query.containerG(),
                query.diameterMm(),
                query.fromUnionMm(),
                query.leanDeg(),
                query.wood());
        Map<String, String> values = Map.of(
                "load", format.percent(load.utilisation()),
                "mass", format.massG(load.massG()),
                "sinks", format.lengthMm(load.deflectionMm()));
        return new SumsView.BallSums(
                ball,
                RingAndBall.aboveMm(rules),
                RingAndBall.belowMm(rules),
                BridgingRisk.of(rules, query.scraped(), ball.ringMm(), ball.diameterMm()),
                load,
                phrases.say("sums.load." + load.verdict(), values),
                query.diameterMm() < RingAndBall.thinMm(rules),
                query.layers() * ball.mediumMl(),
                query.layers() * ball.filmCm2(),
                (int) Math.round(query.layers() * rules.of(TIES_A_BALL)),
                supplies.get().containers().stream()
                        .map(one -> container(one, asked, rules, format))
                        .toList());
    }

    private SumsView.ContainerView container(
            HouseContainer container, RingAndBall ball, HouseRules rules, Format format) {
        ContainerFit fit = ContainerFit.of(rules, container, ball);
        Optional<Double> holds = fit == ContainerFit.NARROWER_THAN_LIMB
                ? Optional.empty()
                : Optional.of(container.mediumMl(ball.diameterMm()));
        Map<String, String> values = Map.of(
                "across", format.lengthMm(container.acrossMm()),
                "limb", format.lengthMm(ball.diameterMm()),
                "holds", holds.map(format::volumeMl).orElse(""),
                "asked", format.volumeMl(ball.mediumMl()));
        return new SumsView.ContainerView(
                container.name(), holds.orElse(null), fit, phrases.say("sums.container." + fit, values));
    }

    @Transactional(readOnly = true)
    SumsView.MediumSums medium(SumsRequest.MediumQuery query) {
        HouseRules rules = snapshots.take().rules();
        MediumMix mix = supplies.get().mix(query.medium());
        double litres = rules.of(HANDLING) * query.mixMl() / 1000;
        Map<String, Double> doses = mix.doses(litres);
        List<String> cautions = query.medium() == Medium.HEAVY_SOIL
                ? List.of(phrases.say("bench.heavy-soil"), phrases.say("caution.MEDIUM"))
                : List.of(phrases.say("caution.MEDIUM"));
        return new SumsView.MediumSums(
                litres * 1000,
                mix.amounts(litres),
                mix.additives().stream()
                        .map(one -> new SumsView.DoseView(one.name(), doses.getOrDefault(one.name(), 0.0), one.unit()))
                        .toList(),
                query.mixMl() * query.medium().wetDensityKgL(rules),
                query.mixMl() * query.medium().waterGMl(rules),
                phrases.say("sums.moisture"),
                cautions);
    }

    @Transactional(readOnly = true)
    SetPreview.CoverView cover(SumsRequest.CoverQuery query) {
        NurserySnapshot nursery = snapshots.take();
        Recipe any = new Recipe(Method.AIR, Wound.RING_SCRAPED, 0, Medium.MOSS, Wrap.TIED_FILM, query.cover(), 0, 0);
        LayerContext context =
                nursery.context(query.placeId(), query.speciesCode(), any, Vigour.NORMAL, RootRun.GROUND);
        CoverAhead ahead = CoverAhead.of(
                context, query.cover(), query.from() == null ? nursery.today() : query.from(), query.algae());
        return words.cover(ahead, query.cover(), new Format(person.units(), nursery.today()));
    }
}
