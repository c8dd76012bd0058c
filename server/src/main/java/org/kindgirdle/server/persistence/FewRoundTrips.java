package org.kindgirdle.server.persistence;

import jakarta.persistence.EntityManager;
import java.sql.SQLException;
import org.springframework.orm.jpa.vendor.HibernateJpaDialect;
import org.springframework.transaction.TransactionDefinition;

/**
 * Begins a transaction without telling the database that it will only read: that costs two round trips with each, and
 * Hibernate writes nothing in one that only reads. One that asks for an isolation of its own is told so.
 */
final class FewRoundTrips extends HibernateJpaDialect {

    private final HibernateJpaDialect untold = new HibernateJpaDialect();

    FewRoundTrips() {
        untold.setPrepareConnection(false);
    }

    @Override
    public Object beginTransaction(EntityManager entities, TransactionDefinition definition) throws SQLException {
        return definition.getIsolationLevel() == TransactionDefinition.ISOLATION_DEFAULT
                ? untold.beginTransaction(entities, definition)
                : super.beginTransaction(entities, definition);
    }
}
