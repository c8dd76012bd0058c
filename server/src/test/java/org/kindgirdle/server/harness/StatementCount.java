package org.kindgirdle.server.harness;

import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.NoOpQueryExecutionListener;

/** Counts the round trips to the database: a batch is one. */
final class StatementCount extends NoOpQueryExecutionListener {

    private static final AtomicLong COUNT = new AtomicLong();

    @Override
    public void afterQuery(ExecutionInfo execution, List<QueryInfo> queries) {
        COUNT.incrementAndGet();
    }

    static long take() {
        return COUNT.getAndSet(0);
    }
}
