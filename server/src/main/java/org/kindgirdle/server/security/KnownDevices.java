package org.kindgirdle.server.security;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Which device somebody usually signs in from, by a cookie that outlives the session. Guesses that strangers make are
 * counted apart from what is tried there, so that nobody can be locked out by a stranger.
 */
@Component
class KnownDevices {

    /** As long as browsers keep a cookie at the most. */
    static final Duration LIVES = Duration.ofDays(400);

    private final KnownDeviceRepository devices;
    private final PersonRepository people;
    private final CookieNames names;
    private final Clock system;

    KnownDevices(KnownDeviceRepository devices, PersonRepository people, CookieNames names, Clock system) {
        this.devices = devices;
        this.people = people;
        this.names = names;
        this.system = system;
    }

    /** The device's hash if this person has signed in on it before; empty for a stranger's. */
    @Transactional(readOnly = true)
    public String known(String name, HttpServletRequest request) {
        return cookie(request)
                .map(Secrets::hash)
                .flatMap(hash -> people.findByName(name)
                        .filter(person -> person.id != null)
                        .flatMap(person -> devices.findByPersonIdAndTokenHash(id(person), hash)))
                .map(device -> device.tokenHash)
                .orElse("");
    }

    /** From now on this device is one of the person's. */
    @Transactional
    public void remember(long personId, HttpServletRequest request, HttpServletResponse response) {
        String token = cookie(request).orElseGet(Secrets::token);
        String hash = Secrets.hash(token);
        devices.put(personId, hash, system.instant().truncatedTo(ChronoUnit.MICROS));
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(names.device(), token)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .path("/api/v1")
                        .maxAge(LIVES)
                        .build()
                        .toString());
    }

    @Transactional
    public void forget(long personId) {
        devices.deleteByPersonId(personId);
    }

    private Optional<String> cookie(HttpServletRequest request) {
        Cookie[] sent = request.getCookies();
        return sent == null
                ? Optional.empty()
                : Arrays.stream(sent)
                        .filter(one -> one.getName().equals(names.device()))
                        .map(Cookie::getValue)
                        .filter(value -> value.length() <= 64)
                        .findFirst();
    }

    private static long id(Person person) {
        if (person.id == null) {
            throw new IllegalStateException("a person without an id");
        }
        return person.id;
    }
}
