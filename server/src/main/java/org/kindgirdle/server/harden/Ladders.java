package org.kindgirdle.server.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.MossTray;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.StepUpDay;
import org.kindgirdle.core.harden.WinterCare;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.LadderWords;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where each young plant stands, which may move, and what the weather and the winter say to it. */
@Service
class Ladders {

    private static final int DAYS_AHEAD = 7;

    /** What presses more comes first. */
    private static final List<PlantStep> PRESSING = List.of(
            PlantStep.OPEN_AND_LOOK,
            PlantStep.STEP_BACK,
            PlantStep.POT_UP,
            PlantStep.POT_ON,
            PlantStep.RELEASE,
            PlantStep.STEP_UP);

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final CurrentPerson person;
    private final Words words;
    private final LadderWords ladderWords;

    Ladders(LiveLayers layers, Snapshots snapshots, CurrentPerson person, Words words, LadderWords ladderWords) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.person = person;
        this.words = words;
        this.ladderWords = ladderWords;
    }

    @Transactional(readOnly = true)
    public LadderView view() {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        List<LiveLayers.Live> all = Stream.of(LayerPhase.SEVERED, LayerPhase.POTTED)
                .flatMap(phase -> layers.in(phase).stream())
                .toList();
        List<LadderView.ForWinter> winter = winter(all, nursery);
        return new LadderView(
                nursery.today(),
                nursery.walk().stream()
                        .filter(place -> all.stream().anyMatch(one -> Objects.equals(place.id(), one.placeId())))
                        .map(place -> week(nursery, place, format))
                        .toList(),
                all.stream()
                        .map(one -> line(one, nursery, format))
                        .sorted(Comparator.comparing(LadderView.OnLadder::rung)
                                .thenComparingInt(one -> pressing(one.step()))
                                .thenComparing(LadderView.OnLadder::since)
                                .thenComparing(LadderView.OnLadder::code))
                        .toList(),
                winter,
                winter.stream()
                        .filter(LadderView.ForWinter::forecast)
                        .map(one -> one.by().minusDays(1))
                        .min(Comparator.naturalOrder())
                        .orElse(null));
    }

    private static int pressing(PlantStep step) {
        int at = PRESSING.indexOf(step);
        return at < 0 ? PRESSING.size() : at;
    }

    private LadderView.PlaceAhead week(NurserySnapshot nursery, PlaceView place, Format format) {
        long id = Objects.requireNonNull(place.id());
        PlaceClimate climate = nursery.climate(id);
        List<LadderView.AheadDay> days = new ArrayList<>();
        for (int ahead = 0; ahead < DAYS_AHEAD; ahead++) {
            LocalDate on = nursery.today().plusDays(ahead);
            StepUpDay day = StepUpDay.of(nursery.rules(), climate, on);
            days.add(new LadderView.AheadDay(
                    on,
                    format.weekday(on),
                    climate.on(on).minC(),
                    climate.on(on).maxC(),
                    climate.windMsOn(on).orElse(null),
                    day.forbids(),
                    ladderWords.day(nursery.rules(), day, format)));
        }
        return new LadderView.PlaceAhead(id, place.name(), days);
    }

    private LadderView.OnLadder line(LiveLayers.Live one, NurserySnapshot nursery, Format format) {
        HouseRules rules = nursery.rules();
        PlantState plant = Objects.requireNonNull(one.projection().state().plant());
        HardenVerdict verdict = Objects.requireNonNull(one.projection().hardening());
        PlantState.Seen seen =
                plant.seen().isEmpty() ? null : plant.seen().get(plant.seen().size() - 1);
        return LadderViewOnLadderBuilder.builder()
                .code(one.code())
                .revision(one.journal().size())
                .species(one.context().species().common())
                .variety(one.mother().variety())
                .mother(one.mother().code())
                .placeId(one.placeId())
                .place(nursery.place(one.placeId()).name())
                .phase(one.projection().state().phase())
                .ladder(plant.ladder())
                .rung(plant.rung())
                .since(plant.rungSince())
                .daysWanted(plant.ladder().days(rules, plant.rung()))
                .step(verdict.step())
                .advice(words.advice(one.projection(), one.context(), format))
                .to(verdict.step() == PlantStep.STEP_UP || verdict.step() == PlantStep.STEP_BACK ? verdict.to() : null)
                .from(verdict.from())
                .mossUntil(
                        plant.mossSince() == null
                                ? null
                                : MossTray.of(rules, plant).until())
                // in their own order, which is the same after each start
                .seen(seen == null ? Set.of() : Collections.unmodifiableSet(new TreeSet<>(seen.signs())))
                .seenOn(seen == null ? null : seen.on())
                .build();
    }

    private static List<LadderView.ForWinter> winter(List<LiveLayers.Live> all, NurserySnapshot nursery) {
        List<LadderView.ForWinter> winter = new ArrayList<>();
        for (LiveLayers.Live one : all) {
            PlaceClimate climate = one.context().plantClimate();
            boolean underARoof = nursery.place(one.placeId()).stand() == Stability.Stand.COVERED;
            WinterCare.of(
                            nursery.rules(),
                            Objects.requireNonNull(one.projection().state().plant()),
                            climate,
                            one.context().species(),
                            one.context().leafless(),
                            nursery.today())
                    .filter(care -> care.need() == WinterCare.Need.FROST_FREE || !underARoof)
                    .ifPresent(care -> winter.add(new LadderView.ForWinter(
                            one.code(),
                            one.context().species().common(),
                            one.mother().variety(),
                            nursery.place(one.placeId()).name(),
                            care.need(),
                            care.by(),
                            care.forecast(),
                            care.barelyMoist())));
        }
        winter.sort(Comparator.comparing(LadderView.ForWinter::by)
                .thenComparing(LadderView.ForWinter::need, Comparator.reverseOrder())
                .thenComparing(LadderView.ForWinter::code));
        return winter;
    }
}
