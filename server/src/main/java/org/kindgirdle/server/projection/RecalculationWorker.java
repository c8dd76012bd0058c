package org.kindgirdle.server.projection;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** Takes the pass over all live layers from step to step, beside everything else. */
@Component
class RecalculationWorker {

    private static final Logger LOG = LoggerFactory.getLogger(RecalculationWorker.class);

    /** After a step that failed, as when the database was away. */
    private static final int AGAIN_SECONDS = 5;

    private final Reprojection reprojection;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "recalculation");
        one.setDaemon(true);
        return one;
    });

    RecalculationWorker(Reprojection reprojection) {
        this.reprojection = reprojection;
    }

    @TransactionalEventListener
    void onBegun(Recalculation.Begun begun) {
        thread.execute(this::run);
    }

    /** What a restart interrupted goes on. */
    @EventListener
    void onReady(ApplicationReadyEvent ready) {
        thread.execute(this::run);
    }

    @PreDestroy
    void stop() {
        thread.shutdownNow();
    }

    private void run() {
        try {
            while (!Thread.currentThread().isInterrupted() && reprojection.step()) {
                Thread.yield();
            }
        } catch (RuntimeException failed) {
            if (!thread.isShutdown()) {
                LOG.warn("The pass over all layers stopped; it goes on in {} s", AGAIN_SECONDS, failed);
                thread.schedule(this::run, AGAIN_SECONDS, TimeUnit.SECONDS);
            }
        }
    }
}
