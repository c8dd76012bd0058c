package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The windows of one species, place and recipe: what each start date is worth. What does not depend on the date is
 * worked out once, so that years of dates are cheap.
 */
public final class SettingWindows {

    private static final Rule GOOD_P = Rule.of("window.good");
    private static final Rule RISKY_P = Rule.of("window.risky");
    private static final Rule LEAF_FALL_DAYS = Rule.of("window.leaf-fall");
    private static final Rule OVERWINTER_DAYS = Rule.of("window.overwinter");
    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule AGAIN_P = Rule.of("next.again");
    private static final Rule AHEAD_DAYS = Rule.of("next.again-ahead");

    private static final int WITHIN_A_YEAR = 365;

    /** What is worth a new ring on one day is worth it for so many more, days. */
    private static final int AGAIN_DAYS = 14;

    private final HouseRules rules;
    private final PlaceClimate climate;
    private final RootingTime time;
    private final TimeToReady ready;
    private final ThermalSums sums;
    private final double speed;
    private final int seasons;
    private final School school;
    private final boolean hardy;
    private final @Nullable DaysOfYear leafless;
    private final @Nullable Integer growthStops;
    private final @Nullable Integer growthBegins;
    private final double roots;
    private final GrowingYears years;
    private final boolean lacksWinter;

    /**
     * @param seasons of the species at the place
     * @param time to a full ball: the profile's, or learned
     * @param sums thermal sums of the place, species, exposure and cover, that begin at or before the first start
     * @param speed of the recipe, above 0
     * @param roots the chance that a layer roots at all, 0 to 1; windows go by those that do
     * @param hardy whether top and young roots stand the winter on the plant
     * @throws OutOfRangeException if speed is not above 0 or chance that it roots is outside 0 to 1
     */
    public SettingWindows(
            HouseRules rules,
            PlaceClimate climate,
            SpeciesProfile species,
            Seasons seasons,
            RootingTime time,
            ThermalSums sums,
            double speed,
            double roots,
            School school,
            boolean hardy) {
        this.rules = rules;
        this.climate = climate;
        this.time = time;
        this.ready = time.prior(rules);
        this.sums = sums;
        this.speed = Require.positive("speed", speed);
        this.school = school;
        this.hardy = hardy;
        this.seasons = species.twoSeasons() ? 2 : 1;
        this.leafless = seasons.leafless();
        this.growthStops = Phenology.growthStops(rules, climate, species).orElse(null);
        this.growthBegins = Phenology.growthBegins(rules, climate, species).orElse(null);
        this.roots = Require.within("chance that it roots", roots, 0, 1);
        this.lacksWinter = Boolean.TRUE.equals(species.needsWinter()) && !Phenology.bringsWinter(rules, climate);
        this.years = new GrowingYears(climate, species.opensAtMeanC());
    }

    /** Whether the species needs a winter and none comes here. */
    public boolean lacksWinter() {
        return lacksWinter;
    }

    /** The chance that a layer roots at all. */
    public double roots() {
        return roots;
    }

    /** The time to a full ball that they rest on. */
    public RootingTime time() {
        return time;
    }

    /**
     * What a start date is worth. Past the deadline of its own season it is judged by the next one: what is set then meets
     * the winter on its mother.
     */
    public SettingWindow on(LocalDate start) {
        LocalDate own = deadline(start).orElse(null);
        boolean isPast = own != null && !own.isAfter(start);
        LocalDate deadline = isPast ? own.plusYears(1) : own;
        double p = deadline == null ? 1 : readyP(start, deadline);
        if (isTooEarly(start)) {
            return new SettingWindow(start, p, deadline, WindowClass.CLOSED, SettingWindow.End.TOO_EARLY);
        }
        if (isBarkTight(start)) {
            return new SettingWindow(start, p, deadline, WindowClass.CLOSED, SettingWindow.End.TOO_LATE);
        }
        if (!isPast && p >= rules.of(GOOD_P) && !isNearLeafFall(start)) {
            return new SettingWindow(start, p, deadline, WindowClass.GOOD, null);
        }
        if (!isPast && p >= rules.of(RISKY_P)) {
            return new SettingWindow(start, p, deadline, WindowClass.RISKY, null);
        }
        WindowClass windowClass = overwinters(start) ? WindowClass.OVERWINTER : WindowClass.CLOSED;
        return new SettingWindow(start, p, deadline, windowClass, SettingWindow.End.TOO_LATE);
    }

    /** Every start date of the half-open span [from, to). */
    public List<SettingWindow> between(LocalDate from, LocalDate to) {
        List<SettingWindow> all = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(to); day = day.plusDays(1)) {
            all.add(on(day));
        }
        return all;
    }

    /** Runs of equal class in the half-open span [from, to), in order: what a year strip draws. */
    public List<Band> bands(LocalDate from, LocalDate to) {
        List<Band> bands = new ArrayList<>();
        for (SettingWindow one : between(from, to)) {
            Band last = bands.isEmpty() ? null : bands.get(bands.size() - 1);
            if (last != null && last.windowClass() == one.windowClass() && last.end() == one.end()) {
                bands.set(
                        bands.size() - 1,
                        new Band(last.from(), one.start().plusDays(1), last.windowClass(), last.end()));
            } else {
                bands.add(new Band(one.start(), one.start().plusDays(1), one.windowClass(), one.end()));
            }
        }
        return bands;
    }

    /**
     * Start dates of one class.
     *
     * @param from the first of them
     * @param to the day after the last
     * @param end which end closed them; null if they are not closed
     */
    public record Band(LocalDate from, LocalDate to, WindowClass windowClass, SettingWindow.@Nullable End end) {}

    /** The first GOOD start date of the growing year that a day lies in; empty if there is none. */
    public Optional<LocalDate> firstGood(LocalDate day) {
        LocalDate year = years.startOf(day);
        return first(year, year.plusYears(1), one -> one.windowClass() == WindowClass.GOOD);
    }

    /** The last GOOD start date of that year; empty if there is none. */
    public Optional<LocalDate> lastGood(LocalDate day) {
        LocalDate year = years.startOf(day);
        for (LocalDate one = year.plusYears(1).minusDays(1); !one.isBefore(year); one = one.minusDays(1)) {
            if (on(one).windowClass() == WindowClass.GOOD) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /** The next GOOD start date on or after a day, within two years. */
    public Optional<LocalDate> nextGood(LocalDate day) {
        return first(day, day.plusYears(2), one -> one.windowClass() == WindowClass.GOOD);
    }

    private Optional<LocalDate> first(LocalDate from, LocalDate to, Predicate<SettingWindow> wanted) {
        for (LocalDate day = from; day.isBefore(to); day = day.plusDays(1)) {
            if (wanted.test(on(day))) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    /**
     * The last day by which a layer set on the start should be ready in the season of the start, which may be past; empty
     * where no frost comes.
     */
    public Optional<LocalDate> deadline(LocalDate start) {
        Optional<FrostCalendar> frosts = climate.frosts();
        if (frosts.isEmpty()) {
            return Optional.empty();
        }
        LocalDate year = years.startOf(start).plusYears(seasons - 1L);
        if (school == School.IN_LEAF) {
            return Optional.of(frosts.get().nextFirstEarly(year).minusDays(rules.count(ESTABLISH_DAYS)));
        }
        // where growth never stops the year turns on its coldest day
        return Optional.of(growthStops == null ? year.plusYears(1) : DaysOfYear.onOrAfter(growthStops, year));
    }

    /** Probability of a full ball by the end of a day, if it is set on the start. */
    public double readyP(LocalDate start, LocalDate by) {
        double thermalDays = speed * sums.between(start, by.plusDays(1));
        return thermalDays > 0 ? ready.fullBy(thermalDays) : 0;
    }

    /** Probability that a stage has begun by the end of a day, if it is set on the start. */
    double stageP(LocalDate start, LocalDate by, RootStage stage) {
        double thermalDays = speed * sums.between(start, by.plusDays(1));
        return thermalDays > 0 ? ready.fullBy(thermalDays / stage.beginsAt(rules)) : 0;
    }

    /** Probability of a full ball by the deadline; 1 where there is none. */
    public double readyInTimeP(LocalDate start) {
        return deadline(start).map(by -> readyP(start, by)).orElse(1.0);
    }

    /**
     * Probability of a full ball in time if a layer is ringed again on a day: by the deadline, or where there is none
     * within a year. It is 0 while the window is closed: too early, or past the deadline. It goes by a usual year, for no
     * day's weather is to take back what was said the day before, and by the best day of the last two weeks, so that what
     * is worth a ring stays so for long enough to be done.
     *
     * @param coverAtHand then what is full when growth stops can still be taken in
     */
    public double againP(LocalDate start, boolean coverAtHand) {
        if (isTooEarly(start) || isBarkTight(start)) {
            return 0;
        }
        LocalDate opens = againFrom(start).orElse(start);
        LocalDate lately = start.minusDays(AGAIN_DAYS);
        LocalDate from = lately.isBefore(opens) ? opens.isAfter(start) ? start : opens : lately;
        LocalDate usual = from.plusYears(1);
        double inTime = deadline(usual)
                .map(by -> readyP(usual, by))
                .orElseGet(() -> readyP(usual, usual.plusDays(WITHIN_A_YEAR)));
        if (!coverAtHand || growthStops == null || deadline(usual).isEmpty()) {
            return inTime;
        }
        return Math.max(inTime, readyP(usual, DaysOfYear.onOrAfter(growthStops, years.startOf(usual))));
    }

    /** The first day of a growing year on which rings may be cut anew; empty where it never is warm enough. */
    private Optional<LocalDate> againFrom(LocalDate start) {
        LocalDate frost = lastFrostOn(start);
        return opensOn(start)
                .map(opens -> opens.isBefore(frost) ? frost : opens)
                .map(warm ->
                        leafless != null && leafless.includes(warm) ? DaysOfYear.onOrAfter(leafless.to(), warm) : warm);
    }

    /**
     * Where it is too early in the growing year for a new ring: the day from which it is not, if that comes soon and a ring
     * then has a fair chance to be in time; else empty. No bark slips before the leaves are out.
     */
    public Optional<LocalDate> againAhead(LocalDate start, boolean coverAtHand) {
        LocalDate first = againFrom(start).orElse(null);
        if (first == null || !start.isBefore(first)) {
            return Optional.empty();
        }
        boolean soon = ChronoUnit.DAYS.between(start, first) <= rules.count(AHEAD_DAYS);
        return soon && againP(first, coverAtHand) >= rules.of(AGAIN_P) ? Optional.of(first) : Optional.empty();
    }

    /** The first day by whose end the ball is full with a probability, 0 < p < 1; empty beyond the horizon. */
    public Optional<LocalDate> readyOn(LocalDate start, double p) {
        return sums.firstDayReaching(start, ready.quantile(p) / speed);
    }

    private boolean isTooEarly(LocalDate start) {
        LocalDate opensOn = opensOn(start).orElse(null);
        return opensOn == null || start.isBefore(opensOn) || start.isBefore(lastFrostOn(start));
    }

    /** Whether a start lies past the deadline of its own season. */
    public boolean isPastDeadline(LocalDate start) {
        return deadline(start).map(day -> !day.isAfter(start)).orElse(false);
    }

    /** Whether bark slips no more in this growing year. */
    public boolean isBarkTight(LocalDate start) {
        return closesOn(start).map(day -> !start.isBefore(day)).orElse(false);
    }

    /** The day from which it slips no more; empty where it always does. */
    Optional<LocalDate> closesOn(LocalDate start) {
        return years.closesOn(start);
    }

    /** The day of the growing year on which the mean passes what the species opens at; empty if it never does. */
    Optional<LocalDate> opensOn(LocalDate start) {
        return years.opensOn(start);
    }

    /** The mean last frost of the growing year, after which rings may be cut; where no frost comes its first day. */
    public LocalDate lastFrostOn(LocalDate start) {
        return years.lastFrostOn(start);
    }

    /**
     * Days left to this growing year's leaf fall, below 0 when it is past; of what keeps its leaves, to the end of growth.
     * Empty where growth never stops.
     */
    Optional<Integer> daysToLeafFall(LocalDate start) {
        Integer fall = leafless != null ? Integer.valueOf(leafless.from()) : growthStops;
        return Optional.ofNullable(fall).map(day -> {
            LocalDate leafFall = DaysOfYear.onOrAfter(day, years.startOf(start));
            return (int) ChronoUnit.DAYS.between(start, leafFall);
        });
    }

    boolean isNearLeafFall(LocalDate start) {
        return daysToLeafFall(start)
                .map(days -> days < rules.count(LEAF_FALL_DAYS))
                .orElse(false);
    }

    /** Probability of a full ball early enough in the next season. */
    public double overwinterP(LocalDate start) {
        return nextSpring(start)
                .map(spring -> readyP(start, spring.plusDays(rules.count(OVERWINTER_DAYS))))
                .orElse(0.0);
    }

    /** The next leaf-out, or beginning of growth, or where growth never stops end of the frosts; empty without frosts. */
    private Optional<LocalDate> nextSpring(LocalDate start) {
        LocalDate next = years.startOf(start).plusYears(1);
        Integer spring = leafless != null ? Integer.valueOf(leafless.to()) : growthBegins;
        if (spring != null) {
            return Optional.of(DaysOfYear.onOrAfter(spring, next));
        }
        return climate.frosts().map(frosts -> frosts.nextLastLate(next));
    }

    boolean overwinters(LocalDate start) {
        return hardy && !isNearLeafFall(start) && overwinterP(start) >= rules.of(GOOD_P);
    }

    HouseRules rules() {
        return rules;
    }

    PlaceClimate climate() {
        return climate;
    }

    boolean isHardy() {
        return hardy;
    }
}
