package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Storm;
import org.kindgirdle.e2e.harness.Walker;

/** A short part of what {@code ./kg faults} does at length. */
class FaultsTest {

    @Test
    void in_a_storm_with_server_and_database_killed_nothing_acknowledged_is_lost_or_doubled() {
        try (RunningApplication application = RunningApplication.demo()) {
            Storm storm = new Storm(application, Walker.due(application, "QU-01", 12), 19);
            storm.awaitMore(60);
            application.kill();
            application.start();
            storm.awaitMore(60);
            application.database().kill();
            application.database().startAgain();
            storm.awaitMore(60);
            Storm.Left left = storm.end();
            assertThat(left.lost()).isEmpty();
            assertThat(left.doubled()).isEmpty();
            assertThat(left.acknowledged()).isGreaterThanOrEqualTo(180);
            assertThat(left.answers()).doesNotContainKey("500");
        }
    }
}
