package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stands on the labels of layers. */
@Service
public class LayerTags {

    private final LayerRows layers;
    private final Snapshots snapshots;

    LayerTags(LayerRows layers, Snapshots snapshots) {
        this.layers = layers;
        this.snapshots = snapshots;
    }

    public record Tag(String code, String species, String variety, String mother, LocalDate setOn, String recipe) {}

    /** In the order of the codes, each once. */
    @Transactional(readOnly = true)
    public List<Tag> of(List<String> codes) {
        LinkedHashSet<String> wanted = new LinkedHashSet<>();
        for (String typed : codes) {
            wanted.add(LayerCode.parse(typed).orElseThrow(() -> ProblemException.notFound("layer", typed)));
        }
        Map<String, Layer> found = layers.findByCodeIn(wanted).stream()
                .collect(Collectors.toMap(layer -> layer.code(), Function.identity()));
        List<Layer> all = new ArrayList<>();
        for (String code : wanted) {
            Layer layer = found.get(code);
            if (layer == null) {
                throw ProblemException.notFound("layer", code);
            }
            all.add(layer);
        }
        return tags(all);
    }

    /** In the order in which they were set. */
    @Transactional(readOnly = true)
    public List<Tag> ofBatch(UUID batch) {
        List<Layer> all = layers.findByBatchIdOrderByNumber(batch);
        if (all.isEmpty()) {
            throw ProblemException.notFound("batch", batch);
        }
        return tags(all);
    }

    private List<Tag> tags(List<Layer> all) {
        NurserySnapshot nursery = snapshots.take();
        return all.stream()
                .map(layer -> {
                    MotherView mother = nursery.mother(layer.motherId());
                    return new Tag(
                            layer.code(),
                            nursery.species(mother.speciesCode()).profile().common(),
                            mother.variety(),
                            mother.code(),
                            layer.setOn(),
                            nursery.recipe(layer.recipeId()).name());
                })
                .toList();
    }
}
