package org.kindgirdle.server.opening;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/** Runs what must be there before the port is opened: nobody may meet a nursery that is half loaded. */
@Component
class Opening implements SmartInitializingSingleton {

    private final ObjectProvider<BeforeServing> tasks;

    Opening(ObjectProvider<BeforeServing> tasks) {
        this.tasks = tasks;
    }

    @Override
    public void afterSingletonsInstantiated() {
        tasks.orderedStream().forEach(BeforeServing::prepare);
    }
}
