package org.kindgirdle.server.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.ExpectedVisits;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.plan.Cost;
import org.kindgirdle.core.plan.Effort;
import org.kindgirdle.core.plan.NumbersWanted;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.server.layers.MotherLoad;
import org.kindgirdle.server.layers.SpeciesCounts;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.PriceLists;
import org.kindgirdle.server.supplies.PricesView;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.PlanWords;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many layers plants that are wanted by a day ask for, by when, from which mothers, with what work. */
@Service
class LayersWanted {

    private static final int[] SHORT_BY = {1, 5, 10};

    private final Snapshots snapshots;
    private final SpeciesCounts counts;
    private final MotherLoad loads;
    private final MotherRemarks remarks;
    private final PriceLists prices;
    private final Supplies supplies;
    private final CurrentPerson person;
    private final PlanWords words;

    LayersWanted(
            Snapshots snapshots,
            SpeciesCounts counts,
            MotherLoad loads,
            MotherRemarks remarks,
            PriceLists prices,
            Supplies supplies,
            CurrentPerson person,
            PlanWords words) {
        this.snapshots = snapshots;
        this.counts = counts;
        this.loads = loads;
        this.remarks = remarks;
        this.prices = prices;
        this.supplies = supplies;
        this.person = person;
        this.words = words;
    }

    @Transactional(readOnly = true)
    NumbersView of(NumbersQuery query) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate today = nursery.today();
        checkDay(query.by(), today);
        PlantsWanted plants = PlantsWanted.of(query, nursery, counts.of(query.speciesCode()));
        Recipe recipe = plants.recipe().recipe();
        LayerContext context = plants.context();
        HouseRules rules = context.rules();
        int layers = plants.layers();
        LocalDate latest = plants.latestSetOn();
        RingAndBall ball =
                recipe.ball(rules, query.diameterOrUsualMm(), context.species().bridgesReadily(), false);
        LocalDate start = latest == null ? today : latest;
        Optional<ExpectedVisits> visits = ExpectedVisits.of(context, query.woodOrUsual(), ball, start);
        Effort effort = Effort.of(
                rules,
                layers,
                recipe.isReadyBag(),
                visits.map(one -> one.looks().size()).orElse(0),
                visits.map(one -> one.topUps().size()).orElse(0),
                plants.rooting().chances().mean());
        List<NumbersView.Room> room = room(nursery, query);
        int roomTotal = room.stream().mapToInt(NumbersView.Room::room).sum();
        ShoppingList list = ShoppingList.of(
                rules,
                List.of(new ShoppingList.Batch(
                        layers,
                        ball,
                        recipe,
                        supplies.get().mix(recipe.medium()),
                        Effort.minutesToSet(rules, recipe.isReadyBag()))));
        Format format = new Format(person.units(), today);
        return NumbersViewBuilder.builder()
                .layers(layers)
                .rooting(plants.rooting().chances().mean())
                .rootingRecords(plants.rooting().records())
                .establishing(plants.establishing().chances().mean())
                .establishingRecords(plants.establishing().records())
                .latestSetOn(latest)
                .headline(words.layersWanted(layers, query.wanted(), query.by(), latest, roomTotal, format))
                .shortfalls(shortfalls(plants.released(), layers, query.wanted()))
                .room(room)
                .roomTotal(roomTotal)
                .effort(new NumbersView.EffortView(
                        effort.set(), effort.looks(), effort.topUps(), effort.sever(), effort.minutes()))
                .weeks(weeks(nursery, effort, start, visits.orElse(null)))
                .materials(materials(list))
                .cost(cost(list, effort, plants.released().mean() * layers))
                .build();
    }

    static void checkDay(LocalDate by, LocalDate today) {
        if (!by.isAfter(today) || by.isAfter(today.plusYears(3))) {
            throw ProblemException.invalid(
                    "by", by.toString(), Refusals.say("wanted.by.allowed", "today", today), Refusals.say("wanted.by"));
        }
    }

    private static List<NumbersView.Shortfall> shortfalls(Chances released, int layers, int wanted) {
        return IntStream.of(SHORT_BY)
                .filter(by -> by <= wanted)
                .mapToObj(by ->
                        new NumbersView.Shortfall(by, 1 - NumbersWanted.atLeast(released, layers, wanted - by + 1)))
                .toList();
    }

    private List<NumbersView.Room> room(NurserySnapshot nursery, NumbersQuery query) {
        Map<Long, Long> underRings = loads.underRings();
        return nursery.mothers().stream()
                .filter(mother -> mother.inUse()
                        && mother.speciesCode().equals(query.speciesCode())
                        && query.isOf(mother.variety()))
                .map(mother -> room(nursery, mother, underRings))
                .sorted(Comparator.comparingInt(NumbersView.Room::room)
                        .reversed()
                        .thenComparing(NumbersView.Room::code))
                .toList();
    }

    private NumbersView.Room room(NurserySnapshot nursery, MotherView mother, Map<Long, Long> underRings) {
        long id = mother.id() == null ? 0 : mother.id();
        int now = Math.toIntExact(underRings.getOrDefault(id, 0L));
        int left = remarks.room(mother, MotherRemarks.capacity(mother, now, nursery.rules()));
        return new NumbersView.Room(
                id,
                mother.code(),
                mother.variety(),
                nursery.place(mother.placeId()).name(),
                left);
    }

    private static List<NumbersView.Week> weeks(
            NurserySnapshot nursery, Effort effort, LocalDate start, @Nullable ExpectedVisits visits) {
        TreeMap<LocalDate, Double> minutes = new TreeMap<>();
        minutes.merge(monday(start), effort.set(), Double::sum);
        if (visits != null) {
            double look = effort.looks() / Math.max(1, visits.looks().size());
            double topUp = effort.topUps() / Math.max(1, visits.topUps().size());
            visits.looks().forEach(day -> minutes.merge(monday(day), look, Double::sum));
            visits.topUps().forEach(day -> minutes.merge(monday(day), topUp, Double::sum));
            minutes.merge(monday(visits.readyOn()), effort.sever(), Double::sum);
        }
        double capacity = (double) nursery.site().roundMinutes()
                * nursery.site().roundDays().size();
        return minutes.entrySet().stream()
                .map(week -> new NumbersView.Week(week.getKey(), week.getValue(), capacity))
                .toList();
    }

    private static LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static NumbersView.Materials materials(ShoppingList list) {
        Map<String, Double> litres = new LinkedHashMap<>();
        list.ingredients().forEach((name, amount) -> litres.put(name, amount.dryL()));
        return new NumbersView.Materials(
                litres, list.filmCm2(), list.foilCm2(), list.ties(), list.labels(), list.hormoneInAllMl());
    }

    private NumbersView.CostView cost(ShoppingList list, Effort effort, double released) {
        PricesView prices = this.prices.get();
        Cost cost = Cost.of(prices.prices(), list, effort.minutes());
        return new NumbersView.CostView(
                prices.currency(),
                cost.materials(),
                cost.work(),
                cost.total(),
                cost.perLayer(),
                cost.perPlant(released),
                cost.unpriced());
    }
}
