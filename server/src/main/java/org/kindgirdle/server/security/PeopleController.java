package org.kindgirdle.server.security;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.kindgirdle.server.problem.Within;
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
    private final CurrentPerson current;
    private final Confirmation confirmation;

    PeopleController(People people, CurrentPerson current, Confirmation confirmation) {
        this.people = people;
        this.current = current;
        this.confirmation = confirmation;
    }

    record PersonRequest(
            @NotBlank @Size(max = 40) String name,
            @NotBlank @Size(max = 80) String fullName,
            @NotBlank @Size(min = 10, max = 64) String password,
            @NotNull Role role) {}

    /** @param disabled whether the person signs in no more */
    record PersonChangeRequest(
            @NotBlank @Size(max = 80) String fullName,
            @NotNull Role role,
            @NotNull Boolean disabled,
            @NotNull @Within(low = 0, high = 1e15) Long version) {}

    record PasswordRequest(
            @NotBlank @Size(min = 10, max = 64) String password) {}

    /** A role, the name that is shown, or leave to come in at all. Sessions of whoever it concerns end. */
    @PutMapping("/{id}")
    People.PersonView changePerson(@PathVariable long id, @Valid @RequestBody PersonChangeRequest body) {
        confirmation.require();
        return people.change(
                id, new People.PersonEdit(body.fullName(), body.role(), body.disabled(), body.version()), current.id());
    }

    /** For a newcomer who came with a file, and for whoever has forgotten theirs. */
    @PutMapping("/{id}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void givePassword(@PathVariable long id, @Valid @RequestBody PasswordRequest body) {
        confirmation.require();
        people.givePassword(id, body.password());
    }

    @GetMapping
    List<People.PersonView> people() {
        return people.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    People.PersonView addPerson(@Valid @RequestBody PersonRequest body) {
        confirmation.require();
        return people.add(body.name(), body.fullName(), body.password(), body.role());
    }
}
