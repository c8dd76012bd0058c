package org.kindgirdle.server.layers;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Ways of looking at all layers that somebody gave a name: everybody has their own. */
@RestController
@RequestMapping("/api/v1/me/layer-filters")
class SavedFilters {

    private static final int MAX = 40;

    private final SavedFilterRepository filters;
    private final CurrentPerson person;

    SavedFilters(SavedFilterRepository filters, CurrentPerson person) {
        this.filters = filters;
        this.person = person;
    }

    /** @param query of the list's address, like {@code phase=ON_MOTHER&stage=FILLED} */
    record SavedFilter(long id, String name, String query) {}

    /** A name that is there already gets the new filters. */
    record FilterRequest(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 1000) String query) {}

    @GetMapping
    List<SavedFilter> myLayerFilters() {
        return filters.findByPersonIdOrderByName(person.id()).stream()
                .map(one -> new SavedFilter(one.id == null ? 0 : one.id, one.name, one.query))
                .toList();
    }

    @PutMapping
    @Transactional
    public List<SavedFilter> saveMyLayerFilter(@Valid @RequestBody FilterRequest filter) {
        String name = filter.name().strip();
        if (!filters.existsByPersonIdAndName(person.id(), name) && filters.countByPersonId(person.id()) >= MAX) {
            throw ProblemException.invalid(
                    "name",
                    filter.name(),
                    Refusals.say("layer.filters.allowed", "max", MAX),
                    Refusals.say("layer.filters"));
        }
        filters.put(person.id(), name, filter.query());
        return myLayerFilters();
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void deleteMyLayerFilter(@PathVariable long id) {
        filters.remove(id, person.id());
    }
}
