package org.kindgirdle.server.journal;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.words.Words;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finding layers: by phase, mother, or any word of code, species, variety, mother and place. */
@Service
class LayerList {

    private static final String SELECT =
            "select l.id, l.code, l.phase, l.stage, l.fill_percent, l.set_on, l.ready10_on, l.ready50_on, l.ready90_on,"
                    + " l.job, l.job_from, l.job_by, l.rung, l.conflicts, m.code mother, m.variety, p.name place,"
                    + " json_value(sp.profile, '$.common') common"
                    + " from layer l join mother m on m.id = l.mother_id join place p on p.id = m.place_id"
                    + " join species s on s.code = m.species_code"
                    + " join species_profile sp on sp.species_code = s.code and sp.number = s.profile_number";

    private final JdbcTemplate jdbc;
    private final Words words;

    LayerList(JdbcTemplate jdbc, Words words) {
        this.jdbc = jdbc;
        this.words = words;
    }

    /**
     * A line of the list.
     *
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

    /** @param next cursor of the next lines; null at the end */
    record LayerLines(List<LayerLine> layers, @Nullable String next) {}

    @Transactional(readOnly = true)
    LayerLines find(
            @Nullable LayerPhase phase,
            @Nullable Long motherId,
            @Nullable String query,
            String sort,
            @Nullable String cursor,
            int limit) {
        List<Object> values = new ArrayList<>();
        StringBuilder where = new StringBuilder(" where l.phase <> 'WITHDRAWN'");
        if (phase != null) {
            where.append(" and l.phase = ?");
            values.add(phase.name());
        }
        if (motherId != null) {
            where.append(" and l.mother_id = ?");
            values.add(motherId);
        }
        if (query != null && !query.isBlank()) {
            for (String word : query.strip().split("\\s+")) {
                word(word, where, values);
            }
        }
        String key = switch (sort) {
            case "code" -> "l.code";
            case "due" -> "coalesce(l.job_by, '9999-12-31')";
            case "set" -> "l.set_on";
            default -> throw ProblemException.invalid("sort", sort, "one of code, due, set", "There is no such order.");
        };
        if (cursor != null) {
            String[] at = cursor(cursor);
            where.append(" and (").append(key).append(", l.id) > (?, ?)");
            values.add(at[0]);
            values.add(at[1]);
        }
        values.add(limit + 1);
        List<String> keys = new ArrayList<>();
        List<LayerLine> lines = jdbc.query(
                SELECT.replace("select l.id", "select " + key + " sort_key, l.id") + where + " order by " + key
                        + ", l.id limit ?",
                (row, index) -> {
                    keys.add(row.getString("sort_key") + "|" + row.getLong("id"));
                    String job = row.getString("job");
                    String rung = row.getString("rung");
                    return new LayerLine(
                            row.getString("code"),
                            LayerPhase.valueOf(row.getString("phase")),
                            RootStage.valueOf(row.getString("stage")),
                            row.getDouble("fill_percent"),
                            row.getObject("set_on", LocalDate.class),
                            row.getObject("ready10_on", LocalDate.class),
                            row.getObject("ready50_on", LocalDate.class),
                            row.getObject("ready90_on", LocalDate.class),
                            job,
                            job == null ? null : words.job(job),
                            row.getObject("job_from", LocalDate.class),
                            row.getObject("job_by", LocalDate.class),
                            rung == null ? null : Rung.valueOf(rung),
                            row.getInt("conflicts"),
                            row.getString("mother"),
                            row.getString("variety"),
                            row.getString("place"),
                            row.getString("common"));
                },
                values.toArray());
        if (lines.size() <= limit) {
            return new LayerLines(lines, null);
        }
        String next = Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString(keys.get(limit - 1).getBytes(StandardCharsets.UTF_8));
        return new LayerLines(lines.subList(0, limit), next);
    }

    private static void word(String word, StringBuilder where, List<Object> values) {
        String code = LayerCode.parse(word).orElse(null);
        if (code != null) {
            where.append(" and l.code = ?");
            values.add(code);
            return;
        }
        String like = "%"
                + word.toLowerCase(Locale.ROOT)
                        .replace("\\", "\\\\")
                        .replace("%", "\\%")
                        .replace("_", "\\_") + "%";
        where.append(" and lower(concat_ws(' ', l.code, m.code, m.variety, p.name,"
                + " json_value(sp.profile, '$.common'), json_value(sp.profile, '$.botanical'))) like ?");
        values.add(like);
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
