package org.kindgirdle.server.calendar;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The secret address of each person's calendar. Only its hash is kept: it is shown once, and made anew if it is lost. */
@Component
class Addresses {

    private static final int BYTES = 24;

    private final JdbcTemplate jdbc;
    private final CurrentPerson person;
    private final BusinessClock clock;
    private final SecureRandom random = new SecureRandom();

    Addresses(JdbcTemplate jdbc, CurrentPerson person, BusinessClock clock) {
        this.jdbc = jdbc;
        this.person = person;
        this.clock = clock;
    }

    /** A new one in place of any that there was, which leads nowhere from now on. */
    @Transactional
    String renew() {
        byte[] secret = new byte[BYTES];
        random.nextBytes(secret);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        jdbc.update(
                "replace into calendar_address (person_id, token_hash, made_on) values (?, ?, ?)",
                person.id(),
                hash(token),
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
                .queryForList("select person_id from calendar_address where token_hash = ?", Long.class, hash(token))
                .stream()
                .findFirst();
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
