package org.kindgirdle.server.site;

import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/** The clock goes by the site's zone: at once where the site is changed, and once more when that counts or does not. */
@Component
class ZoneOfSite {

    private final BusinessClock clock;

    ZoneOfSite(BusinessClock clock) {
        this.clock = clock;
    }

    @EventListener
    @Order(0)
    void onChange(MasterDataChanged change) {
        forget(change);
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMPLETION)
    void onEnd(MasterDataChanged change) {
        forget(change);
    }

    private void forget(MasterDataChanged change) {
        if (change.what().equals(MasterDataChanged.SITE)) {
            clock.forgetZone();
        }
    }
}
