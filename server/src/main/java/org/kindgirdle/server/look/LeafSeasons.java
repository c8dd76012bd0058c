package org.kindgirdle.server.look;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.species.LeafKind;
import org.kindgirdle.server.species.LeafRecordView;
import org.kindgirdle.server.species.LeafRecords;
import org.springframework.stereotype.Service;

/** When the leaves of the nursery's deciduous mothers come and fall, and which of it somebody should look at now. */
@Service
class LeafSeasons {

    /** From so many days before the day on which it is expected it is asked for on the walk, */
    private static final int ASKED_BEFORE_DAYS = 30;

    /** and until so many days after. */
    private static final int ASKED_AFTER_DAYS = 60;

    private static final int HALF_A_YEAR = 182;

    /**
     * The leaves of a species at a place where mothers of it stand.
     *
     * @param leafOutOn the nearest leaf-out that the dates go by, seen or expected; null if it keeps its leaves there
     * @param leafFallOn the nearest leaf fall that the dates go by; null if it keeps its leaves there
     * @param leafOut what was seen; null if nobody said
     * @param leafFall what was seen; null if nobody said
     * @param asked what is worth a look now; null if nothing is
     */
    record LeafSeason(
            long placeId,
            String place,
            String speciesCode,
            String common,
            @Nullable LocalDate leafOutOn,
            @Nullable LocalDate leafFallOn,
            @Nullable LeafRecordView leafOut,
            @Nullable LeafRecordView leafFall,
            @Nullable LeafKind asked) {}

    /** By place in walking order, then by name. */
    List<LeafSeason> all(NurserySnapshot nursery) {
        return nursery.mothers().stream()
                .filter(mother -> mother.retiredOn() == null)
                .filter(mother ->
                        nursery.species(mother.speciesCode()).profile().habit() == Habit.DECIDUOUS)
                .map(mother -> LeafRecords.key(mother.placeId(), mother.speciesCode()))
                .distinct()
                .map(key -> season(nursery, motherOf(nursery, key)))
                .sorted(Comparator.comparingInt(
                                (LeafSeason one) -> nursery.place(one.placeId()).walkingOrder())
                        .thenComparing(LeafSeason::place)
                        .thenComparing(LeafSeason::common, String.CASE_INSENSITIVE_ORDER))
                .toList();
    }

    /** Those that somebody on the walk should look at. */
    List<LeafSeason> asked(NurserySnapshot nursery) {
        return all(nursery).stream().filter(one -> one.asked() != null).toList();
    }

    private static MotherView motherOf(NurserySnapshot nursery, String key) {
        return nursery.mothers().stream()
                .filter(mother ->
                        LeafRecords.key(mother.placeId(), mother.speciesCode()).equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static LeafSeason season(NurserySnapshot nursery, MotherView mother) {
        LocalDate today = nursery.today();
        LeafRecords.Seen seen = nursery.seenLeaf(mother.placeId(), mother.speciesCode());
        DaysOfYear leafless = nursery.leafless(mother.placeId(), mother.speciesCode());
        LocalDate out = leafless == null ? null : nearest(leafless.to(), today);
        LocalDate fall = leafless == null ? null : nearest(leafless.from(), today);
        LeafKind asked = isAsked(out, seen.out(), today)
                ? LeafKind.LEAF_OUT
                : isAsked(fall, seen.fall(), today) ? LeafKind.LEAF_FALL : null;
        return new LeafSeason(
                mother.placeId(),
                nursery.place(mother.placeId()).name(),
                mother.speciesCode(),
                nursery.species(mother.speciesCode()).profile().common(),
                out,
                fall,
                seen.out(),
                seen.fall(),
                asked);
    }

    private static boolean isAsked(@Nullable LocalDate expected, @Nullable LeafRecordView seen, LocalDate today) {
        if (expected == null || (seen != null && ChronoUnit.DAYS.between(seen.on(), today) < HALF_A_YEAR)) {
            return false;
        }
        long ahead = ChronoUnit.DAYS.between(today, expected);
        return ahead <= ASKED_BEFORE_DAYS && ahead >= -ASKED_AFTER_DAYS;
    }

    /** The date with that day of the year that lies nearest. */
    private static LocalDate nearest(int dayOfYear, LocalDate today) {
        return DaysOfYear.onOrAfter(dayOfYear, today.minusDays(HALF_A_YEAR));
    }
}
