package org.kindgirdle.server.calendar;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What calendars were told, so that a change goes out as a change and what is gone as a cancellation. */
@Component
class Told {

    private final CalendarEntryRepository entries;
    private final EntityManager entities;
    private final BusinessClock clock;

    Told(CalendarEntryRepository entries, EntityManager entities, BusinessClock clock) {
        this.entries = entries;
        this.entities = entities;
        this.clock = clock;
    }

    /** @param sequence how often it has changed since it was first told */
    record ToldEntry(Entry entry, int sequence, Instant changedAt, boolean cancelled) {}

    /**
     * Keeps what is told now.
     *
     * @return what is ahead, and what was to be ahead and is no more
     */
    @Transactional
    List<ToldEntry> tell(List<Entry> ahead) {
        LocalDate today = clock.today();
        Instant now = clock.systemNow();
        entries.forgetBefore(today);
        Map<String, CalendarEntryRow> rows =
                entries.lockAll().stream().collect(Collectors.toMap(row -> row.uid, Function.identity()));
        Map<String, ToldEntry> known = new HashMap<>();
        rows.forEach((uid, row) -> known.put(uid, row.told()));
        List<ToldEntry> all = new ArrayList<>();
        for (Entry entry : ahead) {
            ToldEntry before = known.remove(entry.uid());
            if (before != null && !before.cancelled() && before.entry().equals(entry)) {
                all.add(before);
                continue;
            }
            ToldEntry told = new ToldEntry(entry, before == null ? 0 : before.sequence() + 1, now, false);
            keep(told, rows);
            all.add(told);
        }
        for (ToldEntry gone : known.values()) {
            ToldEntry told = gone.cancelled() ? gone : new ToldEntry(gone.entry(), gone.sequence() + 1, now, true);
            if (!gone.cancelled()) {
                keep(told, rows);
            }
            all.add(told);
        }
        return all;
    }

    private void keep(ToldEntry told, Map<String, CalendarEntryRow> rows) {
        CalendarEntryRow row = rows.get(told.entry().uid());
        if (row == null) {
            row = new CalendarEntryRow(told.entry().uid());
            entities.persist(row);
        }
        row.tell(told);
    }
}
