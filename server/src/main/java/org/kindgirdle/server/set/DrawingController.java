package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingPlacement;
import org.kindgirdle.server.formats.BranchDrawings;
import org.kindgirdle.server.formats.BranchSheet;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.units.Units;
import org.kindgirdle.server.words.Format;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The branches of a batch drawn one to one, before anything is cut. */
@RestController
@RequestMapping("/api/v1")
class DrawingController {

    /** Pages of one document. */
    private static final int MAX = 60;

    private final Bench bench;
    private final Snapshots snapshots;
    private final CurrentPerson person;
    private final BenchWords words;

    DrawingController(Bench bench, Snapshots snapshots, CurrentPerson person, BenchWords words) {
        this.bench = bench;
        this.snapshots = snapshots;
        this.person = person;
        this.words = words;
    }

    /** A page a row; nothing is written. */
    @PostMapping(value = "/set-drawings", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> drawSet(@Valid @RequestBody SetRequest request) {
        if (request.rows().size() > MAX) {
            throw ProblemException.invalid(
                    "rows",
                    request.rows().size(),
                    Refusals.say("drawing.rows.allowed", "max", MAX),
                    Refusals.say("drawing.rows"));
        }
        SetPreview preview = bench.preview(request);
        NurserySnapshot nursery = snapshots.take();
        MotherView mother = nursery.mother(request.motherId());
        Recipe recipe = nursery.recipe(request.recipeId()).recipe();
        Format format = new Format(person.units(), nursery.today());
        List<BranchSheet> sheets = new ArrayList<>();
        for (int i = 0; i < preview.rows().size(); i++) {
            SetRequest.RowRequest asked = request.rows().get(i);
            SetPreview.BranchPreview row = preview.rows().get(i);
            Position position = asked.position() == null ? Position.BETWEEN_NODES : asked.position();
            RingPlacement placed = RingPlacement.of(nursery.rules(), position, RingPlacement.BallOver.UPPER_CUT);
            double ring = recipe.wound().isRing() ? row.ball().ringMm() : 0;
            double uncut = row.ball().ballLengthMm() - row.aboveMm() - ring;
            sheets.add(new BranchSheet(
                    mother.code() + ", branch " + (i + 1),
                    List.of(
                            nursery.species(mother.speciesCode()).profile().common() + " " + mother.variety() + ", "
                                    + nursery.recipe(request.recipeId()).name(),
                            words.cutsAt(asked.position(), placed, format)),
                    row.ball(),
                    ring,
                    row.aboveMm(),
                    ring > 0 ? row.belowMm() : uncut,
                    node(position, placed, ring),
                    recipe.wrap().isTied(),
                    recipe.cover() == Cover.CLEAR || !recipe.wrap().isTied() ? "" : words.cover(recipe.cover()),
                    row.load().verdict() != BranchLoad.Bearing.FINE,
                    format.units() == Units.US));
        }
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(BranchDrawings.of(sheets));
    }

    /** Above the upper cut, mm, where the drawing shows the node. */
    private static @Nullable Double node(Position position, RingPlacement placed, double ringMm) {
        return switch (position) {
            case BELOW_NODE, AT_FORK -> (placed.fromNodeLeastMm() + placed.fromNodeMostMm()) / 2;
            case NODE_IN_RING -> -ringMm / 2;
            case BETWEEN_NODES -> null;
        };
    }
}
