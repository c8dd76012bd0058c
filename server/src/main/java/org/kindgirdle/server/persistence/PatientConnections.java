package org.kindgirdle.server.persistence;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Waits on where every connection is in use: others are done in their time, and it is no fault that they are many or the
 * machine is slow. Where a connection could not be made the database is away, and whoever asks is told so at once.
 */
final class PatientConnections extends DelegatingDataSource {

    /** Of the patience of the pool, which is for a database that is away. */
    private static final int TIMES = 6;

    private final HikariDataSource pool;

    PatientConnections(HikariDataSource pool) {
        super(pool);
        this.pool = pool;
    }

    @Override
    public Connection getConnection() throws SQLException {
        for (int time = 1; time < TIMES; time++) {
            try {
                return super.getConnection();
            } catch (SQLTransientConnectionException waited) {
                // the pool tells one of those who wait what its last try to make a connection failed of, and gives up
                // what is broken: where the database is away, it has not as many as it may have
                if (waited.getCause() != null
                        || pool.getHikariPoolMXBean().getActiveConnections() < pool.getMaximumPoolSize()) {
                    throw waited;
                }
            }
        }
        return super.getConnection();
    }
}
