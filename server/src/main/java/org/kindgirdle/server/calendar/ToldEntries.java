package org.kindgirdle.server.calendar;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What calendars were told, so that a change goes out as a change and what is gone as a cancellation. */
@Component
class ToldEntries {

    private final CalendarEntryRepository entries;
    private final EntityManager rows;
    private final BusinessClock clock;

    ToldEntries(CalendarEntryRepository entries, EntityManager rows, BusinessClock clock) {
        this.entries = entries;
        this.rows = rows;
        this.clock = clock;
    }

    /** @param sequence how often it has changed since it was first told */
    record ToldEntry(Entry entry, int sequence, Instant changedAt, boolean cancelled) {}

    /**
     * Keeps what is told now: one reader at a time, so that two that read for the first time tell it alike.
     *
     * @return what is ahead, and what was to be ahead and is no more
     */
    @Transactional
    List<ToldEntry> tell(List<Entry> ahead) {
        LocalDate today = clock.today();
        Instant now = clock.systemNow();
        rows.find(CalendarLockRow.class, CalendarLockRow.ID, LockModeType.PESSIMISTIC_WRITE);
        entries.forgetBefore(today);
        Map<String, CalendarEntryRow> kept =
                entries.findAll().stream().collect(Collectors.toMap(row -> row.uid, Function.identity()));
        Map<String, ToldEntry> known = new HashMap<>();
        kept.forEach((uid, row) -> known.put(uid, row.told()));
        List<ToldEntry> all = new ArrayList<>();
        for (Entry entry : ahead) {
            ToldEntry before = known.remove(entry.uid());
            if (before != null && !before.cancelled() && before.entry().equals(entry)) {
                all.add(before);
                continue;
            }
            ToldEntry told = new ToldEntry(entry, before == null ? 0 : before.sequence() + 1, now, false);
            keep(told, kept.get(entry.uid()));
            all.add(told);
        }
        for (ToldEntry gone : known.values()) {
            ToldEntry told = gone.cancelled() ? gone : new ToldEntry(gone.entry(), gone.sequence() + 1, now, true);
            if (!gone.cancelled()) {
                keep(told, kept.get(gone.entry().uid()));
            }
            all.add(told);
        }
        return all;
    }

    private void keep(ToldEntry told, @Nullable CalendarEntryRow kept) {
        if (kept == null) {
            rows.persist(new CalendarEntryRow(told));
        } else {
            kept.tell(told);
        }
    }
}
