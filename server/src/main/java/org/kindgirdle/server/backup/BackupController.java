package org.kindgirdle.server.backup;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How old the newest backup is, and how much room there is, for owners. */
@RestController
@RequestMapping("/api/v1/backups")
class BackupController {

    private final BackupFolder folder;
    private final NightlyBackup nightly;
    private final Path photos;

    BackupController(BackupFolder folder, NightlyBackup nightly, @Value("${kindgirdle.photos}") Path photos) {
        this.folder = folder;
        this.nightly = nightly;
        this.photos = photos;
    }

    /** Of the disk on which a folder lies, or will. */
    private static long free(Path folder) {
        for (Path at = folder.toAbsolutePath(); at != null; at = at.getParent()) {
            if (Files.exists(at)) {
                return at.toFile().getUsableSpace();
            }
        }
        return Long.MAX_VALUE;
    }

    /**
     * The newest of the nightly backups.
     *
     * @param nightly whether they are made by themselves
     * @param newestAt null if there is none
     * @param count how many are kept
     * @param freeBytes on the fullest of the disks that backups and pictures go to
     * @param unwritable the folder that nothing can be written to; null if all can
     * @param problem what went wrong the last time; null if nothing did
     */
    record BackupsView(
            boolean nightly,
            @Nullable Instant newestAt,
            long newestBytes,
            int count,
            String folder,
            long freeBytes,
            @Nullable String unwritable,
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
                Math.min(free(folder.path()), free(photos)),
                Stream.of(folder.path(), photos)
                        .filter(one -> Files.isDirectory(one) && !Files.isWritable(one))
                        .map(Path::toString)
                        .findFirst()
                        .orElse(null),
                nightly.problem());
    }
}
