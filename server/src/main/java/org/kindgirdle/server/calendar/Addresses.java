package org.kindgirdle.server.calendar;

import java.time.LocalDate;
import java.util.Optional;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.security.Secrets;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The secret address of each person's calendar. Only its hash is kept: it is shown once, and made anew if it is lost. */
@Component
class Addresses {

    private final JdbcTemplate jdbc;
    private final CurrentPerson person;
    private final BusinessClock clock;

    Addresses(JdbcTemplate jdbc, CurrentPerson person, BusinessClock clock) {
        this.jdbc = jdbc;
        this.person = person;
        this.clock = clock;
    }

    /** A new one in place of any that there was, which leads nowhere from now on. */
    @Transactional
    String renew() {
        String token = Secrets.token();
        jdbc.update(
                "replace into calendar_address (person_id, token_hash, made_on) values (?, ?, ?)",
                person.id(),
                Secrets.hash(token),
                clock.today());
        return token;
    }

    @Transactional
    void remove() {
        jdbc.update("delete from calendar_address where person_id = ?", person.id());
    }

    @EventListener
    void onDisabled(People.Disabled disabled) {
        jdbc.update("delete from calendar_address where person_id = ?", disabled.personId());
    }

    /** When the one of whoever is signed in was made. */
    @Transactional(readOnly = true)
    Optional<LocalDate> madeOn() {
        return jdbc
                .queryForList("select made_on from calendar_address where person_id = ?", LocalDate.class, person.id())
                .stream()
                .findFirst();
    }

    /** Whose it is. */
    @Transactional(readOnly = true)
    Optional<Long> owner(String token) {
        return jdbc
                .queryForList(
                        "select person_id from calendar_address where token_hash = ?", Long.class, Secrets.hash(token))
                .stream()
                .findFirst();
    }
}
