package org.kindgirdle.server.security;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.kindgirdle.server.persistence.OncePerRead;
import org.springframework.stereotype.Component;

/** Everybody who has ever signed in here: a handful, so that one question answers who asks and who recorded what. */
@Component
class PeopleHere {

    private final PersonRepository people;

    PeopleHere(PersonRepository people) {
        this.people = people;
    }

    Map<Long, Person> byId() {
        return OncePerRead.get(
                "people",
                () -> people.findAll().stream()
                        .filter(one -> one.id != null)
                        .collect(Collectors.toMap(one -> one.id, Function.identity())));
    }
}
