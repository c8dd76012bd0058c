package org.kindgirdle.server.snapshot;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import jakarta.persistence.FlushModeType;
import java.sql.Date;
import java.time.Duration;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.climate.Climates;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.persistence.OncePerRead;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;

/** Takes snapshots of the master data; those of an edition and a day are made once. */
@Service
public class Snapshots {

    private static final int KEPT = 32;
    /** Nobody asks for an edition any more when there is a newer one. */
    private static final Duration KEPT_FOR = Duration.ofMinutes(10);

    private static final String EDITION = "edition";

    /** A layer that is set is set in these years; only one that comes with a file is older. */
    private static final int YEARS_BACK = 5;

    private final MasterData data;
    private final Climates climates;
    private final Weather weather;
    private final BusinessClock clock;
    private final EntityManager rows;
    private final Cache<Key, NurserySnapshot> kept =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterAccess(KEPT_FOR).build();

    private record Key(String edition, LocalDate asOf, int fromYear) {}

    Snapshots(MasterData data, Climates climates, Weather weather, BusinessClock clock, EntityManager rows) {
        this.data = data;
        this.climates = climates;
        this.weather = weather;
        this.clock = clock;
        this.rows = rows;
    }

    /**
     * As of the business day, and standing still until the end of the transaction: what is recorded is reckoned from
     * it. Asked for before any row of a layer is locked.
     */
    public NurserySnapshot hold() {
        Object[] found = sharedEdition();
        LocalDate oldest = found[1] instanceof Date first ? first.toLocalDate() : (LocalDate) found[1];
        OncePerRead.know(EDITION, new Object[] {found[0], oldest, found[2]});
        return take();
    }

    /** As of the business day. */
    public NurserySnapshot take() {
        return take(clock.today());
    }

    public NurserySnapshot take(LocalDate asOf) {
        return take(asOf, asOf);
    }

    /** One that knows the warmth of a day that lies further back than any layer that is here. */
    public NurserySnapshot takeSince(LocalDate earliest) {
        return take(clock.today(), earliest);
    }

    private NurserySnapshot take(LocalDate asOf, LocalDate earliest) {
        Object[] found = OncePerRead.get(EDITION, this::edition);
        // mothers are added without a new edition, and never taken away
        String edition = found[0] + "/" + found[2] + "/" + NurseryLock.ownEdition();
        Key key = key(edition, (LocalDate) found[1], asOf, earliest);
        NurserySnapshot known = kept.getIfPresent(key);
        if (known == null) {
            // made in the transaction of whoever asks, which may see what others don't yet: nobody waits for it
            known = new NurserySnapshot(data, climates, weather, asOf, key.fromYear);
            kept.put(key, known);
        }
        return known;
    }

    /**
     * The lock of whoever records, the edition of the master data under it, the first day on which a layer was set, and
     * how many mothers there are.
     * By hand, for it is asked with every record: as one statement where Hibernate needs two, one to lock the row and
     * one to read what it does not hold. Only the lock's row is locked.
     */
    private Object[] sharedEdition() {
        return (Object[]) rows.createNativeQuery(
                        "select edition, (select min(set_on) from layer), (select count(*) from mother)"
                                + " from nursery_lock where id = 1 lock in share mode",
                        Object[].class)
                .getSingleResult();
    }

    private Object[] edition() {
        return rows.createQuery(
                        "select lock.edition, (select min(layer.setOn) from Layer layer),"
                                + " (select count(mother) from Mother mother) from NurseryLockRow lock",
                        Object[].class)
                // whoever changes what it is about has flushed that: no need to look through all that is loaded
                .setFlushMode(FlushModeType.COMMIT)
                .getSingleResult();
    }

    private static Key key(String edition, @Nullable LocalDate oldest, LocalDate asOf, LocalDate earliest) {
        int fromYear = Math.min(asOf.getYear() - YEARS_BACK, earliest.getYear());
        return new Key(edition, asOf, oldest == null ? fromYear : Math.min(fromYear, oldest.getYear()));
    }
}
