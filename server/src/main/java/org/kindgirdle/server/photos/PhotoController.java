package org.kindgirdle.server.photos;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures over HTTP: sent as they are, kept as they should be. */
@RestController
@RequestMapping("/api/v1")
class PhotoController {

    private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

    private final Photos photos;
    private final PhotoFolder folder;
    private final PictureQueue queue;
    private final CommandLedger commands;
    private final BusinessClock clock;

    PhotoController(
            Photos photos, PhotoFolder folder, PictureQueue queue, CommandLedger commands, BusinessClock clock) {
        this.photos = photos;
        this.folder = folder;
        this.queue = queue;
        this.commands = commands;
        this.clock = clock;
    }

    @GetMapping("/layers/{code}/photos")
    List<Photos.PhotoView> photosOfLayer(@PathVariable String code) {
        return photos.of(code(code));
    }

    /**
     * @param recordId of the record that it was made with
     * @param occurredAt when it was taken; now if left out
     */
    @PostMapping("/layers/{code}/photos")
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            description = "The picture itself, JPEG or PNG, at most 16 MB",
            content = {
                @Content(mediaType = "image/jpeg", schema = @Schema(type = "string", format = "binary")),
                @Content(mediaType = "image/png", schema = @Schema(type = "string", format = "binary"))
            })
    Photos.PhotoView addPhoto(
            @PathVariable String code,
            @RequestHeader("Command-Id") UUID id,
            @RequestParam(required = false) @Nullable UUID recordId,
            @RequestParam(required = false) @Nullable Instant occurredAt,
            HttpServletRequest request)
            throws IOException {
        Path sent = folder.newFile();
        try {
            // to the disk first: those that wait for their turn are not held in memory
            String hash = Photos.spool(request.getInputStream(), sent);
            return add(code(code), id, recordId, occurredAt, sent, hash);
        } finally {
            Files.deleteIfExists(sent);
        }
    }

    private Photos.PhotoView add(
            String code, UUID id, @Nullable UUID recordId, @Nullable Instant occurredAt, Path sent, String hash) {
        Picture picture = queue.inTurn(() -> Picture.of(sent));
        Map<String, Object> body = Map.of(
                "photo", hash,
                "recordId", recordId == null ? "" : recordId,
                "occurredAt", occurredAt == null ? "" : occurredAt);
        return commands.once(
                id,
                "photo " + code,
                body,
                Photos.PhotoView.class,
                () -> photos.add(code, id, picture, occurredAt == null ? clock.now() : occurredAt, recordId));
    }

    @DeleteMapping("/layers/{code}/photos/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void withdrawPhoto(@PathVariable String code, @PathVariable UUID id) {
        photos.withdraw(code(code), id);
    }

    /** @param small whether as it stands in a list */
    @GetMapping(value = "/photos/{hash}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<Resource> photo(@PathVariable String hash, @RequestParam(defaultValue = "false") Boolean small) {
        if (!HASH.matcher(hash).matches()) {
            throw ProblemException.notFound("photo", hash);
        }
        Path file = folder.find(hash, small).orElseThrow(() -> ProblemException.notFound("photo", hash));
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(new FileSystemResource(file));
    }

    private static String code(String typed) {
        return LayerCode.parse(typed).orElseThrow(() -> ProblemException.notFound("layer", typed));
    }
}
