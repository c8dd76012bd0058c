package org.kindgirdle.server.mothers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;

/** What is edited of a mother is kept, field by field, also a field that came later. */
class MotherFieldsTest {

    /** Given by the database, or changed by requests of their own. */
    private static final Set<String> NOT_EDITED = Set.of("id", "version", "retiredOn", "mergedInto");

    @Test
    void every_field_that_is_edited_is_kept() {
        MotherView edit = MotherView.fresh("QU-09", "CYDOBL", "Amber", 7)
                .rootRun(RootRun.POT)
                .vigour(Vigour.WEAK)
                .plantedYear(1998)
                .sick(true)
                .toBeCutDown(true)
                .rights(Rights.PERMITTED)
                .permission("letter of 3 May 2021")
                .leafyShoots(41)
                .note("by the gate")
                .build();
        Map<String, String> untouched = fields(Mother.fresh().view());
        assertThat(fields(edit).entrySet())
                .as("a field that is as in a new mother shows nothing: give it another value above")
                .noneMatch(field -> Objects.equals(field.getValue(), untouched.get(field.getKey())));
        Mother mother = Mother.fresh();
        mother.take(edit);
        assertThat(fields(mother.view())).isEqualTo(fields(edit));
    }

    @Test
    void what_is_free_needs_no_permission() {
        Mother mother = Mother.fresh();
        mother.take(MotherView.fresh("QU-09", "CYDOBL", "Amber", 7)
                .permission("letter of 3 May 2021")
                .build());
        assertThat(mother.view().permission()).isEmpty();
    }

    private static Map<String, String> fields(MotherView view) {
        return MotherViewBuilder.stream(view)
                .filter(field -> !NOT_EDITED.contains(field.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, field -> String.valueOf(field.getValue())));
    }
}
