package org.kindgirdle.server.security;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Slows down guessing, by the system clock. A try is written down before the password is looked at, and counts those
 * written before it: of many at the same moment only so many get through. What a stranger tries is counted by address,
 * what is tried on a device that the person has signed in on before by that device.
 */
@Component
class SignInThrottle {

    private static final Duration MEMORY = Duration.ofMinutes(15);
    private static final int MAX_BY_NAME = 8;
    private static final int MAX_BY_ADDRESS = 40;

    /** Sign-ins between two clearings of what is old. */
    private static final int CLEAN_EVERY = 100;

    private static final Logger LOG = LoggerFactory.getLogger(SignInThrottle.class);

    private final SignInTryRepository tries;
    private final KnownDeviceRepository devices;
    private final Clock system;
    private final TransactionTemplate own;
    private final Object turn = new Object();

    SignInThrottle(
            SignInTryRepository tries,
            KnownDeviceRepository devices,
            Clock system,
            PlatformTransactionManager transactions) {
        this.tries = tries;
        this.devices = devices;
        this.system = system;
        this.own = new TransactionTemplate(transactions);
        this.own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** One try. */
    record Try(String name, String address, String device, long id) {}

    /**
     * One after another, to the end of each: whoever counts those before it must see all of them, and a number that is
     * given out is seen by others only when it is committed.
     */
    public Try begin(String name, String address, String device) {
        synchronized (turn) {
            return Objects.requireNonNull(own.execute(open -> {
                Instant now = system.instant().truncatedTo(ChronoUnit.MICROS);
                SignInTry one = tries.save(new SignInTry(name, address, device, now));
                return new Try(name, address, device, Objects.requireNonNull(one.id));
            }));
        }
    }

    /** @throws ProblemException 429 if there were too many before it; it does not count then itself */
    @Transactional(propagation = Propagation.REQUIRES_NEW, noRollbackFor = ProblemException.class)
    public void check(Try one) {
        Instant since = system.instant().minus(MEMORY);
        if (one.device().isEmpty()) {
            limit(one, tries.ofStranger(one.name(), one.address(), since, one.id()), MAX_BY_NAME);
            limit(one, tries.ofAddress(one.address(), since, one.id()), MAX_BY_ADDRESS);
        } else {
            limit(one, tries.ofDevice(one.device(), one.name(), since, one.id()), MAX_BY_NAME);
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
        throw ProblemException.tooMany(Refusals.say("signIn.throttled", "minutes", (seconds + 59) / 60), (int) seconds);
    }

    /**
     * What failed before is forgotten. Where others of the same name come in at the same moment, both clear away the
     * same rows: whoever loses leaves it to the other, for nobody is kept out by what is only to be tidied up.
     */
    public void succeeded(Try one) {
        tidy(() -> tries.deleteOf(one.name(), one.address(), one.device()));
        if (one.id() % CLEAN_EVERY == 0) {
            tidy(() -> tries.deleteOlder(system.instant().minus(Duration.ofDays(1))));
            tidy(() -> devices.deleteByLastUsedBefore(system.instant().minus(KnownDevices.LIVES)));
        }
    }

    private void tidy(Runnable work) {
        try {
            own.executeWithoutResult(status -> work.run());
        } catch (PessimisticLockingFailureException others) {
            LOG.debug("Left to others: {}", others.getMessage());
        }
    }
}
