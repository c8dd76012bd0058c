package org.kindgirdle.server.security;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.units.Units;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the nursery. */
@Service
public class People {

    private final PersonRepository people;
    private final PeopleHere here;
    private final PasswordEncoder passwords;
    private final PasswordRule rule;
    private final Sessions sessions;
    private final KnownDevices devices;
    private final SecurityLog log;
    private final ApplicationEventPublisher events;
    private final Clock system;

    People(
            PersonRepository people,
            PeopleHere here,
            PasswordEncoder passwords,
            PasswordRule rule,
            Sessions sessions,
            KnownDevices devices,
            SecurityLog log,
            ApplicationEventPublisher events,
            Clock system) {
        this.people = people;
        this.here = here;
        this.passwords = passwords;
        this.rule = rule;
        this.sessions = sessions;
        this.devices = devices;
        this.log = log;
        this.events = events;
        this.system = system;
    }

    /**
     * @param name for signing in
     * @param disabledAt since when the person signs in no more; null for whoever does
     */
    public record PersonView(
            long id,
            String name,
            String fullName,
            Role role,
            Units units,
            @Nullable Instant disabledAt,
            long version) {}

    /** What an owner changes of somebody. @param disabled whether the person signs in no more */
    record PersonEdit(String fullName, Role role, boolean disabled, long version) {}

    /** Somebody came, or is called otherwise, or reads other units. */
    public record Changed() {}

    /** Somebody signs in no more: what else lets them in ends with it. */
    public record Disabled(long personId) {}

    @Transactional
    public PersonView add(String name, String fullName, String password, Role role) {
        rule.check("password", password, name);
        if (people.findByName(name).isPresent()) {
            throw taken(name);
        }
        PersonView added = view(written(new Person(name, fullName, encode(password), role, Units.METRIC)));
        log.record(SecurityEventKind.PERSON_ADDED, name + " as " + role);
        changed();
        return added;
    }

    private Person written(Person person) {
        try {
            return people.saveAndFlush(person);
        } catch (DataIntegrityViolationException another) {
            // two owners gave the name at the same moment
            throw taken(person.name);
        }
    }

    private static ProblemException taken(String name) {
        return ProblemException.invalid(
                "name", name, Refusals.say("person.name.allowed"), Refusals.say("person.name", "name", name));
    }

    /** Changes the role, the name that is shown, or whether somebody may come in. Records keep the name. */
    @Transactional
    public PersonView change(long id, PersonEdit edit, long by) {
        Person person = people.findById(id).orElseThrow(() -> ProblemException.notFound("person", id));
        if (edit.version() != person.version) {
            throw ProblemException.stale(edit, view(person));
        }
        boolean isDisabled = person.disabledAt != null;
        if (id == by && (edit.disabled() || edit.role() != person.role)) {
            throw ProblemException.invalid(
                    edit.disabled() ? "disabled" : "role",
                    edit.disabled() ? true : edit.role(),
                    Refusals.say("person.ownRights.allowed"),
                    Refusals.say("person.ownRights"));
        }
        if (edit.role() != person.role) {
            log.record(SecurityEventKind.PERSON_CHANGED, person.name + ": " + person.role + " to " + edit.role());
        }
        if (edit.disabled() != isDisabled) {
            log.record(
                    edit.disabled() ? SecurityEventKind.PERSON_DISABLED : SecurityEventKind.PERSON_ENABLED,
                    person.name);
            person.disabledAt = edit.disabled() ? system.instant().truncatedTo(ChronoUnit.MICROS) : null;
        }
        boolean comesInAnew = edit.disabled() || edit.role() != person.role;
        person.fullName = edit.fullName();
        person.role = edit.role();
        Person saved = people.saveAndFlush(person);
        changed();
        if (comesInAnew) {
            // a session remembers the role of before
            sessions.endAll(person.name);
        }
        if (edit.disabled()) {
            devices.forget(id);
            events.publishEvent(new Disabled(id));
        }
        return view(saved);
    }

    @Transactional(readOnly = true)
    public boolean isPassword(long id, String typed) {
        return passwords.matches(typed, people.findById(id).orElseThrow().passwordHash);
    }

    /** Somebody changes the own password. @param sessionId the session that stays; all others end */
    @Transactional
    public void changePassword(long id, String password, String sessionId) {
        Person person = people.findById(id).orElseThrow();
        rule.check("password", password, person.name);
        person.passwordHash = encode(password);
        sessions.endAllBut(person.name, sessionId);
        log.record(SecurityEventKind.PASSWORD_CHANGED, person.name);
    }

    /** What stands in place of a password for somebody who has none yet: nothing that is typed fits it. */
    public String noPassword() {
        return encode(UUID.randomUUID().toString());
    }

    /** An owner gives somebody a password: a newcomer, or who has forgotten theirs. */
    @Transactional
    public PersonView givePassword(long id, String password) {
        Person person = people.findById(id).orElseThrow(() -> ProblemException.notFound("person", id));
        rule.check("password", password, person.name);
        person.passwordHash = encode(password);
        // whoever came in with the old one comes in anew
        sessions.endAll(person.name);
        devices.forget(id);
        log.record(SecurityEventKind.PASSWORD_GIVEN, person.name);
        return view(person);
    }

    @Transactional
    public PersonView choose(long id, Units units) {
        Person person = people.findById(id).orElseThrow();
        person.units = units;
        people.flush();
        changed();
        return view(person);
    }

    /** What is known of people is asked for anew. */
    public void changed() {
        events.publishEvent(new Changed());
    }

    @Transactional(readOnly = true)
    public PersonView get(long id) {
        return view(people.findById(id).orElseThrow(() -> ProblemException.notFound("person", id)));
    }

    @Transactional(readOnly = true)
    public List<PersonView> all() {
        return people.findAllByOrderByName().stream().map(People::view).toList();
    }

    /** Full names by id. */
    @Transactional(readOnly = true)
    public Map<Long, String> fullNames() {
        return here.byId().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, one -> one.getValue().fullName()));
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return people.count() == 0;
    }

    /** The session's identity of a person, for work that the application does in their name. */
    @Transactional(readOnly = true)
    public SignedIn signedIn(String name) {
        return toSignedIn(people.findByName(name).orElseThrow(() -> ProblemException.notFound("person", name)));
    }

    static SignedIn toSignedIn(Person person) {
        return new SignedIn(
                view(person).id(), person.name, person.passwordHash, person.role, person.disabledAt == null);
    }

    private String encode(String password) {
        return String.valueOf(passwords.encode(password));
    }

    private static PersonView view(Person person) {
        if (person.id == null) {
            throw new IllegalStateException("a person without an id");
        }
        return new PersonView(
                person.id, person.name, person.fullName, person.role, person.units, person.disabledAt, person.version);
    }
}
