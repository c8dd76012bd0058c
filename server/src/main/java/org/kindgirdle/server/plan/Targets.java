package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.server.layers.Progress;
import org.kindgirdle.server.layers.SpeciesCounts;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.PlanWords;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants that are wanted, kept as targets that say how far they have come. */
@Service
public class Targets {

    /** More than these in one go are no gap that a grower fills: the target is to be reckoned anew. */
    private static final int MAX_MORE = 1000;

    private final TargetRepository targets;
    private final Snapshots snapshots;
    private final SpeciesCounts counts;
    private final Progress progress;
    private final CurrentPerson person;
    private final PlanWords words;

    Targets(
            TargetRepository targets,
            Snapshots snapshots,
            SpeciesCounts counts,
            Progress progress,
            CurrentPerson person,
            PlanWords words) {
        this.targets = targets;
        this.snapshots = snapshots;
        this.counts = counts;
        this.progress = progress;
        this.person = person;
        this.words = words;
    }

    /** Those that are pursued, the first wanted first. */
    @Transactional(readOnly = true)
    List<TargetView> open() {
        NurserySnapshot nursery = snapshots.take();
        return targets.findByClosedOnNullOrderByWantedByAscIdAsc().stream()
                .map(row -> view(row, nursery))
                .toList();
    }

    @Transactional
    public TargetView add(TargetEdit edit) {
        NurserySnapshot nursery = snapshots.take();
        NumbersQuery plants = edit.plants();
        LayersWanted.checkDay(plants.by(), nursery.today());
        LocalDate from = edit.countsFrom() == null ? nursery.today() : edit.countsFrom();
        if (from.isAfter(nursery.today()) || from.isBefore(nursery.today().minusYears(3))) {
            throw ProblemException.invalid(
                    "countsFrom",
                    from,
                    Refusals.say("between.allowed", "first", nursery.today().minusYears(3), "last", nursery.today()),
                    Refusals.say("target.countsFrom"));
        }
        TargetRow row = TargetRow.fresh();
        row.name = edit.name().strip();
        row.speciesCode = plants.speciesCode();
        row.variety = plants.variety() == null ? "" : plants.variety().strip();
        row.placeId = plants.placeId();
        row.recipeId = plants.recipeId();
        row.wood = plants.woodOrUsual();
        row.diameterMm = plants.diameterOrUsualMm();
        row.wanted = plants.wanted();
        row.wantedBy = plants.by();
        row.confidence = plants.confidence();
        row.layers = PlantsWanted.of(plants, nursery, counts.of(plants.speciesCode()))
                .layers();
        row.countsFrom = from;
        row.madeBy = person.name();
        row.madeOn = nursery.today();
        return view(targets.saveAndFlush(row), nursery);
    }

    /** No longer pursued; its row stays. */
    @Transactional
    TargetView close(long id, long version) {
        NurserySnapshot nursery = snapshots.take();
        TargetRow row = targets.findById(id).orElseThrow(() -> ProblemException.notFound("target", id));
        if (row.version != version) {
            throw ProblemException.stale(Map.of("version", version), view(row, nursery));
        }
        if (row.closedOn == null) {
            row.closedOn = nursery.today();
        }
        return view(targets.saveAndFlush(row), nursery);
    }

    private TargetView view(TargetRow row, NurserySnapshot nursery) {
        PlantsWanted plants = PlantsWanted.of(row.query(), nursery, counts.of(row.speciesCode));
        Progress.Tally tally = progress.of(
                nursery,
                mother -> mother.speciesCode().equals(row.speciesCode)
                        && row.query().isOf(mother.variety()),
                row.countsFrom,
                (state, context) -> plants.release().underWay(state, context, nursery.today()));
        LikelyNumber likely = likely(plants, tally, 0);
        Integer more = plants.latestSetOn() == null ? null : more(plants, tally, likely);
        Format format = new Format(person.units(), nursery.today());
        return TargetViewBuilder.builder()
                .id(id(row))
                .name(row.name)
                .speciesCode(row.speciesCode)
                .common(nursery.species(row.speciesCode).profile().common())
                .variety(row.variety)
                .wanted(row.wanted)
                .by(row.wantedBy)
                .confidence(row.confidence)
                .countsFrom(row.countsFrom)
                .layers(row.layers)
                .headline(words.target(
                        tally.released(), likely, row.wanted, row.confidence, more, plants.latestSetOn(), format))
                .set(tally.set())
                .rooted(tally.rooted())
                .potted(tally.potted())
                .released(tally.released())
                .lost(tally.lost())
                .expected(likely.expected())
                .low(likely.low())
                .high(likely.high())
                .reachedP(likely.reachedP())
                .more(more)
                .latestSetOn(plants.latestSetOn())
                .version(row.version)
                .build();
    }

    /** What is likely to come of what is there, and of so many further layers that are set in time. */
    private static LikelyNumber likely(PlantsWanted plants, Progress.Tally tally, int further) {
        List<LikelyNumber.UnderWay> underWay = new ArrayList<>(tally.underWay());
        underWay.addAll(Collections.nCopies(further, new LikelyNumber.UnderWay(false, 1)));
        return LikelyNumber.of(
                tally.released(),
                underWay,
                plants.rooting().chances(),
                plants.establishing().chances(),
                plants.query().wanted());
    }

    /** The fewest further layers that make it as sure as is wanted; null if that would be too many. */
    private static @Nullable Integer more(PlantsWanted plants, Progress.Tally tally, LikelyNumber now) {
        double confidence = plants.query().confidence();
        if (now.reachedP() >= confidence) {
            return 0;
        }
        int enough = 1;
        while (likely(plants, tally, enough).reachedP() < confidence) {
            if (enough >= MAX_MORE) {
                return null;
            }
            enough = Math.min(MAX_MORE, 2 * enough);
        }
        int tooFew = enough / 2;
        while (enough - tooFew > 1) {
            int middle = (tooFew + enough) / 2;
            if (likely(plants, tally, middle).reachedP() >= confidence) {
                enough = middle;
            } else {
                tooFew = middle;
            }
        }
        return enough;
    }

    private static long id(TargetRow row) {
        if (row.id == null) {
            throw new IllegalStateException("saved without an id");
        }
        return row.id;
    }
}
