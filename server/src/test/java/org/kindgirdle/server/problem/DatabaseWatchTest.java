package org.kindgirdle.server.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.MariaDbServer;
import org.springframework.beans.factory.ObjectProvider;

class DatabaseWatchTest {

    private static final int PATIENCE_MS = 30_000;

    private final DataSource database = mock(DataSource.class);
    private final Connection connection = mock(Connection.class);
    private DatabaseWatch watch;

    @BeforeEach
    @SuppressWarnings("unchecked") // a mock of a generic type
    void begin() throws SQLException {
        ObjectProvider<DataSource> provider = mock(ObjectProvider.class);
        when(provider.getObject()).thenReturn(database);
        when(connection.isValid(anyInt())).thenReturn(true);
        // nobody listens there
        watch = new DatabaseWatch(provider, "jdbc:mariadb://127.0.0.1:" + MariaDbServer.freePort() + "/kindgirdle");
    }

    @AfterEach
    void end() {
        watch.stop();
    }

    @Test
    void nobody_asks_while_all_is_well() throws SQLException {
        assertThat(watch.isAway()).isFalse();
        verify(database, never()).getConnection();
    }

    @Test
    void it_is_away_until_a_connection_is_had_again() throws Exception {
        AtomicBoolean back = new AtomicBoolean();
        when(database.getConnection()).thenAnswer(asked -> {
            if (!back.get()) {
                throw new SQLException("away");
            }
            return connection;
        });
        watch.noticed();
        assertThat(watch.isAway()).isTrue();
        back.set(true);
        // the connection that was had is given back
        verify(connection, timeout(PATIENCE_MS)).close();
        assertThat(watch.isAway()).isFalse();
    }
}
