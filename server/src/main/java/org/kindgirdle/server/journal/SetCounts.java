package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How many layers were set of each species, by day. */
@Component
public class SetCounts {

    private final JdbcTemplate jdbc;

    SetCounts(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** Layers of a species that were set on a day. */
    public record SetCount(String speciesCode, LocalDate on, int layers) {}

    /** By mother; those with none are left out. */
    public Map<Long, Integer> byMother() {
        Map<Long, Integer> counts = new HashMap<>();
        jdbc.query("select mother_id, count(*) from layer where phase <> 'WITHDRAWN' group by mother_id", row -> {
            counts.put(row.getLong(1), row.getInt(2));
        });
        return counts;
    }

    /** Of the half-open span [from, to), in order of the days; what was taken back does not count. */
    public List<SetCount> between(LocalDate from, LocalDate to) {
        return jdbc.query(
                "select m.species_code, l.set_on, count(*) from layer l join mother m on m.id = l.mother_id"
                        + " where l.set_on >= ? and l.set_on < ? and l.phase <> 'WITHDRAWN'"
                        + " group by m.species_code, l.set_on order by l.set_on",
                (row, number) -> new SetCount(row.getString(1), row.getObject(2, LocalDate.class), row.getInt(3)),
                from,
                to);
    }
}
