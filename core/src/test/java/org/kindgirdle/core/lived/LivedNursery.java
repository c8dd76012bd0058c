package org.kindgirdle.core.lived;

import java.time.LocalDate;
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
final class LivedNursery {

    private static final int YEARS = 3;

    private LivedNursery() {}

    /**
     * What came of them.
     *
     * @param follower plants released by who does what the rules say; knowing and calendar alike
     * @param ends how the follower's layers ended, and how often
     * @param cases of what must never happen
     * @param told the story of the layer that was asked for
     * @param longestRound minutes that the follower's layers took on one day, at most
     * @param cutShort days on which the follower ran out of minutes
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
            double longestRound,
            int cutShort) {}

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
        Team followers = new Team();
        Team knowing = new Team();
        Team calendar = new Team();
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
                    new Plant(begun, kind, world, nursery),
                    nursery,
                    followers.hands(),
                    rounds,
                    new Watch(begun, cases, listens)));
            knowing.add(new Knowing(new Plant(begun, kind, world, nursery), nursery, knowing.hands(), rounds));
            calendar.add(new ByCalendar(new Plant(begun, kind, world, nursery), nursery, calendar.hands(), rounds));
        }
        List<Team> teams = List.of(followers, knowing, calendar);
        LocalDate first = nursery.today();
        for (LocalDate day = first;
                teams.stream().anyMatch(team -> !team.isOver()) && day.getYear() < Nursery.FIRST_YEAR + 5;
                day = day.plusDays(1)) {
            nursery.dawn(day);
            for (Team team : teams) {
                team.live(day, years);
            }
        }
        Map<String, Integer> ends = new TreeMap<>();
        followers.layers().forEach(one -> ends.merge(one.isOver() ? one.end() : Team.STILL_THERE, 1, Integer::sum));
        return new Result(
                clime.name(),
                followers.layers().size(),
                followers.released(),
                knowing.released(),
                calendar.released(),
                ends,
                cases,
                told,
                followers.longest(),
                followers.cutShort());
    }
}
