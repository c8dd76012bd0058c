package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes whole journals at once: seasons that were kept elsewhere. Each layer is projected once, from all of its
 * records; the verdicts of their days are not written.
 */
@Service
public class Loading {

    /** Layers that are held in memory at once. */
    private static final int AT_ONCE = 500;

    private final LayerRepository layers;
    private final LayerEventRepository events;
    private final RecordCodec codec;
    private final Snapshots snapshots;
    private final BusinessClock clock;
    private final JdbcTemplate jdbc;
    private final NurseryLock lock;
    private final EntityManager entities;

    Loading(
            LayerRepository layers,
            LayerEventRepository events,
            RecordCodec codec,
            Snapshots snapshots,
            BusinessClock clock,
            JdbcTemplate jdbc,
            NurseryLock lock,
            EntityManager entities) {
        this.layers = layers;
        this.events = events;
        this.codec = codec;
        this.snapshots = snapshots;
        this.clock = clock;
        this.jdbc = jdbc;
        this.lock = lock;
        this.entities = entities;
    }

    /**
     * A layer with everything that was recorded of it.
     *
     * @param records in the order in which they happened, the first of them its setting
     */
    public record Whole(
            UUID batchId, long motherId, @Nullable Long limbId, long recipeId, int recipeNumber, List<Noted> records) {}

    /**
     * One record of it.
     *
     * @param at when it happened, and when it was written down
     * @param said of the layer on that day; null if nothing is known of that
     */
    public record Noted(
            UUID id,
            Instant at,
            long personId,
            LayerRecord what,
            String note,
            @Nullable Dates said) {}

    /** Days that were said of a full ball, each null beyond the horizon. */
    public record Dates(
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90) {

        /** Null for a layer that is off its mother. */
        public static @Nullable Dates of(LayerProjection projection) {
            LayerProjection.RootForecast forecast = projection.forecast();
            return forecast == null ? null : new Dates(forecast.q10(), forecast.q50(), forecast.q90());
        }
    }

    /** Appends them all. @return their codes, in order */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<String> load(List<Whole> all) {
        lock.share();
        NurserySnapshot nursery = snapshots.take();
        jdbc.update("update counter set next_value = next_value + ? where name = 'layer'", all.size());
        Integer next = jdbc.queryForObject("select next_value from counter where name = 'layer'", Integer.class);
        int number = (next == null ? 0 : next) - all.size();
        List<String> codes = new ArrayList<>();
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            List<Whole> some = all.subList(from, Math.min(all.size(), from + AT_ONCE));
            codes.addAll(write(some, number + from, nursery));
            entities.flush();
            entities.clear();
        }
        return codes;
    }

    private List<String> write(List<Whole> some, int firstNumber, NurserySnapshot nursery) {
        List<Layer> rows = new ArrayList<>();
        List<LayerEventRow> records = new ArrayList<>();
        for (Whole one : some) {
            int number = firstNumber + rows.size();
            Layer layer = new Layer(
                    number,
                    LayerCode.of(number),
                    one.batchId(),
                    one.motherId(),
                    one.limbId(),
                    one.recipeId(),
                    one.recipeNumber(),
                    LocalDate.ofInstant(one.records().get(0).at(), clock.zone()));
            layer.method = nursery.recipe(one.recipeId(), one.recipeNumber()).method();
            List<LayerEventRow> own = one.records().stream().map(this::row).toList();
            List<LayerEvent> journal = own.stream().map(codec::event).toList();
            LayerState state = Projections.state(journal);
            if (state != null) {
                layer.hand = Objects.requireNonNullElse(state.set().hand(), "");
            }
            LayerProjection projection = Projections.of(layer, journal, nursery);
            Projections.write(layer, projection, own.size(), nursery);
            rows.add(layers.save(layer));
            own.forEach(row -> row.layerId = layer.id());
            records.addAll(own);
        }
        // the rows refer to one another by number only: layers must be there before their records
        layers.flush();
        events.saveAll(records);
        return rows.stream().map(layer -> layer.code).toList();
    }

    private LayerEventRow row(Noted noted) {
        LayerEventRow row = LayerEventRow.fresh();
        row.uuid = noted.id();
        row.kind = RecordKind.of(noted.what());
        row.onDate = LocalDate.ofInstant(noted.at(), clock.zone());
        row.occurredAt = noted.at();
        row.recordedAt = noted.at();
        row.clockOffsetDays = 0;
        row.personId = noted.personId();
        row.details = codec.write(noted.what());
        row.note = noted.note();
        row.said(noted.said());
        return row;
    }
}
