package org.kindgirdle.core.growth;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * The year of a species at a place: when it grows and is in leaf, and where in its winter a day lies. Made once for all
 * layers of the species there; what it has worked out for a day it keeps.
 */
public final class Seasons {

    private static final Rule STARTS_ABOVE_BASE_C = Rule.of("phenology.starts-above-base");
    private static final Rule STOPS_ABOVE_BASE_C = Rule.of("phenology.stops-above-base");
    private static final Rule WINTERED_LEAD_DAYS = Rule.of("phenology.wintered-lead");
    private static final Rule WINTERED_SLACK_DAYS = Rule.of("phenology.wintered-slack");
    private static final Rule DORMANT_ROOM_DAYS = Rule.of("phenology.dormant-room");

    private static final int HALF_A_YEAR = 183;

    /** So many days may growth stop or begin before or after the day that the normals have. */
    private static final int MAX_EARLY_DAYS = 30;

    /** Nothing that is full waits for longer, days. */
    private static final int LONGEST_HOLD_DAYS = 330;

    /** What is first seen full so many days after the last frost was full before it, or nearly. */
    private static final int AFTER_LAST_FROST_DAYS = 40;

    /** Growth stops up to so many days before its usual day, or a look is asked for till then for two weeks at least. */
    private static final int LAST_OF_GROWTH_DAYS = 45;

    /** A week so much colder than usual comes in one winter or another, C. */
    private static final double COLD_WEEK_C = 6;

    /** Between its two thresholds growth stays as it was: this far back is looked for how that was. */
    private static final int LOOKED_BACK_DAYS = 400;

    private final HouseRules rules;
    private final PlaceClimate climate;
    private final SpeciesProfile species;
    private final @Nullable DaysOfYear leafless;
    private final @Nullable Integer growthBegins;
    private final @Nullable Integer growthStops;
    private final Map<LocalDate, Boolean> growing = new ConcurrentHashMap<>();
    private final Map<Double, Optional<DaysOfYear>> hardFrosts = new ConcurrentHashMap<>();

    /** @param leafless days of the year without leaves, expected or as recorded; null if it keeps them */
    public Seasons(HouseRules rules, PlaceClimate climate, SpeciesProfile species, @Nullable DaysOfYear leafless) {
        this.rules = rules;
        this.climate = climate;
        this.species = species;
        this.leafless = leafless;
        this.growthBegins = Phenology.growthBegins(rules, climate, species).orElse(null);
        this.growthStops = Phenology.growthStops(rules, climate, species).orElse(null);
    }

    /** As it is expected by the normals. */
    public static Seasons expected(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        return of(rules, climate, species, SeenLeaf.NONE);
    }

    /** As it is expected by the normals, but for what was seen of its leaves. */
    public static Seasons of(HouseRules rules, PlaceClimate climate, SpeciesProfile species, SeenLeaf seen) {
        return new Seasons(
                rules,
                climate,
                species,
                Phenology.leafless(rules, climate, species, seen).orElse(null));
    }

    /** Days of the year without leaves; null if it keeps them. */
    public @Nullable DaysOfYear leafless() {
        return leafless;
    }

    /** Whether it is without leaves on a day. */
    public boolean isLeafless(LocalDate day) {
        return leafless != null && leafless.includes(day);
    }

    /** Whether it never is without leaves here, be it an evergreen or a tree that no cold tells to drop them. */
    public boolean keepsLeaf() {
        return leafless == null;
    }

    /**
     * Whether it grows on a day. By the normals growth stops and begins once a year; by the weather that may be up to
     * thirty days earlier or later: in autumn it stops for good with the first week below the base + 1, in spring it begins
     * for good with the first above the base + 3. A cold week in summer stops nothing, a warm one in winter begins nothing.
     * Where by the normals growth never stops, or never begins, the weeks decide alone, and between the two thresholds it
     * stays as it was.
     */
    public boolean isGrowing(LocalDate day) {
        return growing.computeIfAbsent(
                day, one -> growthBegins == null || growthStops == null ? growsByWeeks(one) : growsBySeason(one));
    }

    private boolean growsBySeason(LocalDate day) {
        int winter = DaysOfYear.from(growthStops, growthBegins);
        int summer = DaysOfYear.from(growthBegins, growthStops);
        int early = Math.min(MAX_EARLY_DAYS, Math.min(winter, summer) / 2);
        LocalDate autumn = DaysOfYear.onOrBefore(DaysOfYear.later(growthStops, -early), day);
        LocalDate spring = DaysOfYear.onOrBefore(DaysOfYear.later(growthBegins, -early), day);
        boolean isAutumn = autumn.isAfter(spring);
        LocalDate from = isAutumn ? autumn : spring;
        if (day.isAfter(from.plusDays(2L * early))) {
            return !isAutumn;
        }
        double base = species.cardinals().baseC();
        for (LocalDate one = from; !one.isAfter(day); one = one.plusDays(1)) {
            double mean = climate.sevenDayMeanC(one);
            if (isAutumn ? mean < base + rules.of(STOPS_ABOVE_BASE_C) : mean > base + rules.of(STARTS_ABOVE_BASE_C)) {
                return !isAutumn;
            }
        }
        return isAutumn;
    }

    private boolean growsByWeeks(LocalDate day) {
        double base = species.cardinals().baseC();
        LocalDate back = day;
        for (int i = 0; i < LOOKED_BACK_DAYS; i++) {
            double mean = climate.sevenDayMeanC(back);
            if (mean > base + rules.of(STARTS_ABOVE_BASE_C)) {
                return true;
            }
            if (mean < base + rules.of(STOPS_ABOVE_BASE_C)) {
                return false;
            }
            back = back.minusDays(1);
        }
        return false;
    }

    private LocalDate coldestBefore(LocalDate day) {
        return DaysOfYear.onOrBefore(climate.coldestDayOfYear(), day);
    }

    /** Whether the winter is ending: the coldest day is past, and the late last frost is not. */
    public boolean isLastFrostAhead(LocalDate day) {
        return lastFrostAhead(day).isPresent();
    }

    /**
     * Whether the winter is ending on a day: the coldest day is past, and the late last frost is not, or growth has not
     * begun.
     */
    public boolean isWinterEnding(LocalDate day) {
        LocalDate coldest = coldestBefore(day);
        boolean isAfter = coldest.isBefore(day) && day.isBefore(coldest.plusDays(HALF_A_YEAR));
        return isLastFrostAhead(day) || isAfter && !isGrowing(day);
    }

    /** The late last frost of the winter that is ending; empty at any other time. */
    public Optional<LocalDate> lastFrostAhead(LocalDate day) {
        LocalDate coldest = coldestBefore(day);
        return climate.frosts()
                .map(frosts -> frosts.nextLastLate(coldest))
                .filter(last ->
                        coldest.isBefore(day) && day.isBefore(last) && last.isBefore(coldest.plusDays(HALF_A_YEAR)));
    }

    /**
     * Whether nights are usually as cold as kills roots: from the first such night of the normals until the winter is
     * ending and they are warmer.
     *
     * @param rootKillC what the roots bear
     */
    public boolean isHardFrost(LocalDate day, double rootKillC) {
        return hardFrost(rootKillC).map(days -> days.includes(day)).orElse(false);
    }

    private Optional<DaysOfYear> hardFrost(double rootKillC) {
        return hardFrosts.computeIfAbsent(rootKillC, kill -> {
            int warmest = climate.warmestDayOfYear();
            int coldest = climate.coldestDayOfYear();
            for (int i = 0; i < 365; i++) {
                int first = DaysOfYear.later(warmest, i);
                if (climate.normalOn(first).minC() <= kill) {
                    int end = DaysOfYear.later(first, Math.max(1, DaysOfYear.from(first, coldest) + 1));
                    while (climate.normalOn(end).minC() <= kill && DaysOfYear.from(first, end) < 364) {
                        end = DaysOfYear.later(end, 1);
                    }
                    return Optional.of(new DaysOfYear(first, end));
                }
            }
            return Optional.empty();
        });
    }

    /** The first day of the coming hard frosts; empty where none come. */
    public Optional<LocalDate> nextHardFrost(LocalDate day, double rootKillC) {
        return hardFrost(rootKillC).map(days -> DaysOfYear.onOrAfter(days.from(), day));
    }

    /** Whether leaves fall long enough before hard frost to cut it leafless; false where they never fall. */
    public boolean hasDormantRoom(double rootKillC) {
        if (leafless == null) {
            return false;
        }
        int warmest = climate.warmestDayOfYear();
        int fall = DaysOfYear.from(warmest, leafless.from());
        return hardFrost(rootKillC)
                .map(days -> fall + rules.count(DORMANT_ROOM_DAYS) <= DaysOfYear.from(warmest, days.from()))
                .orElse(true);
    }

    /**
     * Whether a ball has stood the winter that is past: it was full before the latest day that lies some days before
     * growth began, and nobody waits for another winter. What was first seen full so soon after that day that it would be
     * held for the better part of a year counts as well, whenever it was ringed.
     *
     * @param ringedOn of its last ring
     * @param fullOn the first look that found it full
     */
    public boolean hasWintered(LocalDate ringedOn, LocalDate fullOn, LocalDate day) {
        Integer begins = growthBegins != null
                ? growthBegins
                : climate.frosts()
                        .map(frosts -> frosts.lastLate().atYear(2001).getDayOfYear())
                        .orElse(null);
        if (begins == null) {
            return false;
        }
        int lead = DaysOfYear.later(begins, -rules.count(WINTERED_LEAD_DAYS));
        LocalDate last = DaysOfYear.onOrBefore(lead, day.minusDays(1));
        boolean ringedBefore = ringedOn.isBefore(coldestBefore(last));
        boolean heldTooLong = fullOn.isBefore(last.plusYears(1).minusDays(LONGEST_HOLD_DAYS));
        return fullOn.isBefore(last) || heldTooLong || ringedBefore && !fullOn.isAfter(stillBefore(last));
    }

    /**
     * From when on growth may stop any day: of the year of growth that a day lies in where it stops by the normals once a
     * year; of the cool weeks that a day lies in where the weeks decide alone, and a cold one would stop it. Empty where
     * that is not near.
     */
    public Optional<LocalDate> growthMayStop(LocalDate day) {
        if (growthBegins != null && growthStops != null) {
            LocalDate stops = DaysOfYear.onOrAfter(growthStops, coldestBefore(day));
            return Optional.of(stops.minusDays(LAST_OF_GROWTH_DAYS));
        }
        double coolC = species.cardinals().baseC() + rules.of(STOPS_ABOVE_BASE_C) + COLD_WEEK_C;
        Integer cools = climate.coolsTo(coolC).orElse(null);
        Integer warms = climate.warmsTo(coolC).orElse(null);
        if (cools == null || warms == null) {
            return Optional.empty();
        }
        LocalDate from = DaysOfYear.onOrBefore(cools, day);
        return Optional.of(from)
                .filter(cool -> DaysOfYear.onOrAfter(warms, cool).isAfter(day));
    }

    /**
     * Until when what is first seen full counts as full before the winter's end: a while after that, and after the late last
     * frost, up to which it could not have been cut anyway, so that nothing waits for the better part of a year.
     */
    private LocalDate stillBefore(LocalDate winterEnd) {
        LocalDate slack = winterEnd.plusDays(rules.count(WINTERED_SLACK_DAYS));
        return climate.frosts()
                .map(frosts -> frosts.nextLastLate(winterEnd))
                .filter(frost -> frost.isBefore(winterEnd.plusDays(HALF_A_YEAR)))
                .map(frost -> frost.plusDays(AFTER_LAST_FROST_DAYS))
                .filter(slack::isBefore)
                .orElse(slack);
    }

    /** The next day on which leaves fall; empty where they stay on. */
    public Optional<LocalDate> nextLeafFall(LocalDate day) {
        return Optional.ofNullable(leafless).map(days -> DaysOfYear.onOrAfter(days.from(), day));
    }

    /** The next day on which it leafs out, or, where leaves stay on, begins to grow; empty where growth never stops. */
    public Optional<LocalDate> nextSpring(LocalDate day) {
        Integer out = leafless != null ? Integer.valueOf(leafless.to()) : growthBegins;
        return Optional.ofNullable(out).map(one -> DaysOfYear.onOrAfter(one, day));
    }

    /** The first day from a day on whose nights stay above freezing. */
    public LocalDate thaw(LocalDate day) {
        LocalDate found = day;
        while (climate.on(found).minC() < 0 && found.isBefore(day.plusDays(HALF_A_YEAR))) {
            found = found.plusDays(1);
        }
        return found;
    }
}
