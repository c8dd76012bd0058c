package org.kindgirdle.server.security;

import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Who may come in when a nursery takes the place of another: whoever is known by the same name keeps the password, and
 * whoever does it stays an owner. All others wait for an owner to give them one. By SQL on the connection that replaces
 * the rest, so that it counts with it or not at all.
 */
@Component
public class ReplacedPeople {

    private final JdbcTemplate jdbc;
    private final CurrentPerson person;
    private final People people;
    private final ApplicationEventPublisher events;

    ReplacedPeople(JdbcTemplate jdbc, CurrentPerson person, People people, ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.person = person;
        this.people = people;
        this.events = events;
    }

    private record Known(long id, String hash, String fullName, String units) {}

    /** Who is here before it. */
    public static final class Before {

        private final String owner;
        private final Map<String, Known> byName;

        private Before(String owner, Map<String, Known> byName) {
            this.owner = owner;
            this.byName = byName;
        }
    }

    /**
     * People have other numbers now: what was kept by one must not become another's.
     *
     * @param were the numbers that those had whose number is another
     * @param owner the number of who replaces the nursery
     */
    public record Renumbered(Set<Long> were, long owner) {}

    public Before before() {
        Map<String, Known> known = new HashMap<>();
        jdbc.query("select name, id, password_hash, full_name, units from person", row -> {
            known.put(
                    row.getString(1), new Known(row.getLong(2), row.getString(3), row.getString(4), row.getString(5)));
        });
        return new Before(person.name(), known);
    }

    /** The people of the file are there. */
    public void after(Before before) {
        Known owner = Objects.requireNonNull(before.byName.get(before.owner));
        Map<String, Long> now = ids();
        if (!now.containsKey(before.owner)) {
            Long id = jdbc.queryForObject("select coalesce(max(id), 0) + 1 from person", Long.class);
            jdbc.update(
                    "insert into person (id, name, full_name, password_hash, role, units, version)"
                            + " values (?, ?, ?, '', 'OWNER', ?, 0)",
                    id,
                    before.owner,
                    owner.fullName,
                    owner.units);
        }
        jdbc.update("update person set role = 'OWNER', disabled_at = null where name = ?", before.owner);
        jdbc.update("update person set password_hash = ?", people.noPassword());
        before.byName.forEach(
                (name, known) -> jdbc.update("update person set password_hash = ? where name = ?", known.hash, name));
    }

    /**
     * Sessions and what else holds on to a person by a number, which may be another one now. Last of all, right before
     * it counts: who is signed in reads on until then.
     */
    public void moved(Before before) {
        Map<String, Long> now = ids();
        Set<Long> renumbered = before.byName.entrySet().stream()
                .filter(one -> !Objects.equals(now.get(one.getKey()), one.getValue().id))
                .map(one -> one.getValue().id)
                .collect(Collectors.toSet());
        people.changed();
        jdbc.update("delete from known_device");
        // a session remembers the role of before: whoever else is signed in comes in anew
        jdbc.update("delete from SPRING_SESSION where principal_name <> ?", before.owner);
        if (!renumbered.isEmpty()) {
            jdbc.update("delete from SPRING_SESSION");
            events.publishEvent(new Renumbered(renumbered, Objects.requireNonNull(now.get(before.owner))));
        }
    }

    private Map<String, Long> ids() {
        Map<String, Long> ids = new HashMap<>();
        jdbc.query("select name, id from person", row -> {
            ids.put(row.getString(1), row.getLong(2));
        });
        return ids;
    }
}
