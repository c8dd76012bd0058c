package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.verdict.Fact;

/** A plant on a day, with all that the rules of the ladder ask of it. */
record HardenCase(HouseRules rules, PlantState plant, Standing standing, LocalDate today) {

    private static final Rule CALM_DAYS = Rule.of("harden.calm");
    private static final Rule RELEASE_FROST_DAYS = Rule.of("harden.release-frost");
    private static final Rule AUTUMN_DROP_DAYS = Rule.of("harden.autumn-drop");
    private static final Rule TRAY_MOST_DAYS = Rule.of("tray.most");

    /** How far ahead a frost of the forecast counts, days. */
    private static final int FORECAST_DAYS = 14;

    private static final Rule FROST_AHEAD_DAYS = Rule.of("harden.frost-ahead");

    private PlaceClimate climate() {
        return standing.climate();
    }

    private @Nullable DaysOfYear leafless() {
        return standing.leafless();
    }

    boolean hasWilted() {
        return plant.wiltsTwoDaysRunning();
    }

    /** It droops now, and not only from the rung that it was taken down from. */
    boolean droopsHere() {
        return plant.droopsNow() && plant.wasSeenHere();
    }

    boolean isLeafless() {
        return isBare(today) && budBreak(today) == null;
    }

    private boolean isBare(LocalDate day) {
        return leafless() != null && leafless().includes(day);
    }

    /**
     * The day on which its buds were first seen to break, before those of the trees outside, in the winter that a day lies
     * in or follows; null if they were not. What was there on the look before is last summer's growth, and so is what was
     * seen before the coldest day.
     */
    private @Nullable LocalDate budBreak(LocalDate day) {
        DaysOfYear bare = leafless();
        if (bare == null) {
            return null;
        }
        LocalDate fell = DaysOfYear.onOrBefore(bare.from(), day);
        LocalDate coldest = DaysOfYear.onOrAfter(standing.openAir().coldestDayOfYear(), fell);
        LocalDate out = DaysOfYear.onOrAfter(bare.to(), fell);
        boolean grewBefore = false;
        for (PlantState.Seen one : plant.seen()) {
            boolean grows = one.signs().contains(PlantSign.NEW_GROWTH);
            if (grows && !grewBefore && one.on().isAfter(coldest) && one.on().isBefore(out)) {
                return one.on();
            }
            grewBefore = grows;
        }
        return null;
    }

    LocalDate leafOut() {
        return nextLeafOut(today);
    }

    /** The moss is used up, or it is full of roots and has stood long enough to be. */
    boolean hasOutgrownMoss() {
        LocalDate since = plant.mossSince();
        return since != null && !today.isBefore(mossUsedUpOn());
    }

    /** The day on which its moss is used up. */
    LocalDate mossUsedUpOn() {
        return MossTray.of(rules, plant).until();
    }

    /** The day on which it was looked at last, or came to its rung. */
    LocalDate lastSeenOn() {
        return plant.seen().isEmpty()
                ? plant.rungSince()
                : plant.seen().get(plant.seen().size() - 1).on();
    }

    /** From when days on this rung count: those of dormancy do not, for the ladder begins with the leaves. */
    LocalDate since() {
        LocalDate since = plant.rungSince();
        if (!isBare(since)) {
            return since;
        }
        LocalDate broke = budBreak(since);
        return broke == null ? nextLeafOut(since) : broke.isBefore(since) ? since : broke;
    }

    int daysWanted() {
        return plant.ladder().days(rules, plant.rung());
    }

    LocalDate rungDone() {
        return since().plusDays(daysWanted());
    }

    LocalDate calmFrom() {
        LocalDate lastDroop = plant.lastDroop();
        return lastDroop == null ? since() : lastDroop.plusDays(rules.count(CALM_DAYS));
    }

    /** It drooped a short while ago; or it drooped when it was last seen, and nobody lets such a plant go. */
    boolean isUncalm() {
        boolean isLast = plant.up(rules).isEmpty();
        return today.isBefore(calmFrom()) || isLast && plant.droopsNow();
    }

    /** From when on it has kept its leaves long enough. */
    LocalDate keptLeafFrom() {
        LocalDate dropped = lastLeafDrop();
        return dropped == null ? since() : dropped.plusDays(rules.count(CALM_DAYS));
    }

    /** The last day on which it shed leaves that it should have kept; null if it never did. */
    @Nullable
    LocalDate lastLeafDrop() {
        return plant.lastSeen(PlantSign.LEAF_DROP).filter(day -> !isAutumn(day)).orElse(null);
    }

    /** Whether leaves fall on a day because it is their time. */
    private boolean isAutumn(LocalDate day) {
        LocalDate broke = isBare(day) ? budBreak(day) : null;
        return (broke == null || day.isBefore(broke))
                && (isBare(day) || isBare(day.plusDays(rules.count(AUTUMN_DROP_DAYS))));
    }

    /** The first day on which the next step up is to be looked at. */
    LocalDate earliest() {
        return Stream.of(rungDone(), calmFrom(), keptLeafFrom())
                .max(Comparator.naturalOrder())
                .orElseThrow();
    }

    double hottestC() {
        return Math.max(
                climate().on(today).maxC(), climate().on(today.plusDays(1)).maxC());
    }

    boolean isHot() {
        return isHot(today) || isHot(today.plusDays(1));
    }

    private boolean isHot(LocalDate day) {
        return StepUpDay.of(rules, climate(), day).hot();
    }

    /** Whether the nights of the next rung are about to freeze: then the winter's care leads, and nothing moves up. */
    boolean isFrostOnNextRung() {
        return plant.up(rules)
                .map(rung -> {
                    PlaceClimate air = standing.on(rung);
                    boolean season = air.frosts()
                            .map(frosts -> frosts.daysToFrost(today) < rules.count(FROST_AHEAD_DAYS))
                            .orElse(false);
                    return season || air.knownFrost(today, FORECAST_DAYS).isPresent();
                })
                .orElse(false);
    }

    /** Days to the early first frost in the air of the next rung; null where none comes. */
    @Nullable
    Integer daysToFrostUp() {
        return plant.up(rules)
                .flatMap(rung -> standing.on(rung).frosts())
                .map(frosts -> frosts.daysToFrost(today))
                .orElse(null);
    }

    /** What was planted into the ground stays until it has grown in the spring after. */
    boolean waitsForSpring() {
        return plant.ladder() == Ladder.GROUND && today.isBefore(standing.nextSpring(plant.severedOn()));
    }

    boolean lacksRootsAtEdge() {
        return plant.ladder() != Ladder.GROUND && !plant.everShowed(PlantSign.ROOTS_AT_EDGE);
    }

    /** The windier of today and tomorrow, m/s; null where neither is known. */
    @Nullable
    Double windiestMs() {
        Double here = climate().windMsOn(today).orElse(null);
        Double next = climate().windMsOn(today.plusDays(1)).orElse(null);
        return here == null ? next : next == null ? here : Double.valueOf(Math.max(here, next));
    }

    boolean isWindy() {
        Double wind = windiestMs();
        return wind != null && wind > HardenRules.windyMs(rules);
    }

    Optional<Integer> daysToFrost() {
        return climate().frosts().map(frosts -> frosts.daysToFrost(today));
    }

    boolean isFrostNear() {
        return daysToFrost().map(days -> days < rules.count(RELEASE_FROST_DAYS)).orElse(false);
    }

    Fact fact(HardenFact name) {
        return new Fact(
                name,
                switch (name) {
                    case POTTED -> plant.potted();
                    case SIGNS -> plant.signsNow();
                    case LAST_DROOP -> plant.lastDroop();
                    case LAST_LEAF_DROP -> lastLeafDrop();
                    case LEAFLESS -> isLeafless();
                    case DAYS_IN_MOSS -> plant.mossSince() == null ? null : days(plant.mossSince());
                    case MOST_DAYS_IN_MOSS -> rules.count(TRAY_MOST_DAYS);
                    case LADDER -> plant.ladder();
                    case RUNG -> plant.rung();
                    case DAYS_ON_RUNG -> Math.max(0, days(since()));
                    case DAYS_WANTED -> daysWanted();
                    case DAYS_CALM -> plant.lastDroop() == null ? null : days(plant.lastDroop());
                    case CALM_DAYS_WANTED -> rules.count(CALM_DAYS);
                    case HOTTEST_C -> hottestC();
                    case HOT_ABOVE_C -> climate().hotAboveC(rules, today, HardenRules.hotC(rules));
                    case FROST_UP_DAYS -> daysToFrostUp();
                    case GROWS_AGAIN_ON ->
                        plant.ladder() == Ladder.GROUND ? standing.nextSpring(plant.severedOn()) : null;
                    case WINDIEST_MS -> windiestMs();
                    case ROOTS_SEEN -> plant.everShowed(PlantSign.ROOTS_AT_EDGE);
                    case GROWTH_SEEN -> plant.everShowed(PlantSign.NEW_GROWTH);
                    case DAYS_TO_FROST -> daysToFrost().orElse(null);
                });
    }

    private int days(LocalDate from) {
        return (int) ChronoUnit.DAYS.between(from, today);
    }

    private LocalDate nextLeafOut(LocalDate day) {
        if (leafless() == null) {
            return day;
        }
        return DaysOfYear.onOrAfter(leafless().to(), day);
    }
}
