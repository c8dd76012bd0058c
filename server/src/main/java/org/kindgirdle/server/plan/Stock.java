package org.kindgirdle.server.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbLayout;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.journal.MotherLoad;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.journal.Takings;
import org.kindgirdle.server.nursery.LimbView;
import org.kindgirdle.server.nursery.Limbs;
import org.kindgirdle.server.nursery.MotherHistory;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.Mothers;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.words.Format;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which mother, and which limb of it? */
@Service
public class Stock {

    private final Snapshots snapshots;
    private final Mothers mothers;
    private final Limbs limbs;
    private final MotherLoad loads;
    private final Takings takings;
    private final MotherHistory history;
    private final MotherRemarks remarks;
    private final LimbWords words;
    private final CurrentPerson person;

    Stock(
            Snapshots snapshots,
            Mothers mothers,
            Limbs limbs,
            MotherLoad loads,
            Takings takings,
            MotherHistory history,
            MotherRemarks remarks,
            LimbWords words,
            CurrentPerson person) {
        this.snapshots = snapshots;
        this.mothers = mothers;
        this.limbs = limbs;
        this.loads = loads;
        this.takings = takings;
        this.history = history;
        this.remarks = remarks;
        this.words = words;
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
        MotherView mother = mothers.one(motherId);
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        int underRings = Math.toIntExact(loads.underRings(motherId));
        List<StockView.LimbStand> stands = limbStands(nursery, mother, format);
        int onLimbs = stands.stream().mapToInt(one -> one.balls().size()).sum();
        SpeciesProfile species = nursery.species(mother.speciesCode()).profile();
        return new StockView.MotherPage(
                line(
                        nursery,
                        mother,
                        underRings,
                        (int) stands.stream().filter(one -> one.limb().stands()).count(),
                        format),
                nursery.place(mother.placeId()).name(),
                mother.mergedInto() == null
                        ? null
                        : mothers.one(mother.mergedInto()).code(),
                remarks.of(mother, species, MotherRemarks.capacity(mother, underRings, nursery.rules()), true, format),
                stands,
                underRings - onLimbs,
                takings.of(motherId),
                history.of(motherId));
    }

    /**
     * What would be wrong on the limbs of a mother if further balls were set.
     *
     * @param further by the limb's id; their codes are what the sentences call them
     * @return sentences; those that were true before are left out
     */
    public List<String> newFaults(long motherId, Map<Long, List<LimbRoom.Standing>> further) {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        Map<Long, List<Takings.BallOnLimb>> standing = takings.onLimbs(motherId, nursery);
        List<String> faults = new ArrayList<>();
        for (LimbView limb : limbs.of(motherId)) {
            List<LimbRoom.Standing> added = further.getOrDefault(Objects.requireNonNull(limb.id()), List.of());
            if (!added.isEmpty()) {
                List<LimbRoom.Standing> before = standing(standing, limb);
                List<LimbRoom.Standing> after = new ArrayList<>(before);
                after.addAll(added);
                Set<String> known = new HashSet<>(words.faults(layout(nursery, limb, before), limb.name(), format));
                words.faults(layout(nursery, limb, after), limb.name(), format).stream()
                        .filter(fault -> !known.contains(fault))
                        .forEach(faults::add);
            }
        }
        return faults;
    }

    private static LimbLayout layout(NurserySnapshot nursery, LimbView limb, List<LimbRoom.Standing> standing) {
        return LimbRoom.of(nursery.rules(), shape(limb), standing, 1).layout();
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

    private List<StockView.LimbStand> limbStands(NurserySnapshot nursery, MotherView mother, Format format) {
        HouseRules rules = nursery.rules();
        List<LimbView> all = limbs.of(Objects.requireNonNull(mother.id()));
        if (all.isEmpty()) {
            return List.of();
        }
        Map<Long, List<Takings.BallOnLimb>> standing = takings.onLimbs(mother.id(), nursery);
        Map<Long, Integer> ever = takings.everOnLimbs(mother.id());
        boolean bridges = nursery.species(mother.speciesCode()).profile().bridgesReadily();
        record Scored(LimbView limb, LimbScore score, LimbRoom room, double ballMm) {}
        List<Scored> scored = all.stream()
                .map(limb -> {
                    double ballMm = RingAndBall.of(rules, limb.diameterMm(), bridges, false)
                            .ballLengthMm();
                    return new Scored(
                            limb,
                            LimbScore.of(rules, facts(limb, mother)),
                            LimbRoom.of(rules, shape(limb), standing(standing, limb), ballMm),
                            ballMm);
                })
                .sorted(Comparator.<Scored, Boolean>comparing(one -> !one.limb().stands())
                        .thenComparing(Scored::score, LimbScore.bestFirst(rules))
                        .thenComparing(one -> one.limb().name()))
                .toList();
        LimbView best = scored.stream()
                .filter(one -> one.limb().stands()
                        && one.room().more() > 0
                        && one.score().isSuitable())
                .map(Scored::limb)
                .findFirst()
                .orElse(null);
        return scored.stream()
                .map(one -> new StockView.LimbStand(
                        one.limb(),
                        words.advice(
                                one.score(),
                                one.room(),
                                one.limb().stands(),
                                one.limb().equals(best)),
                        one.score().isSuitable(),
                        one.score().points(),
                        2 * LimbScore.Criterion.values().length,
                        one.score().lines().stream()
                                .map(line -> new StockView.ScoreLine(
                                        line.criterion(), line.points(), words.line(one.score(), line, format)))
                                .toList(),
                        balls(
                                one.room().layout(),
                                standing.getOrDefault(one.limb().id(), List.of())),
                        one.ballMm(),
                        one.room().free().stream()
                                .map(free -> new StockView.FreeStretch(free.fromTipMm(), free.toTipMm()))
                                .toList(),
                        one.limb().stands() ? one.room().more() : 0,
                        spots(one.limb(), one.room(), one.ballMm()),
                        words.faults(one.room().layout(), one.limb().name(), format),
                        ever.getOrDefault(one.limb().id(), 0)))
                .toList();
    }

    private static List<LimbRoom.Standing> standing(Map<Long, List<Takings.BallOnLimb>> byLimb, LimbView limb) {
        return byLimb.getOrDefault(limb.id(), List.of()).stream()
                .map(Takings.BallOnLimb::standing)
                .toList();
    }

    private static List<StockView.BallOn> balls(LimbLayout layout, List<Takings.BallOnLimb> onLimb) {
        Map<String, Double> thick = onLimb.stream()
                .collect(Collectors.toMap(ball -> ball.standing().code(), Takings.BallOnLimb::ballDiameterMm));
        List<StockView.BallOn> balls = new ArrayList<>();
        for (LimbLayout.Ball ball : layout.fromTheTip()) {
            balls.add(new StockView.BallOn(
                    balls.size() + 1,
                    ball.code(),
                    ball.fromTipMm(),
                    ball.lengthMm(),
                    thick.getOrDefault(ball.code(), 0.0)));
        }
        return balls;
    }

    /** One after the other from the tip, as it is measured on the limb: from the union to the ball. */
    private static List<Double> spots(LimbView limb, LimbRoom room, double ballMm) {
        List<Double> spots = new ArrayList<>();
        for (LimbRoom.Stretch free : limb.stands() ? room.free() : List.<LimbRoom.Stretch>of()) {
            for (double mm = free.fromTipMm(); mm <= free.toTipMm(); mm += ballMm + room.gapMm()) {
                spots.add(limb.lengthMm() - mm - ballMm);
            }
        }
        return spots;
    }

    private static LimbRoom.Shape shape(LimbView limb) {
        return new LimbRoom.Shape(limb.lengthMm(), limb.nodes(), limb.leaves());
    }

    private static Limb facts(LimbView limb, MotherView mother) {
        return new Limb(
                limb.diameterMm(), limb.wood(), limb.leanDeg(), mother.vigour(), limb.leaves(), limb.toBePruned());
    }
}
