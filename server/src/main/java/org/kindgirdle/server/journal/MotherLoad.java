package org.kindgirdle.server.journal;

import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** How many layers stand on the mothers now. */
@Service
public class MotherLoad {

    private final JdbcTemplate jdbc;

    MotherLoad(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    public long underRings(long motherId) {
        Long count = jdbc.queryForObject(
                "select count(*) from layer where mother_id = ? and phase = 'ON_MOTHER'", Long.class, motherId);
        return count == null ? 0 : count;
    }

    /** By mother's id; mothers without layers are left out. */
    public Map<Long, Long> underRings() {
        return jdbc
                .queryForList("select mother_id, count(*) n from layer where phase = 'ON_MOTHER' group by mother_id")
                .stream()
                .collect(Collectors.toMap(
                        row -> ((Number) row.get("mother_id")).longValue(),
                        row -> ((Number) row.get("n")).longValue()));
    }
}
