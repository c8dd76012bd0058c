package org.kindgirdle.server.mothers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;

/** What was changed on the mothers, by whom and why; nothing of it is ever taken away. */
@Service
public class MotherHistory {

    private final MotherEventRepository events;
    private final BusinessClock clock;
    private final CurrentPerson person;

    MotherHistory(MotherEventRepository events, BusinessClock clock, CurrentPerson person) {
        this.events = events;
        this.clock = clock;
        this.person = person;
    }

    /** What happened to a mother. */
    public enum EntryKind {
        ADDED,
        EDITED,
        /** it turned out to be of another species or variety, and its layers with it */
        RELABELLED,
        RETIRED,
        RETURNED,
        /** it turned out to be the plant of another record, which has its layers from then on */
        MERGED,
        /** the other side of a merger */
        TOOK_IN
    }

    /** One fact that changed; either side is empty where there was nothing. */
    public record Change(String field, String was, String now) {}

    /** One entry of a history. */
    public record Entry(EntryKind kind, LocalDate on, String by, List<Change> changes, String reason) {}

    /** A label that was wrong, until a day. */
    public record FormerLabel(LocalDate until, String label) {}

    /** The newest first. */
    public List<Entry> of(long motherId) {
        return events.of(motherId).stream()
                .map(one -> new Entry(
                        one.event().kind, one.event().onDate, one.by(), one.event().changes, one.event().reason))
                .toList();
    }

    /**
     * What mothers were called before they were relabelled, the newest first. Labels that were written before that day
     * may still say it.
     *
     * @return by mother; without those that always had their name
     */
    public Map<Long, List<FormerLabel>> formerLabels() {
        Map<Long, List<FormerLabel>> labels = new HashMap<>();
        events.findByKindOrderByIdDesc(EntryKind.RELABELLED)
                .forEach(one -> labels.computeIfAbsent(one.motherId, id -> new ArrayList<>())
                        .add(new FormerLabel(one.onDate, said(one.changes))));
        return labels;
    }

    private static String said(List<Change> changes) {
        return changes.stream().map(Change::was).collect(Collectors.joining(" "));
    }

    void add(long motherId, EntryKind kind, LocalDate on, List<Change> changes, String reason) {
        MotherEventRow one = new MotherEventRow(motherId, kind, on, changes, reason);
        one.recordedAt = clock.systemNow();
        one.recordedBy = person.find().map(who -> who.name()).orElse("");
        events.save(one);
    }

    /** What differs between two states, in the order of the names. */
    static List<Change> changes(Map<String, @Nullable Object> before, Map<String, @Nullable Object> after) {
        List<Change> all = new ArrayList<>();
        for (Map.Entry<String, @Nullable Object> fact : new TreeMap<>(after).entrySet()) {
            String was = Objects.toString(before.get(fact.getKey()), "");
            String now = Objects.toString(fact.getValue(), "");
            if (!was.equals(now)) {
                all.add(new Change(fact.getKey(), was, now));
            }
        }
        return all;
    }
}
