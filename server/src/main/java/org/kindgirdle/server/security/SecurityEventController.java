package org.kindgirdle.server.security;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.Within;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The log of security events, for owners. */
@RestController
@RequestMapping("/api/v1/security-events")
class SecurityEventController {

    private static final int PAGE = 100;

    private final SecurityLog log;

    SecurityEventController(SecurityLog log) {
        this.log = log;
    }

    /** @param detail what of it is to be known, as a path or a role */
    record EventView(long id, Instant at, SecurityEventKind kind, String person, String address, String detail) {}

    /** @param before the id of the last line that was read; left out for the newest */
    @GetMapping
    List<EventView> securityEvents(
            @RequestParam(required = false) @Nullable @Within(low = 0, high = 1e15) Long before) {
        return log.before(Objects.requireNonNullElse(before, Long.MAX_VALUE), PAGE).stream()
                .map(one -> new EventView(
                        Objects.requireNonNullElse(one.id, 0L),
                        one.at,
                        one.kind,
                        one.personName,
                        one.address,
                        one.detail))
                .toList();
    }
}
