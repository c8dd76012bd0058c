package org.kindgirdle.server.security;

import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.server.persistence.Refreshed;
import org.kindgirdle.server.units.Units;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * What everybody who has ever signed in here is called, and the units they read: every answer asks for it, and it
 * hardly ever changes.
 */
@Component
class PeopleHere {

    private final Refreshed<Map<Long, Known>> known = new Refreshed<>(this::all);

    private final PersonRepository people;

    PeopleHere(PersonRepository people) {
        this.people = people;
    }

    /** Nothing that decides what somebody may do: that goes by the session. */
    record Known(String fullName, Units units) {}

    Map<Long, Known> byId() {
        return known.get();
    }

    private Map<Long, Known> all() {
        return people.findAll().stream()
                .filter(one -> one.id != null)
                .collect(Collectors.toMap(one -> one.id, one -> new Known(one.fullName, one.units)));
    }

    @EventListener
    @Order(0)
    void onChange(People.Changed change) {
        known.forget();
    }
}
