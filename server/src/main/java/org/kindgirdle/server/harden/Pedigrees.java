package org.kindgirdle.server.harden;

import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.layers.SetCounts;
import org.kindgirdle.server.mothers.MotherOrigins;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants that become mothers, and the lines that they stand in. */
@Service
class Pedigrees {

    private final MotherOrigins origins;
    private final Mothers mothers;
    private final LiveLayers layers;
    private final LayerJournal journal;
    private final SetCounts counts;
    private final Snapshots snapshots;
    private final BusinessClock clock;

    Pedigrees(
            MotherOrigins origins,
            Mothers mothers,
            LiveLayers layers,
            LayerJournal journal,
            SetCounts counts,
            Snapshots snapshots,
            BusinessClock clock) {
        this.origins = origins;
        this.mothers = mothers;
        this.layers = layers;
        this.journal = journal;
        this.counts = counts;
        this.snapshots = snapshots;
        this.clock = clock;
    }

    /** The plant is released to the own stock, and is a mother from now on: of the species and variety of its mother. */
    @Transactional
    public MotherView raise(String code, UUID command, NewMotherRequest request) {
        LiveLayers.Live one = layers.one(code);
        Long raised = origins.raisedFrom(code);
        if (raised != null) {
            throw ProblemException.conflict(
                    Refusals.say("raise.already.title"),
                    Refusals.say(
                            "raise.already",
                            "code",
                            code,
                            "mother",
                            mothers.one(raised).code()),
                    Map.of("motherId", raised));
        }
        LayerPhase phase = one.projection().state().phase();
        if (phase == LayerPhase.POTTED) {
            journal.append(
                    code,
                    UUID.nameUUIDFromBytes((command + "/released").getBytes(StandardCharsets.UTF_8)),
                    new LayerRecord.Released(LayerRecord.Destination.MOTHER_STOCK),
                    clock.now(),
                    null,
                    request.reason());
        } else if (!isOwnStock(one)) {
            throw ProblemException.conflict(
                    Refusals.say("raise.notYet.title"), Refusals.say("raise.notYet", "code", code), Map.of());
        }
        MotherView parent = one.mother();
        MotherView mother =
                mothers.save(MotherView.fresh(request.code(), parent.speciesCode(), parent.variety(), request.placeId())
                        .rootRun(request.rootRun())
                        .plantedYear(snapshots.take().today().getYear())
                        .rights(parent.rights())
                        .permission(parent.permission())
                        .leafyShoots(request.leafyShoots())
                        .build());
        origins.add(Objects.requireNonNull(mother.id()), code);
        return mother;
    }

    private static boolean isOwnStock(LiveLayers.Live one) {
        return one.projection().state().phase() == LayerPhase.RELEASED
                && one.inForce().stream()
                        .anyMatch(event -> event.what() instanceof LayerRecord.Released released
                                && released.destination() == LayerRecord.Destination.MOTHER_STOCK);
    }

    @Transactional(readOnly = true)
    public PedigreeView of(long motherId) {
        NurserySnapshot nursery = snapshots.take();
        Map<Long, MotherOrigins.Origin> all = origins.all();
        List<PedigreeView.Ancestor> ancestors = origins.ancestry(motherId).stream()
                .map(origin -> {
                    MotherView parent = nursery.mother(origin.parentId());
                    return new PedigreeView.Ancestor(
                            origin.parentId(), parent.code(), parent.variety(), origin.layer());
                })
                .toList();
        Map<Long, List<MotherOrigins.Origin>> children =
                all.values().stream().collect(Collectors.groupingBy(MotherOrigins.Origin::parentId));
        PedigreeView.Descent self = descent(motherId, all, children, counts.byMother(), nursery);
        return new PedigreeView(ancestors, self, ancestors.size() + depth(self));
    }

    private static int depth(PedigreeView.Descent one) {
        return 1 + one.children().stream().mapToInt(Pedigrees::depth).max().orElse(0);
    }

    private static PedigreeView.Descent descent(
            long motherId,
            Map<Long, MotherOrigins.Origin> all,
            Map<Long, List<MotherOrigins.Origin>> children,
            Map<Long, Integer> set,
            NurserySnapshot nursery) {
        MotherView mother = nursery.mother(motherId);
        MotherOrigins.Origin origin = all.get(motherId);
        return new PedigreeView.Descent(
                motherId,
                mother.code(),
                mother.variety(),
                origin == null ? null : origin.layer(),
                set.getOrDefault(motherId, 0),
                children.getOrDefault(motherId, List.of()).stream()
                        .map(child -> descent(child.motherId(), all, children, set, nursery))
                        .sorted(Comparator.comparing(PedigreeView.Descent::code))
                        .toList());
    }
}
