package org.kindgirdle.server.calendar;

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
class ToldEntries {

    private final CalendarEntryRepository entries;
    private final BusinessClock clock;

    ToldEntries(CalendarEntryRepository entries, BusinessClock clock) {
        this.entries = entries;
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
        Entry entry = told.entry();
        CalendarEntryRow row = rows.get(entry.uid());
        if (row == null) {
            entries.tellFirst(
                    entry.uid(), entry.from(), entry.to(), entry.summary(), entry.description(), told.changedAt());
        } else {
            row.tell(told);
        }
    }
}
