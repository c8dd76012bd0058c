package org.kindgirdle.server.security;

import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** On an empty database, one link on the console makes the first owner, once. Only its hash is kept. */
@Component
class FirstOwner {

    private final FirstOwnerLinkRepository links;
    private final People people;
    private final String address;

    FirstOwner(
            FirstOwnerLinkRepository links,
            People people,
            @Value("${kindgirdle.address:http://127.0.0.1:8080}") String address) {
        this.links = links;
        this.people = people;
        this.address = address;
    }

    @EventListener(ApplicationReadyEvent.class)
    void printLink() {
        if (!people.isEmpty()) {
            return;
        }
        String token = Secrets.token();
        links.save(new FirstOwnerLinkRow(Secrets.hash(token)));
        System.out.println(
                "No one can sign in yet. Make the first owner at: " + address + "/first-owner?token=" + token);
    }

    @Transactional
    People.PersonView claim(String token, String name, String fullName, String password) {
        int used = links.use(Secrets.hash(token));
        if (used != 1 || !people.isEmpty()) {
            throw ProblemException.forbidden(Refusals.say("signIn.link"));
        }
        return people.add(name, fullName, password, Role.OWNER);
    }
}
