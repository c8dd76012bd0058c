package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;

/**
 * Where a severed layer stands.
 *
 * @param severedOn the day it was cut off
 * @param potted whether it is in its pot
 * @param mossSince the day it came into a moss tray; null if it stands in none
 * @param ladder the way it goes
 * @param rung its step of the ladder
 * @param rungSince the day it came there
 * @param seen what was seen on it, oldest first
 * @param seenBefore how many of those were seen before it came to its rung
 */
public record PlantState(
        LocalDate severedOn,
        boolean potted,
        @Nullable LocalDate mossSince,
        Ladder ladder,
        Rung rung,
        LocalDate rungSince,
        List<Seen> seen,
        int seenBefore) {

    /** What was seen on the day on which it came to its rung was seen there. */
    public PlantState(
            LocalDate severedOn,
            boolean potted,
            @Nullable LocalDate mossSince,
            Ladder ladder,
            Rung rung,
            LocalDate rungSince,
            List<Seen> seen) {
        this(severedOn, potted, mossSince, ladder, rung, rungSince, seen, (int)
                seen.stream().filter(one -> one.on().isBefore(rungSince)).count());
    }

    /**
     * @param on the day
     * @param signs what was seen
     */
    public record Seen(LocalDate on, Set<PlantSign> signs) {

        public Seen {
            signs = Set.copyOf(signs);
        }

        boolean droops() {
            return signs.contains(PlantSign.DROOP) || signs.contains(PlantSign.CURL);
        }
    }

    public PlantState {
        seen = List.copyOf(seen);
    }

    /** The next rung that its ladder has; empty on the last. */
    public Optional<Rung> up(HouseRules rules) {
        Optional<Rung> next = rung.up();
        while (next.isPresent() && isLeftOut(next.get(), rules)) {
            next = next.get().up();
        }
        return next;
    }

    /** The rung before it on its ladder; empty on the first. */
    Optional<Rung> down(HouseRules rules) {
        Optional<Rung> next = rung.down();
        while (next.isPresent() && ladder == Ladder.GROUND && isLeftOut(next.get(), rules)) {
            next = next.get().down();
        }
        return next;
    }

    /** In the ground nothing is moved: there is the shade cloth, and then there is none. */
    private boolean isLeftOut(Rung one, HouseRules rules) {
        return ladder == Ladder.GROUND && one != Rung.OPEN && ladder.days(rules, one) == 0;
    }

    /** As it would be with one more observation. */
    public PlantState plus(Seen more) {
        List<Seen> all = new ArrayList<>(seen);
        all.add(more);
        return new PlantState(severedOn, potted, mossSince, ladder, rung, rungSince, all, seenBefore);
    }

    /** The last day it drooped or curled; null if it never did. */
    public @Nullable LocalDate lastDroop() {
        return seen.stream()
                .filter(Seen::droops)
                .map(Seen::on)
                .reduce((a, b) -> b)
                .orElse(null);
    }

    /** The last day on which a sign was seen; empty if it never was. */
    public Optional<LocalDate> lastSeen(PlantSign sign) {
        return seen.stream()
                .filter(one -> one.signs().contains(sign))
                .map(Seen::on)
                .reduce((a, b) -> b);
    }

    boolean everShowed(PlantSign sign) {
        return lastSeen(sign).isPresent();
    }

    /** Whether the newest observation shows the sign. */
    public boolean showsNow(PlantSign sign) {
        return signsNow().contains(sign);
    }

    /** What the newest observation shows; empty before any. */
    Set<PlantSign> signsNow() {
        return seen.isEmpty() ? Set.of() : seen.get(seen.size() - 1).signs();
    }

    /** Whether it was last seen on the rung on which it stands. */
    boolean wasSeenHere() {
        return seen.size() > seenBefore;
    }

    boolean droopsNow() {
        return !seen.isEmpty() && seen.get(seen.size() - 1).droops();
    }

    /** Drooped on two days running, and still does. */
    boolean wiltsTwoDaysRunning() {
        return droopsNow()
                && seen.stream()
                        .anyMatch(one ->
                                one.droops() && one.on().equals(lastDroopDay().minusDays(1)));
    }

    private LocalDate lastDroopDay() {
        return seen.get(seen.size() - 1).on();
    }
}
