package org.kindgirdle.server.persistence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.net.ConnectException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A reader was told that the database can't be reached while others only had all of its connections. */
class PatientConnectionsTest {

    private final HikariDataSource pool = mock(HikariDataSource.class);
    private final HikariPoolMXBean state = mock(HikariPoolMXBean.class);
    private final PatientConnections patient = new PatientConnections(pool);

    @BeforeEach
    void all_are_in_use() {
        when(pool.getHikariPoolMXBean()).thenReturn(state);
        when(pool.getMaximumPoolSize()).thenReturn(10);
        when(state.getActiveConnections()).thenReturn(10);
    }

    @Test
    void where_all_connections_are_in_use_the_next_that_is_free_is_waited_for() throws SQLException {
        Connection free = mock(Connection.class);
        when(pool.getConnection())
                .thenThrow(new SQLTransientConnectionException("request timed out, active=10, waiting=20"))
                .thenThrow(new SQLTransientConnectionException("request timed out, active=10, waiting=8"))
                .thenReturn(free);
        assertThat(patient.getConnection()).isSameAs(free);
    }

    @Test
    void a_database_that_is_away_is_told_after_the_first_try() throws SQLException {
        when(pool.getConnection())
                .thenThrow(new SQLTransientConnectionException(
                        "request timed out", "08S01", new ConnectException("Connection refused")));
        assertThatThrownBy(patient::getConnection).hasRootCauseInstanceOf(ConnectException.class);
        verify(pool, times(1)).getConnection();
    }

    /** The pool tells the reason to the first of them only. */
    @Test
    void of_many_who_wait_for_a_database_that_is_away_all_are_told() throws SQLException {
        when(state.getActiveConnections()).thenReturn(0);
        when(pool.getConnection()).thenThrow(new SQLTransientConnectionException("request timed out, active=0"));
        assertThatThrownBy(patient::getConnection).isInstanceOf(SQLTransientConnectionException.class);
        verify(pool, times(1)).getConnection();
    }

    @Test
    void nobody_waits_for_ever() throws SQLException {
        when(pool.getConnection()).thenThrow(new SQLTransientConnectionException("request timed out, active=10"));
        assertThatThrownBy(patient::getConnection).isInstanceOf(SQLTransientConnectionException.class);
        verify(pool, times(6)).getConnection();
    }
}
