package org.kindgirdle.server.layers;

import java.util.List;
import java.util.TreeSet;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who sets layers: not everybody who does has a sign-in. */
@RestController
class HandController {

    private static final int YEARS = 2;

    private final LayerRows layers;
    private final BusinessClock clock;
    private final CurrentPerson person;

    HandController(LayerRows layers, BusinessClock clock, CurrentPerson person) {
        this.layers = layers;
        this.clock = clock;
        this.person = person;
    }

    /** @param mine whoever is signed in @param known names that were given in the last two years, and theirs */
    record Hands(String mine, List<String> known) {}

    @GetMapping("/api/v1/hands")
    Hands hands() {
        TreeSet<String> known = new TreeSet<>(layers.handsSince(clock.today().minusYears(YEARS)));
        String mine = person.fullName();
        known.add(mine);
        return new Hands(mine, List.copyOf(known));
    }
}
