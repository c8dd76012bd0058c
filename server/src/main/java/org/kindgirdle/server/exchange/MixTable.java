package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What the media are mixed from: a row an ingredient or additive. A mix in a file takes the place of the one here. */
final class MixTable implements Table {

    /** The light mix that pots are filled up with stands among the media under this name. */
    private static final String POTTING = "POTTING_MIX_FOR_PLANTS";

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final List<Column> COLUMNS = List.of(
            new Column("mix", Column.CellKind.CODE, true, false, codes(), null, ""),
            Column.of("name", Column.CellKind.TEXT).asNeeded(),
            new Column("parts", Column.CellKind.NUMBER, false, false, List.of(), null, "above 0 to 1000"),
            new Column("swelling", Column.CellKind.NUMBER, false, false, List.of(), null, "1 to 20"),
            new Column("additive_a_litre", Column.CellKind.NUMBER, false, false, List.of(), null, "above 0 to 1000"),
            new Column(
                    "additive_unit",
                    Column.CellKind.CODE,
                    false,
                    false,
                    Shape.codes(MediumMix.DoseUnit.class),
                    null,
                    ""));

    private final Supplies supplies;

    MixTable(Supplies supplies) {
        this.supplies = supplies;
    }

    private static List<String> codes() {
        List<String> codes = new ArrayList<>(Shape.codes(Medium.class));
        codes.add(POTTING);
        return codes;
    }

    @Override
    public String name() {
        return "mixes";
    }

    @Override
    public List<Column> columns() {
        return COLUMNS;
    }

    private static Map<String, MediumMix> mixes(SuppliesView now) {
        Map<String, MediumMix> all = new LinkedHashMap<>();
        now.mixes().forEach((medium, mix) -> all.put(medium.name(), mix));
        all.put(POTTING, now.pottingMix());
        return all;
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        mixes(supplies.get()).forEach((code, mix) -> {
            mix.ingredients()
                    .forEach(one -> to.accept(Arrays.asList(
                            NODES.stringNode(code),
                            NODES.stringNode(one.name()),
                            NODES.numberNode(one.parts()),
                            NODES.numberNode(one.swelling()),
                            null,
                            null)));
            mix.additives()
                    .forEach(one -> to.accept(Arrays.asList(
                            NODES.stringNode(code),
                            NODES.stringNode(one.name()),
                            null,
                            null,
                            NODES.numberNode(one.perLitre()),
                            NODES.stringNode(one.unit().name()))));
        });
    }

    @Override
    public Intake intake(Tally tally) {
        SuppliesView now = supplies.get();
        Map<String, MediumMix> before = mixes(now);
        Map<String, List<MediumMix.Ingredient>> ingredients = new LinkedHashMap<>();
        Map<String, List<MediumMix.Additive>> additives = new LinkedHashMap<>();
        return new Intake() {
            @Override
            public void take(ObjectNode row, long line) {
                String code = row.path("mix").asString("");
                String name = row.path("name").asString("");
                MediumMix mix = before.get(code);
                try {
                    if (row.path("additive_a_litre").isNumber()) {
                        MediumMix.Additive one = new MediumMix.Additive(
                                name,
                                row.path("additive_a_litre").doubleValue(),
                                MediumMix.DoseUnit.valueOf(
                                        row.path("additive_unit").asString("G")));
                        additives
                                .computeIfAbsent(code, key -> new ArrayList<>())
                                .add(one);
                        tally.count(
                                mix != null && mix.additives().contains(one) ? RowOutcome.SAME : RowOutcome.CHANGED);
                        return;
                    }
                    MediumMix.Ingredient one = new MediumMix.Ingredient(
                            name,
                            row.path("parts").doubleValue(0),
                            row.path("swelling").doubleValue(1));
                    ingredients.computeIfAbsent(code, key -> new ArrayList<>()).add(one);
                    tally.count(mix != null && mix.ingredients().contains(one) ? RowOutcome.SAME : RowOutcome.CHANGED);
                } catch (IllegalArgumentException refused) {
                    tally.wrong(line, List.of(new Wrong("", "", refused.getMessage() + ".")));
                }
            }

            @Override
            public void finish() {
                Map<String, MediumMix> after = new LinkedHashMap<>(before);
                try {
                    ingredients.forEach((code, list) ->
                            after.put(code, new MediumMix(list, additives.getOrDefault(code, List.of()))));
                } catch (IllegalArgumentException refused) {
                    tally.wrong(0, List.of(new Wrong("mix", "", refused.getMessage() + ".")));
                    return;
                }
                if (after.equals(before)) {
                    return;
                }
                MediumMix potting = Objects.requireNonNull(after.remove(POTTING));
                Map<Medium, MediumMix> mixes = new EnumMap<>(Medium.class);
                after.forEach((code, mix) -> mixes.put(Medium.valueOf(code), mix));
                supplies.save(
                        new SuppliesView(mixes, now.containers(), now.hormones(), now.pots(), potting, now.version()));
            }
        };
    }
}
