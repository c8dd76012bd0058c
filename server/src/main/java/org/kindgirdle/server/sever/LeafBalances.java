package org.kindgirdle.server.sever;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.sever.CutBelow;
import org.kindgirdle.core.sever.DayAhead;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.kindgirdle.server.words.SeverWords;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How much leaf may stay on a layer that is cut. */
@Service
class LeafBalances {

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final CurrentPerson person;
    private final SeverWords words;
    private final Phrases phrases;

    LeafBalances(LiveLayers layers, Snapshots snapshots, CurrentPerson person, SeverWords words, Phrases phrases) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.person = person;
        this.words = words;
        this.phrases = phrases;
    }

    /**
     * @param leaves counted on it; null for what was counted when it was set
     * @param leafCm2 of one of them; null for its species'
     */
    @Transactional(readOnly = true)
    public LeafBalanceView of(String code, @Nullable Integer leaves, @Nullable Double leafCm2) {
        NurserySnapshot nursery = snapshots.take();
        LiveLayers.Live one = layers.one(code);
        LayerState state = one.projection().state();
        if (state.phase() != LayerPhase.ON_MOTHER) {
            throw ProblemException.conflict(
                    Refusals.say("weight.severed.title"), Refusals.say("weight.severed", "code", code), Map.of());
        }
        HouseRules rules = nursery.rules();
        int on = leaves == null ? SeverToday.leaves(state, one.context(), nursery.today()) : leaves;
        double area = leafCm2 == null ? one.context().species().leafCm2() : leafCm2;
        double figure = LeafBalance.supplyCm2PerMl(rules);
        double mediumMl = one.projection().ball().mediumMl();
        double fill = state.fillTakenPercent(rules) / 100;
        Format format = new Format(person.units(), nursery.today());
        BestDay best = Weeks.ranked(rules, one.context().climate(), nursery.today());
        DayAhead bestDay = best.best().orElse(null);
        List<LeafBalanceView.DayBalance> days = best.ranked().stream()
                .sorted(Comparator.comparing(ranked -> ranked.day().on()))
                .map(ranked -> new LeafBalanceView.DayBalance(
                        ranked.day().on(),
                        format.weekday(ranked.day().on()),
                        ranked.willDo(),
                        ranked.day().maxC(),
                        ranked.day().vpdKpa(),
                        words.day(ranked, ranked.day().equals(bestDay), format),
                        Arrays.stream(Shelter.values())
                                .map(shelter -> in(
                                        shelter,
                                        on,
                                        LeafBalance.of(
                                                rules,
                                                figure,
                                                mediumMl,
                                                fill,
                                                state.stage(),
                                                on,
                                                area,
                                                ranked.day().vpdKpa(),
                                                shelter)))
                                .toList()))
                .toList();
        LocalDate bestOn = bestDay == null ? null : bestDay.on();
        return new LeafBalanceView(
                figure,
                mediumMl,
                state.fillTakenPercent(rules),
                state.fillPercent() != null,
                leaves != null || state.set().leavesBeyond() != null,
                state.stage(),
                LeafBalance.supplyCm2(rules, figure, mediumMl, fill, state.stage()),
                on,
                area,
                bestOn,
                days,
                one.first(),
                words.cut(one.context().recipe().method(), CutBelow.of(rules), format),
                cautions(one));
    }

    private LeafBalanceView.InShelter in(Shelter shelter, int leaves, LeafBalance balance) {
        return new LeafBalanceView.InShelter(
                shelter,
                balance.carries(),
                balance.remove(),
                LeafBalance.halve(leaves, balance.carries()).orElse(null),
                words.leaves(leaves, balance));
    }

    private List<String> cautions(LiveLayers.Live one) {
        List<String> cautions = new ArrayList<>();
        cautions.add(phrases.say("caution.BLADE"));
        SpeciesProfile species = one.context().species();
        if (!species.hazards().isBlank()) {
            cautions.add(phrases.say("caution.SAP", Map.of("species", species.common(), "hazards", species.hazards())));
        }
        return cautions;
    }
}
