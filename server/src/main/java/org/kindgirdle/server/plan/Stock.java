package org.kindgirdle.server.plan;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.layers.MotherLoad;
import org.kindgirdle.server.layers.TakenFromMothers;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherHistory;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which mother, and which limb of it? */
@Service
class Stock {

    private final Snapshots snapshots;
    private final Mothers mothers;
    private final Limbs limbs;
    private final MotherLoad loads;
    private final TakenFromMothers takenFromMothers;
    private final MotherHistory history;
    private final MotherRemarks remarks;
    private final LimbStands stands;
    private final CurrentPerson person;

    Stock(
            Snapshots snapshots,
            Mothers mothers,
            Limbs limbs,
            MotherLoad loads,
            TakenFromMothers takenFromMothers,
            MotherHistory history,
            MotherRemarks remarks,
            LimbStands stands,
            CurrentPerson person) {
        this.snapshots = snapshots;
        this.mothers = mothers;
        this.limbs = limbs;
        this.loads = loads;
        this.takenFromMothers = takenFromMothers;
        this.history = history;
        this.remarks = remarks;
        this.stands = stands;
        this.person = person;
    }

    /** In the order of their codes. */
    @Transactional(readOnly = true)
    List<StockView.MotherLine> lines() {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        Map<Long, Long> underRings = loads.underRings();
        Map<Long, Long> standing = limbs.all().stream()
                .filter(LimbView::stands)
                .collect(Collectors.groupingBy(LimbView::motherId, Collectors.counting()));
        return mothers.all().stream()
                .map(mother -> line(
                        nursery,
                        mother,
                        underRings.getOrDefault(mother.id(), 0L).intValue(),
                        standing.getOrDefault(mother.id(), 0L).intValue(),
                        format))
                .toList();
    }

    @Transactional(readOnly = true)
    StockView.MotherPage page(long motherId) {
        NurserySnapshot nursery = snapshots.take();
        MotherView mother = nursery.mother(motherId);
        Format format = new Format(person.units(), nursery.today());
        TakenFromMothers.Taken taken = takenFromMothers.of(motherId);
        int underRings = taken.underRings();
        SpeciesProfile species = nursery.species(mother.speciesCode()).profile();
        MotherCapacity capacity = MotherRemarks.capacity(mother, underRings, nursery.rules());
        List<StockView.LimbStand> onIt = stands.of(nursery, mother, remarks.room(mother, capacity), format);
        int onLimbs = onIt.stream().mapToInt(one -> one.balls().size()).sum();
        return new StockView.MotherPage(
                line(
                        nursery,
                        mother,
                        underRings,
                        (int) onIt.stream().filter(one -> one.limb().stands()).count(),
                        format),
                nursery.place(mother.placeId()).name(),
                mother.mergedInto() == null
                        ? null
                        : nursery.mother(mother.mergedInto()).code(),
                remarks.of(mother, species, Method.AIR, capacity, true, format),
                onIt,
                underRings - onLimbs,
                taken.years(),
                history.of(motherId));
    }

    private StockView.MotherLine line(
            NurserySnapshot nursery, MotherView mother, int underRings, int limbs, Format format) {
        SpeciesProfile species = nursery.species(mother.speciesCode()).profile();
        MotherCapacity capacity = MotherRemarks.capacity(mother, underRings, nursery.rules());
        return new StockView.MotherLine(
                mother,
                species.common(),
                species.botanical(),
                underRings,
                remarks.room(mother, capacity),
                remarks.roomWords(mother, species, capacity, format),
                limbs);
    }
}
