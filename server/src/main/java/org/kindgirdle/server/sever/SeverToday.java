package org.kindgirdle.server.sever;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.layer.ComingSteps;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.SeverPoint;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.sever.DayAhead;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.SeverWords;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which layers are to be cut, which are held back, and on which day of the week. */
@Service
class SeverToday {

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final Limbs limbs;
    private final CurrentPerson person;
    private final Words words;
    private final SeverWords severWords;

    SeverToday(
            LiveLayers layers,
            Snapshots snapshots,
            Limbs limbs,
            CurrentPerson person,
            Words words,
            SeverWords severWords) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.limbs = limbs;
        this.person = person;
        this.words = words;
        this.severWords = severWords;
    }

    @Transactional(readOnly = true)
    public SeveringView view() {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        List<LiveLayers.Live> all = layers.toBeCut().stream()
                .filter(one -> SeverPoint.isToBeDecidedOn(one.projection(), one.context(), nursery.today()))
                .toList();
        Map<Long, String> names = limbs.names(all.stream()
                .map(LiveLayers.Live::limbId)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
        List<SeveringView.PlaceWeek> weeks = nursery.walk().stream()
                .filter(place -> all.stream().anyMatch(one -> Objects.equals(place.id(), one.placeId())))
                .map(place -> new SeveringView.PlaceWeek(
                        Objects.requireNonNull(place.id()),
                        place.name(),
                        week(nursery, nursery.climate(place.id()), format)))
                .toList();
        return new SeveringView(
                nursery.today(),
                weeks,
                all.stream().map(one -> line(one, names, nursery, format)).toList());
    }

    private List<String> said(
            BestDay.Ranked ranked, @Nullable DayAhead first, BestDay.@Nullable Ranked least, Format format) {
        List<String> why = severWords.day(ranked, ranked.day().equals(first), format);
        return ranked.equals(least)
                ? Stream.concat(why.stream(), severWords.leastBad(ranked).stream())
                        .toList()
                : why;
    }

    private List<SeveringView.DayToSever> week(NurserySnapshot nursery, PlaceClimate climate, Format format) {
        BestDay best = Weeks.ranked(nursery.rules(), climate, nursery.today());
        DayAhead first = best.best().orElse(null);
        BestDay.Ranked least = best.leastBad().orElse(null);
        return IntStream.range(0, best.ranked().size())
                .mapToObj(i -> {
                    BestDay.Ranked ranked = best.ranked().get(i);
                    DayAhead day = ranked.day();
                    return new SeveringView.DayToSever(
                            day.on(),
                            format.weekday(day.on()),
                            i + 1,
                            ranked.willDo(),
                            ranked.equals(least),
                            !climate.isNormal(day.on()),
                            day.maxC(),
                            day.vpdKpa(),
                            day.windMs(),
                            said(ranked, first, least, format));
                })
                .sorted(Comparator.comparing(SeveringView.DayToSever::on))
                .toList();
    }

    private SeveringView.ToSever line(
            LiveLayers.Live one, Map<Long, String> limbNames, NurserySnapshot nursery, Format format) {
        LayerState state = one.projection().state();
        LayerContext context = one.context();
        LocalDate today = nursery.today();
        NextStep step = Objects.requireNonNull(one.projection().verdict()).step();
        boolean medium = context.recipe().method().hasMedium();
        return SeveringViewToSeverBuilder.builder()
                .code(one.code())
                .group(group(step))
                .species(context.species().common())
                .variety(one.mother().variety())
                .mother(one.mother().code())
                .limb(one.limbId() == null ? null : limbNames.get(one.limbId()))
                .placeId(one.placeId())
                .place(nursery.place(one.placeId()).name())
                .stage(state.stage())
                .fillPercent(state.fillPercent())
                .step(step)
                .headline(words.advice(one.projection(), context, format).headline())
                .changed(severWords
                        .changed(ComingSteps.changed(state, context, today), step, format)
                        .orElse(null))
                .reasons(SeverPoint.of(one.projection(), context, today).stream()
                        .map(point -> new SeveringView.Reason(
                                point.speaksFor(),
                                severWords.point(point, state.set().school(), format)))
                        .toList())
                .school(state.set().school())
                .specimen(state.set().specimen())
                .fruitToKeep(state.set().fruitToKeep())
                .leaves(leaves(state, context, today))
                .by(severBy(one))
                .driesOn(
                        medium
                                ? Objects.requireNonNull(one.projection().forecast())
                                        .topUpOn()
                                : null)
                .cutOn(state.cutPlannedOn())
                .first(one.first())
                .build();
    }

    private static SeveringView.Group group(NextStep step) {
        if (step.isSevering()) {
            return SeveringView.Group.CUT;
        }
        return switch (step) {
            case HOLD_DORMANT, HOLD_FRUIT, HOLD_SPRING, CARRY_OVER, PROTECT -> SeveringView.Group.HELD;
            default -> SeveringView.Group.NEARLY;
        };
    }

    /** Leaves beyond the ring as they were counted, or taken where nobody did; none while the plant has none. */
    static int leaves(LayerState state, LayerContext context, LocalDate today) {
        boolean leafless = context.isLeafless(today);
        return leafless ? 0 : state.set().leavesTaken(context.rules());
    }

    private static @Nullable LocalDate severBy(LiveLayers.Live one) {
        NextStep step = Objects.requireNonNull(one.projection().verdict()).step();
        return one.projection().jobs().stream()
                .filter(job -> job.code().equals(step.name()))
                .map(Job::by)
                .findFirst()
                .orElse(null);
    }
}
