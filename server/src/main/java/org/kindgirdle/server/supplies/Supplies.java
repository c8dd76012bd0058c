package org.kindgirdle.server.supplies;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.core.pot.HousePot;
import org.kindgirdle.core.set.HouseContainer;
import org.kindgirdle.core.set.HouseHormone;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the bench keeps in stock. */
@Service
public class Supplies {

    private static final int MAX_NAME = 60;

    private final SuppliesRepository rows;

    Supplies(SuppliesRepository rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public SuppliesView get() {
        return view(only());
    }

    @Transactional
    public SuppliesView save(SuppliesView edit) {
        SuppliesRow row = only();
        Versions.check(edit.version(), row.version, edit, view(row));
        checkNames(
                "containers",
                edit.containers().stream().map(HouseContainer::name).toList());
        checkNames("hormones", edit.hormones().stream().map(HouseHormone::name).toList());
        checkNames("pots", edit.pots().stream().map(HousePot::name).toList());
        Map<Medium, MediumMix> own = new EnumMap<>(Medium.class);
        edit.mixes().forEach((medium, mix) -> {
            if (!mix.equals(ShippedMixes.of(medium))) {
                own.put(medium, mix);
            }
        });
        row.mixes = own;
        row.containers = edit.containers().stream()
                .sorted(Comparator.comparing(HouseContainer::volumeMl).thenComparing(HouseContainer::name))
                .toList();
        row.hormones = edit.hormones().stream()
                .sorted(Comparator.comparing(HouseHormone::name))
                .toList();
        List<HousePot> pots = edit.pots().stream()
                .sorted(Comparator.comparing(HousePot::volumeMl).thenComparing(HousePot::name))
                .toList();
        row.pots = pots.equals(ShippedPots.ALL) ? List.of() : pots;
        row.pottingMix = SuppliesRow.OwnMix.of(edit.pottingMix());
        return view(rows.saveAndFlush(row));
    }

    private static void checkNames(String list, List<String> names) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < names.size(); i++) {
            String name = names.get(i).strip();
            if (name.isEmpty() || name.length() > MAX_NAME || !seen.add(name)) {
                throw ProblemException.invalid(
                        list + "[" + i + "].name",
                        name,
                        Refusals.say("supply.name.allowed", "most", MAX_NAME),
                        Refusals.say("supply.name"));
            }
        }
    }

    private SuppliesRow only() {
        return rows.findById(SuppliesRow.ONLY)
                .orElseThrow(() -> new IllegalStateException("the schema comes with its row of supplies"));
    }

    private SuppliesView view(SuppliesRow row) {
        Map<Medium, MediumMix> all = new EnumMap<>(Medium.class);
        Arrays.stream(Medium.values()).forEach(medium -> all.put(medium, ShippedMixes.of(medium)));
        all.putAll(row.mixes);
        return new SuppliesView(
                all,
                row.containers,
                row.hormones,
                row.pots.isEmpty() ? ShippedPots.ALL : row.pots,
                row.pottingMix.mix(),
                row.version);
    }
}
