package org.kindgirdle.server.journal;

import java.time.LocalDate;
import org.kindgirdle.server.nursery.Climates;
import org.kindgirdle.server.nursery.Nursery;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;

/** Takes snapshots of the master data. */
@Service
public class Snapshots {

    private final Nursery nursery;
    private final Climates climates;
    private final BusinessClock clock;

    Snapshots(Nursery nursery, Climates climates, BusinessClock clock) {
        this.nursery = nursery;
        this.climates = climates;
        this.clock = clock;
    }

    /** As of the business day. */
    public NurserySnapshot take() {
        return take(clock.today());
    }

    public NurserySnapshot take(LocalDate asOf) {
        return new NurserySnapshot(nursery, climates, asOf);
    }
}
