package org.kindgirdle.server.security;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing, by the system clock. A try is written down before the password is looked at, and counts those
 * written before it: of many at the same moment only so many get through. What a stranger tries is counted by address,
 * what is tried on a device that the person has signed in on before by that device.
 */
@Component
class SignInThrottle {

    private static final Duration MEMORY = Duration.ofMinutes(15);
    private static final int MOST_BY_NAME = 8;
    private static final int MOST_BY_ADDRESS = 40;

    private final SignInTryRepository tries;
    private final Clock system;

    SignInThrottle(SignInTryRepository tries, Clock system) {
        this.tries = tries;
        this.system = system;
    }

    /** One try. */
    record Try(String name, String address, String device, long id) {}

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public Try begin(String name, String address, String device) {
        Instant now = system.instant().truncatedTo(ChronoUnit.MICROS);
        tries.deleteOlder(now.minus(Duration.ofDays(1)));
        SignInTry one = tries.save(new SignInTry(name, address, device, now));
        return new Try(name, address, device, Objects.requireNonNull(one.id));
    }

    /** @throws ProblemException 429 if there were too many before it; it does not count then itself */
    @Transactional(propagation = Propagation.REQUIRES_NEW, noRollbackFor = ProblemException.class)
    public void check(Try one) {
        Instant since = system.instant().minus(MEMORY);
        if (one.device().isEmpty()) {
            limit(one, tries.ofStranger(one.name(), one.address(), since, one.id()), MOST_BY_NAME);
            limit(one, tries.ofAddress(one.address(), since, one.id()), MOST_BY_ADDRESS);
        } else {
            limit(one, tries.ofDevice(one.device(), one.name(), since, one.id()), MOST_BY_NAME);
        }
    }

    private void limit(Try one, List<Instant> newestFirst, int most) {
        if (newestFirst.size() <= most) {
            return;
        }
        tries.deleteById(one.id());
        // the place of the oldest of those that count is free again when it is forgotten
        Instant free = newestFirst.get(most).plus(MEMORY);
        long seconds = Math.max(1, Duration.between(system.instant(), free).toSeconds() + 1);
        throw ProblemException.tooMany(
                "There were too many failed tries to sign in. Wait " + (seconds + 59) / 60
                        + " minutes, then try again.",
                (int) seconds);
    }

    @Transactional
    public void succeeded(Try one) {
        tries.deleteOf(one.name(), one.address(), one.device());
    }
}
