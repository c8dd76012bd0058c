package org.kindgirdle.server.journal;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.nursery.MotherOrigins;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.words.Words;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finding layers, page by page in the order of an index. */
@Service
class LayerList {

    private static final String COLUMNS = "l.id, l.code, l.mother_id, l.method, l.phase, l.stage, l.fill_percent,"
            + " l.set_on, l.ready10_on, l.ready50_on, l.ready90_on, l.job, l.job_from, l.job_by, l.rung, l.stands_at, l.conflicts";

    /** Counted so far and no farther. */
    private static final int MOST_COUNTED = 5000;

    private final NamedParameterJdbcTemplate jdbc;
    private final Snapshots snapshots;
    private final Words words;

    private final MotherOrigins origins;

    LayerList(JdbcTemplate jdbc, Snapshots snapshots, Words words, MotherOrigins origins) {
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
        this.snapshots = snapshots;
        this.words = words;
        this.origins = origins;
    }

    /**
     * A line of the list.
     *
     * @param ownRecords that its dates rest on; 0 for the profile
     * @param job code and {@code jobLabel} words of what is next; null when nothing is
     */
    record LayerLine(
            String code,
            LayerPhase phase,
            RootStage stage,
            double fillPercent,
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
    record LayerLines(
            List<LayerLine> layers,
            @Nullable String next,
            @Nullable Integer count) {}

    @Transactional(readOnly = true)
    LayerLines find(LayerQuery query) {
        NurserySnapshot nursery = snapshots.take();
        LayerWhere where = LayerWhere.of(query, nursery, jdbc, origins);
        Integer count = query.cursor() == null
                ? jdbc.queryForObject(
                        "select count(*) from (select 1 from layer l" + where.sql() + " limit " + MOST_COUNTED
                                + ") counted",
                        where.values(),
                        Integer.class)
                : null;
        String key = switch (query.sortOrDue()) {
            case "code" -> "l.code";
            case "due" -> "l.due_on";
            case "set" -> "l.set_on";
            default ->
                throw ProblemException.invalid(
                        "sort", query.sort(), "one of code, due, set", "There is no such order.");
        };
        if (query.cursor() != null) {
            String[] at = cursor(query.cursor());
            where.and(key + " >= :key", "key", at[0]);
            where.and("(" + key + " > :key or l.id > :id)", "id", Long.parseLong(at[1]));
        }
        int limit = query.limitOrUsual();
        List<String> keys = new ArrayList<>();
        List<LayerLine> lines = jdbc.query(
                "select " + key + " sort_key, " + COLUMNS + " from layer l" + where.sql() + " order by " + key
                        + ", l.id limit " + (limit + 1),
                where.values(),
                (row, index) -> {
                    keys.add(row.getString("sort_key") + "|" + row.getLong("id"));
                    return line(row, nursery);
                });
        if (lines.size() <= limit) {
            return new LayerLines(lines, null, count);
        }
        String next = Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString(keys.get(limit - 1).getBytes(StandardCharsets.UTF_8));
        return new LayerLines(lines.subList(0, limit), next, count);
    }

    private LayerLine line(ResultSet row, NurserySnapshot nursery) throws SQLException {
        String job = row.getString("job");
        String rung = row.getString("rung");
        MotherView mother = nursery.mother(row.getLong("mother_id"));
        SpeciesProfile profile = nursery.species(mother.speciesCode()).profile();
        Long stands = row.getObject("stands_at", Long.class);
        return new LayerLine(
                row.getString("code"),
                LayerPhase.valueOf(row.getString("phase")),
                RootStage.valueOf(row.getString("stage")),
                row.getDouble("fill_percent"),
                Objects.requireNonNull(row.getObject("set_on", LocalDate.class)),
                row.getObject("ready10_on", LocalDate.class),
                row.getObject("ready50_on", LocalDate.class),
                row.getObject("ready90_on", LocalDate.class),
                nursery.time(profile).records(),
                job,
                job == null ? null : words.job(job, Method.valueOf(row.getString("method"))),
                row.getObject("job_from", LocalDate.class),
                row.getObject("job_by", LocalDate.class),
                rung == null ? null : Rung.valueOf(rung),
                row.getInt("conflicts"),
                mother.code(),
                mother.variety(),
                nursery.place(stands == null ? mother.placeId() : stands).name(),
                profile.common());
    }

    private static String[] cursor(String cursor) {
        try {
            String[] at = new String(Base64.getUrlDecoder().decode(cursor), StandardCharsets.UTF_8).split("\\|");
            Long.parseLong(at[at.length - 1]);
            if (at.length == 2) {
                return at;
            }
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException broken) {
            // falls through to the refusal below: nothing of a broken cursor can be used
        }
        throw ProblemException.invalid(
                "cursor", cursor, "the 'next' of the page before", "This is no cursor of this list.");
    }
}
