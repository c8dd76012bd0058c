package org.kindgirdle.server.site;

import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The clock goes by the site's zone, wherever that is changed. */
@Component
class ZoneOfSite {

    private final BusinessClock clock;

    ZoneOfSite(BusinessClock clock) {
        this.clock = clock;
    }

    @EventListener
    @Order(0)
    void onChange(MasterDataChanged change) {
        if (change.what().equals(MasterDataChanged.SITE)) {
            clock.forgetZone();
        }
    }
}
