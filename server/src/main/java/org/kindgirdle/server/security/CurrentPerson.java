package org.kindgirdle.server.security;

import java.util.Optional;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.units.Units;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Who is acting: the person of the session. */
@Component
public class CurrentPerson {

    private final PeopleHere people;

    CurrentPerson(PeopleHere people) {
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
        return known().map(PeopleHere.Known::fullName).orElseGet(this::name);
    }

    /** The units that the person reads. */
    public Units units() {
        return known().map(PeopleHere.Known::units).orElse(Units.METRIC);
    }

    private Optional<PeopleHere.Known> known() {
        return find().map(who -> people.byId().get(who.id()));
    }

    private SignedIn signedIn() {
        return find().orElseThrow(() -> ProblemException.unauthorized(Refusals.say("signIn.first")));
    }
}
