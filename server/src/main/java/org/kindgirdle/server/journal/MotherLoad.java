package org.kindgirdle.server.journal;

import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.core.set.Method;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** How many layers stand on the mothers now. */
@Service
public class MotherLoad {

    /** What roots off its mother asks nothing of it. */
    private static final String ON_MOTHER = "phase = 'ON_MOTHER' and method not in ("
            + Arrays.stream(Method.values())
                    .filter(method -> !method.staysOnMother())
                    .map(method -> "'" + method + "'")
                    .collect(Collectors.joining(", "))
            + ")";

    private final JdbcTemplate jdbc;

    MotherLoad(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    public long underRings(long motherId) {
        Long count = jdbc.queryForObject(
                "select count(*) from layer where mother_id = ? and " + ON_MOTHER, Long.class, motherId);
        return count == null ? 0 : count;
    }

    /** By mother's id; mothers without layers are left out. */
    public Map<Long, Long> underRings() {
        return jdbc
                .queryForList("select mother_id, count(*) n from layer where " + ON_MOTHER + " group by mother_id")
                .stream()
                .collect(Collectors.toMap(
                        row -> ((Number) row.get("mother_id")).longValue(),
                        row -> ((Number) row.get("n")).longValue()));
    }
}
