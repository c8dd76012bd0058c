package org.kindgirdle.server.exchange;

import java.util.List;
import java.util.stream.Stream;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.stereotype.Component;

/** Every table that goes in and out, those that others refer to first. */
@Component
class Tables {

    private final List<Table> all;

    Tables(HouseTables house, LayerTable layers, RecordTable records, DecisionTables decisions) {
        this.all = Stream.of(house.all().stream(), Stream.of(layers, records), decisions.all().stream())
                .flatMap(tables -> tables)
                .toList();
    }

    List<Table> all() {
        return all;
    }

    Table of(String name) {
        return all.stream()
                .filter(table -> table.name().equals(name))
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("table", name));
    }
}
