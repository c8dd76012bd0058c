package org.kindgirdle.server.harness;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** The system's clock, moved to another day; it runs on from there. */
public final class TestClock extends Clock {

    private volatile Duration offset = Duration.ZERO;

    /** Ten in the morning of a day, UTC. */
    public void moveTo(LocalDate day) {
        offset = Duration.between(Instant.now(), day.atTime(10, 0).toInstant(ZoneOffset.UTC));
    }

    public void moveBy(Duration time) {
        offset = offset.plus(time);
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(offset);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        throw new UnsupportedOperationException("zones are the business of those who ask");
    }
}
