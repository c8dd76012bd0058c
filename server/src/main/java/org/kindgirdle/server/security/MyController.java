package org.kindgirdle.server.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.units.Units;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What everybody settles for themselves. */
@RestController
@RequestMapping("/api/v1/me")
class MyController {

    private final People people;
    private final Sessions sessions;
    private final CurrentPerson current;
    private final Confirmation confirmation;
    private final SignInThrottle throttle;
    private final KnownDevices devices;
    private final SecurityLog log;

    MyController(
            People people,
            Sessions sessions,
            CurrentPerson current,
            Confirmation confirmation,
            SignInThrottle throttle,
            KnownDevices devices,
            SecurityLog log) {
        this.people = people;
        this.sessions = sessions;
        this.current = current;
        this.confirmation = confirmation;
        this.throttle = throttle;
        this.devices = devices;
        this.log = log;
    }

    record UnitsRequest(@NotNull Units units) {}

    /** @param current the password of now */
    record OwnPasswordRequest(
            @NotBlank @Size(max = 200) String current,

            @NotBlank @Size(min = PasswordRule.LEAST, max = PasswordRule.MAX)
            String password) {}

    record ConfirmationRequest(@NotBlank @Size(max = 200) String password) {}

    @PutMapping("/units")
    People.PersonView changeMyUnits(@Valid @RequestBody UnitsRequest body) {
        return people.choose(current.id(), body.units());
    }

    /** The own password, with the one of now. All other sessions end. */
    @PutMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeMyPassword(@Valid @RequestBody OwnPasswordRequest body, HttpServletRequest request) {
        requirePassword("current", body.current(), request);
        people.changePassword(
                current.id(), body.password(), request.getSession().getId());
    }

    /** The password once more, before what can shut others out or replace everything. It holds for some minutes. */
    @PostMapping("/confirmation")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void confirmPassword(@Valid @RequestBody ConfirmationRequest body, HttpServletRequest request) {
        requirePassword("password", body.password(), request);
        confirmation.confirmed(request.getSession());
    }

    /** Guesses at a password count wherever they are made. */
    private void requirePassword(String field, String typed, HttpServletRequest request) {
        SignInThrottle.Try one =
                throttle.begin(current.name(), request.getRemoteAddr(), devices.known(current.name(), request));
        throttle.check(one);
        if (!people.isPassword(current.id(), typed)) {
            throw ProblemException.invalid(List.of(new Violation(
                    field, null, Refusals.say("signIn.password.allowed"), Refusals.say("signIn.password"))));
        }
        throttle.succeeded(one);
    }

    @GetMapping("/sessions")
    List<Sessions.SessionOf> mySessions(HttpServletRequest request) {
        return sessions.of(current.name(), request.getSession().getId());
    }

    @DeleteMapping("/sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endMySession(@PathVariable String id) {
        sessions.end(current.name(), id);
        log.record(SecurityEventKind.SESSION_ENDED, current.name());
    }
}
