package org.kindgirdle.server.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class SessionUseTest {

    private static final String VIEWER = "(select name from person where role = 'VIEWER' limit 1)";

    private final TestNursery nursery;

    SessionUseTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void a_read_writes_no_session_and_when_it_was_used_is_kept_all_the_same() {
        nursery.viewer().get("/api/v1/mothers").expect(200);
        long lastWeek = Instant.now().minus(Duration.ofDays(7)).toEpochMilli();
        long expiry = lastWeek + Duration.ofDays(30).toMillis();
        nursery.sql()
                .update(
                        "update SPRING_SESSION set last_access_time = ?, expiry_time = ? where principal_name = "
                                + VIEWER,
                        lastWeek,
                        expiry);
        TestNursery.settledStatements();
        nursery.viewer().get("/api/v1/mothers").expect(200);
        assertThat(TestNursery.settledStatements())
                .isNotEmpty()
                .noneMatch(statement -> statement.toLowerCase().startsWith("update"));
        JsonNode mine = nursery.viewer().get("/api/v1/me/sessions").body();
        Instant told = mine.valueStream()
                .filter(one -> one.path("current").asBoolean())
                .map(one -> Instant.parse(one.path("lastUsed").asString()))
                .findFirst()
                .orElseThrow();
        assertThat(told).isCloseTo(Instant.now(), within(1, ChronoUnit.MINUTES));
        assertThat(kept("last_access_time")).isEqualTo(lastWeek);
        nursery.bean(SessionUse.class).write();
        assertThat(kept("last_access_time")).isGreaterThanOrEqualTo(told.toEpochMilli());
        assertThat(kept("expiry_time") - kept("last_access_time"))
                .as("it lives on for thirty days")
                .isEqualTo(Duration.ofDays(30).toMillis());
    }

    private long kept(String column) {
        Long kept = nursery.sql()
                .queryForObject(
                        "select max(" + column + ") from SPRING_SESSION where principal_name = " + VIEWER, Long.class);
        return kept == null ? 0 : kept;
    }
}
