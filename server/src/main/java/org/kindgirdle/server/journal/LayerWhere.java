package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.nursery.MotherOrigins;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.PlaceView;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;

/**
 * The condition of a list of layers. What is said of mothers, places and species is looked up in what is known of them
 * already, so that the database compares numbers, not words, over all layers.
 */
final class LayerWhere {

    /** Notes with a word in them; who finds more has not asked for anything in particular. */
    private static final int MOST_NOTES = 2000;

    /** The index of words knows none that are shorter. */
    private static final int SHORTEST_IN_NOTES = 3;

    private final NurserySnapshot nursery;
    private final NamedParameterJdbcTemplate jdbc;
    private final StringBuilder where = new StringBuilder(" where l.phase <> 'WITHDRAWN'");
    private final MapSqlParameterSource values = new MapSqlParameterSource();

    private LayerWhere(NurserySnapshot nursery, NamedParameterJdbcTemplate jdbc) {
        this.nursery = nursery;
        this.jdbc = jdbc;
    }

    static LayerWhere of(
            LayerQuery query, NurserySnapshot nursery, NamedParameterJdbcTemplate jdbc, MotherOrigins origins) {
        LayerWhere all = new LayerWhere(nursery, jdbc);
        all.is("l.phase", "phase", query.phase());
        all.is("l.stage", "stage", query.stage());
        all.is("l.job", "job", query.job());
        all.is("l.batch_id", "batch", query.batch());
        all.is("l.hand", "hand", query.hand());
        all.is("l.mother_id", "mother", query.motherId());
        if (query.line() != null) {
            Set<Long> line = origins.line(query.line());
            all.ofMothers("line", mother -> line.contains(mother.id()));
        }
        if (query.placeId() != null) {
            all.standsAt(query.placeId());
        }
        if (query.species() != null && !query.species().isBlank()) {
            all.ofMothers("species", mother -> mother.speciesCode().equals(query.species()));
        }
        all.outcomes(query);
        if (query.trial() != null) {
            all.and("l.id in (select layer_id from trial_slot where trial_id = :trial)", "trial", query.trial());
        }
        if (Boolean.TRUE.equals(query.late())) {
            all.and("l.job_by < :today", "today", nursery.today());
        }
        if (query.q() != null && !query.q().isBlank()) {
            String[] words = query.q().strip().split("\\s+");
            for (int i = 0; i < words.length; i++) {
                all.word("word" + i, words[i]);
            }
        }
        return all;
    }

    private void outcomes(LayerQuery query) {
        is("l.wood", "wood", query.wood());
        is("l.position", "position", query.position());
        is("l.loss_cause", "cause", query.cause());
        if (query.outcome() != null) {
            where.append(" and ").append(query.outcome().condition());
        }
        if (query.variety() != null) {
            ofMothers("variety", mother -> mother.variety().equals(query.variety()));
        }
        if (query.motherPlace() != null) {
            ofMothers("motherPlace", mother -> query.motherPlace().equals(mother.placeId()));
        }
        if (query.recipe() != null) {
            and("l.recipe_id = :recipe", "recipe", query.recipe());
        }
        ofRecipes("wound", query.wound(), Recipe::wound);
        ofRecipes("hormonePpm", query.hormonePpm(), Recipe::hormonePpm);
        ofRecipes("medium", query.medium(), Recipe::medium);
        ofRecipes("wrap", query.wrap(), Recipe::wrap);
        ofRecipes("cover", query.cover(), Recipe::cover);
        if (query.year() != null) {
            and("l.set_on >= :yearFrom", "yearFrom", LocalDate.of(query.year(), 1, 1));
            and("l.set_on < :yearTo", "yearTo", LocalDate.of(query.year() + 1, 1, 1));
        }
        if (query.week() != null) {
            and("week(l.set_on, 3) = :week", "week", query.week());
        }
    }

    /** By what a version of a recipe says. */
    private void ofRecipes(String name, @Nullable Object wanted, Function<Recipe, Object> part) {
        if (wanted == null) {
            return;
        }
        List<Object[]> versions = nursery.recipeVersions().entrySet().stream()
                .filter(version -> part.apply(version.getValue()).equals(wanted))
                .map(version -> version.getKey().split("/"))
                .map(version -> new Object[] {Long.valueOf(version[0]), Integer.valueOf(version[1])})
                .toList();
        if (versions.isEmpty()) {
            where.append(" and false");
        } else {
            and("(l.recipe_id, l.recipe_number) in (:" + name + ")", name, versions);
        }
    }

    String sql() {
        return where.toString();
    }

    MapSqlParameterSource values() {
        return values;
    }

    void and(String condition, String name, Object value) {
        where.append(" and ").append(condition);
        values.addValue(name, value);
    }

    private void is(String column, String name, @Nullable Object value) {
        if (value != null && !value.toString().isBlank()) {
            and(column + " = :" + name, name, value instanceof Long ? value : value.toString());
        }
    }

    private void ofMothers(String name, Predicate<MotherView> which) {
        List<Long> ids = mothers(which);
        and(
                ids.isEmpty() ? "false and :" + name + " is null" : "l.mother_id in (:" + name + ")",
                name,
                ids.isEmpty() ? "" : ids);
    }

    /** A plant stands where it was put, and everything else where its mother does. */
    private void standsAt(long placeId) {
        List<Long> ids = mothers(mother -> mother.placeId() == placeId);
        and(
                ids.isEmpty()
                        ? "l.stands_at = :place"
                        : "(l.stands_at = :place or l.stands_at is null and l.mother_id in (:placeMothers))",
                "place",
                placeId);
        values.addValue("placeMothers", ids);
    }

    private List<Long> mothers(Predicate<MotherView> which) {
        return nursery.mothers().stream().filter(which).map(MotherView::id).toList();
    }

    private void word(String name, String word) {
        String code = LayerCode.parse(word).orElse(null);
        if (code != null) {
            and("l.code = :" + name, name, code);
            return;
        }
        String text = word.toLowerCase(Locale.ROOT);
        List<Long> ids = mothers(mother -> says(mother, text));
        if (ids.size() == nursery.mothers().size()) {
            return;
        }
        List<String> ways = new ArrayList<>(List.of("l.code like :" + name));
        values.addValue(name, escaped(word.toUpperCase(Locale.ROOT)) + "%");
        if (!ids.isEmpty()) {
            ways.add("l.mother_id in (:" + name + "mothers)");
            values.addValue(name + "mothers", ids);
        }
        List<Long> noted = noted(word);
        if (!noted.isEmpty()) {
            ways.add("l.id in (:" + name + "noted)");
            values.addValue(name + "noted", noted);
        }
        where.append(" and (").append(String.join(" or ", ways)).append(")");
    }

    private boolean says(MotherView mother, String text) {
        SpeciesProfile species = nursery.species(mother.speciesCode()).profile();
        PlaceView place = nursery.place(mother.placeId());
        return String.join(" ", mother.code(), mother.variety(), place.name(), species.common(), species.botanical())
                .toLowerCase(Locale.ROOT)
                .contains(text);
    }

    private List<Long> noted(String word) {
        String letters = word.replaceAll("[^\\p{L}\\p{N}]", "");
        return letters.length() < SHORTEST_IN_NOTES
                ? List.of()
                : jdbc.queryForList(
                        "select distinct layer_id from layer_event where match(note) against (:word in boolean mode)"
                                + " limit " + MOST_NOTES,
                        new MapSqlParameterSource("word", "+" + letters + "*"),
                        Long.class);
    }

    private static String escaped(String text) {
        return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
    }
}
