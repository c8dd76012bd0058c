package org.kindgirdle.server.projection;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.persistence.Changes;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.rules.HouseRuleBook;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes every row anew from its journal, at the day and by the versions at which it stands, so that it changes nothing
 * where nothing was spoilt. A row or a record that can't be read is named and left; the others go on.
 */
@Component
public class Rebuild {

    private static final Logger LOG = LoggerFactory.getLogger(Rebuild.class);

    private final LayerRepository layers;
    private final Journals journals;
    private final Snapshots snapshots;
    private final HouseRuleBook rules;
    private final SpeciesProfiles profiles;
    private final NurseryLock lock;
    private final EntityManager entities;
    private final Unreadable unreadable;
    private final TransactionTemplate each;

    Rebuild(
            LayerRepository layers,
            Journals journals,
            Snapshots snapshots,
            HouseRuleBook rules,
            SpeciesProfiles profiles,
            NurseryLock lock,
            EntityManager entities,
            Unreadable unreadable,
            PlatformTransactionManager transactions) {
        this.layers = layers;
        this.journals = journals;
        this.snapshots = snapshots;
        this.rules = rules;
        this.profiles = profiles;
        this.lock = lock;
        this.entities = entities;
        this.unreadable = unreadable;
        this.each = new TransactionTemplate(transactions);
        this.each.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * What came of it.
     *
     * @param wrong a sentence for each layer that could not be made anew, with its code and the column
     */
    public record Result(int layers, int changed, List<String> wrong) {

        @Override
        public String toString() {
            String counts = layers + " layers made anew from the journal, " + changed + " rows changed.";
            return wrong.isEmpty()
                    ? counts
                    : String.join("\n", wrong) + "\n" + counts + " " + wrong.size()
                            + " could not be read and stay as they are: see above.";
        }
    }

    private record At(LocalDate day, int rules, String species, int profile) {}

    public Result run() {
        int[] counts = new int[2];
        List<String> wrong = new ArrayList<>();
        Map<At, NurserySnapshot> nurseries = new HashMap<>();
        long last = 0;
        List<Long> ids;
        do {
            long after = last;
            ids = each.execute(status -> layers.idsAfter(after, Limit.of(RecalculationSize.STEP)));
            if (!ids.isEmpty()) {
                last = ids.get(ids.size() - 1);
                some(ids, nurseries, counts, wrong);
            }
        } while (ids.size() == RecalculationSize.STEP);
        return new Result(counts[0], counts[1], wrong);
    }

    /** All together, and one by one where that fails, to find out which it is. */
    private void some(List<Long> ids, Map<At, NurserySnapshot> nurseries, int[] counts, List<String> wrong) {
        try {
            counts[1] += anew(ids, nurseries);
            counts[0] += ids.size();
        } catch (RuntimeException failed) {
            for (Long id : ids) {
                try {
                    counts[1] += anew(List.of(id), nurseries);
                    counts[0]++;
                } catch (RuntimeException its) {
                    wrong.add(unreadable.sentence(id, its));
                    LOG.warn("Layer with the id {} could not be made anew: {}", id, its.toString());
                }
            }
        }
    }

    private int anew(List<Long> ids, Map<At, NurserySnapshot> nurseries) {
        Integer changed = each.execute(status -> {
            lock.holdAlone();
            List<Layer> some = layers.findByIdInOrderById(ids);
            Map<Long, List<LayerEvent>> all = journals.of(Layer.ids(some));
            int count = 0;
            for (Layer layer : some) {
                List<LayerEvent> journal = all.getOrDefault(layer.id(), List.of());
                NurserySnapshot nursery = nursery(layer, nurseries);
                boolean inputsKnown = layer.reckonedFrom != null;
                Projections.rebuild(layer, Projections.of(layer, journal, nursery), journal.size(), nursery);
                Set<String> columns = Changes.of(entities, layer);
                if (!inputsKnown) {
                    // that the inputs are known now is no change of what was reckoned from them
                    columns.remove("reckonedFrom");
                }
                if (!columns.isEmpty()) {
                    count++;
                }
            }
            entities.flush();
            entities.clear();
            return count;
        });
        return changed == null ? 0 : changed;
    }

    /** As of the row's day and by its versions. */
    private NurserySnapshot nursery(Layer layer, Map<At, NurserySnapshot> nurseries) {
        NurserySnapshot day = snapshots.take(layer.asOf);
        String species = day.mother(layer.motherId).speciesCode();
        if (layer.rulesNumber == day.rulesNumber()
                && layer.profileNumber == day.species(species).profileNumber()) {
            return day;
        }
        At at = new At(layer.asOf, layer.rulesNumber, species, layer.profileNumber);
        return nurseries.computeIfAbsent(
                at,
                key -> day.at(
                        Map.entry(key.rules(), rules.at(key.rules())),
                        // a species is another one where its mother was relabelled: then its own profile counts
                        profiles.one(
                                species,
                                Math.min(key.profile(), day.species(species).profileNumber()))));
    }
}
