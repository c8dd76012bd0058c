package org.kindgirdle.server.security;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the nursery. */
@Service
public class People {

    private final PersonRepository people;
    private final PasswordEncoder passwords;
    private final JdbcTemplate jdbc;

    People(PersonRepository people, PasswordEncoder passwords, JdbcTemplate jdbc) {
        this.jdbc = jdbc;
        this.people = people;
        this.passwords = passwords;
    }

    /** @param name for signing in */
    public record PersonView(long id, String name, String fullName, Role role, Units units) {}

    @Transactional
    public PersonView add(String name, String fullName, String password, Role role) {
        if (people.findByName(name).isPresent()) {
            throw ProblemException.invalid(
                    "name", name, "a name that nobody has yet", "Somebody signs in as '" + name + "' already.");
        }
        return view(people.save(new Person(name, fullName, encode(password), role, Units.METRIC)));
    }

    /** What stands in place of a password for somebody who has none yet: nothing that is typed fits it. */
    public String noPassword() {
        return encode(UUID.randomUUID().toString());
    }

    /** An owner gives somebody a password: a newcomer, or who has forgotten theirs. */
    @Transactional
    public PersonView givePassword(long id, String password) {
        Person person = people.findById(id).orElseThrow(() -> ProblemException.notFound("person", id));
        person.passwordHash = encode(password);
        // whoever came in with the old one comes in anew
        jdbc.update("delete from SPRING_SESSION where principal_name = ?", person.name);
        return view(person);
    }

    @Transactional
    public PersonView choose(long id, Units units) {
        Person person = people.findById(id).orElseThrow();
        person.units = units;
        return view(person);
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
        return all().stream().collect(Collectors.toMap(PersonView::id, PersonView::fullName));
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
        return new SignedIn(view(person).id(), person.name, person.passwordHash, person.role);
    }

    private String encode(String password) {
        return String.valueOf(passwords.encode(password));
    }

    private static PersonView view(Person person) {
        if (person.id == null) {
            throw new IllegalStateException("a person without an id");
        }
        return new PersonView(person.id, person.name, person.fullName, person.role, person.units);
    }
}
