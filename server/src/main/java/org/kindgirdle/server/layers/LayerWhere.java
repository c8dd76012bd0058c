package org.kindgirdle.server.layers;

import jakarta.persistence.criteria.CriteriaBuilder;
import jakarta.persistence.criteria.Expression;
import jakarta.persistence.criteria.Predicate;
import jakarta.persistence.criteria.Root;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.mothers.MotherOrigins;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.recipes.RecipeVersion;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.springframework.stereotype.Component;

/**
 * The condition of a list of layers. What is said of mothers, places and species is looked up in what is known of them
 * already, so that the database compares numbers, not words, over all layers.
 */
@Component
public class LayerWhere {

    /** Notes with a word in them; who finds more has not asked for anything in particular. */
    private static final int MAX_NOTES = 2000;

    /** The index of words knows none that are shorter. */
    private static final int SHORTEST_IN_NOTES = 3;

    private final LayerRecords events;
    private final LayerRows layers;
    private final MotherOrigins origins;

    LayerWhere(LayerRecords events, LayerRows layers, MotherOrigins origins) {
        this.events = events;
        this.layers = layers;
        this.origins = origins;
    }

    /** Which layers; the same on every query that is made from it. */
    public interface Condition {
        public Predicate of(Root<Layer> layer, CriteriaBuilder cb);

        /** All of some conditions. */
        static Condition all(Collection<Condition> some) {
            return (layer, cb) ->
                    cb.and(some.stream().map(one -> one.of(layer, cb)).toArray(Predicate[]::new));
        }
    }

    /** Of the layers that were not taken back. */
    public Condition of(LayerQuery query, NurserySnapshot nursery) {
        Conditions all = new Conditions(nursery);
        all.add((layer, cb) -> cb.notEqual(layer.get("phase"), LayerPhase.WITHDRAWN));
        all.is("phase", query.phase());
        all.is("stage", query.stage());
        all.is("job", query.job());
        all.is("batchId", query.batch());
        all.is("hand", query.hand());
        all.is("motherId", query.motherId());
        all.is("recipeId", query.recipe());
        all.is("wood", code(query.wood()));
        all.is("position", code(query.position()));
        all.is("wound", code(query.wound()));
        all.is("hormonePpm", query.hormonePpm());
        all.is("medium", code(query.medium()));
        all.is("bridging", code(query.bridging()));
        all.is("lossCause", query.cause());
        all.ofMothers(query.species(), MotherView::speciesCode);
        all.ofMothers(query.variety(), MotherView::variety);
        all.ofMothers(query.motherPlace(), MotherView::placeId);
        all.ofRecipes(query.wrap(), Recipe::wrap);
        all.ofRecipes(query.cover(), Recipe::cover);
        if (query.line() != null) {
            Set<Long> line = origins.line(query.line());
            all.in("motherId", all.mothers(MotherView::id, line::contains));
        }
        if (query.placeId() != null) {
            all.standsAt(query.placeId());
        }
        if (query.trial() != null) {
            all.in("id", layers.idsOfTrial(query.trial()));
        }
        if (query.outcome() != null) {
            all.add(query.outcome()::of);
        }
        if (query.year() != null) {
            LocalDate from = LocalDate.of(query.year(), 1, 1);
            all.add((layer, cb) -> cb.greaterThanOrEqualTo(layer.get("setOn"), from));
            all.add((layer, cb) -> cb.lessThan(layer.get("setOn"), from.plusYears(1)));
        }
        if (query.week() != null) {
            all.add((layer, cb) -> cb.equal(isoWeek(layer, cb), query.week()));
        }
        if (Boolean.TRUE.equals(query.late())) {
            all.add((layer, cb) -> cb.lessThan(layer.get("jobBy"), nursery.today()));
        }
        if (query.q() != null && !query.q().isBlank()) {
            Arrays.stream(query.q().strip().split("\\s+")).forEach(all::word);
        }
        return Condition.all(all.some);
    }

    private static @Nullable String code(@Nullable Enum<?> wanted) {
        return wanted == null ? null : wanted.name();
    }

    /** The ISO week in which a layer was set. */
    public static Expression<Integer> isoWeek(Root<Layer> layer, CriteriaBuilder cb) {
        return cb.function("weekofyear", Integer.class, layer.get("setOn"));
    }

    private final class Conditions {

        private final NurserySnapshot nursery;
        private final List<Condition> some = new ArrayList<>();

        Conditions(NurserySnapshot nursery) {
            this.nursery = nursery;
        }

        void add(Condition one) {
            some.add(one);
        }

        void is(String attribute, @Nullable Object value) {
            if (value != null && !value.toString().isBlank()) {
                add((layer, cb) -> cb.equal(layer.get(attribute), value));
            }
        }

        void in(String attribute, Collection<Long> ids) {
            add((layer, cb) ->
                    ids.isEmpty() ? cb.disjunction() : layer.get(attribute).in(ids));
        }

        void ofMothers(@Nullable Object wanted, Function<MotherView, Object> fact) {
            if (wanted != null && !wanted.toString().isBlank()) {
                in("motherId", mothers(fact, wanted::equals));
            }
        }

        <T> List<Long> mothers(Function<MotherView, T> fact, java.util.function.Predicate<T> is) {
            return nursery.mothers().stream()
                    .filter(mother -> is.test(fact.apply(mother)))
                    .map(MotherView::id)
                    .toList();
        }

        /** By what a version of a recipe says. */
        void ofRecipes(@Nullable Object wanted, Function<Recipe, Object> part) {
            if (wanted == null) {
                return;
            }
            List<RecipeVersion> versions = nursery.recipeVersions().entrySet().stream()
                    .filter(version -> part.apply(version.getValue()).equals(wanted))
                    .map(Map.Entry::getKey)
                    .toList();
            add((layer, cb) -> cb.or(versions.stream()
                    .map(version -> cb.and(
                            cb.equal(layer.get("recipeId"), version.recipeId()),
                            cb.equal(layer.get("recipeNumber"), version.number())))
                    .toArray(Predicate[]::new)));
        }

        /** A plant stands where it was put, and everything else where its mother does. */
        void standsAt(long placeId) {
            List<Long> ids = mothers(MotherView::placeId, place -> place == placeId);
            add((layer, cb) -> {
                Predicate put = cb.equal(layer.get("standsAt"), placeId);
                return ids.isEmpty()
                        ? put
                        : cb.or(
                                put,
                                cb.and(
                                        layer.get("standsAt").isNull(),
                                        layer.get("motherId").in(ids)));
            });
        }

        /** In the code, in what is known of the mother, or in a note. */
        void word(String word) {
            String code = LayerCode.parse(word).orElse(null);
            if (code != null) {
                is("code", code);
                return;
            }
            String text = word.toLowerCase(Locale.ROOT);
            List<Long> ids = mothers(nursery::saidOf, said -> said.contains(text));
            if (ids.size() == nursery.mothers().size()) {
                return;
            }
            // a word that no code begins with is not looked for among them: the database can then go by one index
            Optional<String> begins = LayerCode.beginning(word);
            List<Long> noted = noted(word);
            add((layer, cb) -> {
                List<Predicate> ways = new ArrayList<>();
                begins.ifPresent(beginning -> ways.add(cb.like(layer.get("code"), beginning + "%")));
                if (!ids.isEmpty()) {
                    ways.add(layer.get("motherId").in(ids));
                }
                if (!noted.isEmpty()) {
                    ways.add(layer.get("id").in(noted));
                }
                return cb.or(ways.toArray(Predicate[]::new));
            });
        }
    }

    private List<Long> noted(String word) {
        String letters = word.replaceAll("[^\\p{L}\\p{N}]", "");
        return letters.length() < SHORTEST_IN_NOTES ? List.of() : events.layersWithNote("+" + letters + "*", MAX_NOTES);
    }
}
