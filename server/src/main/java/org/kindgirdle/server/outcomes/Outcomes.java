package org.kindgirdle.server.outcomes;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.CriteriaQuery;
import jakarta.persistence.criteria.Expression;
import jakarta.persistence.criteria.Root;
import jakarta.persistence.criteria.Selection;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.hibernate.Session;
import org.hibernate.query.criteria.HibernateCriteriaBuilder;
import org.hibernate.query.criteria.JpaCriteriaQuery;
import org.hibernate.query.criteria.JpaEntityJoin;
import org.hibernate.query.criteria.JpaRoot;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.learn.Hindsight;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.layers.LayerWhere;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Counts of what became of layers, in one pass over their rows. */
@Service
public class Outcomes {

    private final EntityManager entities;
    private final LayerWhere where;

    Outcomes(EntityManager entities, LayerWhere where) {
        this.entities = entities;
        this.where = where;
    }

    /** What of a layer's own row the counts are kept apart by; its recipe always is. */
    public enum Apart {
        MOTHER((layer, cb) -> layer.get("motherId")),
        WOOD((layer, cb) -> layer.get("wood")),
        POSITION((layer, cb) -> layer.get("position")),
        WOUND((layer, cb) -> layer.get("wound")),
        HORMONE((layer, cb) -> layer.get("hormonePpm")),
        MEDIUM((layer, cb) -> layer.get("medium")),
        BRIDGING((layer, cb) -> layer.get("bridging")),
        HAND((layer, cb) -> layer.get("hand")),
        YEAR((layer, cb) -> cb.function("year", Integer.class, layer.get("setOn"))),
        WEEK(LayerWhere::isoWeek),
        NOTHING((layer, cb) -> cb.literal(""));

        private final BiFunction<Root<Layer>, CriteriaBuilder, Expression<?>> fact;

        Apart(BiFunction<Root<Layer>, CriteriaBuilder, Expression<?>> fact) {
            this.fact = fact;
        }
    }

    /** The value that layers have in common, and the version of the recipe that they were set by. */
    public record Key(String value, long recipeId, int recipeNumber) {}

    /**
     * So many layers, summed up.
     *
     * @param minutes of work, mL of medium and cm2 of film in all
     * @param daysToFull how many were first seen full after so many days
     * @param causes of those lost
     */
    public record Sums(
            int set,
            int rooted,
            int notRooted,
            int established,
            int lostAfter,
            double minutes,
            double mediumMl,
            double filmCm2,
            TreeMap<Integer, Integer> daysToFull,
            Map<LossCause, Integer> causes) {

        public static Sums none() {
            return new Sums(0, 0, 0, 0, 0, 0, 0, 0, new TreeMap<>(), new EnumMap<>(LossCause.class));
        }

        public Sums plus(Sums more) {
            TreeMap<Integer, Integer> days = new TreeMap<>(daysToFull);
            more.daysToFull.forEach((day, count) -> days.merge(day, count, Integer::sum));
            Map<LossCause, Integer> all = new EnumMap<>(LossCause.class);
            all.putAll(causes);
            more.causes.forEach((cause, count) -> all.merge(cause, count, Integer::sum));
            return new Sums(
                    set + more.set,
                    rooted + more.rooted,
                    notRooted + more.notRooted,
                    established + more.established,
                    lostAfter + more.lostAfter,
                    minutes + more.minutes,
                    mediumMl + more.mediumMl,
                    filmCm2 + more.filmCm2,
                    days,
                    all);
        }
    }

    /** Sums of the layers that a query finds. */
    @Transactional(readOnly = true)
    public Map<Key, Sums> by(Apart apart, LayerQuery query, NurserySnapshot nursery) {
        LayerWhere.Condition which = where.of(query, nursery);
        Map<Key, Sums> all = new HashMap<>();
        sums(apart, which)
                .forEach(row -> all.put(
                        key(row),
                        new Sums(
                                count(row, 3),
                                count(row, 4),
                                count(row, 5),
                                count(row, 6),
                                count(row, 7),
                                row.get(8, Double.class),
                                row.get(9, Double.class),
                                row.get(10, Double.class),
                                new TreeMap<>(),
                                new EnumMap<>(LossCause.class))));
        ends(apart, which).forEach(row -> {
            Sums sums = Objects.requireNonNull(all.get(key(row)));
            LossCause cause = row.get(3, LossCause.class);
            Integer days = row.get(4, Integer.class);
            if (cause != null) {
                sums.causes().merge(cause, count(row, 5), Integer::sum);
            }
            if (days != null) {
                sums.daysToFull().merge(days, count(row, 5), Integer::sum);
            }
        });
        return all;
    }

    private static Key key(Tuple row) {
        return new Key(Objects.toString(row.get(0), ""), row.get(1, Long.class), row.get(2, Integer.class));
    }

    private static int count(Tuple row, int column) {
        return row.get(column) instanceof Number number ? number.intValue() : 0;
    }

    private List<Tuple> sums(Apart apart, LayerWhere.Condition which) {
        CriteriaBuilder cb = entities.getCriteriaBuilder();
        CriteriaQuery<Tuple> query = cb.createTupleQuery();
        Root<Layer> layer = query.from(Layer.class);
        List<Expression<?>> keys = keys(apart, layer, cb);
        List<Selection<?>> columns = new ArrayList<>(keys);
        columns.add(cb.count(layer));
        for (String told : List.of("rooted", "established")) {
            columns.add(cb.sum(one(cb, cb.isTrue(layer.get(told)))));
            columns.add(cb.sum(one(cb, cb.isFalse(layer.get(told)))));
        }
        columns.add(cb.coalesce(cb.sum(layer.<Double>get("minutes")), 0.0));
        columns.add(cb.sum(layer.<Double>get("mediumMl")));
        columns.add(cb.sum(layer.<Double>get("filmCm2")));
        query.select(cb.tuple(columns)).where(which.of(layer, cb)).groupBy(keys);
        return entities.createQuery(query).getResultList();
    }

    private static Expression<Integer> one(CriteriaBuilder cb, Expression<Boolean> where) {
        return cb.<Integer>selectCase().when(where, 1).otherwise(0);
    }

    /** How many were lost by each cause, and how many full after so many days. */
    private List<Tuple> ends(Apart apart, LayerWhere.Condition which) {
        CriteriaBuilder cb = entities.getCriteriaBuilder();
        CriteriaQuery<Tuple> query = cb.createTupleQuery();
        Root<Layer> layer = query.from(Layer.class);
        List<Expression<?>> keys = new ArrayList<>(keys(apart, layer, cb));
        keys.add(layer.get("lossCause"));
        keys.add(cb.function("datediff", Integer.class, layer.get("fullOn"), layer.get("setOn")));
        List<Selection<?>> columns = new ArrayList<>(keys);
        columns.add(cb.count(layer));
        query.select(cb.tuple(columns))
                .where(
                        which.of(layer, cb),
                        cb.or(
                                layer.get("lossCause").isNotNull(),
                                layer.get("fullOn").isNotNull()))
                .groupBy(keys);
        return entities.createQuery(query).getResultList();
    }

    private static List<Expression<?>> keys(Apart apart, Root<Layer> layer, CriteriaBuilder cb) {
        List<Expression<?>> keys = new ArrayList<>();
        keys.add(apart.fact.apply(layer, cb));
        keys.add(layer.get("recipeId"));
        keys.add(layer.get("recipeNumber"));
        return keys;
    }

    /** Between which thermal days the balls of the layers that a query finds became full. */
    @Transactional(readOnly = true)
    public List<Interval> toReady(LayerQuery query, NurserySnapshot nursery) {
        LayerWhere.Condition which = where.of(query, nursery);
        CriteriaBuilder cb = entities.getCriteriaBuilder();
        CriteriaQuery<Tuple> intervals = cb.createTupleQuery();
        Root<Layer> layer = intervals.from(Layer.class);
        intervals
                .select(cb.tuple(layer.get("readyLow"), layer.get("readyHigh")))
                .where(which.of(layer, cb), layer.get("readyLow").isNotNull())
                .orderBy(cb.asc(layer.get("id")));
        return entities.createQuery(intervals)
                .getResultStream()
                .map(row -> new Interval(row.get(0, Double.class), upper(row.get(1, Double.class))))
                .toList();
    }

    private static double upper(@Nullable Double high) {
        return high == null ? Double.POSITIVE_INFINITY : high;
    }

    /**
     * A date as it was said.
     *
     * @param atSetting or else at a look
     */
    public record Said(boolean atSetting, Hindsight.Said dates) {}

    /** What was said of a layer, and when it was found full. */
    public record Foretold(long motherId, Hindsight happened, List<Said> said) {}

    /**
     * What was said of the layers that a query finds, of those found full. Left out is what was ringed again, and what
     * has a record that was put right: of these it is not plain what the dates were said of. Left out as well is a range
     * that is not over yet: of a season under way only the early ones are full, and they would make every date look late.
     */
    @Transactional(readOnly = true)
    public List<Foretold> foretold(LayerQuery query, NurserySnapshot nursery) {
        LayerWhere.Condition which = where.of(query, nursery);
        List<Foretold> all = new ArrayList<>();
        List<Foreseen> one = new ArrayList<>();
        foreseen(which).forEach(next -> {
            if (!one.isEmpty() && one.get(0).layer() != next.layer()) {
                foretold(one, nursery.today()).ifPresent(all::add);
                one.clear();
            }
            one.add(next);
        });
        foretold(one, nursery.today()).ifPresent(all::add);
        return all;
    }

    /** In the order of the index by layer, whatever the order of its records: sorting them costs more. */
    private Stream<Foreseen> foreseen(LayerWhere.Condition which) {
        HibernateCriteriaBuilder cb = entities.unwrap(Session.class).getCriteriaBuilder();
        JpaCriteriaQuery<Foreseen> query = cb.createQuery(Foreseen.class);
        JpaRoot<Layer> layer = query.from(Layer.class);
        JpaEntityJoin<Layer, LayerEventRow> event = layer.join(LayerEventRow.class);
        event.on(cb.equal(event.get("layerId"), layer.get("id")));
        query.select(cb.construct(
                        Foreseen.class,
                        layer.get("id"),
                        layer.get("motherId"),
                        layer.get("fullOn"),
                        event.get("kind"),
                        event.get("corrects"),
                        event.get("onDate"),
                        event.get("ready10On"),
                        event.get("ready50On"),
                        event.get("ready90On")))
                .where(
                        which.of(layer, cb),
                        layer.get("fullOn").isNotNull(),
                        cb.or(
                                event.get("kind").in(List.of(RecordKind.SET, RecordKind.LOOKED, RecordKind.RERUNG)),
                                event.get("corrects").isNotNull()))
                .orderBy(cb.asc(layer.get("id")));
        return entities.createQuery(query).getResultStream();
    }

    /** @param corrects another record, which was put right by it */
    private record Foreseen(
            long layer,
            long motherId,
            LocalDate fullOn,
            RecordKind kind,
            @Nullable UUID corrects,
            LocalDate on,
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90) {

        boolean blurs() {
            return kind == RecordKind.RERUNG || corrects != null;
        }
    }

    private static Optional<Foretold> foretold(List<Foreseen> rows, LocalDate today) {
        List<Foreseen> before =
                rows.stream().filter(row -> row.on().isBefore(row.fullOn())).toList();
        if (before.isEmpty() || rows.stream().anyMatch(Foreseen::blurs)) {
            return Optional.empty();
        }
        List<Said> said = new ArrayList<>();
        for (Foreseen row : before) {
            if (row.q10() != null
                    && row.q50() != null
                    && row.q90() != null
                    && row.q90().isBefore(today)) {
                said.add(new Said(
                        row.kind() == RecordKind.SET, new Hindsight.Said(row.on(), row.q10(), row.q50(), row.q90())));
            }
        }
        Foreseen last = before.stream().max(Comparator.comparing(Foreseen::on)).orElseThrow();
        return said.isEmpty()
                ? Optional.empty()
                : Optional.of(new Foretold(last.motherId(), new Hindsight(last.on(), last.fullOn()), said));
    }

    /**
     * Changes when a record is written or what records are read by changes. Numbers are given out before they are
     * committed: one that comes late is noticed by the count of the newest, and a file of thousands by itself.
     */
    public String revision(NurserySnapshot nursery) {
        Object[] newest = entities.createQuery("""
                        select max(event.id), count(event),
                            (select count(file) from ImportFileRow file where cast(file.state as String) = 'TAKEN')
                        from LayerEventRow event
                        where event.id > (select coalesce(max(last.id), 0) - 1000 from LayerEventRow last)
                        """, Object[].class).getSingleResult();
        return newest[0] + "/" + newest[1] + "/" + newest[2] + "/" + nursery.rulesNumber() + "/" + nursery.today();
    }
}
