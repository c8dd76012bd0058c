package org.kindgirdle.server.security;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.kindgirdle.server.units.Measures;
import org.kindgirdle.server.units.Units;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.DisabledException;
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
    private final KnownDevices devices;
    private final SecurityLog log;
    private final BusinessClock clock;

    SessionController(
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            SignInThrottle throttle,
            People people,
            FirstOwner firstOwner,
            CurrentPerson current,
            KnownDevices devices,
            SecurityLog log,
            BusinessClock clock) {
        this.authentication = authentication;
        this.contexts = contexts;
        this.throttle = throttle;
        this.people = people;
        this.firstOwner = firstOwner;
        this.current = current;
        this.devices = devices;
        this.log = log;
        this.clock = clock;
    }

    record SignInRequest(
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 200) String password) {}

    record FirstOwnerRequest(
            @NotBlank @Size(max = 100) String token,
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 80) String fullName,
            @NotBlank @Size(min = 10, max = 64) String password) {}

    /**
     * @param person null if nobody is signed in
     * @param now the nursery's clock: a device reckons from it when it recorded what
     * @param measures in which whoever is signed in reads
     * @param needsOwner whether the nursery has nobody yet
     */
    record SessionView(
            People.@Nullable PersonView person,
            Measures measures,
            boolean demo,
            LocalDate today,
            Instant now,
            boolean needsOwner) {}

    @GetMapping("/session")
    SessionView session(@Parameter(hidden = true) CsrfToken csrf) {
        // read once, so that the cookie with the token is sent
        csrf.getToken();
        People.PersonView person =
                current.find().map(signedIn -> people.get(signedIn.id())).orElse(null);
        return new SessionView(
                person,
                Measures.of(person == null ? Units.METRIC : person.units()),
                clock.isDemo(),
                clock.today(),
                clock.now(),
                person == null && people.isEmpty());
    }

    @PostMapping("/session")
    SessionView signIn(
            @Valid @RequestBody SignInRequest body,
            HttpServletRequest request,
            HttpServletResponse response,
            @Parameter(hidden = true) CsrfToken csrf) {
        SignInThrottle.Try one =
                throttle.begin(body.name(), request.getRemoteAddr(), devices.known(body.name(), request));
        Authentication signedIn = authenticated(one, body);
        throttle.succeeded(one);
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
        HttpSession session = request.getSession();
        session.setAttribute(Sessions.ADDRESS, request.getRemoteAddr());
        session.setAttribute(Sessions.BROWSER, browser(request));
        devices.remember(who.id(), request, response);
        log.record(SecurityEventKind.SIGNED_IN, who.name(), browser(request));
        return session(csrf);
    }

    private Authentication authenticated(SignInThrottle.Try one, SignInRequest body) {
        try {
            throttle.check(one);
        } catch (ProblemException slowed) {
            log.record(SecurityEventKind.SIGN_IN_SLOWED, body.name(), "too many failed tries");
            throw slowed;
        }
        try {
            return authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(body.name(), body.password()));
        } catch (AuthenticationException refused) {
            log.record(
                    SecurityEventKind.SIGN_IN_REFUSED,
                    body.name(),
                    refused instanceof DisabledException ? "signs in no more" : "wrong name or password");
            throw ProblemException.unauthorized(Refusals.say("signIn.wrong"));
        }
    }

    /** What the browser calls itself, for people to know their own devices by. */
    private static String browser(HttpServletRequest request) {
        String said = Objects.requireNonNullElse(request.getHeader(HttpHeaders.USER_AGENT), "");
        String plain = said.replaceAll("[^\\x20-\\x7E]", "");
        return plain.substring(0, Math.min(200, plain.length()));
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        current.find().ifPresent(who -> log.record(SecurityEventKind.SIGNED_OUT, who.name(), ""));
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    @PostMapping("/first-owner")
    @ResponseStatus(HttpStatus.CREATED)
    People.PersonView makeFirstOwner(@Valid @RequestBody FirstOwnerRequest body) {
        return firstOwner.claim(body.token(), body.name(), body.fullName(), body.password());
    }
}
