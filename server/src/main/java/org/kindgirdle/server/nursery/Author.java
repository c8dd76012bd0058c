package org.kindgirdle.server.nursery;

import org.kindgirdle.server.security.CurrentPerson;
import org.springframework.stereotype.Component;

/** Who makes a version of something: whoever is signed in, and nobody where it is shipped. */
@Component
public class Author {

    private final CurrentPerson person;

    Author(CurrentPerson person) {
        this.person = person;
    }

    public String name() {
        return person.find().map(who -> who.name()).orElse("shipped");
    }
}
