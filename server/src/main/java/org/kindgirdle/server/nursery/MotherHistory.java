package org.kindgirdle.server.nursery;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** What was changed on the mothers, by whom and why; nothing of it is ever taken away. */
@Service
public class MotherHistory {

    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final BusinessClock clock;
    private final CurrentPerson person;

    MotherHistory(JdbcTemplate jdbc, JsonMapper json, BusinessClock clock, CurrentPerson person) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
        this.person = person;
    }

    /** What happened to a mother. */
    public enum Kind {
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
    public record Entry(Kind kind, LocalDate on, String by, List<Change> changes, String reason) {}

    /** A label that was wrong, until a day. */
    public record FormerLabel(LocalDate until, String label) {}

    /** The newest first. */
    public List<Entry> of(long motherId) {
        return jdbc.query(
                "select e.kind, e.on_date, coalesce(p.full_name, e.recorded_by), e.changes, e.reason from mother_event e"
                        + " left join person p on p.name = e.recorded_by where e.mother_id = ? order by e.id desc",
                (row, number) -> new Entry(
                        Kind.valueOf(row.getString(1)),
                        row.getObject(2, LocalDate.class),
                        row.getString(3),
                        Arrays.asList(json.readValue(row.getString(4), Change[].class)),
                        row.getString(5)),
                motherId);
    }

    /**
     * What mothers were called before they were relabelled, the newest first. Labels that were written before that day
     * may still say it.
     *
     * @return by mother; without those that always had their name
     */
    public Map<Long, List<FormerLabel>> formerLabels(Collection<Long> mothers) {
        Map<Long, List<FormerLabel>> labels = new HashMap<>();
        if (!mothers.isEmpty()) {
            new NamedParameterJdbcTemplate(jdbc)
                    .query(
                            "select mother_id, on_date, changes from mother_event where mother_id in (:mothers)"
                                    + " and kind = 'RELABELLED' order by id desc",
                            Map.of("mothers", mothers),
                            row -> {
                                labels.computeIfAbsent(row.getLong(1), id -> new ArrayList<>())
                                        .add(new FormerLabel(
                                                row.getObject(2, LocalDate.class), said(row.getString(3))));
                            });
        }
        return labels;
    }

    private String said(String changes) {
        return Arrays.stream(json.readValue(changes, Change[].class))
                .map(Change::was)
                .collect(Collectors.joining(" "));
    }

    void add(long motherId, Kind kind, LocalDate on, List<Change> changes, String reason) {
        jdbc.update(
                "insert into mother_event (mother_id, kind, on_date, recorded_at, recorded_by, changes, reason)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                motherId,
                kind.name(),
                on,
                LocalDateTime.ofInstant(clock.systemNow(), ZoneOffset.UTC),
                person.find().map(who -> who.name()).orElse(""),
                json.writeValueAsString(changes),
                reason);
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
