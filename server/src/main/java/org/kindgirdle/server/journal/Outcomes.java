package org.kindgirdle.server.journal;

import java.sql.ResultSet;
import java.sql.SQLException;
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
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.learn.Hindsight;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.server.nursery.MotherOrigins;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Counts of what became of layers, in one pass over their rows. */
@Service
public class Outcomes {

    private final NamedParameterJdbcTemplate jdbc;
    private final MotherOrigins origins;

    Outcomes(JdbcTemplate jdbc, MotherOrigins origins) {
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
        this.origins = origins;
    }

    /** What of a layer's own row the counts are kept apart by; its recipe always is. */
    public enum Apart {
        MOTHER("l.mother_id"),
        WOOD("l.wood"),
        POSITION("l.position"),
        HAND("l.hand"),
        YEAR("year(l.set_on)"),
        WEEK("week(l.set_on, 3)"),
        NOTHING("''");

        private final String column;

        Apart(String column) {
            this.column = column;
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
        LayerWhere where = LayerWhere.of(query, nursery, jdbc, origins);
        String keys = apart.column + ", l.recipe_id, l.recipe_number";
        Map<Key, Sums> all = new HashMap<>();
        jdbc.query(
                "select " + keys + ", count(*), coalesce(sum(l.rooted), 0), coalesce(sum(not l.rooted), 0),"
                        + " coalesce(sum(l.established), 0), coalesce(sum(not l.established), 0),"
                        + " coalesce(sum(l.minutes), 0), sum(l.medium_ml), sum(l.film_cm2)"
                        + " from layer l" + where.sql() + " group by " + keys,
                where.values(),
                row -> {
                    all.put(
                            new Key(Objects.requireNonNullElse(row.getString(1), ""), row.getLong(2), row.getInt(3)),
                            new Sums(
                                    row.getInt(4),
                                    row.getInt(5),
                                    row.getInt(6),
                                    row.getInt(7),
                                    row.getInt(8),
                                    row.getDouble(9),
                                    row.getDouble(10),
                                    row.getDouble(11),
                                    new TreeMap<>(),
                                    new EnumMap<>(LossCause.class)));
                });
        jdbc.query(
                "select " + keys + ", l.loss_cause, if(l.full_on is null, null, datediff(l.full_on, l.set_on)) days,"
                        + " count(*) from layer l" + where.sql()
                        + " and (l.loss_cause is not null or l.full_on is not null) group by " + keys
                        + ", l.loss_cause, days",
                where.values(),
                row -> {
                    Sums sums = Objects.requireNonNull(all.get(
                            new Key(Objects.requireNonNullElse(row.getString(1), ""), row.getLong(2), row.getInt(3))));
                    String cause = row.getString(4);
                    Integer days = row.getObject(5, Integer.class);
                    if (cause != null) {
                        sums.causes().merge(LossCause.valueOf(cause), row.getInt(6), Integer::sum);
                    }
                    if (days != null) {
                        sums.daysToFull().merge(days, row.getInt(6), Integer::sum);
                    }
                });
        return all;
    }

    /** Between which thermal days the balls of the layers that a query finds became full. */
    @Transactional(readOnly = true)
    public List<Interval> toReady(LayerQuery query, NurserySnapshot nursery) {
        LayerWhere where = LayerWhere.of(query, nursery, jdbc, origins);
        return jdbc.query(
                "select l.ready_low, l.ready_high from layer l" + where.sql() + " and l.ready_low is not null"
                        + " order by l.id",
                where.values(),
                (row, number) -> new Interval(row.getDouble(1), upper(row.getObject(2, Double.class))));
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
        LayerWhere where = LayerWhere.of(query, nursery, jdbc, origins);
        List<Foretold> all = new ArrayList<>();
        List<Foreseen> one = new ArrayList<>();
        jdbc.query(
                // in the order of the index by layer, whatever the order of its records: sorting them costs more
                "select l.id, l.mother_id, l.full_on, e.kind, e.on_date, e.corrects is not null,"
                        + " e.ready10_on, e.ready50_on, e.ready90_on from layer l join layer_event e on e.layer_id = l.id"
                        + where.sql() + " and l.full_on is not null"
                        + " and (e.kind in ('SET', 'LOOKED', 'RERUNG') or e.corrects is not null)"
                        + " order by l.id",
                where.values(),
                row -> {
                    Foreseen next = foreseen(row);
                    if (!one.isEmpty() && one.get(0).layer() != next.layer()) {
                        foretold(one, nursery.today()).ifPresent(all::add);
                        one.clear();
                    }
                    one.add(next);
                });
        foretold(one, nursery.today()).ifPresent(all::add);
        return all;
    }

    private record Foreseen(
            long layer,
            long motherId,
            LocalDate fullOn,
            boolean blurs,
            boolean atSetting,
            LocalDate on,
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90) {}

    private static Foreseen foreseen(ResultSet row) throws SQLException {
        String kind = row.getString(4);
        return new Foreseen(
                row.getLong(1),
                row.getLong(2),
                Objects.requireNonNull(row.getObject(3, LocalDate.class)),
                kind.equals("RERUNG") || row.getBoolean(6),
                kind.equals("SET"),
                Objects.requireNonNull(row.getObject(5, LocalDate.class)),
                row.getObject(7, LocalDate.class),
                row.getObject(8, LocalDate.class),
                row.getObject(9, LocalDate.class));
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
                said.add(new Said(row.atSetting(), new Hindsight.Said(row.on(), row.q10(), row.q50(), row.q90())));
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
        String newest = jdbc.getJdbcTemplate()
                .queryForObject(
                        "select concat_ws('/', max(id), count(*), (select count(*) from import_file"
                                + " where state = 'TAKEN')) from layer_event"
                                + " where id > (select coalesce(max(id), 0) - 1000 from layer_event)",
                        String.class);
        return newest + "/" + nursery.rulesNumber() + "/" + nursery.today();
    }
}
