package org.kindgirdle.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AccessDeniedException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.http.ProblemDetail;

class HardshipTest {

    static Stream<Arguments> hardships() {
        return Stream.of(
                Arguments.of(new SQLException("Lock wait timeout exceeded", "HY000", 1205), 503, "hardship.lock"),
                Arguments.of(new SQLException("Deadlock found", "40001", 1213), 503, "hardship.lock"),
                Arguments.of(new CannotAcquireLockException("deadlock"), 503, "hardship.lock"),
                Arguments.of(new SQLException("The table is full", "HY000", 1114), 507, "hardship.disk"),
                Arguments.of(new SQLException("Disk full", "HY000", 1021), 507, "hardship.disk"),
                Arguments.of(
                        new UncheckedIOException(new IOException("No space left on device")), 507, "hardship.disk"),
                Arguments.of(new UncheckedIOException(new AccessDeniedException("/photos")), 507, "hardship.disk"),
                Arguments.of(new SQLException("Connection is closed"), 503, "hardship.away"),
                Arguments.of(new SQLException("Socket error", "08000"), 503, "hardship.away"),
                Arguments.of(new SQLTransientConnectionException("no connection"), 503, "hardship.away"));
    }

    @ParameterizedTest
    @MethodSource("hardships")
    void what_is_nobodys_fault_is_said_with_what_becomes_of_what_was_typed(
            Exception failure, int status, String hardship) {
        ProblemDetail said = Hardship.of(new IllegalStateException("around it", failure));
        assertThat(said).isNotNull();
        assertThat(said.getStatus()).isEqualTo(status);
        assertThat(said.getTitle()).isEqualTo(Refusals.say(hardship + ".title"));
        assertThat(said.getDetail()).isEqualTo(Refusals.say(hardship));
    }

    @Test
    void a_bug_is_no_hardship() {
        assertThat(Hardship.of(new NullPointerException())).isNull();
        assertThat(Hardship.of(new SQLException("Duplicate entry", "23000", 1062)))
                .isNull();
        assertThat(Hardship.of(new IOException("Connection reset by peer"))).isNull();
    }
}
