package org.kindgirdle.server.places;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.command.CommandLedger;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The places over HTTP. Every edit is a command under the client's UUID. */
@RestController
@RequestMapping("/api/v1")
class PlaceController {

    private final Places places;
    private final CommandLedger commands;

    PlaceController(Places places, CommandLedger commands) {
        this.places = places;
        this.commands = commands;
    }

    @GetMapping("/places")
    List<PlaceView> places() {
        return places.all();
    }

    @PostMapping("/places")
    @ResponseStatus(HttpStatus.CREATED)
    PlaceView addPlace(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody PlaceView edit) {
        PlaceView fresh = with(edit, null);
        return commands.once(id, "place", fresh, PlaceView.class, () -> places.save(fresh));
    }

    @PutMapping("/places/{placeId}")
    PlaceView savePlace(
            @RequestHeader("Command-Id") UUID id, @PathVariable long placeId, @Valid @RequestBody PlaceView edit) {
        PlaceView known = with(edit, placeId);
        return commands.once(id, "place " + placeId, known, PlaceView.class, () -> places.save(known));
    }

    private static PlaceView with(PlaceView edit, @Nullable Long id) {
        return PlaceViewBuilder.builder(edit).id(id).build();
    }
}
