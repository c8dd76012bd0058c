package org.kindgirdle.server.exchange;

import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.species.SpeciesProfiles;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes the mothers that a nursery's old sheet of layers names and that are not here yet, from what the same row says of
 * them. Nobody has counted their shoots: until somebody does, they have room for no more.
 */
final class MissingMothers {

    private static final String NOTE = "From a file of layers: count its leafy shoots, so that its room is known.";

    private final Mothers mothers;
    private final Validator validator;
    private final Ref.Known places;
    private final Set<String> species;

    MissingMothers(Mothers mothers, SpeciesProfiles profiles, Validator validator, Ref.Known places) {
        this.mothers = mothers;
        this.validator = validator;
        this.places = places;
        this.species = profiles.all().stream().map(one -> one.profile().code()).collect(Collectors.toUnmodifiableSet());
    }

    /**
     * @param code of a mother that is not here
     * @throws RowException if the row says too little of it, or what can't be
     */
    void make(String code, ObjectNode cells) {
        String variety = Objects.requireNonNullElse(RowCells.text(cells, LayerTable.VARIETY), "");
        MotherView mother = MotherView.fresh(code, species(cells), variety, placeId(cells))
                .note(NOTE)
                .build();
        List<Wrong> wrong = new ArrayList<>();
        validator
                .validate(mother)
                .forEach(one -> wrong.add(new Wrong(
                        one.getPropertyPath().toString().equals("variety") ? LayerTable.VARIETY : LayerTable.MOTHER,
                        "",
                        RowCells.sentence(one.getMessage()))));
        if (!wrong.isEmpty()) {
            throw new RowException(wrong);
        }
        try {
            mothers.save(mother);
        } catch (ProblemException refused) {
            throw new RowException(LayerTable.MOTHER, String.valueOf(refused.getMessage()));
        }
    }

    private String species(ObjectNode cells) {
        String code = RowCells.text(cells, LayerTable.SPECIES);
        if (code == null) {
            throw new RowException(LayerTable.MOTHER, Refusals.say("import.mother"));
        }
        if (!species.contains(code)) {
            throw new RowException(LayerTable.SPECIES, Refusals.say("import.species", "code", code));
        }
        return code;
    }

    private long placeId(ObjectNode cells) {
        String name = RowCells.text(cells, LayerTable.PLACE);
        if (name != null) {
            return places.id(LayerTable.PLACE, name);
        }
        @Nullable
        Long only =
                places.byId().size() == 1 ? places.byId().keySet().iterator().next() : null;
        if (only == null) {
            throw new RowException(LayerTable.PLACE, Refusals.say("import.place"));
        }
        return only;
    }
}
