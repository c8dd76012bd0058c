package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.plan.GrowingYears;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbLayout;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.layers.TakenFromMothers;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;

/** How the limbs of a mother stand: what is on them, what is left of them, and where more may be set. */
@Service
public class LimbStands {

    private final Snapshots snapshots;
    private final Limbs limbs;
    private final TakenFromMothers takenFromMothers;
    private final LimbWords words;
    private final Words sentences;
    private final MotherRemarks remarks;
    private final CurrentPerson person;

    LimbStands(
            Snapshots snapshots,
            Limbs limbs,
            TakenFromMothers takenFromMothers,
            LimbWords words,
            Words sentences,
            MotherRemarks remarks,
            CurrentPerson person) {
        this.snapshots = snapshots;
        this.limbs = limbs;
        this.takenFromMothers = takenFromMothers;
        this.words = words;
        this.sentences = sentences;
        this.remarks = remarks;
        this.person = person;
    }

    /**
     * What would be wrong on the limbs of a mother if further balls were set.
     *
     * @param setOn the day on which they would be
     * @param further by the limb's id; their codes are what the sentences call them
     * @return sentences; those that were true before are left out
     */
    public List<String> newFaults(
            long motherId, LocalDate setOn, Map<Long, List<TakenFromMothers.BallOnLimb>> further) {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        MotherView mother = nursery.mother(motherId);
        Map<Long, TakenFromMothers.OnLimb> taken = takenFromMothers.onLimbs(motherId, nursery);
        List<String> faults = new ArrayList<>();
        for (LimbView limb : limbs.of(motherId)) {
            List<TakenFromMothers.BallOnLimb> added =
                    further.getOrDefault(Objects.requireNonNull(limb.id()), List.of());
            if (!added.isEmpty()) {
                TakenFromMothers.OnLimb on = taken.getOrDefault(limb.id(), TakenFromMothers.OnLimb.NOTHING);
                List<LimbRoom.Standing> before = standing(on);
                LimbRoom.Shape shape = shape(nursery.rules(), limb, on);
                List<LimbRoom.Standing> after = new ArrayList<>(before);
                placed(added).forEach(after::add);
                double load = on.utilisation()
                        + added.stream()
                                .mapToDouble(TakenFromMothers.BallOnLimb::utilisation)
                                .sum();
                int balls = on.balls().size() + added.size();
                if (balls > 1 && BranchLoad.verdict(nursery.rules(), load) != BranchLoad.Bearing.FINE) {
                    faults.add(sentences.limbLoad(limb.name(), balls, load, nursery.rules(), format));
                }
                Set<String> known = new HashSet<>(words.faults(layout(nursery, shape, before), limb.name(), format));
                words.faults(layout(nursery, shape, after), limb.name(), format).stream()
                        .filter(fault -> !known.contains(fault))
                        .forEach(faults::add);
                LocalDate again = againOn(on, years(nursery, mother), setOn);
                if (again != null) {
                    faults.add(words.rests(limb.name(), cutOn(on), again, format));
                }
            }
        }
        return faults;
    }

    private static LimbLayout layout(NurserySnapshot nursery, LimbRoom.Shape limb, List<LimbRoom.Standing> standing) {
        return LimbRoom.of(nursery.rules(), limb, standing, 1).layout();
    }

    /** A limb as it is now, weighed. */
    private record Weighed(
            LimbView limb,
            TakenFromMothers.OnLimb on,
            LimbRoom.Shape shape,
            LimbScore score,
            LimbRoom room,
            double ballMm,
            @Nullable LocalDate againOn) {

        boolean isFull() {
            return room.more() == 0;
        }

        boolean rests() {
            return againOn != null;
        }

        /** Whether its balls together ask more of it than it bears. */
        boolean isLoaded(HouseRules rules) {
            return BranchLoad.verdict(rules, on.utilisation()) == BranchLoad.Bearing.SMALLER_OR_PROP_FIRST;
        }

        boolean isGone() {
            return !limb.stands();
        }
    }

    /**
     * Those with room first, of these the best; those that are gone last.
     *
     * @param motherRoom how many more layers the whole mother can take
     */
    List<StockView.LimbStand> of(NurserySnapshot nursery, MotherView mother, int motherRoom, Format format) {
        HouseRules rules = nursery.rules();
        List<LimbView> all = limbs.of(Objects.requireNonNull(mother.id()));
        if (all.isEmpty()) {
            return List.of();
        }
        Map<Long, TakenFromMothers.OnLimb> taken = takenFromMothers.onLimbs(mother.id(), nursery);
        SpeciesProfile species = nursery.species(mother.speciesCode()).profile();
        GrowingYears years = years(nursery, mother);
        List<Weighed> weighed = all.stream()
                .map(limb -> weigh(
                        rules,
                        mother,
                        species,
                        limb,
                        taken.getOrDefault(Objects.requireNonNull(limb.id()), TakenFromMothers.OnLimb.NOTHING),
                        years,
                        nursery.today()))
                .sorted(Comparator.comparing(Weighed::isGone)
                        .thenComparing(Weighed::isFull)
                        .thenComparing(Weighed::rests)
                        .thenComparing(one -> one.isLoaded(rules))
                        .thenComparing(Weighed::score, LimbScore.bestFirst(rules))
                        .thenComparing(one -> one.limb().name()))
                .toList();
        Weighed best = weighed.stream()
                .filter(one -> !one.isGone()
                        && !one.isFull()
                        && !one.rests()
                        && !one.isLoaded(rules)
                        && one.score().isSuitable())
                .findFirst()
                .orElse(null);
        return weighed.stream()
                .map(one -> stand(
                        one,
                        words.advice(
                                one.score(),
                                one.room(),
                                one.limb().stands(),
                                one.rests(),
                                one.isLoaded(rules) ? format.percent(one.on().utilisation()) : null,
                                one.equals(best),
                                motherRoom),
                        motherRoom,
                        one.isGone()
                                ? List.of()
                                : remarks.ofLimb(mother, species, one.score().limb(), one.limb(), rules, format),
                        format))
                .toList();
    }

    private static Weighed weigh(
            HouseRules rules,
            MotherView mother,
            SpeciesProfile species,
            LimbView limb,
            TakenFromMothers.OnLimb on,
            GrowingYears years,
            LocalDate today) {
        double ballMm = RingAndBall.of(rules, limb.diameterMm(), species.bridgesReadily(), false)
                .ballLengthMm();
        LimbRoom.Shape shape = shape(rules, limb, on);
        return new Weighed(
                limb,
                on,
                shape,
                LimbScore.of(rules, facts(limb, shape, mother)),
                LimbRoom.of(rules, shape, standing(on), ballMm),
                ballMm,
                againOn(on, years, today));
    }

    private StockView.LimbStand stand(Weighed one, String advice, int motherRoom, List<Remark> remarks, Format format) {
        return StockViewLimbStandBuilder.builder()
                .limb(one.limb())
                .lengthMm(one.shape().lengthMm())
                .nodes(one.shape().nodes())
                .leaves(one.shape().leaves())
                .cutBackOn(cutBackOn(one.limb(), one.on()))
                .advice(advice)
                .suitable(one.score().isSuitable())
                .points(one.score().points())
                .most(2 * LimbScore.Criterion.values().length)
                .lines(one.score().lines().stream()
                        .map(line -> new StockView.ScoreLine(
                                line.criterion(), line.points(), words.line(one.score(), line, format)))
                        .toList())
                .balls(balls(one.room().layout(), one.on().balls()))
                .ballMm(one.ballMm())
                .free(one.room().free().stream()
                        .map(free -> new StockView.FreeStretch(free.fromTipMm(), free.toTipMm()))
                        .toList())
                .more(one.isGone() ? 0 : Math.min(motherRoom, one.room().more()))
                .spots(spots(one.limb(), one.shape(), one.room(), one.ballMm()))
                .faults(words.faults(one.room().layout(), one.limb().name(), format))
                .remarks(
                        one.againOn() == null || one.isGone()
                                ? remarks
                                : Stream.concat(
                                                Stream.of(new Remark(
                                                        Level.CAUTION,
                                                        "RESTS",
                                                        words.rests(
                                                                one.limb().name(),
                                                                cutOn(one.on()),
                                                                one.againOn(),
                                                                format))),
                                                remarks.stream())
                                        .toList())
                .ever(one.on().ever())
                .build();
    }

    private static List<LimbRoom.Standing> standing(TakenFromMothers.OnLimb on) {
        return placed(on.balls());
    }

    private static List<LimbRoom.Standing> placed(List<TakenFromMothers.BallOnLimb> balls) {
        return balls.stream()
                .filter(TakenFromMothers.BallOnLimb::isPlaced)
                .map(TakenFromMothers.BallOnLimb::standing)
                .toList();
    }

    private static List<StockView.BallOn> balls(LimbLayout layout, List<TakenFromMothers.BallOnLimb> onLimb) {
        Map<String, Double> thick = onLimb.stream()
                .collect(Collectors.toMap(ball -> ball.standing().code(), TakenFromMothers.BallOnLimb::ballDiameterMm));
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
    private static List<Double> spots(LimbView limb, LimbRoom.Shape shape, LimbRoom room, double ballMm) {
        List<Double> spots = new ArrayList<>();
        for (LimbRoom.Stretch free : limb.stands() ? room.free() : List.<LimbRoom.Stretch>of()) {
            for (double mm = free.fromTipMm(); mm <= free.toTipMm(); mm += ballMm + room.gapMm()) {
                spots.add(shape.lengthMm() - mm - ballMm);
            }
        }
        return spots;
    }

    /** What is left of a limb: as it was measured, less what was cut off with layers since then. */
    private static LimbRoom.Shape shape(HouseRules rules, LimbView limb, TakenFromMothers.OnLimb on) {
        LimbRoom.Shape shape = new LimbRoom.Shape(limb.lengthMm(), limb.nodes(), limb.leaves());
        for (TakenFromMothers.Cut cut : cutSince(limb, on)) {
            shape = shape.cutBelow(rules, cut.fromUnionMm());
        }
        return shape;
    }

    private static GrowingYears years(NurserySnapshot nursery, MotherView mother) {
        return new GrowingYears(
                nursery.climate(mother.placeId()),
                nursery.species(mother.speciesCode()).profile().opensAtMeanC());
    }

    /** When a limb that a layer was cut from may be ringed again; null if it may on that day. */
    private static @Nullable LocalDate againOn(TakenFromMothers.OnLimb on, GrowingYears years, LocalDate day) {
        LocalDate cutOn = cutOn(on);
        return cutOn == null
                ? null
                : years.opensNextYear(cutOn).filter(day::isBefore).orElse(null);
    }

    private static @Nullable LocalDate cutOn(TakenFromMothers.OnLimb on) {
        return on.cuts().stream()
                .map(TakenFromMothers.Cut::on)
                .max(Comparator.naturalOrder())
                .orElse(null);
    }

    private static @Nullable LocalDate cutBackOn(LimbView limb, TakenFromMothers.OnLimb on) {
        return cutSince(limb, on).stream()
                .map(TakenFromMothers.Cut::on)
                .max(Comparator.naturalOrder())
                .orElse(null);
    }

    private static List<TakenFromMothers.Cut> cutSince(LimbView limb, TakenFromMothers.OnLimb on) {
        LocalDate measuredOn = Objects.requireNonNull(limb.measuredOn());
        return on.cuts().stream().filter(cut -> !cut.on().isBefore(measuredOn)).toList();
    }

    private static Limb facts(LimbView limb, LimbRoom.Shape shape, MotherView mother) {
        return new Limb(
                limb.diameterMm(), limb.wood(), limb.leanDeg(), mother.vigour(), shape.leaves(), limb.toBePruned());
    }
}
