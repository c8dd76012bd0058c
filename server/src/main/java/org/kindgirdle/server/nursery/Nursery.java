package org.kindgirdle.server.nursery;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading and editing the master data. An edit on an old version is refused with both sides. */
@Service
public class Nursery {

    private static final Pattern SPECIES_CODE = Pattern.compile("[A-Z][A-Z0-9]{2,11}");

    private final SiteRepository sites;
    private final PlaceRepository places;
    private final SpeciesRepository species;
    private final RecipeRepository recipes;
    private final NumberedVersions versions;
    private final ApplicationEventPublisher events;
    private final NurseryLock lock;

    Nursery(
            SiteRepository sites,
            PlaceRepository places,
            SpeciesRepository species,
            RecipeRepository recipes,
            NumberedVersions versions,
            ApplicationEventPublisher events,
            NurseryLock lock) {
        this.sites = sites;
        this.places = places;
        this.species = species;
        this.recipes = recipes;
        this.versions = versions;
        this.events = events;
        this.lock = lock;
    }

    /**
     * Something that projections depend on was changed, in the transaction that is open.
     *
     * @param motherId of the only mother whose layers it touches; null if it may be any
     */
    static final String SITE = "site";

    public record Changed(String what, @Nullable Long motherId) {

        public Changed(String what) {
            this(what, null);
        }
    }

    @Transactional(readOnly = true)
    public SiteView site() {
        return view(sites.findById(Site.ONLY).orElseThrow(() -> ProblemException.notFound("site", "yet")));
    }

    @Transactional(readOnly = true)
    public boolean hasSite() {
        return sites.existsById(Site.ONLY);
    }

    @Transactional
    public SiteView save(SiteView edit) {
        lock.holdForChange();
        Site site = sites.findById(Site.ONLY).orElseGet(Site::fresh);
        if (sites.existsById(Site.ONLY)) {
            Versions.check(edit.version(), site.version, edit, view(site));
        }
        checkZone(edit.zone());
        checkNormals(edit.minC(), edit.maxC());
        site.name = edit.name();
        site.latitude = edit.latitude();
        site.zone = edit.zone();
        site.minC = List.copyOf(edit.minC());
        site.maxC = List.copyOf(edit.maxC());
        site.frostFree = edit.frosts() == null;
        site.frosts = FrostDates.of(edit.frosts());
        site.winterLowC = edit.winterLowC();
        site.arid = edit.arid();
        site.roundDays = Set.copyOf(edit.roundDays());
        site.roundMinutes = edit.roundMinutes();
        SiteView saved = view(sites.saveAndFlush(site));
        events.publishEvent(new Changed(SITE));
        return saved;
    }

    @Transactional(readOnly = true)
    public List<PlaceView> places() {
        return places.findAllByOrderByWalkingOrderAscNameAsc().stream()
                .map(Nursery::view)
                .toList();
    }

    @Transactional
    public PlaceView save(PlaceView edit) {
        lock.holdForChange();
        Place place = edit.id() == null
                ? Place.fresh()
                : places.findById(edit.id()).orElseThrow(() -> ProblemException.notFound("place", edit.id()));
        if (edit.id() != null) {
            Versions.check(edit.version(), place.version, edit, view(place));
        }
        places.findByName(edit.name()).filter(other -> !other.equals(place)).ifPresent(other -> {
            throw Versions.taken("name", edit.name(), "place");
        });
        if ((edit.frosts() == PlaceFrosts.OWN) != (edit.ownFrosts() != null)) {
            throw ProblemException.invalid(
                    "ownFrosts",
                    String.valueOf(edit.ownFrosts()),
                    "four dates if frosts is OWN, else nothing",
                    "A place with its own frosts needs their four dates, any other has none.");
        }
        place.name = edit.name();
        place.walkingOrder = edit.walkingOrder();
        place.exposure = edit.exposure();
        place.minShiftC = edit.minShiftC();
        place.maxShiftC = edit.maxShiftC();
        place.vpdFactor = edit.vpdFactor();
        place.frosts = edit.frosts();
        place.own = FrostDates.of(edit.ownFrosts());
        place.winterLowC = edit.winterLowC();
        place.stand = edit.stand();
        if (hasSite()) {
            checkShifts(edit);
        }
        PlaceView saved = view(places.saveAndFlush(place));
        events.publishEvent(new Changed("place"));
        return saved;
    }

    @Transactional(readOnly = true)
    public List<SpeciesView> species() {
        Map<String, SpeciesProfile> profiles = versions.profilesInForce();
        return species.findAll().stream()
                .map(one -> SpeciesView.of(profile(profiles, one.code), one.profileNumber, one.version))
                .sorted((a, b) ->
                        a.profile().common().compareToIgnoreCase(b.profile().common()))
                .toList();
    }

    @Transactional(readOnly = true)
    public SpeciesView species(String code) {
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        return SpeciesView.of(versions.profile(code, one.profileNumber), one.profileNumber, one.version);
    }

    /** A species by one of its profiles, in force or of before. */
    @Transactional(readOnly = true)
    public SpeciesView species(String code, int profileNumber) {
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        return SpeciesView.of(versions.profile(code, profileNumber), profileNumber, one.version);
    }

    /** House rules by their number; 0 for those that were shipped. */
    @Transactional(readOnly = true)
    public HouseRules rules(int number) {
        return versions.rules(number);
    }

    /** A profile as it was shipped. */
    SpeciesProfile shipped(String code) {
        SpeciesProfile profile = ShippedSpecies.profile(code);
        if (profile == null) {
            throw ProblemException.notFound("shipped profile of", code);
        }
        return profile;
    }

    /** A species of the nursery's own. */
    @Transactional
    public SpeciesView add(SpeciesView edit) {
        lock.holdForChange();
        String code = edit.profile().code();
        if (!SPECIES_CODE.matcher(code).matches()) {
            throw ProblemException.invalid(
                    "profile.code",
                    code,
                    "three to twelve capitals or digits, a capital first",
                    "Make a short code, like the first three letters of both names.");
        }
        for (String name : List.of(edit.profile().common(), edit.profile().botanical())) {
            if (name.isBlank() || name.length() > 80) {
                throw ProblemException.invalid(
                        name.equals(edit.profile().common()) ? "profile.common" : "profile.botanical",
                        name,
                        "1 to 80 letters",
                        "A species has a name that growers use and a scientific one.");
            }
        }
        if (species.existsById(code)) {
            throw Versions.taken("profile.code", code, "species");
        }
        species.saveAndFlush(new Species(code));
        versions.add(code, 1, edit.profile());
        return species(code);
    }

    /** A new profile makes a new number; the old ones stay. */
    @Transactional
    public SpeciesView save(String code, SpeciesView edit) {
        lock.holdForChange();
        if (!code.equals(edit.profile().code())) {
            throw ProblemException.invalid(
                    "profile.code", edit.profile().code(), code, "The code of a species can't be changed.");
        }
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        Versions.check(edit.version(), one.version, edit, species(code));
        one.profileNumber++;
        versions.add(code, one.profileNumber, edit.profile());
        species.saveAndFlush(one);
        events.publishEvent(new Changed("species " + code));
        return species(code);
    }

    /** Takes in a shipped profile that is not there yet. */
    @Transactional
    public void ship(SpeciesProfile profile) {
        if (!species.existsById(profile.code())) {
            lock.holdForChange();
            species.saveAndFlush(new Species(profile.code()));
            versions.add(profile.code(), 1, profile);
        }
    }

    @Transactional(readOnly = true)
    public List<RecipeView> recipes() {
        Map<String, org.kindgirdle.core.set.Recipe> all = versions.recipes();
        return recipes.findAll().stream().map(one -> view(one, all)).toList();
    }

    /** Every version of every recipe, by {@code id/number}. */
    @Transactional(readOnly = true)
    public Map<String, org.kindgirdle.core.set.Recipe> recipeVersions() {
        return versions.recipes();
    }

    @Transactional
    public RecipeView save(RecipeView edit) {
        lock.holdForChange();
        Recipe one = edit.id() == null
                ? Recipe.fresh()
                : recipes.findById(edit.id()).orElseThrow(() -> ProblemException.notFound("recipe", edit.id()));
        if (edit.id() != null) {
            Versions.check(edit.version(), one.version, edit, view(one, versions.recipes()));
        }
        recipes.findByName(edit.name()).filter(other -> !other.equals(one)).ifPresent(other -> {
            throw Versions.taken("name", edit.name(), "recipe");
        });
        one.name = edit.name();
        one.school = edit.school();
        one.recipeNumber++;
        Recipe saved = recipes.saveAndFlush(one);
        versions.add(id(saved.id), saved.recipeNumber, edit.recipe());
        return view(saved, versions.recipes());
    }

    /** House rules in force, with their number. */
    @Transactional(readOnly = true)
    public Map.Entry<Integer, HouseRules> rules() {
        return versions.rules();
    }

    /** New rules make a new number; the old ones stay. */
    @Transactional
    public RulesView save(RulesEdit edit) {
        lock.holdForChange();
        Map.Entry<Integer, HouseRules> now = versions.rules();
        Versions.check(edit.number(), now.getKey(), edit, RulesView.of(now.getKey(), now.getValue()));
        HouseRules rules = edit.on(now.getValue());
        versions.add(now.getKey() + 1, rules);
        events.publishEvent(new Changed("house rules"));
        return RulesView.of(now.getKey() + 1, rules);
    }

    private static void checkZone(String zone) {
        try {
            ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            throw ProblemException.invalid(
                    "zone", zone, "a time zone like Europe/London", "There is no such time zone.");
        }
    }

    private static void checkNormals(List<Double> minC, List<Double> maxC) {
        for (int month = 0; month < 12; month++) {
            if (maxC.get(month) < minC.get(month)) {
                throw ProblemException.invalid(
                        "maxC[" + month + "]",
                        maxC.get(month),
                        "at least the minimum, " + minC.get(month),
                        "The maximum of a month can't lie below its minimum.");
            }
        }
    }

    private void checkShifts(PlaceView edit) {
        SiteView site = site();
        double least = Double.POSITIVE_INFINITY;
        for (int month = 0; month < 12; month++) {
            least = Math.min(least, site.maxC().get(month) - site.minC().get(month));
        }
        if (edit.minShiftC() - edit.maxShiftC() > least) {
            throw ProblemException.invalid(
                    "minShiftC",
                    edit.minShiftC(),
                    "at most " + (edit.maxShiftC() + least),
                    "With these shifts the minimum would lie above the maximum.");
        }
    }

    private static SpeciesProfile profile(Map<String, SpeciesProfile> all, String code) {
        SpeciesProfile profile = all.get(code);
        if (profile == null) {
            throw new IllegalStateException("species " + code + " has no profile");
        }
        return profile;
    }

    private SiteView view(Site site) {
        return new SiteView(
                site.name,
                site.latitude,
                site.zone,
                site.minC,
                site.maxC,
                site.frostFree ? null : FrostDates.view(site.frosts),
                site.winterLowC,
                site.arid,
                new TreeSet<>(site.roundDays),
                site.roundMinutes,
                site.version);
    }

    private static PlaceView view(Place place) {
        return new PlaceView(
                place.id,
                place.name,
                place.walkingOrder,
                place.exposure,
                place.minShiftC,
                place.maxShiftC,
                place.vpdFactor,
                place.frosts,
                FrostDates.view(place.own),
                place.winterLowC,
                place.stand,
                place.version);
    }

    private static RecipeView view(Recipe one, Map<String, org.kindgirdle.core.set.Recipe> all) {
        org.kindgirdle.core.set.Recipe recipe = all.get(one.id + "/" + one.recipeNumber);
        if (recipe == null) {
            throw new IllegalStateException("recipe " + one.name + " has no version " + one.recipeNumber);
        }
        return new RecipeView(one.id, one.name, one.school, recipe, one.recipeNumber, one.version);
    }

    private static long id(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("saved without an id");
        }
        return id;
    }
}
