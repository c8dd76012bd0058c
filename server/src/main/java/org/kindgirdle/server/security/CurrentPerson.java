package org.kindgirdle.server.security;

import java.util.Optional;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Who is acting: the person of the session. */
@Component
public class CurrentPerson {

    private final PersonRepository people;

    CurrentPerson(PersonRepository people) {
        this.people = people;
    }

    public Optional<SignedIn> find() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
                ? Optional.of(signedIn)
                : Optional.empty();
    }

    /** @throws ProblemException 401 if nobody is signed in */
    public long id() {
        return signedIn().id();
    }

    public boolean isOwner() {
        return find().map(SignedIn::role).filter(Role.OWNER::equals).isPresent();
    }

    public String name() {
        return signedIn().name();
    }

    /** As the nursery calls them. */
    public String fullName() {
        return people.findById(id()).map(person -> person.fullName).orElseGet(this::name);
    }

    /** The units that the person reads. */
    public Units units() {
        return find().flatMap(person -> people.findById(person.id()))
                .map(person -> person.units)
                .orElse(Units.METRIC);
    }

    private SignedIn signedIn() {
        return find().orElseThrow(() -> ProblemException.unauthorized("Sign in and send it again; nothing was lost."));
    }
}
