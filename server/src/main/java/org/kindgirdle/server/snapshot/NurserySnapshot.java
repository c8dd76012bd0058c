package org.kindgirdle.server.snapshot;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.server.climate.Climates;
import org.kindgirdle.server.climate.KnownWeather;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.mothers.MotherHistory;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.recipes.RecipeVersion;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.species.LeafRecords;
import org.kindgirdle.server.species.LearnedTimes;
import org.kindgirdle.server.species.SpeciesView;

/** The master data at one moment, read in a handful of statements, and the contexts of layers made from it. */
public final class NurserySnapshot {

    /** No place has this id. */
    private static final long OPEN_AIR = 0;

    private final SiteView site;
    private final LocalDate today;
    private final int fromYear;
    private final Map<Long, MotherView> mothers;
    private final Map<Long, List<MotherHistory.FormerLabel>> formerLabels;
    private final Map<Long, PlaceView> places;
    private final List<PlaceView> walk;
    private final Map<String, SpeciesView> species;
    private final Map<Long, RecipeView> recipes;
    private final Map<RecipeVersion, Recipe> recipeVersions;
    private final Map.Entry<Integer, HouseRules> rules;
    private final Map<String, LearnedTimes.Settled> learned;
    private final Map<String, LeafRecords.Seen> leaves;
    private final Climates climates;
    private final KnownWeather weather;
    private final Map<Long, PlaceClimate> built = new ConcurrentHashMap<>();
    private final Map<String, Seasons> years = new ConcurrentHashMap<>();
    private final Map<Long, String> saying = new ConcurrentHashMap<>();

    NurserySnapshot(MasterData data, Climates climates, Weather known, LocalDate today, int fromYear) {
        this.today = today;
        this.fromYear = fromYear;
        this.climates = climates;
        this.site = data.sites().site();
        this.mothers = byKey(data.mothers().all(), one -> key(one.id()));
        this.formerLabels = data.history().formerLabels();
        this.walk = data.places().all();
        this.places = byKey(walk, one -> key(one.id()));
        this.species = byKey(data.species().all(), one -> one.profile().code());
        this.recipes = byKey(data.recipes().all(), one -> key(one.id()));
        this.recipeVersions = data.recipes().versions();
        this.rules = data.rules().inForce();
        this.learned = data.learned().asOf(today);
        this.leaves = data.leaves().asOf(today);
        this.weather = known.known(today);
    }

    private NurserySnapshot(
            NurserySnapshot like,
            Map<String, SpeciesView> species,
            Map.Entry<Integer, HouseRules> rules,
            Map<String, LearnedTimes.Settled> learned) {
        this.today = like.today;
        this.fromYear = like.fromYear;
        this.climates = like.climates;
        this.weather = like.weather;
        this.site = like.site;
        this.mothers = like.mothers;
        this.formerLabels = like.formerLabels;
        this.walk = like.walk;
        this.places = like.places;
        this.species = species;
        this.recipes = like.recipes;
        this.recipeVersions = like.recipeVersions;
        this.rules = rules;
        this.learned = learned;
        this.leaves = like.leaves;
    }

    /** The same nursery by other rules, to see what they would do. */
    public NurserySnapshot with(HouseRules other) {
        return new NurserySnapshot(this, species, Map.entry(rules.getKey(), other), learned);
    }

    /** The same nursery by numbered versions of before: the house rules, and the profile of one species. */
    public NurserySnapshot at(Map.Entry<Integer, HouseRules> otherRules, SpeciesView profile) {
        Map<String, SpeciesView> changed = new HashMap<>(species);
        changed.put(profile.profile().code(), profile);
        return new NurserySnapshot(this, changed, otherRules, learned);
    }

    /**
     * What a layer is reckoned from beside its journal, as one line that is the same for the same.
     *
     * @param standsAt the place of a severed plant; null where it stands with its mother
     */
    public String inputs(long motherId, @Nullable Long standsAt) {
        MotherView mother = mother(motherId);
        PlaceView place = place(mother.placeId());
        return String.join(
                " ",
                "site:" + site.version(),
                "place:" + place.id() + "/" + place.version(),
                "stands:"
                        + (standsAt == null
                                ? "-"
                                : standsAt + "/" + place(standsAt).version()),
                "mother:" + mother.speciesCode() + "/" + mother.vigour() + "/" + mother.rootRun(),
                "profile:" + species(mother.speciesCode()).profileNumber(),
                "rules:" + rulesNumber(),
                "time:" + timeNumber(mother.speciesCode()),
                "cover:" + coverAtHand(),
                "leaf:" + seenLeaf(mother.placeId(), mother.speciesCode()).days(),
                "weather:" + weather.stamp());
    }

    /** The same nursery with another profile of one species, to see what it would do. */
    public NurserySnapshot with(SpeciesProfile other) {
        Map<String, SpeciesView> changed = new HashMap<>(species);
        changed.put(other.code(), species(other.code()).with(other));
        return new NurserySnapshot(this, changed, rules, learned);
    }

    /** The same nursery that goes by another time of one species, to see what it would do; null for the profile's. */
    public NurserySnapshot with(String speciesCode, @Nullable RootingTime time) {
        Map<String, LearnedTimes.Settled> changed = new HashMap<>(learned);
        changed.put(speciesCode, new LearnedTimes.Settled(speciesCode, 0, time, "", today));
        return new NurserySnapshot(this, species, rules, changed);
    }

    /** The time to a full ball that dates of a species rest on: own records where that was settled, else its profile. */
    public RootingTime time(SpeciesProfile profile) {
        LearnedTimes.Settled settled = learned.get(profile.code());
        return settled == null || settled.time() == null ? RootingTime.ofProfile(profile) : settled.time();
    }

    /** The number of the decision on which that rests; 0 where none was made. */
    public long timeNumber(String speciesCode) {
        LearnedTimes.Settled settled = learned.get(speciesCode);
        return settled == null ? 0 : settled.number();
    }

    public LocalDate today() {
        return today;
    }

    public SiteView site() {
        return site;
    }

    /** The places in walking order. */
    public List<PlaceView> walk() {
        return walk;
    }

    /** What the labels of a mother's layers may still say, the newest first. */
    public List<MotherHistory.FormerLabel> formerLabels(long motherId) {
        return formerLabels.getOrDefault(motherId, List.of());
    }

    public MotherView mother(long id) {
        return found(mothers.get(id), "mother", id);
    }

    public PlaceView place(long id) {
        return found(places.get(id), "place", id);
    }

    public SpeciesView species(String code) {
        return found(species.get(code), "species", code);
    }

    /** All recipes in force. */
    public Collection<RecipeView> recipes() {
        return recipes.values();
    }

    public RecipeView recipe(long id) {
        return found(recipes.get(id), "recipe", id);
    }

    /** Every version of every recipe, by its id, a stroke and its number. */
    public Map<RecipeVersion, Recipe> recipeVersions() {
        return recipeVersions;
    }

    /** @throws ProblemException if there is no such version */
    public Recipe recipe(long id, int number) {
        return found(recipeVersions.get(new RecipeVersion(id, number)), "recipe version", id + "/" + number);
    }

    public int rulesNumber() {
        return rules.getKey();
    }

    public HouseRules rules() {
        return rules.getValue();
    }

    public boolean coverAtHand() {
        return walk.stream().anyMatch(PlaceView::frostFree);
    }

    public PlaceClimate climate(long placeId) {
        return built.computeIfAbsent(placeId, id -> climates.climate(rules(), site, place(id), weather));
    }

    /** The air of the nursery outside all its places. */
    private PlaceClimate openAir() {
        return built.computeIfAbsent(OPEN_AIR, id -> climates.climate(rules(), site, PlaceView.openAir(), weather));
    }

    private Seasons seasons(long placeId, SpeciesProfile profile) {
        return years.computeIfAbsent(
                LeafRecords.key(placeId, profile.code()),
                key -> Seasons.of(
                        rules(),
                        climate(placeId),
                        profile,
                        seenLeaf(placeId, profile.code()).days()));
    }

    /** What was seen of the leaves of a species at a place by this day. */
    public LeafRecords.Seen seenLeaf(long placeId, String speciesCode) {
        return leaves.getOrDefault(LeafRecords.key(placeId, speciesCode), LeafRecords.Seen.NOTHING);
    }

    /** Days of the year on which a species has no leaves at a place, seen or expected; null if it keeps them. */
    public @Nullable DaysOfYear leafless(long placeId, String speciesCode) {
        return seasons(placeId, species(speciesCode).profile()).leafless();
    }

    /** The context of a layer on a mother, with a version of a recipe. */
    public LayerContext context(long motherId, long recipeId, int recipeNumber) {
        MotherView mother = mother(motherId);
        Recipe recipe = recipe(recipeId, recipeNumber);
        return context(mother.placeId(), mother.speciesCode(), recipe, mother.vigour(), mother.rootRun());
    }

    /** The context of a layer on any mother of a species at a place. */
    public LayerContext context(long placeId, String speciesCode, Recipe recipe, Vigour vigour, RootRun rootRun) {
        PlaceView place = place(placeId);
        PlaceClimate climate = climate(placeId);
        SpeciesProfile profile = species(speciesCode).profile();
        DaysOfYear leafless = leafless(placeId, speciesCode);
        boolean inTheGround = recipe.method() == Method.GROUND;
        Function<Cover, ThermalSums> sums = cover -> climates.sums(
                rules(), site, place, climate, profile, leafless, cover, inTheGround, fromYear, today, weather);
        return new LayerContext(
                climate,
                place.exposure(),
                profile,
                time(profile),
                recipe,
                null,
                vigour,
                rootRun,
                rules(),
                coverAtHand(),
                sums,
                climate,
                openAir(),
                seasons(placeId, profile),
                null);
    }

    /** All species of the house, by their common names. */
    public List<SpeciesView> allSpecies() {
        return species.values().stream()
                .sorted(Comparator.comparing(one -> one.profile().common(), String.CASE_INSENSITIVE_ORDER))
                .toList();
    }

    /** All mothers, also those that are no longer used. */
    public Collection<MotherView> mothers() {
        return mothers.values();
    }

    /** All that a mother can be found by, in small letters: made once, for a search asks for it of every mother. */
    public String saidOf(MotherView mother) {
        return saying.computeIfAbsent(key(mother.id()), id -> {
            SpeciesProfile species = species(mother.speciesCode()).profile();
            return String.join(
                            " ",
                            mother.code(),
                            mother.variety(),
                            place(mother.placeId()).name(),
                            species.common(),
                            species.botanical())
                    .toLowerCase(Locale.ROOT);
        });
    }

    private static <K, V> Map<K, V> byKey(List<V> all, Function<V, K> key) {
        return all.stream().collect(Collectors.toMap(key, Function.identity()));
    }

    private static Long key(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("a stored row without an id");
        }
        return id;
    }

    private static <T> T found(@Nullable T value, String what, Object key) {
        if (value == null) {
            throw ProblemException.notFound(what, key);
        }
        return value;
    }
}
