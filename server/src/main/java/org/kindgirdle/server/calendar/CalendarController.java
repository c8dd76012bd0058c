package org.kindgirdle.server.calendar;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.site.Sites;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The calendar: its address for whoever is signed in, and the feed for whoever has the address. */
@RestController
class CalendarController {

    private final Addresses addresses;
    private final Agenda agenda;
    private final ToldEntries told;
    private final Sites sites;
    private final Reprojection reprojection;
    private final String publicAddress;

    CalendarController(
            Addresses addresses,
            Agenda agenda,
            ToldEntries told,
            Sites sites,
            Reprojection reprojection,
            @Value("${kindgirdle.public-address:}") String publicAddress) {
        this.addresses = addresses;
        this.agenda = agenda;
        this.told = told;
        this.sites = sites;
        this.reprojection = reprojection;
        this.publicAddress = publicAddress;
    }

    /** @param madeOn null if there is none yet */
    record CalendarView(@Nullable LocalDate madeOn) {}

    /** @param replace whether one that was given before may be taken away */
    record NewAddress(@NotNull Boolean replace) {}

    /** @param address shown this once */
    record CalendarAddress(String address) {}

    @GetMapping("/api/v1/me/calendar")
    CalendarView myCalendar() {
        return new CalendarView(addresses.madeOn().orElse(null));
    }

    /** A new address; one that was given before leads nowhere from now on. */
    @PostMapping("/api/v1/me/calendar")
    @ResponseStatus(HttpStatus.CREATED)
    CalendarAddress renewMyCalendar(@Valid @RequestBody NewAddress wanted) {
        addresses.madeOn().filter(made -> !wanted.replace()).ifPresent(made -> {
            throw ProblemException.conflict(
                    Refusals.say("calendar.address.title"),
                    Refusals.say("calendar.address", "made", made),
                    Map.of("madeOn", made));
        });
        String base = publicAddress.isBlank()
                ? ServletUriComponentsBuilder.fromCurrentContextPath().toUriString()
                : publicAddress;
        return new CalendarAddress(base + "/calendar/" + addresses.renew() + ".ics");
    }

    @DeleteMapping("/api/v1/me/calendar")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endMyCalendar() {
        addresses.remove();
    }

    @GetMapping("/calendar/{token}.ics")
    @Transactional
    public ResponseEntity<String> feed(@PathVariable String token) {
        addresses.owner(token).orElseThrow(() -> ProblemException.notFound("calendar", "at this address"));
        reprojection.turnDay();
        List<ToldEntries.ToldEntry> entries = told.tell(agenda.ahead());
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, "text/calendar; charset=utf-8")
                .header(HttpHeaders.CACHE_CONTROL, "private, no-store")
                .body(Feed.of(sites.site().name(), "kind-girdle", entries));
    }
}
