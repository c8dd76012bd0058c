package org.kindgirdle.server.exchange;

import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.climate.WeatherDay;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.rules.HouseRuleBook;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.site.Sites;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.kindgirdle.server.species.SpeciesView;
import org.kindgirdle.server.supplies.PriceLists;
import org.kindgirdle.server.supplies.PricesView;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import org.kindgirdle.server.supplies.SuppliesViewBuilder;
import org.kindgirdle.server.units.Units;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The tables of what the house is and has. */
@Component
class HouseTables {

    private final Sites sites;
    private final Places places;
    private final SpeciesProfiles species;
    private final Recipes recipes;
    private final HouseRuleBook rules;
    private final Mothers mothers;
    private final Limbs limbs;
    private final Supplies supplies;
    private final PriceLists prices;
    private final Weather weather;
    private final People people;
    private final Refs refs;
    private final BeanTable.Tools tools;

    HouseTables(
            Sites sites,
            Places places,
            SpeciesProfiles species,
            Recipes recipes,
            HouseRuleBook rules,
            Mothers mothers,
            Limbs limbs,
            Supplies supplies,
            PriceLists prices,
            Weather weather,
            People people,
            Refs refs,
            JsonMapper json,
            Validator validator) {
        this.sites = sites;
        this.places = places;
        this.species = species;
        this.recipes = recipes;
        this.rules = rules;
        this.mothers = mothers;
        this.limbs = limbs;
        this.supplies = supplies;
        this.prices = prices;
        this.weather = weather;
        this.people = people;
        this.refs = refs;
        this.tools = new BeanTable.Tools(json, validator);
    }

    /** Those that others refer to first. */
    List<Table> all() {
        return List.of(
                site(),
                people(),
                places(),
                species(),
                recipes(),
                new RuleTable(rules),
                prices(),
                new MixTable(supplies),
                containers(),
                hormones(),
                pots(),
                mothers(),
                limbs(),
                weather());
    }

    /** Rows that are kept one by one. */
    private static final class Each<T> implements BeanTable.KeptRows<T> {

        private final Supplier<List<T>> all;
        private final Function<T, Object> key;
        private final BiFunction<T, @Nullable T, T> keep;

        Each(Supplier<List<T>> all, Function<T, Object> key, BiFunction<T, @Nullable T, T> keep) {
            this.all = all;
            this.key = key;
            this.keep = keep;
        }

        @Override
        public List<T> all() {
            return all.get();
        }

        @Override
        public Object key(T row) {
            return key.apply(row);
        }

        @Override
        public T keep(T row, @Nullable T before) {
            return keep.apply(row, before);
        }
    }

    private static ObjectNode template() {
        return JsonNodeFactory.instance.objectNode();
    }

    private Table site() {
        return new BeanTable<>(
                "site",
                SiteView.class,
                Shape.of(SiteView.class).without("version"),
                template().put("arid", false).put("version", 0),
                () -> new Each<>(
                        () -> sites.hasSite() ? List.of(sites.site()) : List.of(),
                        row -> "site",
                        (row, before) -> sites.save(row)),
                tools);
    }

    private Table people() {
        return new BeanTable<>(
                "people",
                People.PersonView.class,
                Shape.of(People.PersonView.class).without("id"),
                template().put("id", 0).put("units", Units.METRIC.name()),
                () -> new Each<>(people::all, People.PersonView::name, this::newcomer),
                tools);
    }

    /** Nobody signs in by a file: an owner gives the newcomer a password. */
    private People.PersonView newcomer(People.PersonView row, People.@Nullable PersonView before) {
        if (before != null) {
            throw new RowException("name", Refusals.say("import.person"));
        }
        People.PersonView added =
                people.add(row.name(), row.fullName(), UUID.randomUUID().toString(), row.role());
        return people.choose(added.id(), row.units());
    }

    private Table places() {
        return new BeanTable<>(
                "places",
                PlaceView.class,
                Shape.of(PlaceView.class).without("id", "version"),
                tools.templateOf(PlaceView.openAir(), "name", "walkingOrder", "exposure", "winterLowC"),
                () -> new Each<>(places::all, PlaceView::name, (row, before) -> places.save(row)),
                tools);
    }

    private Table species() {
        return new BeanTable<>(
                "species",
                SpeciesProfile.class,
                Shape.of(SpeciesProfile.class).flat("cardinals"),
                template(),
                () -> new Each<>(
                        () -> species.all().stream()
                                .map(SpeciesView::profile)
                                .sorted((a, b) -> a.code().compareTo(b.code()))
                                .toList(),
                        SpeciesProfile::code,
                        (row, before) -> before == null
                                ? species.add(new SpeciesView(row, null, 1, 0L)).profile()
                                : species.save(
                                                row.code(),
                                                species.one(row.code()).with(row))
                                        .profile()),
                tools);
    }

    private Table recipes() {
        return new BeanTable<>(
                "recipes",
                RecipeView.class,
                Shape.of(RecipeView.class)
                        .without("id", "version")
                        .readOnly("number")
                        .flat("recipe"),
                template()
                        .putNull("id")
                        .put("number", 0)
                        .put("version", 0)
                        .set("recipe", template().put("containerG", 0).put("containerMl", 0)),
                () -> new Each<>(recipes::all, RecipeView::name, (row, before) -> recipes.save(row)),
                tools);
    }

    private Table prices() {
        return new BeanTable<>(
                "prices",
                PricesView.class,
                Shape.of(PricesView.class).without("version").flat("prices"),
                template().put("version", 0),
                () -> new Each<>(() -> List.of(prices.get()), row -> "prices", (row, before) -> prices.save(row)),
                tools);
    }

    private Table containers() {
        return new BeanTable<>(
                "containers",
                HouseContainer.class,
                Shape.of(HouseContainer.class),
                template(),
                () -> new ListedRows<>(
                        () -> supplies.get().containers(),
                        list -> keep(now -> SuppliesViewBuilder.builder(now)
                                .containers(list)
                                .build()),
                        HouseContainer::name),
                tools);
    }

    private Table hormones() {
        return new BeanTable<>(
                "hormones",
                HouseHormone.class,
                Shape.of(HouseHormone.class),
                template().put("lot", ""),
                () -> new ListedRows<>(
                        () -> supplies.get().hormones(),
                        list -> keep(now ->
                                SuppliesViewBuilder.builder(now).hormones(list).build()),
                        HouseHormone::name),
                tools);
    }

    private Table pots() {
        return new BeanTable<>(
                "pots",
                HousePot.class,
                Shape.of(HousePot.class),
                template(),
                () -> new ListedRows<>(
                        () -> supplies.get().pots(),
                        list -> keep(now ->
                                SuppliesViewBuilder.builder(now).pots(list).build()),
                        HousePot::name),
                tools);
    }

    private void keep(Function<SuppliesView, SuppliesView> edit) {
        supplies.save(edit.apply(supplies.get()));
    }

    private Table mothers() {
        return new BeanTable<>(
                "mothers",
                MotherView.class,
                Shape.of(MotherView.class)
                        .without("id", "mergedInto", "version")
                        .ref("placeId", refs.places()),
                tools.templateOf(
                        MotherView.fresh("", "", "", 0).build(), "code", "speciesCode", "placeId", "leafyShoots"),
                () -> new Each<>(mothers::all, MotherView::code, this::keep),
                tools);
    }

    private MotherView keep(MotherView row, @Nullable MotherView before) {
        boolean wasInUse = before == null || before.inUse();
        if (!wasInUse && row.inUse()) {
            throw new RowException("retired_on", Refusals.say("import.retired"));
        }
        MotherView saved = mothers.save(row);
        return wasInUse && row.retiredOn() != null
                ? mothers.retire(Objects.requireNonNull(saved.id()), row.retiredOn(), "As a file said")
                : saved;
    }

    private Table limbs() {
        Supplier<Map<Long, String>> codes = () -> mothers.all().stream()
                .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), MotherView::code));
        return new BeanTable<>(
                "limbs",
                LimbView.class,
                Shape.of(LimbView.class).without("id", "version").ref("motherId", refs.mothers()),
                template()
                        .putNull("id")
                        .put("version", 0)
                        .put("toBePruned", false)
                        .put("shootBelow", true)
                        .put("note", ""),
                () -> new Each<>(
                        () -> {
                            Map<Long, String> known = codes.get();
                            List<LimbView> all = new ArrayList<>(limbs.all());
                            all.sort((a, b) -> order(a, known).compareTo(order(b, known)));
                            return all;
                        },
                        row -> row.motherId() + "/" + row.name(),
                        (row, before) -> limbs.saveAsMeasured(row)),
                tools);
    }

    private static String order(LimbView limb, Map<Long, String> codes) {
        return codes.get(limb.motherId()) + "\n" + limb.name();
    }

    private Table weather() {
        return new BeanTable<>(
                "weather",
                WeatherDay.class,
                Shape.of(WeatherDay.class),
                template(),
                () -> ListedRows.ofSome(weather::measured, weather::take, WeatherDay::on),
                tools);
    }
}
