package org.kindgirdle.server.rules;

import jakarta.persistence.EntityManager;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.server.nursery.Author;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The house rules, in numbered versions that are never changed; those that were shipped have the number 0. */
@Service
public class HouseRuleBook {

    private final EntityManager rows;
    private final BusinessClock clock;
    private final Author author;
    private final ApplicationEventPublisher events;
    private final NurseryLock lock;

    HouseRuleBook(
            EntityManager rows,
            BusinessClock clock,
            Author author,
            ApplicationEventPublisher events,
            NurseryLock lock) {
        this.rows = rows;
        this.clock = clock;
        this.author = author;
        this.events = events;
        this.lock = lock;
    }

    /** With their number. */
    @Transactional(readOnly = true)
    public Map.Entry<Integer, HouseRules> inForce() {
        return rows
                .createQuery("select one from HouseRulesRow one order by one.number desc limit 1", HouseRulesRow.class)
                .getResultList()
                .stream()
                .findFirst()
                .map(one -> Map.entry(one.number, HouseRules.of(one.rules)))
                .orElseGet(() -> Map.entry(0, HouseRules.SHIPPED));
    }

    /** Those of a number, in force or of before. */
    @Transactional(readOnly = true)
    public HouseRules at(int number) {
        return number == 0 ? HouseRules.SHIPPED : HouseRules.of(rows.find(HouseRulesRow.class, number).rules);
    }

    /** New rules make a new number; the old ones stay. An edit on old ones is refused with both sides. */
    @Transactional
    public RulesView save(RulesEdit edit) {
        lock.holdForChange();
        Map.Entry<Integer, HouseRules> now = inForce();
        Versions.check(edit.number(), now.getKey(), edit, RulesView.of(now.getKey(), now.getValue()));
        HouseRules rules = edit.on(now.getValue());
        rows.persist(new HouseRulesRow(now.getKey() + 1, rules.values(), author.name(), clock.systemNow()));
        events.publishEvent(new MasterDataChanged("house rules"));
        return RulesView.of(now.getKey() + 1, rules);
    }
}
