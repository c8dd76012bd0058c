package org.kindgirdle.server.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.Prices;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.opening.BeforeServing;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.plan.NumbersQuery;
import org.kindgirdle.server.plan.TargetEdit;
import org.kindgirdle.server.plan.Targets;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.security.Role;
import org.kindgirdle.server.security.SignedIn;
import org.kindgirdle.server.site.FrostsView;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.site.Sites;
import org.kindgirdle.server.supplies.PriceLists;
import org.kindgirdle.server.supplies.PricesView;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.core.annotation.Order;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Tollen Fold on the Isle of Carrow: loaded once into an empty database in demo mode. Nobody in it is real. */
@Component
@Order(2)
class DemoNursery implements BeforeServing {

    static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    private static final String PASSWORD = "moss-and-knife";

    private final BusinessClock clock;
    private final Sites sites;
    private final Places nurseryPlaces;
    private final Recipes recipes;
    private final Mothers stock;
    private final Limbs limbs;
    private final People people;
    private final PriceLists prices;
    private final Targets targets;
    private final DemoTrials trials;
    private final DemoSeason season;
    private final DemoLives lives;
    private final DemoLeftovers leftovers;
    private final DemoBench bench;
    private final TransactionTemplate transaction;

    DemoNursery(
            BusinessClock clock,
            Sites sites,
            Places nurseryPlaces,
            Recipes recipes,
            Mothers stock,
            Limbs limbs,
            People people,
            PriceLists prices,
            Targets targets,
            DemoTrials trials,
            DemoSeason season,
            DemoLives lives,
            DemoLeftovers leftovers,
            DemoBench bench,
            TransactionTemplate transaction) {
        this.clock = clock;
        this.sites = sites;
        this.nurseryPlaces = nurseryPlaces;
        this.recipes = recipes;
        this.stock = stock;
        this.limbs = limbs;
        this.people = people;
        this.prices = prices;
        this.targets = targets;
        this.trials = trials;
        this.season = season;
        this.lives = lives;
        this.leftovers = leftovers;
        this.bench = bench;
        this.transaction = transaction;
    }

    @Override
    public void prepare() {
        if (!clock.isDemo() || sites.hasSite()) {
            return;
        }
        // one transaction: a demo that was killed while it loaded begins anew
        transaction.executeWithoutResult(status -> load());
    }

    private void load() {
        clock.beginDemoOn(DemoPastPlan.FIRST_DAY);
        people.add("maren", "Maren Tollwick", PASSWORD, Role.OWNER);
        people.add("ivo", "Ivo Sandmoor", PASSWORD, Role.GROWER);
        people.add("pell", "Pell Ashdrake", PASSWORD, Role.VIEWER);
        SignedIn maren = people.signedIn("maren");
        SecurityContextHolder.getContext()
                .setAuthentication(
                        UsernamePasswordAuthenticationToken.authenticated(maren, null, maren.getAuthorities()));
        try {
            house();
            Map<String, Long> mothers = mothers();
            Map<String, Long> recipes = recipes();
            List<DemoTrials.Dealt> dealt = trials.begin(mothers, recipes);
            clock.moveTo(DemoPlan.FIRST_DAY);
            season.play(mothers, limbs(mothers), recipes, TODAY);
            clock.moveTo(TODAY);
            leftovers.record(mothers, recipes, TODAY);
            // these last, so that the layers that have something to show keep the lowest numbers
            lives.play(DemoPastPlan.season(dealt), mothers, recipes, DemoTruth.SHIPPED, maren.id());
            lives.play(DemoPresentPlan.season(TODAY), mothers, recipes, DemoTruth.SHIPPED, maren.id());
            wanted(recipes);
            bench.stock();
            bench.ask(mothers, recipes);
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    /** What the customers of the house have asked for. */
    private void wanted(Map<String, Long> recipes) {
        Map<String, Long> places = new HashMap<>();
        nurseryPlaces.all().forEach(place -> places.put(place.name(), key(place.id())));
        for (DemoPlan.TargetPlan target : DemoPlan.TARGETS) {
            targets.add(new TargetEdit(
                    target.name(),
                    new NumbersQuery(
                            key(places.get(target.place())),
                            key(recipes.get("Moss and foil")),
                            target.species(),
                            target.variety(),
                            target.wanted(),
                            target.by(),
                            .8,
                            null,
                            null),
                    target.countsFrom()));
        }
    }

    private void house() {
        prices.save(new PricesView(
                "crowns", new Prices(21, Map.of("Moss", 1.9, "Coir", .6), .35, .5, .03, .8, .05, .25), 0L));
        sites.save(new SiteView(
                "Tollen Fold, Isle of Carrow",
                52.1,
                "Europe/London",
                List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2),
                new FrostsView(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6)),
                -4.5,
                false,
                Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY),
                90,
                0L));
        for (DemoPlan.PlacePlan place : DemoPlan.PLACES) {
            nurseryPlaces.save(new PlaceView(
                    null,
                    place.name(),
                    place.order(),
                    place.exposure(),
                    place.minShiftC(),
                    place.maxShiftC(),
                    place.vpdFactor(),
                    place.frosts(),
                    null,
                    place.winterLowC(),
                    place.stand(),
                    0L));
        }
    }

    private Map<String, Long> mothers() {
        Map<String, Long> places = new HashMap<>();
        nurseryPlaces.all().forEach(place -> places.put(place.name(), key(place.id())));
        Map<String, Long> ids = new HashMap<>();
        for (DemoPlan.MotherPlan mother : Stream.concat(DemoPlan.MOTHERS.stream(), DemoPresentPlan.MOTHERS.stream())
                .toList()) {
            MotherView saved = stock.save(
                    MotherView.fresh(mother.code(), mother.species(), mother.variety(), key(places.get(mother.place())))
                            .rootRun(mother.rootRun())
                            .vigour(mother.vigour())
                            .plantedYear(mother.plantedYear())
                            .sick(mother.sick())
                            .leafyShoots(mother.leafyShoots())
                            .note(mother.note())
                            .build());
            ids.put(saved.code(), key(saved.id()));
        }
        return ids;
    }

    private Map<String, LimbView> limbs(Map<String, Long> mothers) {
        Map<String, LimbView> all = new HashMap<>();
        for (DemoPlan.LimbPlan limb : DemoPlan.LIMBS) {
            LimbView saved = limbs.save(new LimbView(
                    null,
                    key(mothers.get(limb.mother())),
                    limb.name(),
                    limb.diameterMm(),
                    limb.wood(),
                    limb.leanDeg(),
                    limb.lengthMm(),
                    limb.nodes(),
                    limb.leaves(),
                    limb.toBePruned(),
                    true,
                    limb.note(),
                    null,
                    null,
                    0L));
            all.put(limb.mother() + " / " + limb.name(), saved);
        }
        return all;
    }

    private Map<String, Long> recipes() {
        Map<String, Long> ids = new HashMap<>();
        List<RecipeView> all = List.of(
                recipe("Moss and foil", air(3000, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0)),
                recipe("Clear film", air(3000, Medium.MOSS, Wrap.TIED_FILM, Cover.CLEAR, 0)),
                recipe("Coir bag", air(2000, Medium.COIR, Wrap.SLIT_BAG, Cover.FOIL, 10)),
                recipe("Hinged pod", air(3000, Medium.MOSS, Wrap.HINGED_POD, Cover.BLACK, 45)),
                recipe(
                        "Soft tip in coir",
                        other(Method.SOFT_TIP, Wound.LEAF_STRIPPED, 1000, Medium.COIR_PERLITE, Wrap.SLIT_BAG)),
                recipe(
                        "Pinned down",
                        other(Method.GROUND, Wound.BARK_SCRAPED, 3000, Medium.MANURE_EARTH, Wrap.IN_GROUND)),
                recipe(
                        "Cutting, for comparison",
                        other(Method.CUTTING, Wound.UNWOUNDED, 3000, Medium.COIR_PERLITE, Wrap.IN_TENT)),
                recipe("Coir and foil", air(3000, Medium.COIR, Wrap.TIED_FILM, Cover.FOIL, 0)),
                recipe(
                        "Ring left unscraped",
                        new Recipe(
                                Method.AIR,
                                Wound.RING_UNSCRAPED,
                                3000,
                                Medium.MOSS,
                                Wrap.TIED_FILM,
                                Cover.FOIL,
                                0,
                                0)));
        for (RecipeView one : all) {
            ids.put(one.name(), key(recipes.save(one).id()));
        }
        return ids;
    }

    private static Recipe air(double ppm, Medium medium, Wrap wrap, Cover cover, double containerG) {
        return new Recipe(Method.AIR, Wound.RING_SCRAPED, ppm, medium, wrap, cover, containerG, 0);
    }

    private static Recipe other(Method method, Wound wound, double ppm, Medium medium, Wrap wrap) {
        return new Recipe(method, wound, ppm, medium, wrap, Cover.WHITE, 0, 0);
    }

    private static RecipeView recipe(String name, Recipe recipe) {
        return new RecipeView(null, name, School.IN_LEAF, recipe, 0, 0L);
    }

    private static long key(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("saved without an id");
        }
        return id;
    }
}
