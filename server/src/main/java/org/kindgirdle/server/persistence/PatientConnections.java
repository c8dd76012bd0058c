package org.kindgirdle.server.persistence;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Waits on where every connection is in use: others are done in their time, and it is no fault that they are many or the
 * machine is slow. Where a connection could not be made the database is away, and whoever asks is told so at once.
 */
final class PatientConnections extends DelegatingDataSource {

    /** Of the patience of the pool, which is for a database that is away. */
    private static final int TIMES = 6;

    PatientConnections(DataSource pool) {
        super(pool);
    }

    @Override
    public Connection getConnection() throws SQLException {
        for (int time = 1; time < TIMES; time++) {
            try {
                return super.getConnection();
            } catch (SQLTransientConnectionException waited) {
                // the pool names what its last try to make a connection failed of, if there was one
                if (waited.getCause() != null) {
                    throw waited;
                }
            }
        }
        return super.getConnection();
    }
}
