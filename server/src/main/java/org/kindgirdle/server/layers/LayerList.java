package org.kindgirdle.server.layers;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.CriteriaQuery;
import jakarta.persistence.criteria.Root;
import jakarta.persistence.criteria.Selection;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.hibernate.Session;
import org.hibernate.query.criteria.HibernateCriteriaBuilder;
import org.hibernate.query.criteria.JpaCriteriaQuery;
import org.hibernate.query.criteria.JpaRoot;
import org.hibernate.query.criteria.JpaSubQuery;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finding layers, page by page in the order of an index. */
@Service
public class LayerList {

    /** Counted so far and no farther. */
    private static final int MAX_COUNTED = 5000;

    private static final Map<String, String> ORDERS = Map.of("code", "code", "due", "dueOn", "set", "setOn");

    private final EntityManager entities;
    private final LayerWhere where;
    private final Snapshots snapshots;
    private final Words words;

    LayerList(EntityManager entities, LayerWhere where, Snapshots snapshots, Words words) {
        this.entities = entities;
        this.where = where;
        this.snapshots = snapshots;
        this.words = words;
    }

    /**
     * A line of the list.
     *
     * @param ownRecords that its dates rest on; 0 for the profile
     * @param job code and {@code jobLabel} words of what is next; null when nothing is
     */
    @RecordBuilder
    @RecordBuilder.Options(builderMode = BuilderMode.STAGED)
    record LayerLine(
            String code,
            LayerPhase phase,
            RootStage stage,
            @Nullable Double fillPercent,
            LocalDate setOn,
            @Nullable LocalDate ready10On,
            @Nullable LocalDate ready50On,
            @Nullable LocalDate ready90On,
            int ownRecords,
            @Nullable String job,
            @Nullable String jobLabel,
            @Nullable LocalDate jobFrom,
            @Nullable LocalDate jobBy,
            @Nullable Rung rung,
            int conflicts,
            String mother,
            String variety,
            String place,
            String species) {}

    /**
     * @param next cursor of the next lines; null at the end
     * @param count how many there are in all, with the first page only; no more than 5000 are counted
     */
    public record LayerLines(
            List<LayerLine> layers,
            @Nullable String next,
            @Nullable Integer count) {}

    /** What of a layer's row goes into its line: no more of it is read. */
    record ListedLayer(
            long id,
            String code,
            long motherId,
            Method method,
            LayerPhase phase,
            RootStage stage,
            @Nullable Double fillPercent,
            LocalDate setOn,
            LocalDate dueOn,
            @Nullable LocalDate ready10On,
            @Nullable LocalDate ready50On,
            @Nullable LocalDate ready90On,
            @Nullable String job,
            @Nullable LocalDate jobFrom,
            @Nullable LocalDate jobBy,
            @Nullable Rung rung,
            @Nullable Long standsAt,
            int conflicts) {

        static Selection<ListedLayer> of(Root<Layer> layer, CriteriaBuilder cb) {
            return cb.construct(
                    ListedLayer.class,
                    Arrays.stream(ListedLayer.class.getRecordComponents())
                            .map(part -> layer.get(part.getName()))
                            .toArray(Selection<?>[]::new));
        }

        String key(String order) {
            return (order.equals("code") ? code : order.equals("dueOn") ? dueOn : setOn) + "|" + id;
        }
    }

    @Transactional(readOnly = true)
    public LayerLines find(LayerQuery query) {
        String order = ORDERS.get(query.sortOrDue());
        if (order == null) {
            throw ProblemException.invalid(
                    "sort", query.sort(), Refusals.say("layer.sort.allowed"), Refusals.say("layer.sort"));
        }
        NurserySnapshot nursery = snapshots.take();
        LayerWhere.Condition which = where.of(query, nursery);
        Integer count = query.cursor() == null ? Integer.valueOf(count(which)) : null;
        int limit = query.limitOrUsual();
        List<ListedLayer> rows = rows(
                query.cursor() == null ? which : LayerWhere.Condition.all(List.of(which, after(query.cursor(), order))),
                order,
                limit + 1);
        List<LayerLine> lines =
                rows.stream().limit(limit).map(row -> line(row, nursery)).toList();
        if (rows.size() <= limit) {
            return new LayerLines(lines, null, count);
        }
        String next = Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString(rows.get(limit - 1).key(order).getBytes(StandardCharsets.UTF_8));
        return new LayerLines(lines, next, count);
    }

    private List<ListedLayer> rows(LayerWhere.Condition which, String order, int most) {
        CriteriaBuilder cb = entities.getCriteriaBuilder();
        CriteriaQuery<ListedLayer> query = cb.createQuery(ListedLayer.class);
        Root<Layer> layer = query.from(Layer.class);
        query.select(ListedLayer.of(layer, cb))
                .where(which.of(layer, cb))
                .orderBy(cb.asc(layer.get(order)), cb.asc(layer.get("id")));
        return entities.createQuery(query).setMaxResults(most).getResultList();
    }

    /** Of so many at most: a count of all would read them all. */
    private int count(LayerWhere.Condition which) {
        HibernateCriteriaBuilder cb = entities.unwrap(Session.class).getCriteriaBuilder();
        JpaCriteriaQuery<Long> query = cb.createQuery(Long.class);
        JpaSubQuery<Tuple> some = query.subquery(Tuple.class);
        JpaRoot<Layer> layer = some.from(Layer.class);
        some.multiselect(layer.get("id").alias("id"));
        some.where(which.of(layer, cb));
        some.fetch(MAX_COUNTED);
        query.select(cb.count(query.from(some).get("id")));
        return Math.toIntExact(entities.createQuery(query).getSingleResult());
    }

    private LayerLine line(ListedLayer row, NurserySnapshot nursery) {
        MotherView mother = nursery.mother(row.motherId);
        SpeciesProfile profile = nursery.species(mother.speciesCode()).profile();
        return LayerListLayerLineBuilder.builder()
                .code(row.code)
                .phase(row.phase)
                .stage(row.stage)
                .fillPercent(row.fillPercent)
                .setOn(row.setOn)
                .ready10On(row.ready10On)
                .ready50On(row.ready50On)
                .ready90On(row.ready90On)
                .ownRecords(nursery.time(profile).records())
                .job(row.job)
                .jobLabel(row.job == null ? null : words.job(row.job, row.method))
                .jobFrom(row.jobFrom)
                .jobBy(row.jobBy)
                .rung(row.rung)
                .conflicts(row.conflicts)
                .mother(mother.code())
                .variety(mother.variety())
                .place(nursery.place(row.standsAt == null ? mother.placeId() : row.standsAt)
                        .name())
                .species(profile.common())
                .build();
    }

    /** What comes after the last line of the page before, in an order. */
    private static LayerWhere.Condition after(String cursor, String order) {
        try {
            String[] at = new String(Base64.getUrlDecoder().decode(cursor), StandardCharsets.UTF_8).split("\\|");
            if (at.length == 2) {
                long id = Long.parseLong(at[1]);
                return order.equals("code") ? after(order, at[0], id) : after(order, LocalDate.parse(at[0]), id);
            }
        } catch (IllegalArgumentException | DateTimeException broken) {
            // falls through to the refusal below: nothing of a broken cursor can be used
        }
        throw ProblemException.invalid(
                "cursor", cursor, Refusals.say("layer.cursor.allowed"), Refusals.say("layer.cursor"));
    }

    /** Both conditions: by the first the database finds its place in the index. */
    private static <T extends Comparable<? super T>> LayerWhere.Condition after(String order, T key, long id) {
        return (layer, cb) -> cb.and(
                cb.greaterThanOrEqualTo(layer.<T>get(order), key),
                cb.or(cb.greaterThan(layer.<T>get(order), key), cb.greaterThan(layer.<Long>get("id"), id)));
    }
}
