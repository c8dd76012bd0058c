package org.kindgirdle.server.backup;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How old the newest backup is, for owners. */
@RestController
@RequestMapping("/api/v1/backups")
class BackupController {

    private final BackupFolder folder;
    private final NightlyBackup nightly;

    BackupController(BackupFolder folder, NightlyBackup nightly) {
        this.folder = folder;
        this.nightly = nightly;
    }

    /**
     * The newest of the nightly backups.
     *
     * @param nightly whether they are made by themselves
     * @param newestAt null if there is none
     * @param count how many are kept
     * @param problem what went wrong the last time; null if nothing did
     */
    record BackupsView(
            boolean nightly,
            @Nullable Instant newestAt,
            long newestBytes,
            int count,
            String folder,
            @Nullable String problem) {}

    @GetMapping
    BackupsView backups() {
        BackupFolder.Made newest = folder.newest().orElse(null);
        return new BackupsView(
                nightly.isWanted(),
                newest == null ? null : newest.at(),
                newest == null ? 0 : newest.bytes(),
                folder.all().size(),
                folder.path().toString(),
                nightly.problem());
    }
}
