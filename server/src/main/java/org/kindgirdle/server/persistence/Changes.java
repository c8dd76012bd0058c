package org.kindgirdle.server.persistence;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import org.hibernate.engine.spi.EntityEntry;
import org.hibernate.engine.spi.SessionImplementor;
import org.hibernate.persister.entity.EntityPersister;
import org.jspecify.annotations.Nullable;

/** What Hibernate would write of a row, by its own comparison with what it read. */
public final class Changes {

    private Changes() {}

    /**
     * The attributes of a row that are not as they were read.
     *
     * @throws IllegalArgumentException if the row was not read by this entity manager
     */
    public static Set<String> of(EntityManager entities, Object row) {
        SessionImplementor session = entities.unwrap(SessionImplementor.class);
        EntityEntry entry = session.getPersistenceContextInternal().getEntry(row);
        if (entry == null) {
            throw new IllegalArgumentException(row + " was not read here");
        }
        EntityPersister persister = entry.getPersister();
        int @Nullable [] dirty = persister.findDirty(persister.getValues(row), entry.getLoadedState(), row, session);
        Set<String> names = new TreeSet<>();
        if (dirty != null) {
            Arrays.stream(dirty).mapToObj(i -> persister.getPropertyNames()[i]).forEach(names::add);
        }
        return names;
    }
}
