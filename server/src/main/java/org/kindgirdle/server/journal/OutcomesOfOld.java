package org.kindgirdle.server.journal;

import org.kindgirdle.server.opening.BeforeServing;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Layers written before their outcome was kept with them are worked out once. */
@Component
@Order(1)
class OutcomesOfOld implements BeforeServing {

    private final JdbcTemplate jdbc;
    private final Rebuild rebuild;

    OutcomesOfOld(JdbcTemplate jdbc, Rebuild rebuild) {
        this.jdbc = jdbc;
        this.rebuild = rebuild;
    }

    @Override
    public void prepare() {
        Boolean any = jdbc.queryForObject("select exists (select 1 from layer where minutes is null)", Boolean.class);
        if (Boolean.TRUE.equals(any)) {
            rebuild.run();
        }
    }
}
