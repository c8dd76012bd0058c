package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.plan.WindowClass;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.truth.Clime;
import org.kindgirdle.core.truth.Luck;

/**
 * How a layer is set.
 *
 * @param number of the layer in its nursery
 * @param plantedOut whether it goes from its mother straight into the ground
 */
record Beginning(
        int number, SpeciesProfile species, Recipe recipe, LayerRecord.Setting set, LocalDate on, boolean plantedOut) {

    private static final int LAYERS_A_SPECIES = 5;

    private static final Map<String, List<String>> GROWN = Map.of(
            Clime.LOWLAND.name(),
                    List.of(
                            "LITCHI", "PSIGUA", "FICTRO", "ARTALT", "CODVAR", "BRUGMA", "CITRUS", "PERAME", "FICCAR",
                            "PUNGRA", "LAGIND", "MORNIG"),
            Clime.MONSOON.name(),
                    List.of(
                            "LITCHI", "PSIGUA", "FICTRO", "CITRUS", "PERAME", "FICCAR", "PUNGRA", "LAGIND", "MORNIG",
                            "ERIJAP", "BRUGMA", "OLEEUR"),
            Clime.SUBTROPICAL.name(),
                    List.of(
                            "LAGIND", "FICCAR", "CITRUS", "ACEPAL", "MAGGRA", "PUNGRA", "FEISEL", "LIGSIN", "PRUMUM",
                            "WISSIN", "ULMCRA", "GINBIL"),
            Clime.CONTINENTAL.name(),
                    List.of(
                            "ACEPAL", "MALDOM", "SYRVUL", "RHODOD", "JUNCHI", "CARBET", "MAGSOU", "WISSIN", "PRUDOM",
                            "THUPLI", "COTCOG", "STEPSE"),
            Clime.MARITIME.name(),
                    List.of(
                            "CYDOBL", "MESGER", "ERIJAP", "MORNIG", "HAMINT", "DAVINV", "ILEAQU", "MAGSOU", "RHODOD",
                            "FEISEL", "VIBURN", "BRUGMA"),
            Clime.TEMPERATE.name(),
                    List.of(
                            "ACEPAL", "FICCAR", "OLEEUR", "CITRUS", "FEISEL", "MAGGRA", "QUESUB", "LAGIND", "PRUDOM",
                            "VIBURN", "PERAME", "AZALEA"),
            Clime.DRY.name(),
                    List.of(
                            "OLEEUR", "PUNGRA", "FICCAR", "ULMCRA", "PRUDOM", "LAGIND", "MORNIG", "QUESUB", "JUNCHI",
                            "WISSIN", "GINBIL", "LIGSIN"),
            Clime.NORTHERN.name(),
                    List.of(
                            "CARBET", "MALDOM", "SYRVUL", "RHODOD", "THUPLI", "CERJAP", "VIBURN", "COTCOG", "ACEPAL",
                            "HAMINT", "PARPER", "AZALEA"));

    /** In turn, beside four of five that are layered in the air. */
    private static final List<Method> OTHERS = List.of(
            Method.GROUND,
            Method.SOFT_TIP,
            Method.POT_STOOL,
            Method.SUCKER,
            Method.FOIL_START,
            Method.JAR,
            Method.CUTTING);

    /** Of so many layers in a nursery, on days that are open for them. */
    static List<Beginning> of(Nursery nursery, Luck luck) {
        List<Beginning> all = new ArrayList<>();
        List<String> grown = GROWN.get(nursery.clime().name());
        for (int i = 0; i < grown.size() * LAYERS_A_SPECIES; i++) {
            all.add(of(nursery, luck.of(i), i, ShippedSpecies.of(grown.get(i % grown.size()))));
        }
        return all;
    }

    private static Beginning of(Nursery nursery, Luck luck, int number, SpeciesProfile species) {
        int round = number / 12;
        Method method = round == 3 ? OTHERS.get(number % OTHERS.size()) : Method.AIR;
        School school = switch (number % 5) {
            case 1 -> School.DORMANT;
            case 3 -> School.SPRING;
            default -> School.IN_LEAF;
        };
        Recipe recipe = recipe(method, species);
        double mm = 9 + Math.round(10 * luck.even(Luck.Question.SET_WOOD, 0));
        LayerContext context = nursery.context(species, recipe, Spot.FIELD);
        double ring = recipe.wound().isRing()
                ? recipe.ball(Nursery.RULES, mm, species.bridgesReadily(), false)
                        .ringMm()
                : 0;
        LayerRecord.Setting set = new LayerRecord.Setting(
                mm,
                ring,
                method == Method.SOFT_TIP ? Wood.SOFT : Wood.ONE_TWO,
                Position.BELOW_NODE,
                leaves(species, luck),
                400,
                30,
                school,
                number % 11 == 4,
                number % 13 == 5,
                "",
                "");
        LocalDate on = day(nursery, context, set, luck);
        return new Beginning(number, species, recipe, set, on, number % 9 == 7);
    }

    /** A shoot has some 300 to 1000 cm2 of leaf, be it of a few large ones or of many small ones. */
    private static int leaves(SpeciesProfile species, Luck luck) {
        double cm2 = 300 + 700 * luck.even(Luck.Question.SET_WOOD, 1);
        return Math.max(4, (int) Math.round(cm2 / species.leafCm2()));
    }

    /** A day of the first year on which the windows let it be set. */
    private static LocalDate day(Nursery nursery, LayerContext context, LayerRecord.Setting set, Luck luck) {
        SettingWindows windows =
                context.windows(context.recipe().cover(), context.factors(set.wood()), set.school(), RootStage.NONE);
        List<LocalDate> good = new ArrayList<>();
        List<LocalDate> other = new ArrayList<>();
        LocalDate best = null;
        LocalDate first = LocalDate.of(Nursery.FIRST_YEAR, 1, 15);
        for (int i = 0; i < 365; i++) {
            LocalDate day = first.plusDays(i);
            SettingWindow window = windows.on(day);
            WindowClass kind = window.windowClass();
            boolean early = window.end() == SettingWindow.End.TOO_EARLY;
            if (!early && (best == null || windows.readyInTimeP(day) > windows.readyInTimeP(best))) {
                best = day;
            }
            if (kind == WindowClass.GOOD) {
                good.add(day);
            } else if (kind != WindowClass.CLOSED) {
                other.add(day);
            }
        }
        double which = luck.even(Luck.Question.SET_DAY, 0);
        List<LocalDate> days = good.isEmpty() || which > .8 && !other.isEmpty() ? other : good;
        if (days.isEmpty()) {
            // nothing is open: somebody tries all the same, on the day with the best chance
            return Objects.requireNonNull(best);
        }
        return days.get((int) (days.size() * luck.even(Luck.Question.SET_DAY, 1)));
    }

    private static Recipe recipe(Method method, SpeciesProfile species) {
        double ppm = switch (species.difficulty()) {
            case EASY -> 1000;
            case MODERATE -> 2000;
            case DIFFICULT -> 5000;
        };
        return switch (method) {
            case GROUND ->
                new Recipe(method, Wound.RING_SCRAPED, ppm, Medium.MANURE_EARTH, Wrap.IN_GROUND, Cover.BLACK, 0, 0);
            case SOFT_TIP -> new Recipe(method, Wound.UNWOUNDED, 0, Medium.MOSS, Wrap.SLIT_BAG, Cover.FOIL, 0, 0);
            case POT_STOOL ->
                new Recipe(
                        method, Wound.RING_SCRAPED, ppm, Medium.COIR_PERLITE, Wrap.SPLIT_POT, Cover.BLACK, 300, 2000);
            case FOIL_START -> new Recipe(method, Wound.UNWOUNDED, 0, Medium.MOSS, Wrap.FOIL_ONLY, Cover.FOIL, 0, 0);
            case CUTTING ->
                new Recipe(method, Wound.UNWOUNDED, ppm, Medium.COIR_PERLITE, Wrap.IN_TENT, Cover.CLEAR, 0, 0);
            default -> new Recipe(method, Wound.RING_SCRAPED, ppm, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0, 0);
        };
    }
}
