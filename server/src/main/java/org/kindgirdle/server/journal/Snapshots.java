package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.kindgirdle.server.climate.Climates;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.nursery.LearnedTimes;
import org.kindgirdle.server.nursery.Mothers;
import org.kindgirdle.server.nursery.Nursery;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;

/** Takes snapshots of the master data; those of an edition and a day are made once. */
@Service
public class Snapshots {

    private static final int KEPT = 8;

    private final Nursery nursery;
    private final Mothers mothers;
    private final LearnedTimes learned;
    private final Climates climates;
    private final Weather weather;
    private final BusinessClock clock;
    private final NurseryLock lock;
    private final Map<Key, NurserySnapshot> kept =
            Collections.synchronizedMap(new LinkedHashMap<>(2 * KEPT, .75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Key, NurserySnapshot> eldest) {
                    return size() > KEPT;
                }
            });

    private record Key(UUID edition, LocalDate asOf) {}

    Snapshots(
            Nursery nursery,
            Mothers mothers,
            LearnedTimes learned,
            Climates climates,
            Weather weather,
            BusinessClock clock,
            NurseryLock lock) {
        this.nursery = nursery;
        this.mothers = mothers;
        this.learned = learned;
        this.climates = climates;
        this.weather = weather;
        this.clock = clock;
        this.lock = lock;
    }

    /** As of the business day. */
    public NurserySnapshot take() {
        return take(clock.today());
    }

    public NurserySnapshot take(LocalDate asOf) {
        Key key = new Key(lock.edition(), asOf);
        NurserySnapshot known = kept.get(key);
        if (known == null) {
            known = new NurserySnapshot(nursery, mothers, learned, climates, weather, asOf);
            kept.put(key, known);
        }
        return known;
    }
}
