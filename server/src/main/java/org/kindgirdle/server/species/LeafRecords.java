package org.kindgirdle.server.species;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.SeenLeaf;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When leaves came and fell, by species and place: the newest of each kind that stands overrules what is expected. */
@Service
public class LeafRecords {

    /** Two of a kind that lie closer than this are of one season: the later record puts the earlier right. */
    private static final int ONE_SEASON_DAYS = 150;

    /** No winter, and no summer, is shorter: what leaves less was typed in the wrong month. */
    private static final int LEAST_DAYS = 21;

    private static final int MAX_YEARS_BACK = 10;

    private final LeafRecordRepository records;
    private final Places places;
    private final SpeciesProfiles profiles;
    private final NurseryLock lock;
    private final BusinessClock clock;
    private final CurrentPerson person;
    private final ApplicationEventPublisher events;
    private final Phrases phrases;

    LeafRecords(
            LeafRecordRepository records,
            Places places,
            SpeciesProfiles profiles,
            NurseryLock lock,
            BusinessClock clock,
            CurrentPerson person,
            ApplicationEventPublisher events,
            Phrases phrases) {
        this.records = records;
        this.places = places;
        this.profiles = profiles;
        this.lock = lock;
        this.clock = clock;
        this.person = person;
        this.events = events;
        this.phrases = phrases;
    }

    /** What was seen of one species at one place; null of what nobody said. */
    public record Seen(
            @Nullable LeafRecordView out, @Nullable LeafRecordView fall) {

        public static final Seen NOTHING = new Seen(null, null);

        public @Nullable LeafRecordView of(LeafKind kind) {
            return kind == LeafKind.LEAF_OUT ? out : fall;
        }

        public SeenLeaf days() {
            return new SeenLeaf(day(out), day(fall));
        }

        private static @Nullable Integer day(@Nullable LeafRecordView one) {
            return one == null ? null : Math.min(365, one.on().getDayOfYear());
        }
    }

    /** What had been seen by a day, by place and species as {@link #key} makes it. */
    @Transactional(readOnly = true)
    public Map<String, Seen> asOf(LocalDate day) {
        Map<String, Seen> seen = new HashMap<>();
        records.findByTakenBackOnIsNullOrderBySeenOnAscIdAsc().stream()
                .filter(one -> !one.seenOn.isAfter(day))
                .forEach(one -> seen.merge(
                        key(one.placeId, one.speciesCode),
                        with(Seen.NOTHING, view(one)),
                        (before, now) -> with(before, view(one))));
        return seen;
    }

    public static String key(long placeId, String speciesCode) {
        return placeId + "/" + speciesCode;
    }

    private static Seen with(Seen seen, LeafRecordView one) {
        return one.kind() == LeafKind.LEAF_OUT ? new Seen(one, seen.fall()) : new Seen(seen.out(), one);
    }

    /** The dates of all layers of the species follow. */
    @Transactional
    public LeafRecordView record(long placeId, String speciesCode, LeafKind kind, LocalDate on) {
        lock.holdForChange();
        PlaceView place = places.all().stream()
                .filter(one -> Long.valueOf(placeId).equals(one.id()))
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("place", placeId));
        SpeciesView species = profiles.one(speciesCode);
        String common = species.profile().common();
        if (species.profile().habit() != Habit.DECIDUOUS) {
            throw ProblemException.invalid(
                    "speciesCode",
                    speciesCode,
                    phrases.say("leaf.deciduous"),
                    phrases.say("leaf.evergreen", Map.of("species", common)));
        }
        LocalDate today = clock.today();
        LocalDate first = today.minusYears(MAX_YEARS_BACK);
        Format format = new Format(person.units(), today);
        if (on.isAfter(today) || on.isBefore(first)) {
            throw ProblemException.invalid(
                    "on", on, Refusals.say("days.allowed", "first", first, "last", today), phrases.say("leaf.seen"));
        }
        List<LeafRecord> before =
                records.findByPlaceIdAndSpeciesCodeAndTakenBackOnIsNullOrderBySeenOnAscIdAsc(placeId, speciesCode);
        before.stream()
                .filter(one -> one.kind != kind)
                .filter(one -> Math.abs(ChronoUnit.DAYS.between(one.seenOn, on)) < LEAST_DAYS)
                .findFirst()
                .ifPresent(one -> {
                    throw ProblemException.invalid(
                            "on",
                            on,
                            phrases.say(
                                    "leaf.apart",
                                    Map.of("days", format.days(LEAST_DAYS), "on", format.day(one.seenOn))),
                            phrases.say(
                                    "leaf.close." + one.kind,
                                    Map.of("species", common, "place", place.name(), "on", format.day(one.seenOn))));
                });
        before.stream()
                .filter(one -> one.kind == kind)
                .filter(one -> Math.abs(ChronoUnit.DAYS.between(one.seenOn, on)) < ONE_SEASON_DAYS)
                .forEach(one -> one.takenBackOn = today);
        LeafRecord made = records.save(new LeafRecord(placeId, speciesCode, kind, on, person.fullName(), today));
        events.publishEvent(new MasterDataChanged("leaves of " + speciesCode));
        return view(made);
    }

    /** It was not so. The row is kept. */
    @Transactional
    public LeafRecordView takeBack(long id) {
        lock.holdForChange();
        LeafRecord one = records.findById(id)
                .filter(each -> each.takenBackOn == null)
                .orElseThrow(() -> ProblemException.notFound("leaf record", id));
        one.takenBackOn = clock.today();
        events.publishEvent(new MasterDataChanged("leaves of " + one.speciesCode));
        return view(one);
    }

    private static LeafRecordView view(LeafRecord one) {
        if (one.id == null) {
            throw new IllegalStateException("a stored row without an id");
        }
        return new LeafRecordView(one.id, one.placeId, one.speciesCode, one.kind, one.seenOn, one.madeBy, one.madeOn);
    }
}
