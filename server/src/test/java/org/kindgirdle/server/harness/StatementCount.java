package org.kindgirdle.server.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.NoOpQueryExecutionListener;

/**
 * Keeps the round trips to the database that answers cost: a batch is one. What a clock sets off, like the sweeping
 * out of old sessions once a minute, answers nobody and is left out.
 */
final class StatementCount extends NoOpQueryExecutionListener {

    /** How the threads are called that answer requests. */
    private static final String ANSWERING = "-exec-";

    private static final Queue<String> SENT = new ConcurrentLinkedQueue<>();

    @Override
    public void afterQuery(ExecutionInfo execution, List<QueryInfo> queries) {
        if (Thread.currentThread().getName().contains(ANSWERING)) {
            SENT.add(queries.isEmpty() ? "" : queries.get(0).getQuery());
        }
    }

    /** What was sent since the last call. */
    static List<String> take() {
        List<String> taken = new ArrayList<>();
        for (String one = SENT.poll(); one != null; one = SENT.poll()) {
            taken.add(one);
        }
        return taken;
    }
}
