package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.projection.TipFirst;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes the journal. The row of the layer, its projection and the record are one transaction. */
@Service
public class LayerJournal {

    private final JournaledLayers layers;
    private final JournalRows events;
    private final RecordCodec codec;
    private final Snapshots snapshots;
    private final BusinessClock clock;
    private final CurrentPerson person;
    private final EntityManager entities;
    private final Journals journals;
    private final LayerNumbers numbers;
    private final TipFirst tipFirst;
    private final Releases releases;
    private final MadeOtherwise madeOtherwise;

    LayerJournal(
            JournaledLayers layers,
            JournalRows events,
            RecordCodec codec,
            Snapshots snapshots,
            BusinessClock clock,
            CurrentPerson person,
            EntityManager entities,
            Journals journals,
            LayerNumbers numbers,
            TipFirst tipFirst,
            Releases releases,
            MadeOtherwise madeOtherwise) {
        this.layers = layers;
        this.events = events;
        this.codec = codec;
        this.snapshots = snapshots;
        this.clock = clock;
        this.person = person;
        this.entities = entities;
        this.journals = journals;
        this.numbers = numbers;
        this.tipFirst = tipFirst;
        this.releases = releases;
        this.madeOtherwise = madeOtherwise;
    }

    /**
     * A layer to be set.
     *
     * @param limbId that it stands on, if it is said
     * @param occurredAt when
     * @param note a remark, or the reason for going on in spite of a warning
     * @param done what was done to it in the same visit; null if nothing was
     */
    public record NewLayer(
            long motherId,
            @Nullable Long limbId,
            long recipeId,
            int recipeNumber,
            LayerRecord.Setting set,
            Instant occurredAt,
            String note,
            @Nullable Work done) {

        public NewLayer(
                long motherId,
                @Nullable Long limbId,
                long recipeId,
                int recipeNumber,
                LayerRecord.Setting set,
                Instant occurredAt,
                String note) {
            this(motherId, limbId, recipeId, recipeNumber, set, occurredAt, note, null);
        }
    }

    /** Sets layers. @return their codes, in order */
    @Transactional
    public List<String> set(UUID batchId, List<NewLayer> all) {
        NurserySnapshot nursery = snapshots.hold();
        int number = numbers.take(-1, all.size());
        List<Layer> rows = new ArrayList<>();
        List<LayerEventRow> records = new ArrayList<>();
        for (NewLayer one : all) {
            new When(one.occurredAt(), null).check(clock);
            LocalDate on = LocalDate.ofInstant(one.occurredAt(), clock.zone());
            Layer layer = new Layer(
                    number,
                    LayerCode.of(number),
                    batchId,
                    one.motherId(),
                    one.limbId(),
                    one.recipeId(),
                    one.recipeNumber(),
                    on);
            layer.begin(
                    Projections.context(layer, null, nursery).recipe().method(),
                    one.set().hand());
            number++;
            UUID uuid = UUID.nameUUIDFromBytes((batchId + "/" + rows.size()).getBytes());
            LayerEventRow record = row(uuid, one.set(), one.occurredAt(), on, null, one.note());
            rows.add(layers.save(layer));
            record.belongTo(layer.id());
            List<LayerEventRow> own = new ArrayList<>(List.of(record));
            if (one.done() != null) {
                LayerEventRow done = row(
                        UUID.nameUUIDFromBytes((uuid + "/" + one.done()).getBytes()),
                        new LayerRecord.Tended(one.done(), null),
                        // after it was set, whatever the order of their identities
                        one.occurredAt().plusMillis(1),
                        on,
                        null,
                        "");
                done.belongTo(layer.id());
                own.add(done);
            }
            LayerProjection projection = Projections.of(layer, codec.events(own), nursery);
            Projections.write(layer, projection, own.size(), nursery);
            if (projection != null) {
                String verdict = codec.write(GivenVerdict.of(projection, layer, nursery));
                own.forEach(each -> {
                    each.judge(verdict);
                    each.said(projection, nursery.today());
                });
            }
            records.addAll(own);
        }
        // records refer to their layers, which Hibernate is not told: they come first
        entities.flush();
        events.saveAll(records);
        return rows.stream().map(layer -> layer.code()).toList();
    }

    /**
     * Appends one record to a layer's journal.
     *
     * @param isOfOldPage whether an older page made it, and it has waited since: then nothing of it is lost, if it can
     *     be read as a record or not
     */
    @Transactional
    Recorded append(String code, UUID uuid, RecordRequest request, boolean isOfOldPage) {
        if (request.kind() == RecordKind.SET && request.corrects() == null) {
            throw noSetting();
        }
        if (isOfOldPage) {
            RecordCodec.OfOldPage read = codec.readOfOldPage(request.kind(), request.details());
            String note = request.note() == null ? "" : request.note();
            Recorded recorded = append(
                    code,
                    uuid,
                    read.what(),
                    request.when(),
                    read.isRead() ? request.corrects() : null,
                    String.join(" ", note, read.remark()).strip());
            return read.isRead()
                    ? recorded
                    : new Recorded(recorded.id(), recorded.revision(), LayerState.Reason.NOT_UNDERSTOOD);
        }
        return append(
                code,
                uuid,
                codec.readSent(request.kind(), request.details()),
                request.when(),
                request.corrects(),
                request.note() == null ? "" : request.note());
    }

    /** Appends one record to a layer's journal. */
    @Transactional
    public Recorded append(
            String code, UUID uuid, LayerRecord sent, Instant occurredAt, @Nullable UUID corrects, String note) {
        return append(code, uuid, sent, new When(occurredAt, null), corrects, note);
    }

    private Recorded append(String code, UUID uuid, LayerRecord sent, When when, @Nullable UUID corrects, String note) {
        when.check(clock);
        NurserySnapshot nursery = snapshots.hold();
        Layer layer = layers.lockByCode(code).orElseThrow(() -> ProblemException.notFound("layer", code));
        List<LayerEvent> journal = codec.events(events.findByLayerIdOrderById(layer.id()));
        return append(layer, journal, nursery, uuid, sent, when, corrects, note);
    }

    /** A record of one among several layers. */
    record Sent(String code, UUID uuid, LayerRecord what) {}

    /**
     * Appends a record to each of several journals, in a handful of statements for all.
     *
     * @return what became of them, in the order in which they were sent
     */
    @Transactional
    List<Recorded> appendAll(List<Sent> all, When when, String note) {
        when.check(clock);
        NurserySnapshot nursery = snapshots.hold();
        List<Layer> locked = layers.lockByCodes(all.stream().map(Sent::code).collect(Collectors.toSet()));
        Map<String, Layer> byCode = locked.stream().collect(Collectors.toMap(layer -> layer.code(), layer -> layer));
        Map<Long, List<LayerEvent>> own = journals.of(Layer.ids(locked));
        List<Recorded> recorded = new ArrayList<>();
        for (Sent one : all) {
            Layer layer = byCode.get(one.code());
            if (layer == null) {
                throw ProblemException.notFound("layer", one.code());
            }
            recorded.add(append(
                    layer, own.getOrDefault(layer.id(), List.of()), nursery, one.uuid(), one.what(), when, null, note));
        }
        return recorded;
    }

    private Recorded append(
            Layer layer,
            List<LayerEvent> before,
            NurserySnapshot nursery,
            UUID uuid,
            LayerRecord sent,
            When when,
            @Nullable UUID corrects,
            String note) {
        RecordKind kind = RecordKind.of(sent);
        LayerRecord what = madeOtherwise.complete(sent, nursery);
        List<LayerEvent> journal = new ArrayList<>(before);
        LayerEvent twin = journal.stream()
                .filter(event -> event.id().equals(uuid))
                .findFirst()
                .orElse(null);
        if (twin != null) {
            // it came with a file, or with a nursery that took the place of one: its command was never answered here
            return again(twin, what, layer);
        }
        checkCorrection(kind, corrects, journal);
        checkPlace(what, nursery);
        if (kind == RecordKind.SEVERED && corrects == null && layer.phase() == LayerPhase.ON_MOTHER) {
            checkTipFirst(layer);
        }
        Instant occurredAt = when.in(journal, kind, corrects, clock);
        LayerEventRow row = row(uuid, what, occurredAt, LocalDate.ofInstant(occurredAt, clock.zone()), corrects, note);
        row.belongTo(layer.id());

        LayerState state = Projections.state(journal);
        if (state != null && corrects == null) {
            madeOtherwise.check(what, Projections.context(layer, state, nursery));
        }
        if (kind == RecordKind.RELEASED
                && state != null
                && state.plant() != null
                && state.phase().isLive()) {
            releases.check(state.plant(), Projections.context(layer, state, nursery), nursery.today(), note);
        }
        journal.add(codec.event(row));
        LayerProjection projection = Projections.of(layer, journal, nursery);
        if (corrects != null) {
            checkNothingBuildsOn(state, projection == null ? null : projection.state(), journal);
        }
        Projections.write(layer, projection, journal.size(), nursery);
        if (projection != null) {
            row.judge(codec.write(GivenVerdict.of(projection, layer, nursery)));
            row.said(projection, nursery.today());
        }
        events.save(row);
        return new Recorded(uuid, layer.revision(), projection == null ? null : conflict(projection, uuid));
    }

    private static Recorded again(LayerEvent twin, LayerRecord what, Layer layer) {
        if (!twin.what().equals(what)) {
            throw ProblemException.conflict(
                    Refusals.say("uuid.title"),
                    Refusals.say("record.uuid", "id", twin.id()),
                    Map.of("recordId", twin.id()));
        }
        return new Recorded(twin.id(), layer.revision(), null);
    }

    /** Which of some codes belong to a layer. */
    @Transactional(readOnly = true)
    Set<String> known(Collection<String> codes) {
        return layers.findByCodeIn(codes).stream().map(layer -> layer.code()).collect(Collectors.toSet());
    }

    private LayerEventRow row(
            UUID uuid, LayerRecord what, Instant occurredAt, LocalDate on, @Nullable UUID corrects, String note) {
        LayerEvent event = new LayerEvent(uuid, on, occurredAt, clock.systemNow(), corrects, what);
        return codec.row(event, note, person.id(), clock.offsetDays());
    }

    private void checkTipFirst(Layer layer) {
        List<String> first = tipFirst.before(List.of(layer)).getOrDefault(layer.code(), List.of());
        if (!first.isEmpty()) {
            throw ProblemException.conflict(
                    Refusals.say("record.tipFirst.title"),
                    Refusals.say("record.tipFirst", "first", String.join(", ", first), "count", first.size()),
                    Map.of("first", first));
        }
    }

    private static void checkPlace(LayerRecord what, NurserySnapshot nursery) {
        Long placeId = what instanceof LayerRecord.Severed severed
                ? severed.placeId()
                : what instanceof LayerRecord.Potted potted
                        ? potted.placeId()
                        : what instanceof LayerRecord.Moved moved ? moved.placeId() : null;
        if (placeId != null && nursery.walk().stream().noneMatch(place -> placeId.equals(place.id()))) {
            throw ProblemException.invalid(
                    "details.placeId", placeId, Refusals.say("place.unknown.allowed"), Refusals.say("place.unknown"));
        }
    }

    private static ProblemException noSetting() {
        return ProblemException.invalid(
                "kind", "SET", Refusals.say("record.kind.set.allowed"), Refusals.say("record.kind.set"));
    }

    private static void checkCorrection(RecordKind kind, @Nullable UUID corrects, List<LayerEvent> journal) {
        boolean putsASettingRight = journal.stream()
                .anyMatch(event -> event.id().equals(corrects) && event.what() instanceof LayerRecord.Setting);
        if (kind == RecordKind.SET && !putsASettingRight) {
            throw noSetting();
        }
        if (kind == RecordKind.WITHDRAWN && corrects == null) {
            throw ProblemException.invalid(
                    "corrects", "", Refusals.say("record.corrects.allowed"), Refusals.say("record.corrects"));
        }
        if (corrects != null && journal.stream().noneMatch(event -> event.id().equals(corrects))) {
            throw ProblemException.invalid(
                    "corrects",
                    corrects.toString(),
                    Refusals.say("record.corrects.allowed"),
                    Refusals.say("record.corrects.unknown"));
        }
    }

    /** A correction that would leave later records without what they build on is refused, and they are named. */
    private static void checkNothingBuildsOn(
            @Nullable LayerState before, @Nullable LayerState after, List<LayerEvent> journal) {
        Set<UUID> old = new HashSet<>();
        if (before != null) {
            before.conflicts().forEach(conflict -> old.add(conflict.event()));
        }
        List<String> builders = new ArrayList<>();
        for (LayerEvent event : journal) {
            boolean loses = after == null
                    ? !(event.what() instanceof LayerRecord.Setting)
                            && !(event.what() instanceof LayerRecord.Withdrawn)
                            && !(event.what() instanceof LayerRecord.Noted)
                            && Replay.counting(journal).contains(event.id())
                    : !old.contains(event.id())
                            && after.conflicts().stream()
                                    .anyMatch(conflict -> conflict.event().equals(event.id()));
            if (loses) {
                builders.add(RecordKind.of(event.what()) + " of " + event.on());
            }
        }
        if (!builders.isEmpty()) {
            throw ProblemException.conflict(
                    Refusals.say("record.builders.title"),
                    Refusals.say("record.builders", "builders", String.join(", ", builders)),
                    Map.of("buildOnIt", builders));
        }
    }

    private static LayerState.@Nullable Reason conflict(LayerProjection projection, UUID uuid) {
        return projection.state().conflicts().stream()
                .filter(conflict -> conflict.event().equals(uuid))
                .map(LayerState.Conflict::reason)
                .findFirst()
                .orElse(null);
    }
}
