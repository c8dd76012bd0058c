package org.kindgirdle.server.site;

import jakarta.validation.Valid;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The site over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class SiteController {

    private final Sites sites;
    private final CommandLedger commands;

    SiteController(Sites sites, CommandLedger commands) {
        this.sites = sites;
        this.commands = commands;
    }

    @GetMapping("/site")
    SiteView site() {
        return sites.site();
    }

    @PutMapping("/site")
    SiteView saveSite(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody SiteView edit) {
        return commands.once(id, "site", edit, SiteView.class, () -> sites.save(edit));
    }
}
