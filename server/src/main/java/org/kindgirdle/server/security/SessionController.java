package org.kindgirdle.server.security;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and what every screen has to know first. */
@RestController
@RequestMapping("/api/v1")
class SessionController {

    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final SignInThrottle throttle;
    private final People people;
    private final FirstOwner firstOwner;
    private final CurrentPerson current;
    private final BusinessClock clock;

    SessionController(
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            SignInThrottle throttle,
            People people,
            FirstOwner firstOwner,
            CurrentPerson current,
            BusinessClock clock) {
        this.authentication = authentication;
        this.contexts = contexts;
        this.throttle = throttle;
        this.people = people;
        this.firstOwner = firstOwner;
        this.current = current;
        this.clock = clock;
    }

    record SignInRequest(
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 64) String password) {}

    record FirstOwnerRequest(
            @NotBlank @Size(max = 100) String token,
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 80) String fullName,
            @NotBlank @Size(min = 10, max = 64) String password) {}

    record UnitsRequest(@NotNull Units units) {}

    /**
     * @param person null if nobody is signed in
     * @param now the nursery's clock: a device reckons from it when it recorded what
     * @param needsOwner whether the nursery has nobody yet
     */
    record SessionView(
            People.@Nullable PersonView person, boolean demo, LocalDate today, Instant now, boolean needsOwner) {}

    @GetMapping("/session")
    SessionView session(@Parameter(hidden = true) CsrfToken csrf) {
        // read once, so that the cookie with the token is sent
        csrf.getToken();
        People.PersonView person =
                current.find().map(signedIn -> people.get(signedIn.id())).orElse(null);
        return new SessionView(person, clock.isDemo(), clock.today(), clock.now(), person == null && people.isEmpty());
    }

    @PostMapping("/session")
    SessionView signIn(
            @Valid @RequestBody SignInRequest body,
            HttpServletRequest request,
            HttpServletResponse response,
            @Parameter(hidden = true) CsrfToken csrf) {
        throttle.check(body.name(), request.getRemoteAddr());
        Authentication signedIn;
        try {
            signedIn = authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(body.name(), body.password()));
        } catch (AuthenticationException refused) {
            throttle.failed(body.name(), request.getRemoteAddr());
            throw ProblemException.unauthorized("The name or the password is not right.");
        }
        throttle.succeeded(body.name());
        SignedIn who = ((SignedIn) signedIn.getPrincipal()).withoutPassword();
        signedIn = UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
        HttpSession old = request.getSession(false);
        if (old != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(signedIn);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(csrf);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    @PostMapping("/first-owner")
    @ResponseStatus(HttpStatus.CREATED)
    People.PersonView firstOwner(@Valid @RequestBody FirstOwnerRequest body) {
        return firstOwner.claim(body.token(), body.name(), body.fullName(), body.password());
    }

    @PutMapping("/me/units")
    People.PersonView units(@Valid @RequestBody UnitsRequest body) {
        return people.choose(current.id(), body.units());
    }
}
