package org.kindgirdle.server.exchange;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Who may come in when a nursery takes the place of another: whoever is known by the same name keeps the password, and
 * whoever does it stays an owner. All others wait for an owner to give them one.
 */
@Component
class NurseryPeople {

    private final JdbcTemplate jdbc;
    private final CurrentPerson person;
    private final People people;

    NurseryPeople(JdbcTemplate jdbc, CurrentPerson person, People people) {
        this.jdbc = jdbc;
        this.person = person;
        this.people = people;
    }

    record Known(long id, String hash, String fullName, String units) {}

    /** @param byName everybody who is here */
    record Before(String owner, Map<String, Known> byName, Map<Long, String> calendars) {}

    Before before() {
        Map<String, Known> known = new HashMap<>();
        jdbc.query("select name, id, password_hash, full_name, units from person", row -> {
            known.put(
                    row.getString(1), new Known(row.getLong(2), row.getString(3), row.getString(4), row.getString(5)));
        });
        Map<Long, String> calendars = new HashMap<>();
        jdbc.query("select c.person_id, p.name from calendar_address c join person p on p.id = c.person_id", row -> {
            calendars.put(row.getLong(1), row.getString(2));
        });
        return new Before(person.name(), known, calendars);
    }

    /** The people of the file are there. */
    void after(Before before) {
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
     * Sessions, calendars and files hold on to a person by a number, which may be another one now. Last of all, right
     * before it counts: who is signed in reads on until then.
     */
    void moved(Before before) {
        Map<String, Long> now = ids();
        Set<String> renumbered = new HashSet<>();
        before.byName.forEach((name, known) -> {
            if (!Objects.equals(now.get(name), known.id)) {
                renumbered.add(name);
            }
        });
        people.changed();
        jdbc.update("delete from known_device");
        // a session remembers the role of before: whoever else is signed in comes in anew
        jdbc.update("delete from SPRING_SESSION where principal_name <> ?", before.owner);
        if (renumbered.isEmpty()) {
            return;
        }
        jdbc.update("delete from SPRING_SESSION");
        jdbc.update("update import_file set person_id = ?", now.get(before.owner));
        before.calendars.forEach((id, name) -> {
            if (renumbered.contains(name)) {
                jdbc.update("delete from calendar_address where person_id = ?", id);
            }
        });
    }

    private Map<String, Long> ids() {
        Map<String, Long> ids = new HashMap<>();
        jdbc.query("select name, id from person", row -> {
            ids.put(row.getString(1), row.getLong(2));
        });
        return ids;
    }
}
