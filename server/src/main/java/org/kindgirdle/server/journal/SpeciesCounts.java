package org.kindgirdle.server.journal;

import org.kindgirdle.core.learn.Share;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How the finished layers of a species went. */
@Component
public class SpeciesCounts {

    private final JdbcTemplate jdbc;

    SpeciesCounts(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param rooted of the layers that rooted or were lost before
     * @param established of the rooted ones that were released or lost after severance
     */
    public record Counts(Share rooted, Share established) {}

    public Counts of(String speciesCode) {
        // a layer that was lost after severance has stood on a rung of the ladder
        return jdbc.queryForObject(
                "select coalesce(sum(l.phase in ('SEVERED', 'POTTED', 'RELEASED') or l.rung is not null), 0),"
                        + " coalesce(sum(l.phase = 'LOST' and l.rung is null), 0),"
                        + " coalesce(sum(l.phase = 'RELEASED'), 0),"
                        + " coalesce(sum(l.phase = 'LOST' and l.rung is not null), 0)"
                        + " from layer l join mother m on m.id = l.mother_id where m.species_code = ?",
                (row, number) -> new Counts(
                        new Share(row.getInt(1), row.getInt(1) + row.getInt(2)),
                        new Share(row.getInt(3), row.getInt(3) + row.getInt(4))),
                speciesCode);
    }
}
