package org.kindgirdle.server.formats;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.layers.LayerTags;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Labels of layers and of mothers. */
@Service
class Labels {

    /** Of one document. */
    static final int MAX = 500;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final LayerTags tags;
    private final Snapshots snapshots;

    Labels(LayerTags tags, Snapshots snapshots) {
        this.tags = tags;
        this.snapshots = snapshots;
    }

    /** @param address of the application, that the QR codes lead to */
    @Transactional(readOnly = true)
    byte[] print(
            String address, List<String> codes, @Nullable UUID batch, List<Long> mothers, LabelGrid grid, int start) {
        if (start < 1 || start > grid.labels()) {
            throw ProblemException.invalid(
                    "start",
                    start,
                    Refusals.say("label.start.allowed", "labels", grid.labels()),
                    Refusals.say("label.start"));
        }
        List<Label> labels = new ArrayList<>();
        for (LayerTags.Tag tag : batch == null ? tags.of(codes) : tags.ofBatch(batch)) {
            labels.add(new Label(
                    address + "/layers/" + tag.code(),
                    tag.code(),
                    List.of(
                            named(tag.species(), tag.variety()),
                            "on " + tag.mother() + ", " + DAY.format(tag.setOn()),
                            tag.recipe())));
        }
        NurserySnapshot nursery = snapshots.take();
        for (Long id : mothers) {
            MotherView mother = nursery.mother(id);
            labels.add(new Label(
                    address + "/stock/" + id,
                    mother.code(),
                    List.of(
                            named(
                                    nursery.species(mother.speciesCode())
                                            .profile()
                                            .common(),
                                    mother.variety()),
                            nursery.place(mother.placeId()).name())));
        }
        if (labels.isEmpty() || labels.size() > MAX) {
            throw ProblemException.invalid(
                    "codes", labels.size(), Refusals.say("label.many.allowed", "max", MAX), Refusals.say("label.many"));
        }
        return LabelSheets.of(labels, grid, start);
    }

    private static String named(String species, String variety) {
        return variety.isBlank() ? species : species + " " + variety;
    }
}
