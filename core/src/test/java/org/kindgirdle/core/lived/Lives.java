package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.truth.Clime;
import org.kindgirdle.core.truth.Kind;
import org.kindgirdle.core.truth.Luck;

/** The layers of one nursery, each in the hands of three growers, from the day it is set until it is released or lost. */
final class Lives {

    private static final int YEARS = 3;
    private static final String STILL_THERE = "neither released nor lost in time";

    private Lives() {}

    /**
     * What came of them.
     *
     * @param follower plants released by who does what the rules say; knowing and calendar alike
     * @param ends how the follower's layers ended, and how often
     * @param cases of what must never happen
     * @param told the story of the layer that was asked for
     * @param longestRound minutes that the follower's layers took on one day, at most
     */
    record Result(
            String clime,
            int layers,
            int follower,
            int knowing,
            int calendar,
            Map<String, Integer> ends,
            List<Case> cases,
            List<String> told,
            double longestRound) {}

    /**
     * @param which layers of the nursery live, by number
     * @param story the layer whose story is wanted; -1 for none
     */
    static Result live(Clime clime, long seed, IntPredicate which, int story) {
        return live(clime, seed, YEARS, which, story);
    }

    /** @param years that a layer lives at most, 1 to 3 */
    static Result live(Clime clime, long seed, int years, IntPredicate which, int story) {
        Nursery nursery = new Nursery(clime, seed);
        Luck world = new Luck(seed);
        List<Case> cases = new ArrayList<>();
        List<String> told = new ArrayList<>();
        Map<String, Kind> kinds = new HashMap<>();
        List<Grower> followers = new ArrayList<>();
        List<Grower> knowing = new ArrayList<>();
        List<Grower> calendar = new ArrayList<>();
        for (Beginning begun : Beginning.of(nursery, world)) {
            if (!which.test(begun.number())) {
                continue;
            }
            Kind kind = kinds.computeIfAbsent(
                    begun.species().code(),
                    code -> ShippedSpecies.kind(begun.species()).asItIs(world.of(code.hashCode())));
            Luck rounds = world.of(-1);
            @Nullable List<String> listens = begun.number() == story ? told : null;
            followers.add(new Follower(
                    new Plant(begun, kind, world, nursery), nursery, rounds, new Watch(begun, cases, listens)));
            knowing.add(new Knowing(new Plant(begun, kind, world, nursery), nursery, rounds));
            calendar.add(new ByCalendar(new Plant(begun, kind, world, nursery), nursery, rounds));
        }
        List<Grower> all = new ArrayList<>(followers);
        all.addAll(knowing);
        all.addAll(calendar);
        double longest = 0;
        LocalDate first = nursery.today();
        for (LocalDate day = first;
                all.stream().anyMatch(one -> !one.isOver()) && day.getYear() < Nursery.FIRST_YEAR + 5;
                day = day.plusDays(1)) {
            nursery.dawn(day);
            for (Grower one : all) {
                live(one, day, years);
            }
            longest = Math.max(
                    longest, followers.stream().mapToDouble(Grower::takeMinutes).sum());
        }
        Map<String, Integer> ends = new TreeMap<>();
        followers.forEach(one -> ends.merge(one.isOver() ? one.end() : STILL_THERE, 1, Integer::sum));
        return new Result(
                clime.name(),
                followers.size(),
                released(followers),
                released(knowing),
                released(calendar),
                ends,
                cases,
                told,
                longest);
    }

    private static void live(Grower one, LocalDate day, int years) {
        if (one.isOver()) {
            return;
        }
        long age = ChronoUnit.DAYS.between(one.plant.begun.on(), day);
        if (age > 365L * years) {
            one.lose(STILL_THERE);
        } else if (age >= 0) {
            one.day(day);
        }
        if (!one.isOver()) {
            one.plant.pass(one.nursery, day);
        }
    }

    private static int released(List<Grower> some) {
        return (int) some.stream().filter(Grower::released).count();
    }
}
