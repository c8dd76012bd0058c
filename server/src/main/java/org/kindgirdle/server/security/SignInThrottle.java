package org.kindgirdle.server.security;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Slows down guessing: so many failures by name or by address, and sign-in waits. By the system clock. */
@Component
class SignInThrottle {

    private static final Duration MEMORY = Duration.ofMinutes(15);
    private static final int MOST_BY_NAME = 8;
    private static final int MOST_BY_ADDRESS = 40;

    private final JdbcTemplate jdbc;
    private final Clock system;

    SignInThrottle(JdbcTemplate jdbc, Clock system) {
        this.jdbc = jdbc;
        this.system = system;
    }

    /** @throws ProblemException 429 if there were too many failures */
    void check(String name, String address) {
        if (count("name", name) >= MOST_BY_NAME || count("address", address) >= MOST_BY_ADDRESS) {
            throw ProblemException.tooMany("There were too many failed tries to sign in. Wait " + MEMORY.toMinutes()
                    + " minutes, then try again.");
        }
    }

    void failed(String name, String address) {
        LocalDateTime now = now();
        jdbc.update("insert into sign_in_failure (name, address, at) values (?, ?, ?)", name, address, now);
        jdbc.update("delete from sign_in_failure where at < ?", now.minusDays(1));
    }

    void succeeded(String name) {
        jdbc.update("delete from sign_in_failure where name = ?", name);
    }

    private int count(String column, String value) {
        Integer count = jdbc.queryForObject(
                "select count(*) from sign_in_failure where " + column + " = ? and at > ?",
                Integer.class,
                value,
                now().minus(MEMORY));
        return count == null ? 0 : count;
    }

    private LocalDateTime now() {
        return LocalDateTime.ofInstant(system.instant(), ZoneOffset.UTC);
    }
}
