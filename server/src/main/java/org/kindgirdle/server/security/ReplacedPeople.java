package org.kindgirdle.server.security;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.server.security.PersonRepository.Known;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Who may come in when a nursery takes the place of another: whoever is known by the same name keeps the password, and
 * whoever does it stays an owner. All others wait for an owner to give them one. In the transaction that replaces the
 * rest, so that it counts with it or not at all.
 */
@Component
public class ReplacedPeople {

    private final PersonRepository rows;
    private final KnownDeviceRepository devices;
    private final CurrentPerson person;
    private final People people;
    private final ApplicationEventPublisher events;

    ReplacedPeople(
            PersonRepository rows,
            KnownDeviceRepository devices,
            CurrentPerson person,
            People people,
            ApplicationEventPublisher events) {
        this.rows = rows;
        this.devices = devices;
        this.person = person;
        this.people = people;
        this.events = events;
    }

    /** Who is here before it. */
    public static final class Before {

        private final String owner;
        private final List<Known> all;

        private Before(String owner, List<Known> all) {
            this.owner = owner;
            this.all = all;
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
        return new Before(person.name(), rows.known());
    }

    /** The people of the file are there. */
    public void after(Before before) {
        if (rows.makeOwner(before.owner) == 0) {
            Known owner = before.all.stream()
                    .filter(one -> one.name().equals(before.owner))
                    .findFirst()
                    .orElseThrow();
            rows.saveAndFlush(new Person(owner.name(), owner.fullName(), "", Role.OWNER, owner.units()));
        }
        rows.giveAll(people.noPassword());
        before.all.forEach(one -> rows.give(one.name(), one.passwordHash()));
    }

    /**
     * Sessions and what else holds on to a person by a number, which may be another one now. Last of all, right before
     * it counts: who is signed in reads on until then.
     */
    public void moved(Before before) {
        Map<String, Long> now = rows.known().stream().collect(Collectors.toMap(Known::name, Known::id));
        Set<Long> renumbered = before.all.stream()
                .filter(one -> !Objects.equals(now.get(one.name()), one.id()))
                .map(Known::id)
                .collect(Collectors.toSet());
        people.changed();
        devices.deleteAllInBatch();
        // a session remembers the role of before: whoever else is signed in comes in anew
        rows.endSessionsOfAllBut(before.owner);
        if (!renumbered.isEmpty()) {
            rows.endAllSessions();
            events.publishEvent(new Renumbered(renumbered, Objects.requireNonNull(now.get(before.owner))));
        }
    }
}
