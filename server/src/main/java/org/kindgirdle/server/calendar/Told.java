package org.kindgirdle.server.calendar;

import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What calendars were told, so that a change goes out as a change and what is gone as a cancellation. */
@Component
class Told {

    private final JdbcTemplate jdbc;
    private final BusinessClock clock;

    Told(JdbcTemplate jdbc, BusinessClock clock) {
        this.jdbc = jdbc;
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
        jdbc.update("delete from calendar_entry where to_day < ?", today);
        Map<String, ToldEntry> known = known();
        List<ToldEntry> all = new ArrayList<>();
        for (Entry entry : ahead) {
            ToldEntry before = known.remove(entry.uid());
            if (before != null && !before.cancelled() && before.entry().equals(entry)) {
                all.add(before);
                continue;
            }
            ToldEntry told = new ToldEntry(entry, before == null ? 0 : before.sequence() + 1, now, false);
            keep(told);
            all.add(told);
        }
        for (ToldEntry gone : known.values()) {
            ToldEntry told = gone.cancelled() ? gone : new ToldEntry(gone.entry(), gone.sequence() + 1, now, true);
            if (!gone.cancelled()) {
                keep(told);
            }
            all.add(told);
        }
        return all;
    }

    private Map<String, ToldEntry> known() {
        Map<String, ToldEntry> known = new HashMap<>();
        jdbc.query("select * from calendar_entry order by uid for update", row -> {
            Entry entry = new Entry(
                    row.getString("uid"),
                    row.getDate("from_day").toLocalDate(),
                    row.getDate("to_day").toLocalDate(),
                    row.getString("summary"),
                    row.getString("description"));
            known.put(
                    entry.uid(),
                    new ToldEntry(
                            entry,
                            row.getInt("sequence"),
                            row.getTimestamp("changed_at").toInstant(),
                            row.getBoolean("cancelled")));
        });
        return known;
    }

    private void keep(ToldEntry told) {
        Entry entry = told.entry();
        jdbc.update(
                "replace into calendar_entry (uid, from_day, to_day, summary, description, sequence, changed_at,"
                        + " cancelled) values (?, ?, ?, ?, ?, ?, ?, ?)",
                entry.uid(),
                entry.from(),
                entry.to(),
                entry.summary(),
                entry.description(),
                told.sequence(),
                Timestamp.from(told.changedAt()),
                told.cancelled());
    }
}
