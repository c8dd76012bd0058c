package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.ReleaseTest;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.LadderWords;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** A plant that fails the test for release goes only with a reason. */
@Component
class Releases {

    private final CurrentPerson person;
    private final LadderWords words;
    private final Phrases phrases;

    Releases(CurrentPerson person, LadderWords words, Phrases phrases) {
        this.person = person;
        this.words = words;
        this.phrases = phrases;
    }

    /** @throws ProblemException if it fails the test and nobody says why it goes all the same */
    void check(PlantState plant, LayerContext context, LocalDate today, String reason) {
        ReleaseTest test = ReleaseTest.of(context.rules(), plant, context.standing(), today);
        if (test.passed() || !reason.isBlank()) {
            return;
        }
        Format format = new Format(person.units(), today);
        String failing =
                test.failing().stream().map(check -> words.check(check, format)).collect(Collectors.joining(" "));
        throw ProblemException.invalid(
                "note",
                "",
                Refusals.say("record.note.allowed"),
                phrases.say("release.refused", Map.of("failing", failing)));
    }
}
