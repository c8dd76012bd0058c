package org.kindgirdle.server.security;

import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;

/** Cookies do not know ports: the demo's have names of their own, so that it signs nobody out of the nursery beside it. */
@Component
class CookieNames {

    private final boolean isDemo;

    CookieNames(BusinessClock clock) {
        this.isDemo = clock.isDemo();
    }

    String session() {
        return isDemo ? "KG_DEMO_SESSION" : "KG_SESSION";
    }

    /** Read by the page, which sends it back in a header. */
    String token() {
        return isDemo ? "DEMO-XSRF-TOKEN" : "XSRF-TOKEN";
    }

    String device() {
        return isDemo ? "KG_DEMO_DEVICE" : "KG_DEVICE";
    }
}
