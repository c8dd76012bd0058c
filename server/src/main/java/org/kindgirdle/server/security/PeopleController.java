package org.kindgirdle.server.security;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of the nursery, for its owners. */
@RestController
@RequestMapping("/api/v1/people")
class PeopleController {

    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    record PersonRequest(
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 80) String fullName,
            @NotBlank @Size(min = 10, max = 64) String password,
            @NotNull Role role) {}

    record PasswordRequest(
            @NotBlank @Size(min = 10, max = 64) String password) {}

    /** For a newcomer who came with a file, and for whoever has forgotten theirs. */
    @PutMapping("/{id}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void givePassword(@PathVariable long id, @Valid @RequestBody PasswordRequest body) {
        people.givePassword(id, body.password());
    }

    @GetMapping
    List<People.PersonView> all() {
        return people.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    People.PersonView add(@Valid @RequestBody PersonRequest body) {
        return people.add(body.name(), body.fullName(), body.password(), body.role());
    }
}
