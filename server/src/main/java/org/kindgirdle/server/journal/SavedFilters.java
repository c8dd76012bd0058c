package org.kindgirdle.server.journal;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
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

    private static final int MOST = 40;

    private final JdbcTemplate jdbc;
    private final CurrentPerson person;

    SavedFilters(JdbcTemplate jdbc, CurrentPerson person) {
        this.jdbc = jdbc;
        this.person = person;
    }

    /** @param query of the list's address, like {@code phase=ON_MOTHER&stage=FILLED} */
    record SavedFilter(long id, String name, String query) {}

    /** A name that is there already gets the new filters. */
    record FilterRequest(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 1000) String query) {}

    @GetMapping
    List<SavedFilter> all() {
        return jdbc.query(
                "select id, name, query from saved_filter where person_id = ? order by name",
                (row, index) -> new SavedFilter(row.getLong(1), row.getString(2), row.getString(3)),
                person.id());
    }

    @PutMapping
    @Transactional
    public List<SavedFilter> save(@Valid @RequestBody FilterRequest filter) {
        List<SavedFilter> before = all();
        boolean isNew = before.stream()
                .noneMatch(one -> one.name().equalsIgnoreCase(filter.name().strip()));
        if (isNew && before.size() >= MOST) {
            throw ProblemException.invalid(
                    "name", filter.name(), "at most " + MOST + " filters", "Throw one away before you save another.");
        }
        jdbc.update(
                "insert into saved_filter (person_id, name, query) values (?, ?, ?)"
                        + " on duplicate key update query = value(query)",
                person.id(),
                filter.name().strip(),
                filter.query());
        return all();
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        jdbc.update("delete from saved_filter where id = ? and person_id = ?", id, person.id());
    }
}
