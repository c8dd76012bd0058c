package org.kindgirdle.server.backup;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.time.BusinessClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * A backup every night by itself, or as soon as the machine runs again after a night that it was off. By the system
 * clock: a backup is about disks, not about the demo's day.
 */
@Component
class NightlyBackup {

    private static final Logger LOG = LoggerFactory.getLogger(NightlyBackup.class);

    private static final LocalTime NIGHT = LocalTime.of(2, 0);

    /** Between two looks at the clock; a machine that wakes up is not met by a backup in its first minutes. */
    private static final int LOOK_MINUTES = 10;

    /** A new file stands beside the old ones, and its SQL beside it, until it has been looked through. */
    private static final int ROOM_FOR = 8;

    private static final long LEAST_ROOM = 100_000_000;

    private final BackupFolder folder;
    private final BackupWriter writer;
    private final BusinessClock business;
    private final Clock system;
    private final boolean wanted;
    private volatile @Nullable String problem;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "nightly-backup");
        one.setDaemon(true);
        return one;
    });

    NightlyBackup(
            BackupFolder folder,
            BusinessClock business,
            Clock system,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password,
            @Value("${kindgirdle.photos}") Path photos,
            @Value("${kindgirdle.backups.nightly}") boolean wanted) {
        this.folder = folder;
        this.business = business;
        this.system = system;
        this.writer = new BackupWriter(new Database(url, user, password), photos);
        this.wanted = wanted && !business.isDemo();
    }

    @EventListener
    void onReady(ApplicationReadyEvent ready) {
        if (wanted) {
            thread.scheduleWithFixedDelay(this::whenDue, LOOK_MINUTES, LOOK_MINUTES, TimeUnit.MINUTES);
        }
    }

    @PreDestroy
    void stop() {
        thread.shutdownNow();
    }

    boolean isWanted() {
        return wanted;
    }

    /** What went wrong the last time; null if nothing did. */
    @Nullable
    String problem() {
        return problem;
    }

    /** Makes one if none has been made since last night began. @return whether it did */
    boolean whenDue() {
        try {
            ZoneId zone = business.zone();
            Instant now = system.instant();
            if (folder.newest()
                    .filter(made -> !made.at().isBefore(lastNight(now, zone)))
                    .isPresent()) {
                return false;
            }
            return folder.alone(() -> make(now, zone));
        } catch (IOException | RuntimeException failed) {
            fail(failed);
            return false;
        }
    }

    private void make(Instant now, ZoneId zone) {
        try {
            long room = Math.max(
                    LEAST_ROOM,
                    folder.newest().map(made -> made.bytes() * ROOM_FOR).orElse(0L));
            if (folder.freeBytes() < room) {
                problem = "There are only " + folder.freeBytes() / 1_000_000 + " MB left in " + folder.path()
                        + ", and a backup wants " + room / 1_000_000 + ".";
                LOG.warn("No backup tonight: {}", problem);
                return;
            }
            BackupCheck.Found found = writer.write(folder.fileFor(now), BackupCommand.version(), now);
            problem = found.isWhole() ? null : String.join("; ", found.problems());
            if (found.isWhole()) {
                // what is not whole never pushes out what is
                folder.thin(zone);
            }
        } catch (IOException | BackupException failed) {
            fail(failed);
        }
    }

    private void fail(Exception failed) {
        problem = String.valueOf(failed.getMessage());
        LOG.warn("The nightly backup failed: {}", problem);
    }

    private static Instant lastNight(Instant now, ZoneId zone) {
        ZonedDateTime here = now.atZone(zone);
        ZonedDateTime tonight = here.with(NIGHT);
        return (tonight.isAfter(here) ? tonight.minus(Duration.ofDays(1)) : tonight).toInstant();
    }
}
