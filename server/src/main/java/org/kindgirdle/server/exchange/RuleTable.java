package org.kindgirdle.server.exchange;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.rules.HouseRuleBook;
import org.kindgirdle.server.rules.RulesEdit;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The house rules, one a row; all that change make one new version. */
final class RuleTable implements Table {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final List<Column> COLUMNS = List.of(
            Column.of("code", Column.CellKind.NAME).asNeeded(),
            Column.of("value", Column.CellKind.NUMBER).asNeeded(),
            Column.of("unit", Column.CellKind.TEXT).asReadOnly(),
            Column.of("name", Column.CellKind.TEXT).asReadOnly(),
            Column.of("shipped", Column.CellKind.NUMBER).asReadOnly());

    private final HouseRuleBook book;

    RuleTable(HouseRuleBook book) {
        this.book = book;
    }

    @Override
    public String name() {
        return "house-rules";
    }

    @Override
    public List<Column> columns() {
        return COLUMNS;
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        HouseRules rules = book.inForce().getValue();
        Rule.all()
                .forEach(rule -> to.accept(Arrays.asList(
                        NODES.stringNode(rule.code()),
                        NODES.numberNode(rules.of(rule)),
                        NODES.stringNode(rule.unit()),
                        NODES.stringNode(rule.name()),
                        NODES.numberNode(rule.shipped()))));
    }

    @Override
    public Intake intake(Tally tally) {
        Map.Entry<Integer, HouseRules> now = book.inForce();
        Map<String, Double> changes = new LinkedHashMap<>();
        return new Intake() {
            @Override
            public void take(ObjectNode row, long line) {
                String code = row.path("code").asString("");
                if (!row.path("value").isNumber()) {
                    tally.wrong(line, List.of(new Wrong("value", "", Refusals.say("import.rule.needs"))));
                    return;
                }
                double value = row.path("value").doubleValue();
                try {
                    Rule rule = Rule.of(code);
                    rule.check(value);
                    if (now.getValue().of(rule) == value) {
                        tally.count(RowOutcome.SAME);
                    } else {
                        changes.put(code, value);
                        tally.count(RowOutcome.CHANGED);
                    }
                } catch (IllegalArgumentException refused) {
                    tally.wrong(line, List.of(new Wrong("value", "", refused.getMessage() + ".")));
                }
            }

            @Override
            public void finish() {
                if (!changes.isEmpty()) {
                    try {
                        book.save(new RulesEdit(now.getKey(), changes));
                    } catch (ProblemException refused) {
                        tally.wrong(
                                0,
                                refused.violations().stream()
                                        .map(one -> new Wrong("value", "", one.message()))
                                        .toList());
                    }
                }
            }
        };
    }
}
